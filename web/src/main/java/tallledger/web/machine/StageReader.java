package tallledger.web.machine;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tallledger.core.drive.DriveReason;
import tallledger.core.drive.GearPair;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reading.TypedRatio;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.FormRow;
import tallledger.web.words.WebReason;

/**
 * One stage as typed in a row: name, kind, position labels ("A B C"), what each does ("24/48 36/36", may be left empty), how it
 * shifts. "N" among the values is neutral, "?" is unknown.
 */
final class StageReader {

    private static final String UNKNOWN = "?";
    private static final Pattern HERTZ = Pattern.compile("[1-9]\\d{1,2}(?=\\D|$)");

    private StageReader() {
    }

    static Optional<Stage> read(FormRow row) {
        Optional<StageKind> kind = row.choice("kind", StageKind.class);
        Optional<Shifting> shifting = row.choice("shifting", Shifting.class);
        if (kind.isEmpty() || shifting.isEmpty()) {
            return Optional.empty();
        }
        String name = row.get("name").strip();
        if (name.isEmpty()) {
            row.typed().refuse(row.field("name"), Reason.of(DriveReason.STAGE_NAME, Stage.LONGEST_NAME));
            return Optional.empty();
        }
        if (kind.get().slides()) {
            Optional<String> place = ownPlace(row, kind.get());
            return row.attempt("values", () -> Stage.sliding(name, kind.get(), sweep(kind.get(), row.get("values")), place));
        }
        boolean several = pattern(row) == LeverPattern.ONE_AT_A_TIME;
        Optional<List<Engaged>> engaged = several ? row.attempt("positions", () -> engaged(row.get("positions")))
                : Optional.empty();
        if (several && engaged.isEmpty()) {
            return Optional.empty();
        }
        List<String> labels = engaged.map(all -> all.stream().map(Engaged::label).toList())
                .orElseGet(() -> labels(row.get("positions")));
        Optional<List<Transmission>> does = row.attempt("values",
                () -> transmissions(kind.get(), row.get("values"), labels.size()));
        return does.flatMap(list -> row.attempt("positions", () -> {
            List<Position> positions = new ArrayList<>();
            for (int i = 0; i < labels.size(); i++) {
                int at = i;
                positions.add(new Position(label(labels.get(i)), list.get(i), engaged.map(all -> all.get(at).lever)));
            }
            return new Stage(name, kind.get(), shifting.get(), positions, pattern(row),
                    row.choiceOr("movedBy", MovedBy.class, MovedBy.usual(kind.get())));
        }));
    }

    /** A lever with the place it stands in. */
    private record Engaged(String lever, String place, String label) {
    }

    /** "left: 1 2; right: 3 4". Where two levers have a place of one name, it is called by its lever as well. */
    private static List<Engaged> engaged(String text) {
        List<Engaged> all = new ArrayList<>();
        for (String one : text.strip().split("\\s*[;/]\\s*")) {
            String[] parts = one.split("\\s*:\\s*");
            if (parts.length != 2 || parts[0].isBlank() || parts[1].isBlank()) {
                throw Refused.because(WebReason.STAGE_SEVERAL, one);
            }
            labels(parts[1]).forEach(place -> all.add(new Engaged(parts[0].strip(), place, place)));
        }
        return all.stream().map(e -> all.stream().filter(o -> o.place.equals(e.place)).count() > 1
                ? new Engaged(e.lever, e.place, e.lever + "-" + e.place)
                : e).toList();
    }

    private static LeverPattern pattern(FormRow row) {
        return row.choiceOr("pattern", LeverPattern.class, LeverPattern.ROW);
    }

    /** Labels as typed, parted by spaces or commas; "1..4" counts up; nothing typed is the one position "on". */
    static List<String> labels(String text) {
        List<String> labels = new ArrayList<>();
        for (String label : text.strip().split("[\\s,;]+")) {
            if (label.matches("\\d{1,2}\\.\\.\\d{1,2}")) {
                String[] ends = label.split("\\.\\.");
                for (int n = Integer.parseInt(ends[0]); n <= Integer.parseInt(ends[1]); n++) {
                    labels.add(String.valueOf(n));
                }
            } else if (!label.isEmpty()) {
                labels.add(label);
            }
        }
        return labels.isEmpty() ? List.of("on") : labels;
    }

    private static String label(String label) {
        if (label.contains("|")) {
            throw Refused.because(WebReason.POSITION_BAR, label);
        }
        return label;
    }

    private static List<Transmission> transmissions(StageKind kind, String text, int wanted) {
        List<String> parts = Arrays.stream(text.strip().split("[\\s;]+")).filter(part -> !part.isEmpty()).toList();
        if (parts.isEmpty()) {
            return java.util.Collections.nCopies(wanted, new Transmission.Unknown());
        }
        if (parts.size() != wanted) {
            throw Refused.because(WebReason.STAGE_VALUES_COUNT, parts.size(), wanted);
        }
        return parts.stream().map(part -> transmission(kind, part)).toList();
    }

