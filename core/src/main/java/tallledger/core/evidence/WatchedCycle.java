package tallledger.core.evidence;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.cycle.CycleLog;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.cycle.ScriptText;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * A cycle watched: the log lined up with its script. A hazard that happened makes it a stop-use finding.
 *
 * @param script code of the script; {@link CycleScript#OWN} for a person's own, which is then typed with the record
 */
public record WatchedCycle(String script) implements Recording<WatchedCycle.Watched> {

    @Override
    public <T> T tell(Kinds<T> kinds) {
        return kinds.cycle(this);
    }

    @Override
    public String code() {
        return "cycle";
    }

    @Override
    public List<Field> fields() {
        List<Field> fields = new ArrayList<>();
        if (isOwn()) {
            fields.add(Field.must("title", Entry.TEXT, ""));
            fields.add(Field.must("script", Entry.LONG_TEXT, ""));
        } else {
            CycleScripts.settings(script).forEach(s -> fields.add(new Field(s.name(), Entry.NUMBER, s.name().equals("passes") ? "" : "s", s.start(), List.of(), true)));
        }
        fields.add(Field.must("log", Entry.LOG, "s"));
        return fields;
    }

    public boolean isOwn() {
        return script.equals(CycleScript.OWN);
    }

    /** The script as it is set here. */
    public CycleScript scriptFor(Values values) {
        if (isOwn()) {
            return values.at("script", () -> ScriptText.parse(values.text("script")));
        }
        Map<String, BigDecimal> set = new HashMap<>();
        for (CycleScripts.Setting setting : CycleScripts.settings(script)) {
            if (values.has(setting.name())) {
                BigDecimal value = setting.name().equals("passes") ? BigDecimal.valueOf(passes(values)) : values.number(setting.name()).value();
                if (value.signum() < 0 || value.compareTo(CycleLog.LONGEST) > 0) {
                    throw Refused.because("cycle.setting", value, CycleLog.LONGEST).at(setting.name());
                }
                set.put(setting.name(), value);
            }
        }
        return CycleScripts.of(script, set);
    }

    private static int passes(Values values) {
        int passes = values.whole("passes");
        if (passes < 1 || passes > 50) {
            throw Refused.because("cycle.passes", passes).at("passes");
        }
        return passes;
    }

    /**
     * What was watched.
     *
     * @param title of a person's own cycle; empty for one of the house's
     */
    public record Watched(String title, CycleScript script, CycleResult result) {
    }

    @Override
    public Watched read(Values values) {
        if (isOwn() && !values.has("title")) {
            throw Refused.because("cycle.title").at("title");
        }
        CycleScript of = scriptFor(values);
        return new Watched(values.text("title"), of, CycleResult.of(of, values.at("log", () -> CycleLog.parse(values.text("log"), of))));
    }

    @Override
    public StepJudgement judge(Watched watched) {
        CycleResult result = watched.result;
        if (result.isRight()) {
            return StepJudgement.of(Outcome.PROVEN, Reason.of("cycle.right", result.lines().size()));
        }
        if (result.breaksOff() && !result.isHazard()) {
            String next = result.wrong().get(0).event();
            return StepJudgement.of(Outcome.UNDECIDED, Reason.of("cycle.breaks-off", isOwn() ? next : Reason.of("event." + next)));
        }
        List<Reason> because = new ArrayList<>();
        if (result.isHazard()) {
            because.add(Reason.of("cycle.hazard"));
        }
        result.wrong().forEach(line -> because.add(Reason.of("cycle.line." + line.verdict().name() + (line.verdict() == CycleResult.Verdict.EARLY && line.window().filter(CycleScript.Window::isOpen).isPresent() ? "-open" : ""), isOwn() ? line.event() : Reason.of("event." + line.event()),
                line.took().orElse(BigDecimal.ZERO), line.window().map(CycleScript.Window::least).orElse(BigDecimal.ZERO),
                line.window().map(CycleScript.Window::most).orElse(BigDecimal.ZERO),
                line.window().map(CycleScript.Window::whose).map(w -> Reason.of("cycle.whose." + w.name())).orElse(Reason.of("cycle.whose.HOUSE")))));
        return new StepJudgement(Outcome.FAILED, Optional.empty(), because, result.isHazard() ? Optional.of(Severity.STOP_USE) : Optional.empty());
    }
}
