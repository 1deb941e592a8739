package tallledger.core.safety;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum SafetyReason implements ReasonCode {
    GATE_RPM("gate.rpm", "kind", "rpm", "markedRpm"),
    GATE_SURFACE("gate.surface", "kind", "rpm", "surface", "markedMs", "diameter"),
    GATE_UNMARKED("gate.unmarked", "kind", "rpm", "top", "number"),
    MOUNTED_SURFACE_SPEED("mounted.surface-speed", "v", "mostMs"),
    MOUNTED_WHEEL_DIAMETER("mounted.wheel-diameter"),
    MOUNTED_WHEEL_MARK("mounted.wheel-mark");

    private final Sentence sentence;

    SafetyReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
