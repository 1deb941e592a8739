package tallledger.web.machine;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.Lever;
import tallledger.core.reading.Power;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.FormRow;
import tallledger.web.words.WebReason;

/** What sets a machine's speed, as typed: its motor, a row for each stage behind it, what they lock out. */
final class DriveFields {

    static final int STAGE_ROWS = 7;
    private static final int FEWEST_ROWS = 3;
    private static final int MORE_ROWS = 2;
    private static final String ROWS = "stageRows";
    private static final String REVERSES = "reverses";
    private static final String INTERLOCKS = "interlocks";

    private DriveFields() {
    }

    static FormRow stage(FormInput typed, int i) {
        return new FormRow(typed, "stage" + i);
    }

    /** Rows shown: those typed into and one more, no fewer than three. */
    static int rows(FormInput typed) {
        int filled = (int) IntStream.range(0, STAGE_ROWS).filter(i -> isTyped(stage(typed, i))).mapToLong(i -> i + 1L).max().orElse(0);
        return Math.min(STAGE_ROWS, Math.max(typed.wholeOr(ROWS, FEWEST_ROWS), Math.max(FEWEST_ROWS, filled + 1)));
    }

    static void addRows(FormInput typed) {
        typed.set(ROWS, String.valueOf(rows(typed) + MORE_ROWS));
    }

    private static boolean isTyped(FormRow row) {
        return row.hasAny("name", "positions", "values");
    }

    /** The drive as typed so far; empty while the stages do not make sense. */
    static Optional<DriveTrain> train(FormInput typed) {
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < STAGE_ROWS; i++) {
            FormRow row = stage(typed, i);
            if (isTyped(row)) {
                StageReader.read(row).ifPresent(stages::add);
            }
        }
        if (typed.holds(REVERSES, "yes")) {
            stages.add(Stage.direction(Shifting.STOP_TO_SHIFT));
        }
        List<Exclusion> exclusions = exclusions(typed, stages);
        return typed.isClean() ? typed.attempt("stages", () -> new DriveTrain(stages, exclusions)) : Optional.empty();
    }

    /** Levers as typed, the speed plate's grid brought into their shape; empty while the stages do not make sense or have no lever. */
    static List<Lever> leversSoFar(FormInput typed) {
        Optional<List<Lever>> levers = train(typed.isClean() ? typed : typed.withoutErrors()).map(MachineDescription::leversOf);
        levers.ifPresent(its -> PlateGrid.reshape(typed, its, FormPlate.SPEED));
        return levers.orElse(List.of());
    }

    /** Interlocks, one a line: "out + high", where a label that two levers share is written "lever: label". */
    private static List<Exclusion> exclusions(FormInput typed, List<Stage> stages) {
        return typed.get(INTERLOCKS).lines().filter(line -> !line.isBlank())
                .flatMap(line -> typed.attempt(INTERLOCKS, () -> exclusion(line.strip(), stages)).stream()).toList();
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

    /** Motor power and how it follows speed; empty where nobody typed a power. Where no efficiency is typed the house's stands in. */
    static Optional<MotorRating> motor(FormInput typed, Rules rules) {
        if (!typed.has("kilowatts")) {
            return Optional.empty();
        }
        Optional<MotorRating.Law> law = typed.choice("law", MotorRating.Law.class);
        Optional<BigDecimal> efficiency = typed.has("efficiency")
                ? typed.attempt("efficiency", () -> TypedNumber.parsePositive(typed.get("efficiency")).value().movePointLeft(2))
                : Optional.of(rules.share(Rule.EFFICIENCY));
        return law.isEmpty() || efficiency.isEmpty() ? Optional.empty()
                : typed.attempt("kilowatts", () -> new MotorRating(Power.parse(typed.get("kilowatts"), IdentityFields.unit(typed)),
                        law.get(), efficiency.get()));
    }

    /** A motor to begin with, the levers behind it to be filled in. */
    static void writeBlank(FormInput typed) {
        FormRow motor = stage(typed, 0);
        motor.set("name", "motor");
        motor.set("kind", StageKind.MOTOR.name());
        motor.set("shifting", Shifting.SHIFTS_TURNING.name());
    }

    static void write(List<Stage> all, FormInput typed) {
        List<Stage> stages = all.stream().filter(s -> s.kind() != StageKind.DIRECTION).toList();
        IntStream.range(0, stages.size()).forEach(i -> StageReader.write(stages.get(i), stage(typed, i)));
        if (stages.size() < all.size()) {
            typed.set(REVERSES, "yes");
        }
    }

    static void write(DriveTrain train, Optional<MotorRating> motor, FormInput typed) {
        write(train.stages(), typed);
        typed.set(INTERLOCKS, String.join("\n", train.exclusions().stream().map(x -> String.join(" + ",
                x.positions().entrySet().stream().map(e -> e.getKey() + ": " + e.getValue()).sorted().toList())).toList()));
        motor.ifPresent(m -> {
            typed.set("kilowatts", m.power().typed());
            typed.set("law", m.law().name());
            typed.set("efficiency", m.efficiency().movePointRight(2).stripTrailingZeros().toPlainString());
        });
    }

    /** Levers that were found put into the rows: the motor's stays, theirs are new, their labels to be changed to the machine's. */
    static void take(List<Lever> levers, FormInput typed) {
        boolean hasMotor = stage(typed, 0).get("kind").equals(StageKind.MOTOR.name()) && stage(typed, 0).has("name")
                && StageReader.labels(stage(typed, 0).get("positions")).size() == 1;
        int first = hasMotor ? 1 : 0;
        IntStream.range(first, STAGE_ROWS).mapToObj(i -> stage(typed, i)).forEach(row -> Stream.of("name", "kind", "positions", "values",
                "shifting", "pattern", "movedBy").forEach(part -> typed.remove(row.field(part))));
        typed.set(INTERLOCKS, "");
        for (int l = 0; l < levers.size(); l++) {
            Lever lever = levers.get(l);
            FormRow row = stage(typed, first + l);
            row.set("name", lever.name());
            row.set("kind", (lever.slides() ? StageKind.VARIATOR : StageKind.GEAR).name());
            row.set("positions", lever.slides() ? "" : String.join(" ", lever.positions()));
            row.set("shifting", Shifting.UNKNOWN.name());
        }
    }
}
