package tallledger.core.family;

/** One thing to look at before the spindle starts; its words are in the catalogue under {@code start.<name>}. */
public enum StartItem {
    CHUCK_KEY_OUT, DRAWBAR_WRENCH_OFF, DRIFT_OUT, WORK_CLEAR, GUARD_SHUT, RANGE_HOME, BRAKE_OFF, FEEDS_OUT, HALF_NUT_OUT,
    WHEEL_SOUND, WHEEL_GUARDED, WHEEL_DRESSED, CLEAR_OF_WHEEL, NOTHING_LOOSE
}
