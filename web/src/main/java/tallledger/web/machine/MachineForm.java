package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.MotorRating;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.StartingDescription;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.web.fitout.FitOutForm;
import tallledger.web.forms.FormInput;

/** The machine form, read part by part into a description and written from one. Everything wrong is collected at its field. */
final class MachineForm {

    /** Of which family the axes and features are that stand in the form. */
    static final String FIT_OF = "fitOf";

    private MachineForm() {
    }

    /**
     * The whole description; empty, with the reasons at their fields, when anything is wrong.
     *
     * @param before the machine as it was described; its axes and features stay while it stays of its family
     */
    static Optional<MachineDescription> description(FormInput typed, Optional<MachineDescription> before, Rules rules) {
        Optional<LengthUnit> unit = typed.choice("unit", LengthUnit.class);
        Optional<Identity> identity = IdentityFields.read(typed);
        List<Claim> claims = ClaimFields.read(typed, unit.orElse(LengthUnit.MM));
        Optional<DriveTrain> train = DriveFields.train(typed);
        Optional<SpeedPlate> plate = train.flatMap(t -> PlateFields.speeds(typed, t));
        Optional<FeedPlate> feeds = PlateFields.feeds(typed);
        Optional<ThreadPlate> threads = PlateFields.threads(typed);
        Optional<MotorRating> motor = DriveFields.motor(typed, rules);
        Optional<FitOut> fitOut = identity.flatMap(id -> fitOut(typed, id.family(), id.unit(), before));
        if (!typed.isClean() || identity.isEmpty() || plate.isEmpty() || fitOut.isEmpty()) {
            return Optional.empty();
        }
        return typed.attempt("stages", () -> {
            MachineDescription description = new MachineDescription(identity.get(), claims, train.get(), plate.get(), motor, feeds, threads,
                    fitOut.get());
            description.speeds();
            return description;
        });
    }

    /** Axes and features as typed, where the form had them for this family; else as they were, or as usual in it. */
    static Optional<FitOut> fitOut(FormInput typed, Family family, LengthUnit unit, Optional<MachineDescription> before) {
        if (typed.isSent("phases") && typed.get(FIT_OF).equals(family.name())) {
            // Its own test chart is typed on a page of its own and stays as it was.
            return FitOutForm.read(typed, family, unit).map(fit -> before.map(b -> fit.with(b.fitOut().ownChart())).orElse(fit));
        }
        return Optional.of(before.filter(b -> b.identity().family() == family).map(MachineDescription::fitOut)
                .orElseGet(() -> family.traits().usual()));
    }

    /** Puts down what a machine of the chosen family usually has. */
    static void usual(FormInput typed) {
        typed.withoutErrors().choice("family", Family.class).ifPresent(family -> {
            FitOutForm.write(family.traits().usual(), typed);
            typed.set(FIT_OF, family.name());
        });
    }

    /** A blank form: one fixed motor, the levers to fill in. */
    static FormInput blank() {
        FormInput typed = FormInput.blank();
        typed.set("family", Family.LATHE.name());
        typed.set("unit", LengthUnit.MM.name());
        DriveFields.writeBlank(typed);
        typed.set("saidBy", Claim.Source.SELLER.name());
        usual(typed);
        return typed;
    }

    /** A blank form with a common drive to start from. */
    static FormInput blank(StartingDescription start) {
        FormInput typed = blank();
        typed.set("family", start.family().name());
        usual(typed);
        DriveFields.write(start.stages(), typed);
        return typed;
    }

    /** A form filled from a description, as a person would have typed it. */
    static FormInput write(MachineDescription machine) {
        FormInput typed = FormInput.blank();
        IdentityFields.write(machine.identity(), typed);
        DriveFields.write(machine.train(), machine.motor(), typed);
        ClaimFields.write(machine.claims(), typed);
        PlateFields.write(machine, typed);
        FitOutForm.write(machine.fitOut(), typed);
        typed.set(FIT_OF, machine.identity().family().name());
        return typed;
    }

    /** A sister machine's: all but what is this one's own. */
    static FormInput writeSister(MachineDescription machine) {
        FormInput typed = write(machine);
        IdentityFields.writeSister(machine.identity(), typed);
        ClaimFields.clear(typed);
        return typed;
    }
}
