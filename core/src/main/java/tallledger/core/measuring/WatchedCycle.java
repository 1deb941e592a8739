package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.cycle.CycleLog;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.cycle.ScriptText;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A cycle watched: the log lined up with its script. A hazard that happened makes it a stop-use finding.
 *
 * @param script code of the script; {@link CycleScript#OWN} for a person's own, which is then typed with the record
 */
public record WatchedCycle(String script) implements Recording<WatchedCycle.Watched> {

    @Override
    public Optional<String> cycle() {
        return Optional.of(script);
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.watchedCycle(this);
    }

    @Override
    public <T> T accept(WatchedCycle.Watched value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.watchedCycle(this, value);
    }

    @Override
    public String code() {
        return "cycle";
    }

    @Override
    public List<RecordField> fields() {
        List<RecordField> fields = new ArrayList<>();
        if (isOwn()) {
            fields.add(RecordField.must("title", InputKind.TEXT, FieldUnit.NONE));
            fields.add(RecordField.must("script", InputKind.LONG_TEXT, FieldUnit.NONE));
        } else {
            CycleScripts.settings(script).forEach(s -> fields.add(s == CycleScripts.Setting.ORDER
                    ? new RecordField(s.field(), InputKind.CHOICE, FieldUnit.NONE,
                            Preset.text(CycleScripts.EndOrder.STOPS_THEN_PARKS.name()),
                            List.of(CycleScripts.EndOrder.values()), false)
                    : RecordField.must(s.field(), InputKind.NUMBER,
                            s == CycleScripts.Setting.PASSES ? FieldUnit.NONE : FieldUnit.SECONDS)));
        }
        fields.add(RecordField.must("log", InputKind.LOG, FieldUnit.SECONDS));
        return fields;
    }

    public boolean isOwn() {
        return script.equals(CycleScript.OWN);
    }

    @Override
    public String start(RecordField field, Rules rules) {
        return isOwn() ? ""
                : !field.choices().isEmpty() ? field.start().in(rules.unit())
                        : CycleScripts.settings(script).stream().filter(s -> s.field().equals(field.name())).findFirst()
                                .map(s -> s.start(rules).toPlainString()).orElse("");
    }

    /** The script as it is set here. */
    public CycleScript scriptFor(Values values, Rules rules) {
        return isOwn() ? own(values) : CycleScripts.of(script, set(values), rules);
    }

    private static CycleScript own(Values values) {
        return values.at("script", () -> ScriptText.parse(values.text("script")));
    }

    private Map<CycleScripts.Setting, BigDecimal> set(Values values) {
        Map<CycleScripts.Setting, BigDecimal> set = new EnumMap<>(CycleScripts.Setting.class);
        for (CycleScripts.Setting setting : CycleScripts.settings(script)) {
            if (setting == CycleScripts.Setting.ORDER) {
                set.put(setting, BigDecimal.valueOf(order(values).ordinal()));
            } else if (values.has(setting.field())) {
                BigDecimal value = setting == CycleScripts.Setting.PASSES ? BigDecimal.valueOf(passes(values))
                        : values.number(setting.field()).value();
                if (value.signum() < 0 || value.compareTo(CycleLog.LONGEST) > 0) {
                    throw Refused.because(MeasuringReason.CYCLE_SETTING, value, CycleLog.LONGEST).at(setting.field());
                }
                set.put(setting, value);
            }
        }
        return set;
    }

    private static CycleScripts.EndOrder order(Values values) {
        return Stream.of(CycleScripts.EndOrder.values()).filter(o -> o.name().equals(values.text(CycleScripts.Setting.ORDER.field())))
                .findFirst().orElse(CycleScripts.EndOrder.STOPS_THEN_PARKS);
    }

    private static int passes(Values values) {
        int passes = values.whole("passes");
        if (passes < 1 || passes > 50) {
            throw Refused.because(MeasuringReason.CYCLE_PASSES, passes).at("passes");
        }
        return passes;
    }

    /**
     * What was watched.
     *
     * @param title of a person's own cycle; empty for one of the house's
     * @param code  of the house's script
     * @param own   a person's own script
     * @param set   what was set on the machine
     */
    public record Watched(String title, String code, Optional<CycleScript> own, Map<CycleScripts.Setting, BigDecimal> set, CycleLog log) {

        /** What it is held against. */
        public CycleScript script(Rules rules) {
            return own.orElseGet(() -> CycleScripts.of(code, set, rules));
        }

        public CycleResult result(Rules rules) {
            return CycleResult.of(script(rules), log, rules);
        }

        /** Whether all that is wrong is that it stops, and takes too long to: what was pressed did its work, what holds it does not. */
        public boolean runsDownLong(Rules rules) {
            List<CycleResult.EventLine> wrong = result(rules).wrong();
            return !wrong.isEmpty() && wrong.stream().allMatch(l -> STOPS.equals(l.event()) && l.verdict() == CycleResult.Verdict.LATE);
        }
    }

    @Override
    public Watched read(Values values) {
        if (isOwn() && !values.has("title")) {
            throw Refused.because(MeasuringReason.CYCLE_TITLE).at("title");
        }
        Optional<CycleScript> own = isOwn() ? Optional.of(own(values)) : Optional.empty();
        Map<CycleScripts.Setting, BigDecimal> set = isOwn() ? Map.of() : set(values);
        List<String> events = own.map(CycleScript::events).orElseGet(() -> CycleScripts.events(script));
        return new Watched(values.text("title"), script, own, set, values.at("log", () -> CycleLog.parse(values.text("log"), events)));
    }

    @Override
    public StepJudgement judge(Watched watched, Rules rules) {
        CycleResult result = watched.result(rules);
        if (result.isRight()) {
            return StepJudgement.of(Outcome.PROVEN, Reason.of(MeasuringReason.CYCLE_RIGHT, result.lines().size())).with(times(result));
        }
        if (result.breaksOff() && !result.isHazard()) {
            String next = result.wrong().get(0).event();
            return StepJudgement.of(Outcome.UNDECIDED, Reason.of(MeasuringReason.CYCLE_BREAKS_OFF, named(next))).with(times(result));
        }
        List<Reason> because = new ArrayList<>();
        if (result.isHazard()) {
            because.add(Reason.of(MeasuringReason.CYCLE_HAZARD));
        }
        Optional<Reason> passes = passes(watched, rules);
        passes.ifPresent(because::add);
        result.wrong().stream().filter(line -> passes.isEmpty() || !line.event().equals(PASS))
                .forEach(line -> because.add(missingAt(line, result).orElseGet(() -> wrong(line))));
        if (watched.runsDownLong(rules)) {
            because.add(Reason.of(MeasuringReason.CYCLE_RUNS_DOWN));
        }
        return new StepJudgement(Outcome.FAILED, Optional.empty(), because, result.isHazard() ? Optional.of(Severity.STOP_USE)
                : Optional.empty()).with(times(result));
    }

    /** When each event that has a window came after the one before it, s. */
    private static List<Figure> times(CycleResult result) {
        return result.lines().stream().filter(line -> TIMED.contains(line.verdict()))
                .flatMap(line -> line.window().flatMap(window -> line.took().map(took -> time(took, window, line.verdict()))).stream())
                .toList();
    }

    private static Figure time(BigDecimal took, CycleScript.Window window, CycleResult.Verdict verdict) {
        Reason whose = Reason.each(MeasuringReason.CYCLE_WHOSE, window.whose());
        Limit limit = window.isOpen() ? Limit.atLeast(window.least(), Unit.SECONDS, whose)
                : new Limit(window.least(), window.most(), Unit.SECONDS, whose);
        return Figure.alone(Quantity.of(took, Unit.SECONDS)).named(Figure.Name.EVENT)
                .against(limit, verdict == CycleResult.Verdict.RIGHT ? Verdict.WITHIN : Verdict.OUTSIDE);
    }

    private static final Set<CycleResult.Verdict> TIMED =
            Set.of(CycleResult.Verdict.RIGHT, CycleResult.Verdict.EARLY, CycleResult.Verdict.LATE);

    private static final String PASS = "pass";
    private static final String STOPS = "stops";

    /** Passes are counted: one too many or too few is told by its number, not event by event. */
    private static Optional<Reason> passes(Watched watched, Rules rules) {
        int made = (int) watched.log.taps().stream().filter(t -> t.event().equals(PASS)).count();
        return Optional.ofNullable(watched.set.get(CycleScripts.Setting.PASSES)).or(() -> watched.code.equals("spark-out")
                ? Optional.of(CycleScripts.Setting.PASSES.start(rules))
                : Optional.empty()).map(BigDecimal::intValue)
                .filter(set -> set != made).map(set -> Reason.of(made > set ? MeasuringReason.CYCLE_PASSES_MANY
                        : MeasuringReason.CYCLE_PASSES_FEW, made, set, Math.abs(made - set)));
    }

    /** An event that should have come at one end of a way that goes to and fro: which end, and which time round. */
    private Optional<Reason> missingAt(CycleResult.EventLine line, CycleResult result) {
        int at = result.lines().indexOf(line);
        if (line.verdict() != CycleResult.Verdict.MISSING || at < 1) {
            return Optional.empty();
        }
        CycleResult.EventLine end = result.lines().get(at - 1);
        return Optional.of(end).filter(e -> ENDS.contains(e.event())).map(e -> Reason.of(MeasuringReason.CYCLE_MISSING_AT,
                named(line.event()),
                named(e.event()), (int) result.lines().subList(0, at).stream().filter(l -> l.event().equals(e.event())).count()));
    }

    private static final Set<String> ENDS = Set.of("inner-reversal", "outer-reversal", "left-dog", "right-dog");

    private Object named(String event) {
        return isOwn() ? event : Reason.named("event." + event);
    }

    private Reason wrong(CycleResult.EventLine line) {
        Optional<CycleScript.Window> window = line.window();
        boolean open = line.verdict() == CycleResult.Verdict.EARLY && window.filter(CycleScript.Window::isOpen).isPresent();
        Object[] says = {named(line.event()), line.took().orElse(BigDecimal.ZERO),
                window.map(CycleScript.Window::least).orElse(BigDecimal.ZERO), window.map(CycleScript.Window::most).orElse(BigDecimal.ZERO),
                Reason.each(MeasuringReason.CYCLE_WHOSE, window.map(CycleScript.Window::whose).orElse(CycleScript.Whose.HOUSE))};
        return open ? Reason.of(MeasuringReason.CYCLE_EARLY_OPEN, says) : Reason.each(MeasuringReason.CYCLE_LINE, line.verdict(), says);
    }
}