    private static Transmission transmission(StageKind kind, String part) {
        if (part.equals(UNKNOWN)) {
            return new Transmission.Unknown();
        } else if (part.equalsIgnoreCase("N")) {
            return new Transmission.Neutral();
        } else if (kind == StageKind.MOTOR) {
            return new Transmission.MotorSpeed(TypedNumber.parsePositive(part).value());
        } else if (!part.contains("/")) {
            return new Transmission.Ratio(TypedRatio.parse(part));
        } else if (kind == StageKind.BELT) {
            String[] ends = twoEnds(part);
            return new Transmission.Grooves(TypedNumber.parsePositive(ends[0]).value(), TypedNumber.parsePositive(ends[1]).value());
        }
        return new Transmission.Gears(Arrays.stream(part.split("[*x×]")).map(StageReader::pair).toList());
    }

    private static GearPair pair(String part) {
        String[] ends = twoEnds(part);
        return new GearPair(teeth(ends[0]), teeth(ends[1]));
    }

    private static int teeth(String text) {
        BigDecimal teeth = TypedNumber.parse(text).value();
        if (teeth.stripTrailingZeros().scale() > 0) {
            throw Refused.because(WebReason.TEETH_FRACTION, text);
        }
        return teeth.min(BigDecimal.valueOf(Integer.MAX_VALUE)).intValue();
    }

    private static String[] twoEnds(String part) {
        String[] ends = part.split("/");
        if (ends.length != 2) {
            throw Refused.because(WebReason.STAGE_PAIR, part);
        }
        return ends;
    }

    /** What an inverter's plate frequency is called under Positions; a variator has no place but its ends. */
    private static Optional<String> ownPlace(FormRow row, StageKind kind) {
        String text = row.get("positions").strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (kind != StageKind.INVERTER || labels(text).size() > 1) {
            row.typed().refuse(row.field("positions"), Reason.of(kind == StageKind.INVERTER ? WebReason.STAGE_INVERTER_PLACE
                    : WebReason.STAGE_VARIATOR_PLACE, text));
            return Optional.empty();
        }
        return row.attempt("positions", () -> label(text));
    }

    /** A variator's "0.4 2.5"; an inverter's "20 80 50": lowest, highest and plate frequency, Hz. */
    private static Optional<Span> sweep(StageKind kind, String text) {
        List<Double> numbers = Arrays.stream(text.strip().split("[\\s;]+")).filter(part -> !part.isEmpty())
                .map(part -> TypedRatio.parse(part).doubleValue()).toList();
        int wanted = kind == StageKind.INVERTER ? 3 : 2;
        if (numbers.isEmpty()) {
            return Optional.empty();
        }
        if (numbers.size() != wanted) {
            throw Refused.because(kind == StageKind.INVERTER ? WebReason.STAGE_INVERTER : WebReason.STAGE_VARIATOR, text.strip());
        }
        double base = kind == StageKind.INVERTER ? numbers.get(2) : 1;
        return Optional.of(new Span(numbers.get(0) / base, numbers.get(1) / base));
    }

    /** Writes a stage back as a person would type it. */
    static void write(Stage stage, FormRow row) {
        row.set("name", stage.name());
        row.set("kind", stage.kind().name());
        row.set("shifting", stage.shifting().name());
        row.set("pattern", stage.pattern().name());
        row.set("movedBy", stage.movedBy() == MovedBy.usual(stage.kind()) ? "" : stage.movedBy().name());
        if (stage.kind().slides()) {
            stage.ownPlace().ifPresent(place -> row.set("positions", place));
            // In hertz again where the place says at how many its factor is 1, else as the factors that are kept.
            double base = stage.ownPlace().map(HERTZ::matcher).filter(Matcher::lookingAt).map(m -> Double.parseDouble(m.group()))
                    .orElse(1.0);
            stage.positions().get(stage.indexOf(Stage.SWEEP)).transmission().factor().ifPresent(span -> row.set("values",
                    trimmed(span.low() * base) + " " + trimmed(span.high() * base)
                            + (stage.kind() == StageKind.INVERTER ? " " + trimmed(base) : "")));
            return;
        }
        row.set("positions", stage.levers().isEmpty() ? labelled(stage.positions())
                : stage.levers().stream()
                        .map(lever -> lever + ": "
                                + labelled(stage.positions().stream().filter(p -> p.lever().filter(lever::equals).isPresent()).toList())
                                        .replace(lever + "-", ""))
                        .collect(Collectors.joining("; ")));
        boolean anyKnown = stage.positions().stream().anyMatch(p -> !(p.transmission() instanceof Transmission.Unknown));
        row.set("values", anyKnown
                ? stage.positions().stream().map(p -> written(p.transmission())).collect(Collectors.joining(" "))
                : "");
    }

    private static String labelled(List<Position> positions) {
        return positions.stream().map(Position::label).collect(Collectors.joining(" "));
    }

    private static String written(Transmission t) {
        if (t instanceof Transmission.MotorSpeed m) {
            return m.rpm().toPlainString();
        } else if (t instanceof Transmission.Grooves g) {
            return g.driver().toPlainString() + "/" + g.driven().toPlainString();
        } else if (t instanceof Transmission.Gears g) {
            return g.pairs().stream().map(p -> p.driver() + "/" + p.driven()).collect(Collectors.joining("*"));
        } else if (t instanceof Transmission.Ratio r) {
            return r.ratio().toPlainString();
        }
        return t instanceof Transmission.Neutral ? "N" : UNKNOWN;
    }

    private static String trimmed(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
