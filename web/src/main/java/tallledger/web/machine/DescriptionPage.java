package tallledger.web.machine;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.plate.Lever;
import tallledger.web.fitout.FitOutForm;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** Shows a machine's form: blank, as described, or as it was typed after a key that changes it and saves nothing. */
@Component
class DescriptionPage {

    private static final String FOLDED = "folded";

    private final SurveyLibrary library;
    private final Houses houses;
    private final MachineReckoning reckoning;

    DescriptionPage(SurveyLibrary library, Houses houses, MachineReckoning reckoning) {
        this.library = library;
        this.houses = houses;
        this.reckoning = reckoning;
    }

    /** What a key does to the form. */
    interface FormChange {
        void apply(FormInput typed, Optional<StoredMachine> machine);
    }

    /**
     * The form after a key.
     *
     * @param id   of the machine described anew; empty where it is a new one
     * @param asked the part whose key it was, which then stands open
     */
    String changed(Optional<Long> id, MultiValueMap<String, String> fields, Model model, FormPart asked, FormChange change) {
        Optional<StoredMachine> machine = id.map(library::machine);
        FormInput typed = FormInput.of(fields);
        change.apply(typed, machine);
        return show(model, machine, typed, new Submission(typed.get("submission"), typed.wholeOr("seen", 0)), EnumSet.of(asked));
    }

    String show(Model model, Optional<StoredMachine> machine, FormInput typed, Submission submission) {
        return show(model, machine, typed, submission, Set.of());
    }

    private String show(Model model, Optional<StoredMachine> machine, FormInput typed, Submission submission, Set<FormPart> asked) {
        List<Lever> levers = DriveFields.leversSoFar(typed);
        Optional<SoFar> soFar = reckoning.soFar(typed, machine.map(StoredMachine::description));
        Map<String, String> names = reckoning.stepNames(soFar);
        boolean folded = typed.holds(FOLDED, "yes");
        DescriptionView.PlateView speeds = plate(typed, FormPlate.SPEED, levers);
        DescriptionView.PlateView feeds = ownLevers(typed, FormPlate.FEED);
        DescriptionView.PlateView threads = ownLevers(typed, FormPlate.THREAD);
        MachineReckoning.SoFarPanel panel = reckoning.panel(typed, soFar);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("choices", FormChoices.ALL);
        model.addAttribute("rules", houses.newest().rules());
        model.addAttribute("form", new DescriptionView(machine, title(machine, folded),
                machine.map(m -> "/machines/" + m.id() + "/edit").orElse("/machines/new"), folded,
                FormPart.open(folded, typed.errors().keySet(), asked),
                new DescriptionView.ClaimTable(upTo(ClaimFields.rows(typed)), ClaimFields.tiedNames(typed, names), names.values(),
                        axes(machine, typed)),
                speeds, feeds, threads, upTo(DriveFields.rows(typed)), upTo(FitOutForm.rows(typed)), FitOutForm.names(typed),
                typed.withoutErrors().choice("family", Family.class).map(f -> f.traits().features()).orElse(Set.of()), panel));
        return "machine/form";
    }

    /** Only the drive is looked at: what it is and what is said of it stand folded. */
    static void fold(FormInput typed) {
        typed.set(FOLDED, "yes");
    }

    private static String title(Optional<StoredMachine> machine, boolean folded) {
        return machine.map(m -> folded ? m.name() + ": drive" : "Change " + m.name()).orElse("Describe a machine");
    }

    private static List<Integer> upTo(int rows) {
        return IntStream.range(0, rows).boxed().toList();
    }

    private static DescriptionView.PlateView ownLevers(FormInput typed, FormPlate plate) {
        List<Lever> levers = PlateFields.levers(typed, plate);
        if (!levers.isEmpty() || !typed.has(plate.levers())) {
            PlateGrid.reshape(typed, levers, plate);
        }
        return plate(typed, plate, levers);
    }

    private static DescriptionView.PlateView plate(FormInput typed, FormPlate plate, List<Lever> levers) {
        return new DescriptionView.PlateView(plate, PlateGrid.kept(typed, levers, plate), PlateFinder.found(typed, plate));
    }

    /** What a claimed travel can be of: the machine's axes, or those usual in the family chosen. */
    static List<Axis> axes(Optional<StoredMachine> machine, FormInput typed) {
        Optional<Family> family = typed.withoutErrors().choice("family", Family.class);
        return machine.map(StoredMachine::description).filter(d -> family.filter(f -> f != d.identity().family()).isEmpty())
                .map(MachineDescription::fitOut)
                .or(() -> family.map(f -> f.traits().usual())).map(FitOut::axes).orElse(List.of());
    }
}
