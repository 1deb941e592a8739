package tallledger.web.words;

import java.util.List;
import tallledger.core.drive.SpeedTable;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** What pages and forms say of themselves: each with the names of what stands in its sentence. */
public enum WebReason implements ReasonCode {
    CHAIN_OTHER_DESCRIPTION("chain.other-description", "version"),
    CHAIN_OTHER_RULES("chain.other-rules", "version"),
    CHECK_COLUMN("check.column", "column"),
    CHECK_LINE("check.line", "getRecordNumber", "reason"),
    CHECK_SHORT("check.short", "getRecordNumber"),
    CHECK_SYMPTOM("check.symptom", "about"),
    COLD_START_LOW("cold.start-low"),
    COLD_TOO_FAST("cold.too-fast", "survey", "number"),
    ENTRIES_ALL("entries.all", "all"),
    ENTRIES_NONE("entries.none", "at", "head"),
    ENTRIES_PAGE("entries.page", "count", "all"),
    ENTRIES_SHOWN("entries.shown", "count", "chosen", "all"),
    FEED_LEVER("feed.lever", "length"),
    FORM_NO_KEY("form.no-key"),
    HEADS_BOOK("heads.book", "book", "had"),
    HEADS_OTHER("heads.other", "title", "book", "had"),
    HEADS_SHORTER("heads.shorter", "title", "book", "has", "had"),
    HOUSE_MOVED_ON("house.moved-on", "seen"),
    ENDS_ONLY("ends.only", "count"),
    CLAIM_STEP_UNKNOWN("claim.step-unknown", "typed"),
    PAPER_LINE_NUMBER("paper.line-number", "typed"),
    PAPER_MARK_UNKNOWN("paper.mark-unknown", "typed"),
    PAPER_VISIT_MISSING("paper.visit-missing"),
    PAPER_EMPTY("paper.empty"),
    STORE_CLOSED("store.closed", "author", "entry"),
    SEAL_KEY_BROKEN("seal.key-broken", "file"),
    HANDED_UNREADABLE("handed.unreadable"),
    HANDED_LARGE("handed.large", "size", "most"),
    BACKUP_FAILED("backup.failed"), CHECK_FILE_NONE("check.file-none"),
    CLOSE_UNREAD("close.unread"),
    AWAY_WHY("away.why"),
    PLAN_BUYS("plan.buys", "worth"),
    PLAN_BUYS_PERHAPS("plan.buys-perhaps", "worth", "most"),
    PLAN_LEFT_OUT("plan.left-out", "count"),
    FINDING_GONE("finding.gone", "target"),
    SO_FAR("so-far", "speeds", "steps", "minutes"),
    LABEL_TWICE("label.twice"),
    LEVERS_COUNTED("levers.counted", "part"),
    PLATE_LARGE("plate.large", "cells", "most"),
    INTERLOCK_NONE("interlock.none", "line", "label"),
    INTERLOCK_SEVERAL("interlock.several", "line", "label"),
    INTERLOCK_SINGLE("interlock.single", "line"),
    LIMIT_PLATE_OWN("limit.plate-own", "source"),
    MACHINE_MOVED_ON("machine.moved-on", "head"),
    MOUNTED_MISSING("mounted.missing"),
    PASTE_BROKEN("paste.broken"),
    PASTE_COLUMNS("paste.columns", "row", "count", "columns"),
    PASTE_EMPTY("paste.empty"),
    PASTE_LONG("paste.long", "length", "longest"),
    PASTE_REPEATED("paste.repeated", "key"),
    PASTE_ROWS("paste.rows", "count", "wanted"),
    PASTE_STRAY("paste.stray", "row", "key"),
    PHOTO_BROKEN("photo.broken"),
    PHOTO_LARGE("photo.large", "length", "mostBytes"),
    PHOTO_MISSING("photo.missing"),
    PHOTO_PIXELS("photo.pixels", "getWidth", "getHeight", "000000"),
    PHOTO_TYPE("photo.type"),
    PLAN_FEWEST("plan.fewest", "lowerBound"),
    PLAN_GAP("plan.gap", "runs"),
    PLAN_PERHAPS_FEWEST("plan.perhaps-fewest", "lowerBound"),
    PLAN_RUNS("plan.runs", "count", "minute"),
    PLAN_STEPS("plan.steps", "count"),
    PLAN_WARM("plan.warm", "warm"),
    BESIDE_TWICE("beside.twice"),
    BESIDE_UNSURVEYED("beside.unsurveyed", "typed"),
    TRACE_NONE("trace-file.none"),
    TRACE_READ("trace-file.read"),
    POSITION_BAR("position.bar", "label"),
    RUN_NO_SUCH_STEP("run.no-such-step"),
    RUN_NOTHING("run.nothing"),
    STAGE_INVERTER("stage.inverter", "typed"),
    STAGE_PAIR("stage.pair", "part"),
    OWN_CHART_LINE("own-chart.line", "line", "text"),
    STAGE_SEVERAL("stage.several", "typed"),
    STAGE_VALUES_COUNT("stage.values-count", "count", "wanted"),
    STAGE_VARIATOR("stage.variator", "typed"),
    START_UNTICKED("start.unticked", "unticked", "items"),
    STEP_UNDECIDED("step.undecided"),
    STORE_BROKEN("store.broken", "sequence", "because"),
    STORE_FAILED("store.failed"),
    STORE_ROOM("store.room", "free", "wanted"),
    STORE_UNTOLD("store.untold", "count"),
    STRAY_CONTENT("stray.content"),
    STRAY_FORMAT("stray.format", "format", "newest"),
    STRAY_RULES("stray.rules", "version"),
    STRAY_TIME("stray.time"),
    STRAY_VERSION("stray.version", "version"),
    SURVEY_MOVED_ON("survey.moved-on", "from", "head", "entries"),
    TEETH_FRACTION("teeth.fraction", "typed"),
    WEIGH_REFUSED("weigh.refused", "why"),
    WORTH_PROVES("worth.proves", "names"),
    WORTH_REPEAT("worth.repeat"),
    LIMIT_OF(List.of(SpeedTable.Source.values()), "limit", "limit");

    private final Sentence sentence;

    WebReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    /** A row of sentences, one for each of these. */
    WebReason(List<Enum<?>> row, String code, String... arguments) {
        sentence = Sentence.row(row, code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
