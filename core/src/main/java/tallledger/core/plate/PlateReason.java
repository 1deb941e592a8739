package tallledger.core.plate;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum PlateReason implements ReasonCode {
    ARRANGE_CONTIGUOUS("arrange.contiguous", "most"),
    ARRANGE_CUT("arrange.cut"),
    ARRANGE_FEWER("arrange.fewer", "levers", "product", "speeds"),
    ARRANGE_LEFT_OUT("arrange.left-out", "count"),
    ARRANGE_LEVER("arrange.lever", "positions", "least", "most"),
    ARRANGE_LEVERS("arrange.levers", "levers", "most"),
    ARRANGE_LONG("arrange.long", "speeds", "most"),
    ARRANGE_MORE("arrange.more", "levers", "product", "speeds"),
    ARRANGE_NONE("arrange.none", "speeds", "out"),
    ARRANGE_NO_PRODUCT("arrange.no-product", "speeds"),
    ARRANGE_NO_SUCH("arrange.no-such", "speeds", "levers"),
    ARRANGE_NOT_POSITIVE("arrange.not-positive", "typed"),
    ARRANGE_SEVERAL("arrange.several", "count"),
    ARRANGE_TWICE("arrange.twice", "typed"),
    LADDER_SHORT("ladder.short", "z"),
    LIST_BOTH("list.both", "line", "left"),
    LIST_COUNT("list.count", "count"),
    LIST_EMPTY("list.empty"),
    LIST_LINES("list.lines", "lines", "most"),
    LIST_LONG("list.long", "length", "most"),
    LIST_NOT_A_SPEED("list.not-a-speed", "line", "typed"),
    LIST_NO_SPEED("list.no-speed"),
    LIST_RANGE("list.range", "line", "low", "high"),
    LIST_RANGES("list.ranges", "ranges", "most"),
    LIST_UNEQUAL("list.unequal", "line", "values", "others"),
    LIST_UNIT("list.unit", "line", "unit", "plate"),
    PLATE_ALTERNATIVES("plate.alternatives", "count", "named"),
    PLATE_BROKEN_LADDER("plate.broken-ladder", "speeds"),
    PLATE_COUNT("plate.count", "distinct", "claimed", "plate"),
    PLATE_COUNT_UNREAD("plate.count-unread", "distinct", "claimed", "plate", "unread"),
    PLATE_CROWD("plate.crowd", "lower", "upper", "plate"),
    PLATE_HOLE("plate.hole", "lower", "upper", "plate"),
    PLATE_IMPOSSIBLE("plate.impossible", "typed", "most"),
    PLATE_LADDER("plate.ladder", "speeds", "phi", "standardStep", "plate", "least", "most", "median"),
    PLATE_MISSING("plate.missing"),
    PLATE_MISSING_AT("plate.missing-at", "key"),
    PLATE_NO_CELL("plate.no-cell", "key"),
    PLATE_NOT_MULTIPLYING("plate.not-multiplying"),
    PLATE_REPEATED("plate.repeated", "value", "cells", "plate"),
    PLATE_STRAY("plate.stray", "count"),
    PLATE_SUSPECT("plate.suspect", "name", "typed", "shown", "percent"),
    PLATE_SUSPECT_ALTERNATIVE("plate.suspect-alternative", "name", "typed", "shown", "percent"),
    PLATE_TOLERANCE("plate.tolerance", "share"),
    PLATE_UNCHECKED("plate.unchecked"),
    PLATE_UNREAD("plate.unread", "count"),
    PLATE_UNREAD_PREDICTED("plate.unread-predicted", "count", "says");

    private final Sentence sentence;

    PlateReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
