package tallledger.core.family;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Payload;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.Reason;

/** What is put right. */
public sealed interface MachinePart {

    Map<String, Object> toPayload();

    /** A position of a stage of the drive. */
    record Position(String stage, String label) implements MachinePart {
        @Override
        public Map<String, Object> toPayload() {
            return Map.of("stage", stage, "label", label);
        }
    }

    /** A stage of the drive with all its positions: a selector remade, a belt renewed. Whatever ran before ran through it. */
    record Mechanism(String stage) implements MachinePart {
        @Override
        public Map<String, Object> toPayload() {
            return Map.of("mechanism", stage);
        }
    }

    /**
     * What is put right when a step fails; steps of one system are done again after its repair.
     *
     * @param name as the house's table of checks has it, such as {@code screw}
     * @param axis the axis it is of; empty for the machine's
     */
    record System(String name, Optional<AxisId> axis) implements MachinePart {

        public static System of(String name) {
            return new System(name, Optional.empty());
        }

        @Override
        public Map<String, Object> toPayload() {
            return axis.<Map<String, Object>>map(of -> Map.of("system", name, "axis", of.written())).orElse(Map.of("system", name));
        }

        /** In words; an axis that is not there any more by its identity. */
        public Reason words(FitOut fitOut) {
            Reason itself = name.startsWith("own-cycle") || name.startsWith("cycle.")
                    ? Reason.of(FamilyReason.SYSTEM_CYCLE, name.substring(name.indexOf('.') + 1))
                    : Reason.named("system." + name.replace(' ', '-'));
            return axis.map(of -> Reason.of(FamilyReason.SYSTEM_OF_AXIS, fitOut.axis(of).map(Axis::name).orElse(of.written()), itself))
                    .orElse(itself);
        }

        /** Records of before an axis had a field of its own have it behind a colon. */
        private static System from(Payload p) {
            String name = p.text("system");
            int colon = name.indexOf(':');
            return colon < 0 ? new System(name, p.optionalText("axis").flatMap(AxisId::read))
                    : new System(name.substring(0, colon), Optional.of(AxisId.named(name.substring(colon + 1), Set.of())));
        }
    }

    static MachinePart from(Payload p) {
        return p.has("system") ? System.from(p)
                : p.has("mechanism") ? new Mechanism(p.text("mechanism"))
                        : new Position(p.text("stage"), p.text("label"));
    }

    /** The system, where it is one. */
    default Optional<System> system() {
        return this instanceof System s ? Optional.of(s) : Optional.empty();
    }

    /** The position, where it is one. */
    default Optional<Position> position() {
        return this instanceof Position p ? Optional.of(p) : Optional.empty();
    }

    /** The stage, where it is the whole of one. */
    default Optional<Mechanism> mechanism() {
        return this instanceof Mechanism m ? Optional.of(m) : Optional.empty();
    }

    /** What it is called, where it is of the drive. */
    default Optional<String> ofDrive() {
        return position().map(p -> p.stage + " " + p.label).or(() -> mechanism().map(Mechanism::stage));
    }

    /** Whether a route of the drive goes through it. */
    default boolean isOn(DriveTrain train, Route route) {
        if (mechanism().isPresent()) {
            return train.stages().stream().anyMatch(s -> s.name().equals(mechanism().get().stage));
        }
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
