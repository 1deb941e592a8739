package tallledger.core.survey;

import tallledger.core.machine.FitOut;
import tallledger.core.motion.Axis;
import tallledger.core.reason.Reason;

/** What is put right when a step fails, as records name it ("feed:cross-slide") and as people call it ("cross slide: feed"). */
public final class Systems {

    private static final char OF_AXIS = ':';

    private Systems() {
    }

    static String written(String name, String axis) {
        return axis.isEmpty() ? name : name + OF_AXIS + axis;
    }

    /** In words; an axis that is not there any more by its identity. */
    public static Reason named(String system, FitOut fitOut) {
        if (system.startsWith("own-cycle") || system.startsWith("cycle.")) {
            return Reason.of("system.cycle", system.substring(system.indexOf('.') + 1));
        }
        int colon = system.indexOf(OF_AXIS);
        if (colon < 0) {
            return Reason.of(code(system));
        }
        String axis = system.substring(colon + 1);
        return Reason.of("system.of-axis", fitOut.axis(axis).map(Axis::name).orElse(axis), Reason.of(code(system.substring(0, colon))));
    }

    private static String code(String name) {
        return "system." + name.replace(' ', '-');
    }
}
