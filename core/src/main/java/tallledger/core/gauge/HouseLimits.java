package tallledger.core.gauge;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;

/** The house's starting limits in three grades, for the user to replace with the machine's own test chart. */
public final class HouseLimits {

    /** Lathe spindle at the nose, TIR, mm. */
    public static final GradedLimit LATHE_NOSE = mm("0.010", "0.020", "0.040");
    /** The same on a bar 300 mm out. */
    public static final GradedLimit LATHE_300 = mm("0.020", "0.040", "0.080");
    public static final GradedLimit MILL_NOSE = mm("0.010", "0.015", "0.030");
    public static final GradedLimit MILL_300 = mm("0.020", "0.030", "0.060");
    public static final GradedLimit DRILL_NOSE = mm("0.020", "0.050", "0.100");
    /** Grinder work or wheel spindle, TIR, mm. */
    public static final GradedLimit GRINDER_NOSE = mm("0.005", "0.008", "0.015");
    public static final GradedLimit AXIAL_FLOAT = mm("0.010", "0.015", "0.030");
    /** Backlash of an axis with a hand wheel, mm. */
    public static final GradedLimit BACKLASH = mm("0.05", "0.15", "0.40");
    /** Slide play under a steady push and pull, mm. */
    public static final GradedLimit PLAY = mm("0.01", "0.03", "0.08");
    /** Straightness of a way or travel, mm per 1000. */
    public static final GradedLimit STRAIGHT_1000 = mm("0.020", "0.040", "0.080");
    /** Twist of a bed, mm/m. */
    public static final GradedLimit TWIST = mm("0.020", "0.040", "0.080");
    /** Turns parallel, mm on diameter per 300. */
    public static final GradedLimit PARALLEL_300 = mm("0.010", "0.020", "0.050");
    /** Head square to the table, mm per 300. */
    public static final GradedLimit SQUARE_300 = mm("0.020", "0.030", "0.050");
    /** Table top parallel to its travel, mm per 500. */
    public static final GradedLimit TABLE_500 = mm("0.020", "0.040", "0.080");
    /** Readout or scale over 300 mm, mm. */
    public static final GradedLimit SCALE_300 = mm("0.010", "0.020", "0.050");
    /** Bearing rise after 30 min at top speed, K. */
    public static final GradedLimit BEARING_RISE = limit("25", "35", "45", "K");

    private HouseLimits() {
    }

    /** All of them by code of their words, in the order of the table. */
    public static Map<String, GradedLimit> all() {
        Map<String, GradedLimit> all = new LinkedHashMap<>();
        all.put("lathe-nose", LATHE_NOSE);
        all.put("lathe-300", LATHE_300);
        all.put("mill-nose", MILL_NOSE);
        all.put("mill-300", MILL_300);
        all.put("drill-nose", DRILL_NOSE);
        all.put("grinder-nose", GRINDER_NOSE);
        all.put("axial-float", AXIAL_FLOAT);
        all.put("backlash", BACKLASH);
        all.put("play", PLAY);
        all.put("straight-1000", STRAIGHT_1000);
        all.put("twist", TWIST);
        all.put("parallel-300", PARALLEL_300);
        all.put("square-300", SQUARE_300);
        all.put("table-500", TABLE_500);
        all.put("scale-300", SCALE_300);
        all.put("bearing-rise", BEARING_RISE);
        all.put("spindle-stop", GradedLimit.SPINDLE_STOP);
        return all;
    }

    private static GradedLimit mm(String rebuilt, String sound, String workable) {
        return limit(rebuilt, sound, workable, "mm");
    }

    private static GradedLimit limit(String rebuilt, String sound, String workable, String unit) {
        return new GradedLimit(new BigDecimal(rebuilt), new BigDecimal(sound), new BigDecimal(workable), unit);
    }
}
