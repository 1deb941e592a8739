package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.lever;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.drive.Stage;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.SecondRuns;
import tallledger.core.plan.SurveyPlan;

/**
 * Boxes with one bad gear, gone through as the sheet says by an ear that hears it nine times in ten and imagines one in ten, half of that
 * always at the same speed: the plan, the hunt, and where nothing was heard the second runs. The bad gear is found, and seldom another.
 * {@code -Dboxes=1000} goes through so many of each.
 */
class BoxesTest {

    private static final int MANY = Integer.getInteger("boxes", 6);
    private static final double SHOWS = 0.9;
    private static final double IMAGINED = 0.1;
    private static final int PATIENCE = 90;

    private static MachineDescription box(String sizes) {
        String[] size = sizes.split("x");
        Stage[] levers = IntStream.range(0, size.length).mapToObj(i -> lever("lever " + (i + 1), IntStream.rangeClosed(1,
                Integer.parseInt(size[i]))
                .mapToObj(n -> "" + (char) ('A' + i) + n).collect(Collectors.joining(" ")))).toArray(Stage[]::new);
        int all = List.of(size).stream().mapToInt(Integer::parseInt).reduce(1, (a, b) -> a * b);
        return Machines.lathe(IntStream.range(0, all).mapToObj(i -> String.valueOf(Math.round(40 * Math.pow(1.12, i))))
                .collect(Collectors.joining(" ")), levers);
    }

    /** How one box ended. */
    private enum End {
        FOUND, WRONG,
        /** Named as the likeliest, not proven: rightly. */
        LIKELIEST,
        OPEN
    }

    /** What the ear makes of one bad gear. */
    private static final class Ear {

        private final Random random;
        private final Elements.Element bad;
        private final Map<Route, Boolean> always = new HashMap<>();

        private Ear(Random random, Elements.Element bad) {
            this.random = random;
            this.bad = bad;
        }

        private boolean hears(Route route) {
            boolean stuck = always.computeIfAbsent(route, r -> random.nextDouble() < IMAGINED / 2);
            boolean shown = route.at(bad.stage()) == bad.position() && random.nextDouble() < SHOWS;
            boolean once = random.nextDouble() < 1 - (1 - IMAGINED) / (1 - IMAGINED / 2);
            return stuck || shown || once;
        }
    }

    private static End goneThrough(MachineDescription machine, School school, Random random) {
        SurveyBook book = new SurveyBook(machine, Scope.SPINDLE_DRIVE, 20);
        book.write(SurveyEntries.planChosen(Authorship.of(book.now(), SurveyBook.ME), school, ""));
        List<Elements.Element> gears = book.spindle().elements().all().stream().filter(book.spindle().elements()::isChoice).toList();
        Ear ear = new Ear(random, gears.get(random.nextInt(gears.size())));
        List<Route> again = new ArrayList<>();
        boolean second = false;
        for (int runs = 0; runs < PATIENCE; runs++) {
            Survey survey = book.survey();
            SurveyPlan plan = SurveyPlan.of(survey, book.now());
            if (plan.next().isEmpty() && again.isEmpty() && plan.blame().isEmpty() && !second) {
                SecondRuns.of(survey.drive()).runs().forEach(r -> again.add(r.route()));
                second = true;
            }
            // Whatever a second run hears is hunted before the next.
            boolean hunting = plan.blame().isPresent();
            Optional<Route> next = plan.next().isPresent() || hunting || again.isEmpty() ? plan.next() : Optional.of(again.remove(0));
            if (next.isEmpty()) {
                break;
            }
            Symptom[] heard = ear.hears(next.get()) ? new Symptom[] {Symptom.GROWLS} : new Symptom[0];
            book.run(machine.train().settings(next.get()), machine.speeds().nominal(next.get()).orElseThrow().toPlainString(), false, null,
                    heard.length == 0, heard);
        }
        Optional<Blame> blame = SurveyPlan.of(book.survey(), book.now()).blame();
        boolean right = blame.filter(b -> b.suspects().get(0).element().equals(ear.bad)).isPresent();
        return blame.filter(Blame::isClear).map(b -> right ? End.FOUND : End.WRONG)
                .orElse(right && blame.get().hunt() == Blame.Hunt.LIKELIEST_NOT_PROVEN ? End.LIKELIEST : End.OPEN);
    }

    @ParameterizedTest
    @CsvSource({"3x4, EVERY_SPEED", "3x4, EVERY_GEAR", "2x3x4, EVERY_SPEED", "2x3x4, EVERY_GEAR", "4x4, EVERY_SPEED", "4x4, EVERY_GEAR",
            "3x3x4, EVERY_SPEED", "3x3x4, EVERY_GEAR"})
    void theBadGearIsFoundAndSeldomAnother(String sizes, School school) {
        MachineDescription machine = box(sizes);
        Map<End, Integer> ends = new HashMap<>();
        for (int seed = 0; seed < MANY; seed++) {
            ends.merge(goneThrough(machine, school, new Random(seed)), 1, Integer::sum);
        }
        if (MANY > 20) {
            System.out.println(sizes + " " + school + " of " + MANY + ": " + ends);
        }
        assertThat(ends.getOrDefault(End.FOUND, 0)).isGreaterThanOrEqualTo(MANY * 8 / 10);
        assertThat(ends.getOrDefault(End.FOUND, 0) + ends.getOrDefault(End.LIKELIEST, 0)).isGreaterThanOrEqualTo(MANY * 9 / 10 - 1);
        assertThat(ends.getOrDefault(End.WRONG, 0)).isLessThanOrEqualTo(Math.max(2, MANY * 3 / 100));
    }
}
