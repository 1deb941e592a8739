package tallledger.core.drive;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum DriveReason implements ReasonCode {
    EXCLUSION_NO_STAGE("exclusion.no-stage", "name"),
    EXCLUSION_SINGLE("exclusion.single"),
    GEARS_NONE("gears.none"),
    MOTOR_EFFICIENCY("motor.efficiency", "efficiency"),
    MOTOR_POWER("motor.power", "power", "most"),
    OTHER_SPEEDS_ENDS("other-speeds.ends", "line"),
    OTHER_SPEEDS_LIMIT("other-speeds.limit", "typed", "most"),
    OTHER_SPEEDS_LINE("other-speeds.line", "line"),
    OTHER_SPEEDS_LONG("other-speeds.long", "length", "longest"),
    OTHER_SPEEDS_MANY("other-speeds.many", "count", "most"),
    OTHER_SPEEDS_TWICE("other-speeds.twice", "what", "rpm"),
    PLATE_STAGE_FACTOR("plate.stage-factor", "stage", "fast", "slow", "typed", "byPlate"),
    PLATE_STAGES_CONTRADICT("plate.stages-contradict", "count", "named"),
    PLATE_STAGES_GIVE("plate.stages-give", "name", "shown", "plate"),
    POSITION_LONG("position.long", "length", "longestLabel"),
    POSITION_UNKNOWN("position.unknown", "name", "label"),
    POSITION_UNNAMED("position.unnamed"),
    POWER_INVERTER_UNKNOWN("power.inverter-unknown"),
    POWER_WINDINGS_UNKNOWN("power.windings-unknown", "law"),
    SAME_SPEED("drive.same-speed", "rpm", "most", "mostFrequency", "mostPower", "least", "leastFrequency", "leastPower", "times"),
    SPAN_CROSSED("span.crossed", "low", "high"),
    STAGE_EMPTY("stage.empty", "name"),
    STAGE_LEVERS("stage.levers", "name"),
    STAGE_NAME("stage.name", "longestName"),
    STAGE_REPEATED("stage.repeated", "name", "label"),
    STAGE_TOO_MANY("stage.too-many", "name", "count", "mostPositions"),
    TRAIN_EMPTY("train.empty"),
    TRAIN_LONG("train.long", "count", "mostStages"),
    TRAIN_MOTOR_FIRST("train.motor-first", "name"),
    TRAIN_NO_SPEED("train.no-speed"),
    TRAIN_REPEATED("train.repeated", "name"),
    TRAIN_TOO_MANY("train.too-many", "combinations", "mostCombinations"),
    TRAIN_TOO_MANY_ELEMENTS("train.too-many-elements", "elements", "mostElements"),
    MOTOR_SPEED_OUTSIDE("motor.speed.outside", "value", "lowest", "highest"),
    GROOVE_DIAMETER_OUTSIDE("groove.diameter.outside", "value", "lowest", "highest"),
    RATIO_OUTSIDE("ratio.outside", "value", "lowest", "highest");

    private final Sentence sentence;

    DriveReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
