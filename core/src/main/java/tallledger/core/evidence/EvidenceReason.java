package tallledger.core.evidence;

import java.util.List;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.geometry.Straightness;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum EvidenceReason implements ReasonCode {
    ACROSS_COUNT("across.count", "count", "fewest", "most"),
    ACROSS_SLOPE("across.slope", "slope", "count"),
    AXIS_A("axis-test.a", "because"),
    AXIS_R("axis-test.r", "because"),
    AXIS_SAYS("axis-test.says", "reversal", "systematic", "mean", "targets", "runs"),
    BAR_SAYS("bar.says", "rise", "bars"),
    BUDGET("budget", "expanded", "parts"),
    BUDGET_DIGIT("budget.digit", "size"),
    BUDGET_GAUGE("budget.gauge", "size"),
    BUDGET_REPEATS("budget.repeats", "size"),
    BUDGET_TEMPERATURE("budget.temperature", "size"),
    CHART_BOTH("chart-line.both"),
    CHART_NOTHING("chart-line.nothing"),
    CHART_SENSE(List.of(ChartLine.Sense.FREE_END_UP, ChartLine.Sense.TO_THE_TOOL, ChartLine.Sense.TAILSTOCK_HIGH, ChartLine.Sense.HOLLOW, ChartLine.Sense.HUMPED), "chart-line.sense"),
    CIRCLE_EXPLAINED("circle.explained", "parts"),
    CIRCLE_LINE("circle.line", "line"),
    CIRCLE_LOST("circle.lost", "share", "x", "y"),
    CIRCLE_REST("circle.rest", "share", "spike"),
    CIRCLE_SAYS("circle.says", "counter", "clockwise", "most", "least", "hysteresis", "at"),
    CIRCLE_SCALE("circle.scale", "share", "difference"),
    CIRCLE_SQUARE("circle.square", "share", "angle"),
    COLLARS_CENTRES("collars.centres", "centres", "apart"),
    COLLARS_SAY("collars.say", "taper", "per", "angle"),
    HOT_BENDS("hot.bends"),
    HOT_BOTH("hot.both"),
    HOT_EARLY("hot.early"),
    HOT_LINE("hot.line", "line"),
    HOT_RISING("hot.rising", "levelled", "tau", "toCome"),
    HOT_SETTLED("hot.settled", "levelled", "tau", "toCome"),
    GRID_SAYS("grid.says", "points", "leastSquares", "longer"),
    PIECES_EVEN("pieces.even"),
    PIECES_SAY("pieces.say", "count", "mean", "s", "trend"),
    PIECES_TREND("pieces.trend", "each"),
    PLANES_SAY("planes.say", "stand", "near", "far", "tilt", "per"),
    PLANES_STAND(List.of(TwoRounds.Standing.values()), "planes.stand"),
    REPEATS_SAY("repeats.say", "count", "s"),
    ROW_COUNT("row.count", "count", "fewest", "most"),
    RUN_APART("run-along.apart", "rise", "length", "rest", "zone"),
    RUN_FORM("run-along.form", "form", "straightness", "zone", "worst", "from", "to"),
    RUN_FORMS(List.of(Straightness.Form.values()), "run-along.forms"),
    STEPS_SAY("steps-moved.say", "count", "sum"),
    TAILSTOCK_AWAY("tailstock.away", "off"),
    TAILSTOCK_TOWARDS("tailstock.towards", "off"),
    TAILSTOCK_TRUE("tailstock.true"),
    TARGET_LINE("target.line", "line"),
    TIP_BACK("tip.back", "slope", "per", "bolts"),
    TIP_BOLTS("tip.bolts", "lift", "radius"),
    TIP_FRONT("tip.front", "slope", "per", "bolts"),
    TIP_LEFT("tip.left", "slope", "per", "bolts"),
    TIP_LEVEL("tip.level"),
    TIP_RIGHT("tip.right", "slope", "per", "bolts"),
    TIP_UPRIGHT("tip.upright"),
    TURNED_ARBORS("turned.arbors"),
    TURNED_NEITHER("turned.neither"),
    TURNED_RINGS("turned.rings"),
    TURNED_SAYS("turned.says", "which", "spindle", "arbor", "degrees"),
    TURNED_SPINDLES("turned.spindles"),
    TURNED_TWO("turned.two", "count"),
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
