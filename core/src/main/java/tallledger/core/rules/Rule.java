package tallledger.core.rules;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.unit.Unit;

/**
 * A judgement number of the house, or the few that belong together, with the figures it ships with. These are the house's starting
 * values; the user's own stand in {@link Rules}.
 */
public enum Rule {

    /** ± of a plate speed, unloaded, where the plate gives none. */
    SPEED_TOLERANCE(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "6"),
    /** Never above so many times the highest speed run so far. */
    COLD_STEP(Group.SPEEDS, Shape.ONE, Unit.TIMES, "4"),
    /** How near a cause of wrong speeds must fit. */
    CAUSE_FITS(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "1.5"),
    /** Beyond this a reading is off; within it the rest is right. */
    READING_OFF(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "2"),
    /** Under load a belt or clutch that slips loses so much. */
    SLIP(Group.SPEEDS, Shape.BETWEEN, Unit.PERCENT, "1", "8"),
    /** Unloaded everything may turn so much higher than a plate reckoned at full load. */
    UNLOADED_HIGH(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "6"),
    /** η from motor to spindle where nobody knows. */
    EFFICIENCY(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "80"),

    /** What is held without a mark may turn at this share of the machine's top speed; above it somebody must answer for it. */
    UNMARKED_SPEED(Group.SPEEDS, Shape.ONE, Unit.PERCENT, "50"),

    /** What a process usually leaves, Ra. */
    RA_MILLED(Group.LIMITS, Shape.ONE, Unit.ROUGHNESS, "1.6"),
    RA_GROUND(Group.LIMITS, Shape.ONE, Unit.ROUGHNESS, "0.4"),
    RA_DRILLED(Group.LIMITS, Shape.ONE, Unit.ROUGHNESS, "3.2"),
    /** Up to the first times what should be there a finish is good, up to the second ordinary. */
    FINISH_RATIO(Group.LIMITS, Shape.BETWEEN, Unit.TIMES, "1.5", "3"),
    /** A spacing with this share of a profile is one that stands out. */
    DOMINANT_SPACING(Group.LIMITS, Shape.ONE, Unit.PERCENT, "40"),
    ROUGHNESS(Group.GAUGES, Shape.GAUGE, Unit.ROUGHNESS, "0.01", "10"),

    /** A claimed drill is tried in steel by these: v_c, f in mm a turn, k_c. */
    DRILL_CLAIM_SPEED(Group.SPEEDS, Shape.ONE, Unit.METRES_PER_MINUTE, "20"),
    DRILL_CLAIM_FEED(Group.SPEEDS, Shape.ONE, Unit.MILLIMETRES, "0.3"),
    DRILL_CLAIM_FORCE(Group.SPEEDS, Shape.ONE, Unit.NEWTONS_PER_MM2, "2000"),

