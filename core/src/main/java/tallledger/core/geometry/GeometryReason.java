package tallledger.core.geometry;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum GeometryReason implements ReasonCode {
    AXIS_RUNS("axis-test.runs", "fewest"),
    AXIS_TARGETS("axis-test.targets", "count", "fewest", "most"),
    CIRCLE_COUNT("circle.count", "counter", "clockwise", "fewest", "most"),
    CIRCLE_RADIUS("circle.radius"),
    GRID_SIZE("grid.size", "rows", "columns", "most"),
    GRID_UNEQUAL("grid.unequal", "row", "count", "columns"),
    HOT_COUNT("hot.count", "count"),
    HOT_ORDER("hot.order"),
    RUN_COUNT("run-along.count", "count", "fewest", "most"),
    RUN_ORDER("run-along.order"),
    ROUND_COUNT("round.count", "count", "fewest", "most");

    private final Sentence sentence;

    GeometryReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
