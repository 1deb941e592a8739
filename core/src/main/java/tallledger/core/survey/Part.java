package tallledger.core.survey;

import java.util.Map;
import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Payload;

/** What is put right. */
public sealed interface Part {

    Map<String, Object> toPayload();

    /** A position of a stage of the drive. */
    record Position(String stage, String label) implements Part {
        @Override
        public Map<String, Object> toPayload() {
            return Map.of("stage", stage, "label", label);
        }
    }

    /** What steps call a system, see {@link Systems}. */
    record System(String name) implements Part {
        @Override
        public Map<String, Object> toPayload() {
            return Map.of("system", name);
        }
    }

    static Part from(Payload p) {
        return p.optionalText("system").<Part>map(System::new).orElseGet(() -> new Position(p.text("stage"), p.text("label")));
    }

    /** The system, where it is one. */
    default Optional<String> system() {
        return this instanceof System s ? Optional.of(s.name) : Optional.empty();
    }

    /** The position, where it is one. */
    default Optional<Position> position() {
        return this instanceof Position p ? Optional.of(p) : Optional.empty();
    }

    /** Whether a route of the drive goes through it. */
    default boolean isOn(DriveTrain train, Route route) {
        return position().filter(p -> {
            for (int s = 0; s < train.stages().size(); s++) {
                if (train.stages().get(s).name().equals(p.stage)) {
                    return train.position(route, s).label().equals(p.label);
                }
            }
            return false;
        }).isPresent();
    }
}