    LATHE_NOSE(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.010", "0.020", "0.040"),
    LATHE_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.020", "0.040", "0.080"),
    MILL_NOSE(Group.MILLS, Shape.GRADED, Unit.MILLIMETRES, "0.010", "0.015", "0.030"),
    MILL_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.020", "0.030", "0.060"),
    DRILL_NOSE(Group.DRILLS, Shape.GRADED, Unit.MILLIMETRES, "0.020", "0.050", "0.100"),
    GRINDER_NOSE(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.005", "0.008", "0.015"),
    AXIAL_FLOAT(Group.LIMITS, Shape.GRADED, Unit.MILLIMETRES, "0.010", "0.015", "0.030"),
    BACKLASH(Group.LIMITS, Shape.GRADED, Unit.MILLIMETRES, "0.05", "0.15", "0.40"),
    PLAY(Group.LIMITS, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.03", "0.08"),
    STRAIGHT_1000(Group.LIMITS, Shape.GRADED, 1000, Unit.MILLIMETRES, "0.020", "0.040", "0.080"),
    TWIST(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES_PER_METRE, "0.020", "0.040", "0.080"),
    PARALLEL_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.010", "0.020", "0.050"),
    SQUARE_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.020", "0.030", "0.050"),
    TABLE_500(Group.MILLS, Shape.GRADED, 500, Unit.MILLIMETRES, "0.020", "0.040", "0.080"),
    SCALE_300(Group.LIMITS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.010", "0.020", "0.050"),
    BEARING_RISE(Group.LIMITS, Shape.GRADED, Unit.KELVIN, "25", "35", "45"),
    /** A hot run has settled when less than this is still to come. */
    SETTLED(Group.LIMITS, Shape.ONE, Unit.KELVIN, "1"),
    SPINDLE_STOP(Group.LIMITS, Shape.GRADED, Unit.SECONDS, "5", "8", "12"),
    TRIP_RANGE(Group.LIMITS, Shape.GRADED, Unit.MILLIMETRES, "0.05", "0.05", "0.05"),
    THREAD_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.10", "0.10", "0.10"),

    // Lines of the acceptance charts; the methods are the standards', the limits the house's until the machine's own chart is typed.
    TAILSTOCK_WAYS_1000(Group.LATHES, Shape.GRADED, 1000, Unit.MILLIMETRES, "0.02", "0.04", "0.08"),
    NOSE_CAMMING(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    SPINDLE_CARRIAGE_V_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.02", "0.03", "0.06"),
    SPINDLE_CARRIAGE_H_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.015", "0.025", "0.05"),
    CENTRE_TIR(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    TOP_SLIDE_150(Group.LATHES, Shape.GRADED, 150, Unit.MILLIMETRES, "0.03", "0.04", "0.08"),
    FACING_300(Group.LATHES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.015", "0.02", "0.04"),
    BARREL_100(Group.LATHES, Shape.GRADED, 100, Unit.MILLIMETRES, "0.015", "0.02", "0.04"),
    CENTRES_LEVEL(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.03", "0.04", "0.08"),
    LEAD_FLOAT(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.015", "0.02", "0.04"),
    TURNED_ROUND(Group.LATHES, Shape.GRADED, Unit.MILLIMETRES, "0.008", "0.012", "0.025"),
    TABLE_FLAT_1000(Group.MILLS, Shape.GRADED, 1000, Unit.MILLIMETRES, "0.03", "0.06", "0.1"),
    TSLOT_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.015", "0.03", "0.06"),
    XY_SQUARE_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.02", "0.03", "0.05"),
    KNEE_SQUARE_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.025", "0.035", "0.06"),
    QUILL_100(Group.MILLS, Shape.GRADED, 100, Unit.MILLIMETRES, "0.015", "0.025", "0.05"),
    LYING_300(Group.MILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.02", "0.03", "0.06"),
    ARBOR_SUPPORT(Group.MILLS, Shape.GRADED, Unit.MILLIMETRES, "0.02", "0.03", "0.06"),
    BLOCK_100(Group.MILLS, Shape.GRADED, 100, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    BASE_FLAT_1000(Group.DRILLS, Shape.GRADED, 1000, Unit.MILLIMETRES, "0.05", "0.1", "0.2"),
    DRILL_OUT_300(Group.DRILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.04", "0.1", "0.2"),
    DRILL_SQUARE_300(Group.DRILLS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.05", "0.1", "0.2"),
    DRILL_QUILL_100(Group.DRILLS, Shape.GRADED, 100, Unit.MILLIMETRES, "0.05", "0.08", "0.15"),
    HEAD_LEVEL_1000(Group.DRILLS, Shape.GRADED, 1000, Unit.MILLIMETRES, "0.1", "0.2", "0.4"),
    THRUST_DIP(Group.DRILLS, Shape.GRADED, Unit.MILLIMETRES, "0.1", "0.2", "0.4"),
    HOLE_PLACE(Group.DRILLS, Shape.GRADED, Unit.MILLIMETRES, "0.1", "0.2", "0.4"),
    CENTRES_LINE_300(Group.GRINDERS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    GRINDER_TO_TRAVEL_100(Group.GRINDERS, Shape.GRADED, 100, Unit.MILLIMETRES, "0.005", "0.01", "0.02"),
    INFEED_SQUARE_300(Group.GRINDERS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    INFEED_REPEAT(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.001", "0.002", "0.005"),
    INFEED_SUM(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.005", "0.010", "0.020"),
    GROUND_ROUND(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.001", "0.002", "0.004"),
    GROUND_PARALLEL_300(Group.GRINDERS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.002", "0.004", "0.01"),
    GROUND_TAPER_100(Group.GRINDERS, Shape.GRADED, 100, Unit.MILLIMETRES, "0.002", "0.004", "0.008"),
    ROTARY_TRUE(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.005", "0.01", "0.02"),
    ROTARY_FLAT_300(Group.GRINDERS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    GROUND_SPREAD(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.003", "0.006", "0.012"),
    CENTRELESS_PARALLEL_300(Group.GRINDERS, Shape.GRADED, 300, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    CENTRELESS_TAPER(Group.GRINDERS, Shape.GRADED, Unit.MILLIMETRES, "0.002", "0.004", "0.008"),
    AXES_SQUARE_300(Group.CENTRES, Shape.GRADED, 300, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    AXIS_ACCURACY(Group.CENTRES, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    AXIS_REPEAT(Group.CENTRES, Shape.GRADED, Unit.MILLIMETRES, "0.005", "0.01", "0.02"),
    CIRCLE_FORM(Group.CENTRES, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),
    MILLED_CIRCLE(Group.CENTRES, Shape.GRADED, Unit.MILLIMETRES, "0.01", "0.02", "0.04"),

    FEED_TOLERANCE(Group.MOVEMENT, Shape.ONE, Unit.PERCENT, "10"),
    RAPID_TOLERANCE(Group.MOVEMENT, Shape.ONE, Unit.PERCENT, "15"),
    /** Up to this difference along a screw its readings say nothing of wear. */
    BACKLASH_EVEN(Group.MOVEMENT, Shape.ONE, Unit.MILLIMETRES, "0.03"),
    /** A nut with no more than this everywhere is not worn. */
    NUT_TIGHT(Group.MOVEMENT, Shape.ONE, Unit.MILLIMETRES, "0.15"),
    /** The same surface speed at both radii of a table, ±. */
    SURFACE_SPEED(Group.MOVEMENT, Shape.ONE, Unit.PERCENT, "10"),
    /** Through-feed as a share of what the wheel's speed and tilt give. */
    THROUGH_FEED(Group.MOVEMENT, Shape.BETWEEN, Unit.PERCENT, "93", "102"),

    UNBALANCE_DERATE(Group.SUPPLY, Shape.ONE, Unit.PERCENT, "1"),
    UNBALANCE_STOP(Group.SUPPLY, Shape.ONE, Unit.PERCENT, "5"),
    VOLTAGE_TOLERANCE(Group.SUPPLY, Shape.ONE, Unit.PERCENT, "10"),
    FREQUENCY_TOLERANCE(Group.SUPPLY, Shape.ONE, Unit.PERCENT, "2"),
    /** What an overload may be set to, of the motor's plate current. */
    OVERLOAD(Group.SUPPLY, Shape.BETWEEN, Unit.PERCENT, "90", "115"),
    /** A heavy start wants a converter of so many times the motor. */
    HEAVY_START(Group.SUPPLY, Shape.ONE, Unit.TIMES, "2"),

    /** A hand's reaction, allowed at each end of a window. */
    REACTION(Group.CYCLES, Shape.ONE, Unit.SECONDS, "0.2"),
    /** Within which what should follow at once follows. */
    SOON(Group.CYCLES, Shape.ONE, Unit.SECONDS, "3"),
    /** Long enough to see that a thing stays as it is. */
    STAYS(Group.CYCLES, Shape.ONE, Unit.SECONDS, "3"),
    /** A set time is met within this share of it … */
    SET_TIME(Group.CYCLES, Shape.ONE, Unit.PERCENT, "25"),
    /** … or within this, whichever is more. */
    SET_TIME_LEAST(Group.CYCLES, Shape.ONE, Unit.SECONDS, "0.3"),

    /** Under this share of what the lift carries left over the sum is tight. */
    LIFT_TIGHT(Group.MOVEMENT, Shape.ONE, Unit.PERCENT, "20"),

    TACHOMETER(Group.GAUGES, Shape.GAUGE, Unit.RPM, "0.1", "0.5"),
    OPTICAL(Group.GAUGES, Shape.GAUGE, Unit.RPM, "0.1", "0.2"),
    STROBE(Group.GAUGES, Shape.GAUGE, Unit.RPM, "0.1", "1"),
    DISPLAY(Group.GAUGES, Shape.GAUGE, Unit.RPM, "1", "2"),
    INDICATOR(Group.GAUGES, Shape.GAUGE, Unit.MILLIMETRES, "0.001", "1"),
    /** A level: the worth of half a division, mm in a metre. */
    LEVEL(Group.GAUGES, Shape.GAUGE, Unit.MILLIMETRES, "0.01", "2"),
    MICROMETER(Group.GAUGES, Shape.GAUGE, Unit.MILLIMETRES, "0.001", "0.01"),
    CALIPER(Group.GAUGES, Shape.GAUGE, Unit.MILLIMETRES, "0.01", "0.01"),
    /** A rule or tape of one's own, for travels and sizes; where none is named {@link #RULE_TRAVEL} counts. */
    TAPE(Group.GAUGES, Shape.GAUGE, Unit.MILLIMETRES, "1", "0"),
    THERMOMETER(Group.GAUGES, Shape.GAUGE, Unit.CELSIUS, "0.5", "2"),
    /** u of a hand on a stopwatch, and of a person's first and last tap together. */
    STOPWATCH(Group.GAUGES, Shape.ONE, Unit.SECONDS, "0.1"),
    /** u of a travel measured with a steel rule or tape. */
    RULE_TRAVEL(Group.GAUGES, Shape.ONE, Unit.MILLIMETRES, "0.5"),
    /** u of the distance of a feed, read off a rule or dial. */
    RULE_FEED(Group.GAUGES, Shape.ONE, Unit.MILLIMETRES, "0.125"),
    /** A reading so many times over its limit is asked back: its unit is likelier wrong than the machine. */
    ASK_BACK(Group.GAUGES, Shape.ONE, Unit.TIMES, "10"),

    LISTEN(Group.TIMES, Shape.ONE, Unit.SECONDS, "20"),
    TURNS(Group.TIMES, Shape.ONE, Unit.NUMBER, "10"),
    SWEEP(Group.TIMES, Shape.ONE, Unit.SECONDS, "40"),
    MOVE_LEVER(Group.TIMES, Shape.ONE, Unit.SECONDS, "5"),
    MOVE_BELT(Group.TIMES, Shape.ONE, Unit.SECONDS, "90"),
    MOVE_PIN(Group.TIMES, Shape.ONE, Unit.SECONDS, "180"),
    STOP_AND_START(Group.TIMES, Shape.ONE, Unit.SECONDS, "10"),
    /** The way to the fastest speed may take this share of the minutes, whatever else they could buy. */
    SPINDLE_SHARE(Group.TIMES, Shape.ONE, Unit.PERCENT, "50"),
    /** After this long without an entry nothing that was confirmed stands any more. */
    CONFIRMED_FOR(Group.TIMES, Shape.ONE, Unit.MINUTES, "30"),
    /** A photograph is made no larger than so many hundred pixels on its longer side. */
    PICTURE_SIDE(Group.PICTURES, Shape.ONE, Unit.NUMBER, "20"),
    /** What one feed of a plate, or a cycle besides the list, takes. */
    ONE_COUNT(Group.TIMES, Shape.ONE, Unit.SECONDS, "60"),
    ONE_FEED(Group.TIMES, Shape.ONE, Unit.SECONDS, "60"),

    /** What a house once put down as p_e of every kind of element; since then the chances of {@link Group#WORTH} say it, by kind. */
    FAULTY(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.03"),
    /** s, that a faulty element shows on one run. */
    SHOWS(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.9"),
    /** f of a noise: that it is imagined, or comes from outside. */
    IMAGINED_NOISE(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.10"),
    IMAGINED_HEAT(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.05"),
    /** f of what cannot be imagined. */
    IMAGINED_FAILURE(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.01"),
    /** That a recording knocks once a turn of a shaft on which something is faulty, and on which nothing is. */
    KNOCK_FAULTY(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.7"),
    KNOCK_SOUND(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.05"),
    /** The same of sidebands at its speed beside a mesh of it. */
    SIDEBANDS_FAULTY(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.6"),
    SIDEBANDS_SOUND(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.1"),
    /** A peak of the drive that stands so much over the same order at the other speeds is not quiet. */
    QUIET_OVER(Group.CHANCES, Shape.ONE, Unit.DECIBELS, "12"),
    /** From here on a part is clear enough to act on. */
    BLAME_CLEAR(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.9"),
    BLAME_NO_FAULT(Group.CHANCES, Shape.ONE, Unit.CHANCE, "0.99"),
    BLAME_RUNS(Group.CHANCES, Shape.ONE, Unit.NUMBER, "16"),
    /** A route run before is offered again where it tells so many times what the best new one does. */
    BLAME_AGAIN(Group.CHANCES, Shape.ONE, Unit.TIMES, "1.25"),

    /** A figure of a sheet or a seller holds within this, or half its last digit, whichever is more. */
    CLAIM_HOLDS(Group.MONEY, Shape.ONE, Unit.PERCENT, "1"),
    /** A claimed figure that is no further off than this is as claimed. */
    CLAIM_NEAR(Group.MONEY, Shape.ONE, Unit.PERCENT, "5"),
    /** A repair that costs less than this share of the price is no first thing to look for. */
    TRIFLE(Group.MONEY, Shape.ONE, Unit.PERCENT, "3"),
    /** An hour of work. */
    LABOUR_RATE(Group.MONEY, Shape.ONE, Unit.MONEY, "45"),
    /** What a kilogram fetches as scrap and parts. */
    SCRAP_A_KILO(Group.MONEY, Shape.ONE, Unit.MONEY, "0.15"),
    /** That a step turns out bad, by how bad it then is, of a machine in daily use. */
    CHANCE_BAD(Group.MONEY, Shape.BY_SEVERITY, Unit.CHANCE, "0.02", "0.05", "0.10", "0.20", "0"),
    /** Times that, by where the machine comes from. */
    BACKGROUND(Group.MONEY, Shape.BY_BACKGROUND, Unit.WEIGHT, "0.3", "1", "1.5", "2"),
    /** No chance is taken for greater. */
    CHANCE_MOST(Group.MONEY, Shape.ONE, Unit.CHANCE, "0.9"),
    /** Shape of what is believed of a machine before it is tested: the greater, the less the tested tells of the untested. */
    TELLS_SHAPE(Group.MONEY, Shape.ONE, Unit.WEIGHT, "4"),
    /** Shares of the unknown that come off the price. */
    SHARE_OPENING(Group.MONEY, Shape.ONE, Unit.PERCENT, "100"),
    SHARE_OFFER(Group.MONEY, Shape.ONE, Unit.PERCENT, "50"),
    SHARE_CEILING(Group.MONEY, Shape.ONE, Unit.PERCENT, "25"),
    /** Less of all worth tested than this is too little to say anything. */
    GLANCE_KNOWN(Group.MONEY, Shape.ONE, Unit.PERCENT, "50"),

    /** Among steps the table of checks has no cost for, which first: by how bad it is when it is bad. */
    WORTH_STEP(Group.WORTH, Shape.BY_SEVERITY, Unit.WEIGHT, "100", "40", "12", "3", "1"),
    WORTH_MOTOR(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "350"),
    WORTH_BELT(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "60"),
    WORTH_GEAR(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "600"),
    WORTH_CHANGE_WHEELS(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "80"),
    WORTH_BACK_GEAR(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "300"),
    WORTH_VARIATOR(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "400"),
    WORTH_INVERTER(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "500"),
    WORTH_COMMANDED(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "500"),
    WORTH_DIRECTION(Group.WORTH, Shape.WORTH, Unit.MONEY, "0.03", "150");

    /** How rules are shown together. */
    public enum Group {
        SPEEDS,
        /** Of any machine; those of a kind follow. */
        LIMITS, LATHES, MILLS, DRILLS, GRINDERS, CENTRES, MOVEMENT, SUPPLY, CYCLES, GAUGES, TIMES, PICTURES, CHANCES, MONEY, WORTH
    }

    private final Group group;
    private final Shape shape;
    private final Unit unit;
    private final BigDecimal per;
    private final List<BigDecimal> shipped;

    Rule(Group group, Shape shape, Unit unit, String... shipped) {
        this(group, shape, 0, unit, shipped);
    }

    Rule(Group group, Shape shape, int per, Unit unit, String... shipped) {
        this.group = group;
        this.shape = shape;
        this.unit = unit;
        this.per = BigDecimal.valueOf(per);
        this.shipped = Stream.of(shipped).map(BigDecimal::new).toList();
        shape.check(this.shipped, unit);
    }

    /** The rule of that name; empty for one this version does not know. */
    public static Optional<Rule> named(String name) {
        return Stream.of(values()).filter(r -> r.name().equals(name)).findFirst();
    }

    /** Whether it only stands for what was put down before another rule took its place. */
    public boolean isRetired() {
        return this == FAULTY;
    }

    public Group group() {
        return group;
    }

    public Shape shape() {
        return shape;
    }

    /** Unit of its figures, or of that one of them which has it (the resolution of a gauge, the cost of a worth). */
    public Unit unit() {
        return unit;
    }

    /** Unit of one of its figures. */
    public Unit unit(int figure) {
        return shape.unit(unit, figure);
    }

    /** Length its limit is stated for, mm; nought where it is stated as it is. An inch machine has a round one of its own. */
    public BigDecimal per() {
        return per;
    }

    /** The house's starting figures. */
    public List<BigDecimal> shipped() {
        return shipped;
    }

    /** @throws tallledger.core.reason.Refused naming the figure that makes no sense */
    public void check(List<BigDecimal> figures) {
        shape.check(figures, unit);
    }
}
