package tallledger.core.evidence;

import java.util.List;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum EvidenceReason implements ReasonCode {
    BACKLASH_SCALE("backlash.scale"),
    CENTRE_RADII("centre.radii", "inner", "outer"),
    CENTRE_RIGHT("centre.right", "outer", "inner", "percent"),
    CENTRE_WRONG("centre.wrong", "outer", "inner", "percent"),
    COUNT_AGAINST("count.against", "count", "claimed"),
    COUNT_ONLY("count.only", "count"),
    CYCLE_BREAKS_OFF("cycle.breaks-off", "event"),
    CYCLE_PASSES("cycle.passes", "passes"),
    CYCLE_RIGHT("cycle.right", "count"),
    CYCLE_SETTING("cycle.setting", "value", "longest"),
    CYCLE_TITLE("cycle.title"),
    FEED_MEASURED("feed.measured", "reading"),
    FIGURE("figure", "value"),
    FIGURE_UNIT("figure.unit", "value", "unit"),
    GRADED_CLOSE("graded.near", "value", "grade", "limit", "settles"),
    GRADED_OUTSIDE("graded.missed", "value", "grade", "limit"),
    GRADED_WITHIN("graded.reached", "value", "grade", "limit"),
    LENGTH_NEGATIVE("length.negative", "field"),
    LIMIT_CLAIM("limit.claim", "least"),
    NOTE_MISSING("note.missing"),
    ROUND_SHAPE("round.shape", "eccentricity", "highSpot", "oval", "threeLobed", "residual"),
    ROUND_TOO_FEW("round.too-few", "count", "fewestToJudge"),
    PANEL_DISCONNECT(List.of(PanelCheck.State.values()), "panel.disconnect"),
    PANEL_DIAGRAM(List.of(PanelCheck.Diagram.values()), "panel.diagram"),
    PANEL_FUSES(List.of(PanelCheck.State.values()), "panel.fuses"),
    PANEL_MOTOR("panel.motor"),
    PANEL_OVERLOAD_HIGH("panel.overload-high", "set", "motor", "least", "most"),
    PANEL_OVERLOAD_LOW("panel.overload-low", "set", "motor", "least", "most"),
    PANEL_OVERLOAD_NOT_SEEN("panel.overload-not-seen"),
    PANEL_OVERLOAD_RIGHT("panel.overload-right", "set", "motor", "least", "most"),
    SPEED_READ_ALONE("speed-read.alone", "reading"),
    SPEED_READ_TWICE("speed-read.twice"),
    SCALED_PER("scaled.per", "value", "over", "scaled", "per"),
    SUPPLY_ELECTRICIAN("supply.electrician"),
    SUPPLY_MEASURED_BY("supply.measured-by"),
    SUPPLY_TWO_VOLTS("supply.two-volts"),
    THREAD_ERROR("thread.error", "lead", "pitch", "error", "over", "length"),
    THROUGH_ANGLE("through.angle", "values"),
    THROUGH_RIGHT("through.right", "measured", "reckoned", "percent", "least", "most"),
    THROUGH_WRONG("through.wrong", "measured", "reckoned", "percent", "least", "most"),
    TRAVEL_CLOSE("travel.close", "travel", "least"),
    TRAVEL_ENOUGH("travel.enough", "travel", "least"),
    TRAVEL_MEASURED("travel.measured", "length"),
    TRAVEL_SHORT("travel.short", "travel", "least"),
    TRIAL_OFF("trial.off", "commanded", "because"),
    TRIALS_BOTH("trials.both", "count", "changeOver"),
    TRIALS_COUNT("trials.count", "count", "most"),
    TRIALS_DOWN_ONLY("trials.down-only", "changeOver"),
    TRIALS_LINE("trials.line", "line"),
    TRIALS_NEVER("trials.never", "changeOver"),
    TRIALS_UP_ONLY("trials.up-only", "changeOver"),
    WHEEL_MARKED("wheel.marked", "diameter", "marks"),
    WHEEL_MS("wheel.ms", "v"),
    WHEEL_RPM("wheel.rpm", "v"),
    WHEELS_NO_CHART("wheels.no-chart", "count"),
    CYCLE_HAZARD("cycle.hazard"),
    CYCLE_EARLY_OPEN("cycle.line.EARLY-open", "event", "took", "least", "most", "whose"),
    CYCLE_LINE(List.of(CycleResult.Verdict.EARLY, CycleResult.Verdict.LATE, CycleResult.Verdict.MISSING, CycleResult.Verdict.EXTRA,
            CycleResult.Verdict.OUT_OF_ORDER, CycleResult.Verdict.FORBIDDEN), "cycle.line", "event", "took", "least", "most", "whose"),
    CYCLE_WHOSE(List.of(CycleScript.Whose.values()), "cycle.whose");

    private final Sentence sentence;

    EvidenceReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    /** A row of sentences, one for each of these. */
    EvidenceReason(List<Enum<?>> row, String code, String... arguments) {
        sentence = Sentence.row(row, code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
