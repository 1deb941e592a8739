package tallledger.core.survey;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum SurveyReason implements ReasonCode {
    CHECK_SECONDS("check.seconds"),
    DOUBT_PLATE_MISLEADS("doubt.plate-misleads", "read", "entry", "plate", "predicted"),
    DOUBT_PLATE_STANDS("doubt.plate-stands", "read", "entry", "plate", "predicted"),
    SOUND_STOOD("sound.stood"),
    SOUND_NOT_LOOKED_AT("sound.not-looked-at"),
    SOUND_TREATED("sound.treated"),
    SOUND_OTHER_SPEED("sound.other-speed", "then", "now"),
    SOUND_SPEED("sound.speed"),
    FILM_UNKNOWN("film.unknown"),
    FILM_PAST_END("film.past-end", "second"),
    FILM_QUIET("film.quiet"),
    FILM_FELT("film.felt"),
    FILM_WALL_CLOCK("film.wall-clock"),
    FILM_AT_MACHINE("film.at-machine"),
    FILM_CUT_WITHIN("film.cut-within", "second"),
    FILM_BEARS_NOT("film.bears-not", "step"),
    FILM_STILL_MISSING("film.still-missing"),
    FILM_OTHER_SPEEDS("film.other-speeds", "speeds", "frames", "marks"),
    FILM_SETTING_SAID("film.setting-said"),
    FILM_SETTING_CUT("film.setting-cut", "second"),
    FILM_BENT("film.bent"),
    HEARD_WORDS("heard.words"),
    HEARD_SPEAKER("heard.speaker"),
    HEARD_CLAIM("heard.claim"),
    LETTER_TO("letter.to"),
    LETTER_NOTHING("letter.nothing"),
    NARRATION_SPEAKER("narration.speaker"),
    GAUGE_OVERDUE("gauge.overdue", "name", "due"),
    GATE_STOP_ITEM("gate.stop-item", "name", "because"),
    GATE_DESPITE("gate.despite", "because"),
    GATE_STOP_USE("gate.stop-use", "because", "still"),
    GATE_UNKNOWN("gate.unknown", "kind"),
    NEEDS_UNCONFIRMED("needs.unconfirmed", "missing", "count"),
    PAPER_NUMBER("paper.number", "number", "last"),
    PAPER_NOTHING("paper.nothing"),
    PAPER_SYMPTOM("paper.symptom"),
    PAPER_MARK("paper.mark"),
    PAPER_SEVERAL("paper.several", "count"),
    PAPER_NO_READING("paper.no-reading"),
    CAMERA_SHIFT("camera.shift", "typed", "most"),
    OTHERWISE_RUN("otherwise.run", "name"),
    PLAN_MINUTES("plan.minutes", "minutes", "mostMinutes"),
    REASON_MISSING("reason.missing"),
    REMARK_MISSING("remark.missing"),
    REGRADE_COST("regrade.cost", "typed"),
    REGRADE_FIGURE("regrade.figure", "typed", "most"),
    REGRADE_STOP_USE("regrade.stop-use"),
    REGRADE_TIME("regrade.time"),
    REPAIR_MISSING("repair.missing"),
    RUN_ENGAGES_AND_NOT("run.engages-and-not"),
    RUN_QUIET_AND_NOISY("run.quiet-and-noisy"),
    RUN_READ_WITHOUT_DRIVE("run.read-without-drive", "typed"),
    STRAY_AFTER_CLOSED("stray.after-closed"),
    STRAY_KIND("stray.kind", "kind"),
    STRAY_SETTINGS("stray.settings", "event"),
    RATIO_TOLD("ratio.told", "part", "against", "ratio"), RATIO_FASTER("ratio.faster", "part", "against", "ratio"),
    RATIO_SEVERAL("ratio.several", "part", "against", "ratio"),
    STRAY_STEP("stray.step", "step"),
    STRAY_PHOTO("stray.photo", "entry"),
    MARK_OUTSIDE("mark.outside"),
    MARK_WORD("mark.word"),
    MARK_NONE("mark.none"),
    MARK_MANY("mark.many", "marks", "most"),
    MARK_FORM("mark.form", "line"),
    MARK_SAYS("mark.says", "shape", "worded", "word"),
    STRIKE_ALREADY("strike.already", "target"),
    STRIKE_KIND("strike.kind", "target"),
    STRIKE_NONE("strike.none", "target"),
    TEMPERATURES_APART("temperatures.apart", "machine", "gauge", "inches");

    private final Sentence sentence;

    SurveyReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
