package tallledger.core.machine;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.GearPair;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.ledger.Payload;

/** Drive trains to payloads and back. Numbers go as decimal text, so nothing is rounded on the way. */
final class DriveCodec {

    private DriveCodec() {
    }

    static Map<String, Object> write(DriveTrain train) {
        return Map.of(
                "stages", train.stages().stream().map(DriveCodec::stage).toList(),
                "exclusions", train.exclusions().stream().map(x -> (Object) Map.copyOf(x.positions())).toList());
    }

    static DriveTrain read(Payload p) {
        List<Stage> stages = p.parts("stages").stream().map(DriveCodec::stage).toList();
        List<Exclusion> exclusions = p.parts("exclusions").stream().map(x -> {
            Map<String, String> positions = new HashMap<>();
            x.fields().forEach((name, label) -> positions.put(name, (String) label));
            return new Exclusion(positions);
        }).toList();
        return new DriveTrain(stages, exclusions);
    }

    private static Map<String, Object> stage(Stage stage) {
        return Map.of("name", stage.name(), "kind", stage.kind().name(), "shifting", stage.shifting().name(),
                "pattern", stage.pattern().name(), "movedBy", stage.movedBy().name(),
                "positions", stage.positions().stream().map(DriveCodec::position).toList());
    }

    private static Map<String, Object> position(Position position) {
        Map<String, Object> fields = new HashMap<>(Map.of("label", position.label(), "transmission",
                transmission(position.transmission())));
        position.lever().ifPresent(lever -> fields.put("lever", lever));
        return fields;
    }

    private static Stage stage(Payload p) {
        List<Position> positions = p.parts("positions").stream()
                .map(x -> new Position(x.text("label"), transmission(x.part("transmission")), x.optionalText("lever"))).toList();
        StageKind kind = StageKind.valueOf(p.text("kind"));
        return new Stage(p.text("name"), kind, Shifting.valueOf(p.text("shifting")), positions,
                p.optionalText("pattern").map(LeverPattern::valueOf).orElse(LeverPattern.ROW),
                p.optionalText("movedBy").map(MovedBy::valueOf).orElse(MovedBy.usual(kind)));
    }

    private static Map<String, Object> transmission(Transmission t) {
        if (t instanceof Transmission.MotorSpeed m) {
            return Map.of("is", "motor", "rpm", m.rpm().toPlainString());
        } else if (t instanceof Transmission.Grooves g) {
            return Map.of("is", "grooves", "driver", g.driver().toPlainString(), "driven", g.driven().toPlainString());
        } else if (t instanceof Transmission.Gears g) {
            return Map.of("is", "gears", "pairs", g.pairs().stream()
                    .map(pair -> Map.of("driver", pair.driver(), "driven", pair.driven())).toList());
        } else if (t instanceof Transmission.Ratio r) {
            return Map.of("is", "ratio", "ratio", r.ratio().toPlainString());
        } else if (t instanceof Transmission.Neutral) {
            return Map.of("is", "neutral");
        } else if (t instanceof Transmission.Sweep s) {
            Map<String, Object> fields = new HashMap<>(Map.of("is", "sweep"));
            s.factor().ifPresent(span -> fields.putAll(Map.of("low", BigDecimal.valueOf(span.low()).toPlainString(),
                    "high", BigDecimal.valueOf(span.high()).toPlainString())));
            return fields;
        }
        return Map.of("is", "unknown");
    }

    private static Transmission transmission(Payload p) {
        return switch (p.text("is")) {
            case "motor" -> new Transmission.MotorSpeed(p.decimal("rpm"));
            case "grooves" -> new Transmission.Grooves(p.decimal("driver"), p.decimal("driven"));
            case "gears" -> new Transmission.Gears(p.parts("pairs").stream()
                    .map(pair -> new GearPair(pair.whole("driver"), pair.whole("driven"))).toList());
            case "ratio" -> new Transmission.Ratio(p.decimal("ratio"));
            case "neutral" -> new Transmission.Neutral();
            case "sweep" -> new Transmission.Sweep(
                    p.optionalText("low").map(low -> new Span(Double.parseDouble(low), Double.parseDouble(p.text("high")))));
            default -> new Transmission.Unknown();
        };
    }
}
