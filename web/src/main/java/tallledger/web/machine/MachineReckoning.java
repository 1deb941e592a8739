package tallledger.web.machine;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.MotorRating;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.web.cache.Memo;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.words.Words;

/** What a machine gives, as it is described or as far as it is typed: drive, plates, what its survey would hold. */
@Component
class MachineReckoning {

    private static final int MOST_KEPT = 32;

    private final Houses houses;
    private final Words words;
    private final Memo<DriveQuestion, DriveView> drives = new Memo<>(MOST_KEPT,
            q -> DriveView.of(q.train, q.plate, q.motor, q.claimed, q.units));
    private final Memo<SpeedPlate, PlateCheck> feedChecks = new Memo<>(MOST_KEPT, PlateCheck::ofFeeds);
    private final Memo<SpeedPlate, PlateCheck> threadChecks = new Memo<>(MOST_KEPT, PlateCheck::ofThreads);

    MachineReckoning(Houses houses, Words words) {
        this.houses = houses;
        this.words = words;
    }

    /** A drive as described or typed. */
    private record DriveQuestion(DriveTrain train, SpeedPlate plate, Optional<MotorRating> motor, OptionalInt claimed,
            DriveView.Units units) {
    }

    /** The live half of the form: what stands in it gives this much so far. */
    record SoFarPanel(Optional<DriveView> drive, Optional<PlateCheck> feeds, Optional<PlateCheck> threads, Optional<Reason> survey) {
    }

    DriveView drive(MachineDescription machine) {
        return drives.of(new DriveQuestion(machine.train(), machine.plate(), machine.motor(), claimedSpeeds(machine),
                DriveView.Units.of(machine.unit())));
    }

    private static OptionalInt claimedSpeeds(MachineDescription machine) {
        return machine.claims().stream().filter(c -> c.attribute() == Claim.Attribute.SPEED_COUNT)
                .mapToInt(c -> TypedNumber.parsePositive(c.value()).value().intValue()).findFirst();
    }

    /** The feed plate by the rules of the speed plate. */
    PlateCheck feeds(FeedPlate plate) {
        return feedChecks.of(plate.plate());
    }

    PlateCheck threads(ThreadPlate plate) {
        return threadChecks.of(plate.plate());
    }

    SoFarPanel panel(FormInput typed, Optional<SoFar> soFar) {
        return new SoFarPanel(drive(typed), plate(typed, FormPlate.FEED).map(feedChecks::of),
                plate(typed, FormPlate.THREAD).map(threadChecks::of), soFar.map(s -> s.says(houses.newest().rules())));
    }

    /** What is wrong with the drive as typed is said at its fields. */
    private Optional<DriveView> drive(FormInput typed) {
        FormInput own = typed.withoutErrors();
        Optional<DriveTrain> train = DriveFields.train(own);
        Optional<MotorRating> motor = DriveFields.motor(own, houses.newest().rules());
        Optional<DriveView> view = train.flatMap(t -> own.attempt("stages", () -> drives.of(new DriveQuestion(t,
                PlateFields.soFar(own, MachineDescription.leversOf(t), FormPlate.SPEED), motor, OptionalInt.empty(),
                DriveView.Units.of(IdentityFields.unit(typed))))));
        own.errors().forEach(typed::refuse);
        return view;
    }

    /** The feed or thread plate as far as it is typed; empty where it has no levers. */
    private static Optional<SpeedPlate> plate(FormInput typed, FormPlate plate) {
        FormInput own = typed.withoutErrors();
        List<Lever> levers = PlateFields.levers(own, plate);
        return levers.isEmpty() ? Optional.empty() : Optional.of(PlateFields.soFar(own, levers, plate));
    }

    /** The machine as far as it is typed; empty while family, drive or axes make no sense. */
    Optional<SoFar> soFar(FormInput typed, Optional<MachineDescription> before) {
        FormInput own = typed.withoutErrors();
        LengthUnit unit = IdentityFields.unit(own);
        Optional<Family> family = own.choice("family", Family.class);
        Optional<FeedPlate> feeds = plate(own, FormPlate.FEED).map(p -> new FeedPlate(p, unit, Axis.Per.REV));
        Optional<ThreadPlate> threads = plate(own, FormPlate.THREAD).map(p -> new ThreadPlate(p, ThreadPlate.Counted.PITCH_MM));
        Optional<DriveTrain> train = DriveFields.train(own);
        Optional<FitOut> fitOut = family.flatMap(f -> MachineForm.fitOut(own, f, unit, before));
        return train.flatMap(t -> fitOut.map(fit -> new SoFar(family.orElseThrow(), unit, t,
                PlateFields.soFar(own, MachineDescription.leversOf(t), FormPlate.SPEED), feeds, threads, fit)));
    }

    /** What the machine's steps and speeds are called, by their keys. */
    Map<String, String> stepNames(Optional<SoFar> soFar) {
        Map<String, String> names = new LinkedHashMap<>();
        soFar.ifPresent(machine -> {
            machine.steps(houses.newest().rules()).forEach(step -> names.put(step.id().written(), words.say(step.name())));
            machine.routes().forEach(route -> names.put(route.key(), words.say("page.speed", machine.train().name(route))));
        });
        return names;
    }
}
