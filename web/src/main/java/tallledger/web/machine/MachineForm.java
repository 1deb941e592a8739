package tallledger.web.machine;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.DriveReason;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.StartingDescription;
import tallledger.core.machine.Claim;
import tallledger.core.machine.ClaimText;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.Power;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.web.fitout.FitOutForm;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/** The machine form, read into a description and written from one. Everything wrong is collected at its field. */
final class MachineForm {

    static final String FIT_OF = "fitOf";
    static final int STAGE_ROWS = 7;
    private static final int FEWEST_CLAIM_ROWS = 3;

    private MachineForm() {
    }

    /** The drive and plate levers as typed so far; empty while the stages do not make sense. */
    static Optional<DriveTrain> train(FormInput typed) {
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < STAGE_ROWS; i++) {
            String row = "stage" + i;
            if (typed.has(row + ".name") || typed.has(row + ".positions") || typed.has(row + ".values")) {
                StageReader.read(typed, row).ifPresent(stages::add);
            }
        }
        if (typed.holds("reverses", "yes")) {
            stages.add(Stage.direction(Shifting.STOP_TO_SHIFT));
        }
        List<Exclusion> exclusions = exclusions(typed, stages);
        return typed.isClean() ? typed.attempt("stages", () -> new DriveTrain(stages, exclusions)) : Optional.empty();
    }

    /** Interlocks, one a line: "out + high", where a label that two levers share is written "lever: label". */
    private static List<Exclusion> exclusions(FormInput typed, List<Stage> stages) {
        List<Exclusion> exclusions = new ArrayList<>();
        for (String line : typed.get("interlocks").split("\\R")) {
            if (!line.isBlank()) {
                typed.attempt("interlocks", () -> exclusion(line.strip(), stages)).ifPresent(exclusions::add);
            }
        }
        return exclusions;
    }

    private static Exclusion exclusion(String line, List<Stage> stages) {
        Map<String, String> positions = new HashMap<>();
        for (String part : line.split("\\+")) {
            String lever = part.contains(":") ? part.substring(0, part.indexOf(':')).strip() : "";
            String label = part.substring(part.indexOf(':') + 1).strip();
            List<Stage> having = stages.stream()
                    .filter(stage -> lever.isEmpty() || stage.name().equals(lever))
                    .filter(stage -> stage.positions().stream().anyMatch(p -> p.label().equals(label))).toList();
            if (having.size() != 1) {
                throw Refused.because(having.isEmpty() ? WebReason.INTERLOCK_NONE : WebReason.INTERLOCK_SEVERAL, line, label);
            }
            positions.put(having.get(0).name(), label);
        }
        if (positions.size() < 2) {
            throw Refused.because(WebReason.INTERLOCK_SINGLE, line);
        }
        return new Exclusion(positions);
    }

    /**
     * The whole description; empty, with the reasons at their fields, when anything is wrong.
     *
     * @param before the machine as it was described; its axes and features stay while it stays of its family
     */
    static Optional<MachineDescription> description(FormInput typed, Optional<MachineDescription> before, Rules rules) {
        Optional<LengthUnit> unit = typed.choice("unit", LengthUnit.class);
        Optional<Identity> identity = identity(typed);
        List<Claim> claims = claims(typed, unit.orElse(LengthUnit.MM));
        Optional<DriveTrain> train = train(typed);
        Optional<SpeedPlate> plate = train.flatMap(t -> plate(typed, MachineDescription.leversOf(t), PlateGrid.SPEED));
        List<Lever> feedLevers = levers(typed, PlateGrid.FEED);
        Optional<FeedPlate> feeds = feedLevers.isEmpty() ? Optional.empty() : feeds(typed, feedLevers);
        List<Lever> threadLevers = levers(typed, PlateGrid.THREAD);
        Optional<ThreadPlate> threads = threadLevers.isEmpty() ? Optional.empty() : threads(typed, threadLevers);
        Optional<MotorRating> motor = motor(typed, rules);
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

    /** The feed plate in the unit it says it counts in. */
    private static Optional<FeedPlate> feeds(FormInput typed, List<Lever> levers) {
        Optional<LengthUnit> unit = typed.has("feedUnit") ? typed.choice("feedUnit", LengthUnit.class)
                : typed.choice("unit", LengthUnit.class);
        Optional<Axis.Per> per = typed.has("feedPer") ? typed.choice("feedPer", Axis.Per.class) : Optional.of(Axis.Per.REV);
        return plate(typed, levers, PlateGrid.FEED).flatMap(p -> unit.flatMap(u -> per.map(each -> new FeedPlate(p, u, each))));
    }

    private static Optional<ThreadPlate> threads(FormInput typed, List<Lever> levers) {
        Optional<ThreadPlate.Counted> counted = typed.has("threadCounted") ? typed.choice("threadCounted", ThreadPlate.Counted.class)
                : Optional.of(ThreadPlate.Counted.PITCH_MM);
        return plate(typed, levers, PlateGrid.THREAD).flatMap(p -> counted.map(c -> new ThreadPlate(p, c)));
    }

    /** Motor power and how it follows speed; empty where nobody typed a power. Where no efficiency is typed the house's stands in. */
    static Optional<MotorRating> motor(FormInput typed, Rules rules) {
        if (!typed.has("kilowatts")) {
            return Optional.empty();
        }
        Optional<MotorRating.Law> law = typed.choice("law", MotorRating.Law.class);
        Optional<BigDecimal> efficiency = typed.has("efficiency")
                ? typed.attempt("efficiency", () -> TypedNumber.parsePositive(typed.get("efficiency")).value().movePointLeft(2))
                : Optional.of(rules.share(Rule.EFFICIENCY));
        LengthUnit unit = typed.holds("unit", LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM;
        return law.isEmpty() || efficiency.isEmpty() ? Optional.empty()
                : typed.attempt("kilowatts", () -> new MotorRating(Power.parse(typed.get("kilowatts"), unit), law.get(), efficiency.get()));
    }

    private static Optional<Identity> identity(FormInput typed) {
        var family = typed.choice("family", tallledger.core.family.Family.class);
        List.of("name", "maker", "model", "serial", "year", "seenAt", "offeredBy").forEach(field -> {
            if (typed.get(field).length() > Identity.LONGEST) {
                typed.refuse(field, Reason.of(CommonReason.TEXT_LONG, typed.get(field).length(), Identity.LONGEST));
            }
        });
        return family.flatMap(f -> typed.attempt("name", () -> new Identity(typed.get("name"), typed.get("maker").strip(),
                typed.get("model").strip(), f, typed.get("serial").strip(), typed.get("year").strip(),
                typed.get("seenAt").strip(), typed.get("offeredBy").strip(), LengthUnit.valueOf(
                        typed.holds("unit", "INCH") ? "INCH" : "MM"))));
    }

    private static List<Claim> claims(FormInput typed, LengthUnit unit) {
        List<Claim> claims = new ArrayList<>();
        for (int i = 0; i < claimRows(typed); i++) {
            String row = "claim" + i;
            if (!typed.has(row + ".value") && !typed.has(row + ".wording")) {
                continue;
            }
            var attribute = typed.choice(row + ".attribute", Claim.Attribute.class);
            var source = typed.choice(row + ".source", Claim.Source.class);
            var axis = typed.attempt(row + ".axis", () -> AxisId.read(typed.get(row + ".axis")));
            if (attribute.isPresent() && source.isPresent() && axis.isPresent()) {
                typed.attempt(row + ".value", () -> Claim.checked(attribute.get(), typed.get(row + ".value"), source.get(),
                        typed.get(row + ".wording"), axis.get(), unit).tiedTo(tied(typed.get(row + ".testedBy"))))
                        .ifPresent(claims::add);
            }
        }
        return claims;
    }

    /** What tests a claim: keys or names with ; between. */
    static List<String> tied(String text) {
        return Stream.of(text.split(";")).map(String::strip).filter(t -> !t.isEmpty()).toList();
    }

    /** Levers as typed, the grid brought into their shape; empty while the stages do not make sense or have no lever. */
    static List<Lever> leversSoFar(FormInput typed) {
        Optional<DriveTrain> train = train(typed.isClean() ? typed : typed.withoutErrors());
        train.map(MachineDescription::leversOf).ifPresent(levers -> PlateGrid.reshape(typed, levers, PlateGrid.SPEED));
        return train.map(MachineDescription::leversOf).orElse(List.of());
    }

    /** Levers of the feed or thread plate, one a line: "lever: A B C"; none where the machine has no such plate. */
    static List<Lever> levers(FormInput typed, String prefix) {
        String field = prefix + "Levers";
        List<Lever> levers = new ArrayList<>();
        for (String line : typed.get(field).split("\\R")) {
            if (!line.isBlank()) {
                typed.attempt(field, () -> feedLever(line.strip())).ifPresent(levers::add);
            }
        }
        long cells = levers.stream().mapToLong(lever -> lever.positions().size()).reduce(1, (a, b) -> a * b);
        if (cells > DriveTrain.MOST_COMBINATIONS) {
            typed.refuse(field, Reason.of(DriveReason.TRAIN_TOO_MANY, cells, DriveTrain.MOST_COMBINATIONS));
            return List.of();
        }
        return typed.isWrong(field) ? List.of() : levers;
    }

    /** Checked as a lever of the drive is: short labels, none twice. */
    private static Lever feedLever(String line) {
        int colon = line.indexOf(':');
        if (colon < 1) {
            throw Refused.because(WebReason.FEED_LEVER, line.length() > 40 ? line.substring(0, 40) : line);
        }
        List<Position> positions = StageReader.labels(line.substring(colon + 1)).stream()
                .map(label -> new Position(label, new Transmission.Unknown())).toList();
        Stage checked = new Stage(line.substring(0, colon).strip(), StageKind.GEAR, Shifting.UNKNOWN, positions);
        return new Lever(checked.name(), checked.positions().stream().map(Position::label).toList());
    }

    private static Optional<SpeedPlate> plate(FormInput typed, List<Lever> levers, String prefix) {
        PlateGrid.reshape(typed, levers, prefix);
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        if (IntStream.range(0, keys.size()).noneMatch(i -> typed.has(PlateGrid.field(prefix, i)))) {
            // Nobody has read a plate, or there is none: the speeds are told apart by their levers alone.
            restUnread(typed, levers, prefix);
        }
        Map<List<String>, PlateCell> cells = new HashMap<>();
        IntStream.range(0, keys.size()).forEach(i -> typed.attempt(PlateGrid.field(prefix, i),
                () -> PlateCell.parse(typed.get(PlateGrid.field(prefix, i)))).ifPresent(cell -> cells.put(keys.get(i), cell)));
        Optional<BigDecimal> tolerance = prefix.isEmpty() && typed.has("tolerance")
                ? typed.attempt("tolerance", () -> TypedNumber.parsePositive(typed.get("tolerance")).value().movePointLeft(2))
                : Optional.empty();
        return typed.isClean() ? typed.attempt("tolerance", () -> new SpeedPlate(levers, cells, tolerance)) : Optional.empty();
    }

    /** What is empty on a plate cannot be read, or was not. */
    static void restUnread(FormInput typed, List<Lever> levers, String prefix) {
        PlateGrid.reshape(typed, levers, prefix);
        IntStream.range(0, SpeedPlate.keysOf(levers).size()).mapToObj(i -> PlateGrid.field(prefix, i)).filter(field -> !typed.has(field))
                .forEach(field -> typed.set(field, PlateCell.UNREADABLE_SIGN));
    }

    /** What is said in free words, split into rows of claims to be checked; what stood there stays before them. */
    static void split(FormInput typed, List<Axis> axes) {
        LengthUnit unit = typed.holds("unit", LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM;
        Family family = Stream.of(Family.values()).filter(f -> typed.holds("family", f.name())).findFirst().orElse(Family.LATHE);
        typed.withoutErrors().choice("saidBy", Claim.Source.class)
                .flatMap(source -> typed.attempt("said", () -> ClaimText.split(typed.get("said"), source, family, unit, axes)))
                .ifPresent(claims -> {
                    int row = 0;
                    for (Claim claim : claims) {
                        while (typed.has("claim" + row + ".value") || typed.has("claim" + row + ".wording")) {
                            row++;
                        }
                        writeClaim(claim, typed, "claim" + row);
                    }
                    typed.set("claimRows", String.valueOf(Math.min(row + 2, MachineDescription.MOST_CLAIMS)));
                    typed.set("said", "");
                });
    }

    static int claimRows(FormInput typed) {
        return Math.min(Math.max(typed.wholeOr("claimRows", FEWEST_CLAIM_ROWS), FEWEST_CLAIM_ROWS), MachineDescription.MOST_CLAIMS);
    }

    /** A blank form: one fixed motor and two gear levers to fill in. */
    static FormInput blank() {
        FormInput typed = FormInput.blank();
        typed.set("family", Family.LATHE.name());
        typed.set("unit", LengthUnit.MM.name());
        typed.set("stage0.name", "motor");
        typed.set("stage0.kind", StageKind.MOTOR.name());
        typed.set("stage0.shifting", Shifting.SHIFTS_TURNING.name());
        typed.set("saidBy", Claim.Source.SELLER.name());
        usual(typed);
        return typed;
    }

    /** A blank form with a common drive to start from. */
    static FormInput blank(StartingDescription start) {
        FormInput typed = blank();
        typed.set("family", start.family().name());
        usual(typed);
        List<Stage> stages = start.stages().stream().filter(s -> s.kind() != StageKind.DIRECTION).toList();
        IntStream.range(0, stages.size()).forEach(i -> StageReader.write(stages.get(i), typed, "stage" + i));
        if (stages.size() < start.stages().size()) {
            typed.set("reverses", "yes");
        }
        return typed;
    }

    /** The plate as far as it is typed, for a look ahead: empty and mistyped cells count as unreadable. */
    static SpeedPlate plateSoFar(FormInput typed, List<Lever> levers, String prefix) {
        PlateGrid.reshape(typed, levers, prefix);
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        Map<List<String>, PlateCell> cells = new HashMap<>();
        for (int i = 0; i < keys.size(); i++) {
            int index = i;
            cells.put(keys.get(i), FormInput.blank().attempt("cell", () -> PlateCell.parse(typed.get(PlateGrid.field(prefix, index))))
                    .orElse(new PlateCell.Unreadable()));
        }
        return new SpeedPlate(levers, cells, Optional.empty());
    }

    /** A form filled from a description, as a person would have typed it. */
    static FormInput write(MachineDescription machine) {
        FormInput typed = FormInput.blank();
        Identity id = machine.identity();
        Map<String, String> texts = Map.of("name", id.name(), "maker", id.maker(), "model", id.model(), "serial", id.serial(),
                "year", id.year(), "seenAt", id.seenAt(), "offeredBy", id.offeredBy(), "family", id.family().name(),
                "unit", id.unit().name());
        texts.forEach(typed::set);
        List<Stage> stages = machine.train().stages().stream().filter(s -> s.kind() != StageKind.DIRECTION).toList();
        IntStream.range(0, stages.size()).forEach(i -> StageReader.write(stages.get(i), typed, "stage" + i));
        if (machine.reverses()) {
            typed.set("reverses", "yes");
        }
        typed.set("interlocks", String.join("\n", machine.train().exclusions().stream().map(x -> String.join(" + ",
                x.positions().entrySet().stream().map(e -> e.getKey() + ": " + e.getValue()).sorted().toList())).toList()));
        IntStream.range(0, machine.claims().size()).forEach(i -> writeClaim(machine.claims().get(i), typed, "claim" + i));
        typed.set("claimRows", String.valueOf(machine.claims().size() + 1));
        typed.set("shape", PlateGrid.shapeOf(machine.plate().levers()));
        machine.motor().ifPresent(m -> {
            typed.set("kilowatts", m.power().typed());
            typed.set("law", m.law().name());
            typed.set("efficiency", m.efficiency().movePointRight(2).stripTrailingZeros().toPlainString());
        });
        List<PlateCell> cells = List.copyOf(machine.plate().cells().values());
        IntStream.range(0, cells.size()).forEach(i -> typed.set(PlateGrid.field(PlateGrid.SPEED, i), cells.get(i).typed()));
        machine.feeds().ifPresent(feeds -> {
            typed.set("feedUnit", feeds.unit().name());
            typed.set("feedPer", feeds.per().name());
            writePlate(feeds.plate(), typed, PlateGrid.FEED);
        });
        machine.threads().ifPresent(threads -> {
            typed.set("threadCounted", threads.counted().name());
            writePlate(threads.plate(), typed, PlateGrid.THREAD);
        });
        FitOutForm.write(machine.fitOut(), typed);
        typed.set(FIT_OF, id.family().name());
        machine.plate().tolerance().ifPresent(t -> typed.set("tolerance",
                t.movePointRight(2).stripTrailingZeros().toPlainString()));
        return typed;
    }

    private static void writePlate(SpeedPlate feeds, FormInput typed, String prefix) {
        typed.set(prefix + "Levers",
                String.join("\n", feeds.levers().stream().map(l -> l.name() + ": " + String.join(" ", l.positions())).toList()));
        typed.set(prefix + "shape", PlateGrid.shapeOf(feeds.levers()));
        List<PlateCell> cells = List.copyOf(feeds.cells().values());
        IntStream.range(0, cells.size()).forEach(i -> typed.set(PlateGrid.field(prefix, i), cells.get(i).typed()));
    }

    /** What is said of one machine is not said of its sister. */
    static void clearClaim(FormInput typed, int i) {
        List.of("value", "wording", "axis", "testedBy").forEach(part -> typed.set("claim" + i + "." + part, ""));
    }

    private static void writeClaim(Claim claim, FormInput typed, String row) {
        typed.set(row + ".attribute", claim.attribute().name());
        typed.set(row + ".value", claim.value());
        typed.set(row + ".source", claim.source().name());
        typed.set(row + ".wording", claim.wording());
        typed.set(row + ".axis", claim.axis().map(AxisId::written).orElse(""));
        typed.set(row + ".testedBy", String.join("; ", claim.tiedTo()));
    }
}
