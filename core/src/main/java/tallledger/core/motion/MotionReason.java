package tallledger.core.motion;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum MotionReason implements ReasonCode {
    AXIS_ID("axis.id", "longestName"),
    AXIS_NAME("axis.name", "longestName"),
    AXIS_RAPID_WITHOUT_RAPID("axis.rapid-without-rapid", "name"),
    AXIS_RATE_WITHOUT_FEED("axis.rate-without-feed", "name"),
    AXIS_RATES_CROSSED("axis.rates-crossed", "slowest", "fastest"),
    AXIS_TRIP_WITHOUT_FEED("axis.trip-without-feed", "name"),
    AXIS_WAYS("axis.ways", "name"),
    BACKLASH_EVEN("backlash.even", "greatest", "wear"),
    BACKLASH_NEGATIVE("backlash.negative", "name"),
    BACKLASH_NUT("backlash.nut", "least"),
    BACKLASH_RACK("backlash.rack", "greatest", "wear"),
    BACKLASH_READINGS("backlash.readings", "name", "count", "readings"),
    BACKLASH_SCREW("backlash.screw", "wear", "name", "least"),
    BACKLASH_SCREW_AND_NUT("backlash.screw-and-nut", "wear", "name", "least"),
    BACKLASH_STATIONS("backlash.stations", "count"),
    CHART_FACTORS("chart.factors", "count", "mostFactors"),
    CHART_PROMISED("chart.promised", "count", "mostPromised"),
    FEED_TIME("feed.time", "seconds", "longest"),
    FEED_TURNS("feed.turns", "turns"),
    LIMIT_FEED("limit.feed", "percent", "promised"),
    TRIPS_COUNT("trips.count", "count", "times"),
    UNEVEN_SWING("uneven.swing", "swing", "every"),
    UNEVEN_TOOTH("uneven.tooth", "thick", "thin", "most"),
    WHEELS_BUY("wheels.buy", "teeth", "beyond"),
    WHEELS_BUY_MOST("wheels.buy-most", "teeth", "beyond"),
    WHEELS_CUT_USUAL("wheels.cut-usual", "cut", "usual"),
    WHEELS_CUT("wheels.cut", "cut", "promised"),
    WHEELS_INSTEAD("wheels.instead", "pairs", "make"),
    WHEELS_INSTEAD_NONE("wheels.instead-none"),
    WHEELS_LOST("wheels.lost", "lost"),
    WHEELS_MANY("wheels.many", "count", "most"),
    WHEELS_NO_SET("wheels.no-set", "count"),
    WHEELS_PART("wheels.part", "length"),
    WHEELS_RANGE("wheels.range", "least", "most"),
    WHEELS_RANGE_FORM("wheels.range-form", "typed"),
    WHEELS_SWAP_OVER("wheels.swap-over", "driver", "driven", "factor", "after", "wanted", "percent"),
    WHEELS_SWAP_RIGHT("wheels.swap-right", "driver", "driven", "factor", "after", "wanted", "percent"),
    WHEELS_SWAP_UNDER("wheels.swap-under", "driver", "driven", "factor", "after", "wanted", "percent");

    private final Sentence sentence;

    MotionReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
