package tallledger.core.reading;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum ReadingReason implements ReasonCode {
    FORCE_NOT_ONE("force.not-one", "typed", "inches"),
    FACTOR_MISSING("factor.missing"),
    FILM_FRAMES("film.frames", "typed", "most"),
    FILM_PLAYING("film.playing", "typed", "most"),
    FILM_TAPS_TOO_FAST("film.taps-too-fast", "rpm", "playing", "most"),
    FILM_TOO_FAST("film.too-fast", "rpm", "frames", "marks", "fastest"),
    LENGTH_NOT_ONE("length.not-one", "shortened", "inches"),
    LENGTH_OVER_NOUGHT("length.over-nought", "typed"),
    LENGTH_UNKNOWN_UNIT("length.unknown-unit", "shortened", "unit", "inches"),
    MASS_NOT_ONE("mass.not-one", "typed", "inches"),
    POWER_NOT_ONE("power.not-one", "typed", "inches"),
    RANGE_CROSSED("range.crossed", "low", "high"),
    NUMBER_LETTER_FOR_DIGIT("number.letter-for-digit", "typed", "guess"),
    NUMBER_NOT_ONE("number.not-one", "typed"),
    NUMBER_TOO_LONG("number.too-long", "length"),
    NUMBER_TWO("number.two", "typed", "group"),
    OPTICAL_MARKS("optical.marks", "marksText", "mostMarks"),
    SERIES_COUNT("series.count", "typed", "most"),
    SERIES_UNEVEN("series.uneven", "typed"),
    SLOPE_NOT_ONE("slope.not-one", "typed", "inches"),
    SPEED_IMPOSSIBLE("speed.impossible", "asTyped", "fastest"),
    SURFACE_UNIT("surface.unit", "unit", "inches"),
    TAPS_PART_TURN("taps.part-turn", "turnsText"),
    TAPS_TOO_FAST("taps.too-fast", "rpm", "fastestTapped"),
    TAPS_TOO_FEW("taps.too-few", "turns", "fewestTurns"),
    TEMPERATURE_IMPOSSIBLE("temperature.impossible", "typed", "inches"),
    TEMPERATURE_NOT_ONE("temperature.not-one", "typed", "inches");

    private final Sentence sentence;

    ReadingReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
