package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.Arrangement;
import tallledger.core.plate.PlateCell;
import tallledger.core.rules.Rules;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;

/**
 * How the levers stand that nobody had looked at when the survey was started: asked before its first speed. Until then each speed is a
 * position of one lever, as the Start page puts it down.
 */
public final class LeverQuestion {

    private static final int FEWEST = 4;

    private LeverQuestion() {
    }

    /** Ways in which levers would give the speeds; none where that is not asked: a speed was run, or the levers are described. */
    public static List<StartReading.LeverChoice> of(StoredSurvey survey) {
        if (!survey.folded().runs().isEmpty() || survey.own().isPresent() || survey.isBehindDescription()
                || survey.core().closed().isPresent()
                || !isNotLookedAt(survey.folded().machine())) {
            return List.of();
        }
        List<PlateFinder.OfferedLayout> offers = offers(survey.folded().machine());
        return IntStream.range(0, offers.size()).filter(i -> offers.get(i).levers().size() > 1 && offers.get(i).leftOut().isEmpty())
                .mapToObj(i -> new StartReading.LeverChoice(offers.get(i).sizes() + ", " + (i + 1), offers.get(i), false)).toList();
    }

    /** The machine with the levers that were chosen; empty where they are none of those offered. */
    static Optional<MachineDescription> answered(StoredSurvey survey, String choice, Rules rules) {
        MachineDescription machine = survey.folded().machine();
        return of(survey).stream().filter(c -> c.value().equals(choice)).findFirst().flatMap(c -> {
            FormInput form = MachineForm.write(machine);
            PlateFinder.take(form, c.layout(), FormPlate.SPEED);
            return MachineForm.description(form, Optional.of(machine), rules);
        });
    }

    /** One lever alone, named and labelled as nobody names one who has seen it. */
    private static boolean isNotLookedAt(MachineDescription machine) {
        List<Stage> levers = machine.train().stages().stream().filter(s -> s.isChoice() && s.kind() != StageKind.DIRECTION).toList();
        if (levers.size() != 1 || levers.get(0).positions().size() < FEWEST || levers.get(0).kind().slides()) {
            return false;
        }
        var unseen = Arrangement.lever(0, levers.get(0).positions().size());
        return levers.get(0).name().equals(unseen.name())
                && levers.get(0).positions().stream().map(p -> p.label()).toList().equals(unseen.positions());
    }

    private static List<PlateFinder.OfferedLayout> offers(MachineDescription machine) {
        List<PlateCell> cells = List.copyOf(machine.plate().cells().values());
        Stream<String> read = cells.stream().filter(PlateCell.Value.class::isInstance).map(PlateCell::typed);
        boolean isWhole = cells.stream().allMatch(PlateCell.Value.class::isInstance);
        FormInput form = FormInput.blank();
        form.set(FormPlate.SPEED.list(), isWhole ? read.collect(Collectors.joining(" "))
                : cells.size() + " from " + read.collect(Collectors.joining(" to ")));
        return PlateFinder.found(form, FormPlate.SPEED).map(PlateFinder.FoundLayouts::offers).orElse(List.of());
    }
}
