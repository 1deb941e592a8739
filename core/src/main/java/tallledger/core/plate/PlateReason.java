package tallledger.core.plate;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum PlateReason implements ReasonCode {
    LADDER_SHORT("ladder.short", "z"),
    PLATE_ALTERNATIVES("plate.alternatives", "count", "named"),
    PLATE_BROKEN_LADDER("plate.broken-ladder", "speeds"),
    PLATE_COUNT("plate.count", "distinct", "claimed", "plate"),
    PLATE_COUNT_UNREAD("plate.count-unread", "distinct", "claimed", "plate", "unread"),
    PLATE_CROWD("plate.crowd", "lower", "upper", "plate"),
    PLATE_HOLE("plate.hole", "lower", "upper", "plate"),
    PLATE_IMPOSSIBLE("plate.impossible", "typed", "most"),
    PLATE_LADDER("plate.ladder", "speeds", "phi", "standardStep", "plate"),
    PLATE_MISSING("plate.missing"),
    PLATE_MISSING_AT("plate.missing-at", "key"),
    PLATE_NO_CELL("plate.no-cell", "key"),
    PLATE_NOT_MULTIPLYING("plate.not-multiplying"),
    PLATE_REPEATED("plate.repeated", "value", "cells", "plate"),
    PLATE_STRAY("plate.stray", "count"),
    PLATE_SUSPECT("plate.suspect", "name", "typed", "shown", "residual"),
    PLATE_SUSPECT_ALTERNATIVE("plate.suspect-alternative", "name", "typed", "shown", "residual"),
    PLATE_TOLERANCE("plate.tolerance", "share"),
    PLATE_UNCHECKED("plate.unchecked"),
    PLATE_UNREADABLE("plate.unreadable", "name"),
    PLATE_UNREADABLE_PREDICTED("plate.unreadable-predicted", "name", "p");

    private final Sentence sentence;

    PlateReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
