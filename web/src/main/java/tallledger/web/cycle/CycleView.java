package tallledger.web.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.ScriptText;
import tallledger.core.evidence.Values;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/**
 * A script as its keys and in words, and a log lined up with it as a time line.
 *
 * @param keys   one for each event
 * @param script what should happen, in order
 * @param lines  what did; empty while nothing was logged
 * @param width  of the drawing, px
 */
public record CycleView(List<Key> keys, List<String> script, List<TimeLineEvent> lines, int width, boolean own) {

    private static final int WIDTH = 470;
    private static final int LEFT = 24;
    private static final int FIRST = 26;
    private static final int PITCH = 34;

    /** One event key. */
    public record Key(String event, String name, boolean forbidden, boolean hazard) {
    }

    /**
     * One event of the time line.
     *
     * @param x     place in time; −1 for what never came
     * @param from  left end of its window, −1 for none
     * @param says  what is to be said of it
     */
    public record TimeLineEvent(String name, int y, double x, double from, double to, String verdict, boolean right, boolean hazard,
            String says) {
    }

    /** Script and keys before anything is logged; an own script that cannot be read yet has no keys. */
    public static CycleView blank(WatchedCycle watched, Map<String, String> typed, LengthUnit unit, Rules rules, Words words) {
        boolean own = watched.script().equals(CycleScript.OWN);
        try {
            return of(watched.scriptFor(new Values(typed, unit), rules), List.of(), own, words);
        } catch (Refused unread) {
            return new CycleView(List.of(), List.of(), List.of(), WIDTH, own);
        }
    }

    /** The time line of a recorded step, where it is a cycle. */
    public static Optional<CycleView> ofResult(StepResult result, Rules rules, Words words) {
        return result.as(WatchedCycle.Watched.class).map(watched -> done(watched, rules, words));
    }

    public static CycleView done(WatchedCycle.Watched watched, Rules rules, Words words) {
        return of(watched.script(rules), watched.result(rules).lines(), !watched.title().isEmpty(), words);
    }

    /** Keys of a script that is still being written. */
    static List<Key> keysSoFar(String script) {
        return ScriptText.soFar(script).stream().map(e -> new Key(e.name(), e.name(), e.forbidden().isPresent(),
                e.forbidden().filter(CycleScript.Never::hazard).isPresent())).toList();
    }

    private static CycleView of(CycleScript script, List<CycleResult.EventLine> lines, boolean own, Words words) {
        List<Key> keys = script.events().stream().map(e -> new Key(e, name(e, own, words), script.forbids(e).isPresent(),
                script.forbids(e).filter(CycleScript.Never::hazard).isPresent())).toList();
        List<String> texts = script.expected().stream().map(e -> name(e.event(), own, words) + times(e) + window(e.window(), words))
                .toList();
        return new CycleView(keys, texts, drawn(lines, own, words), WIDTH, own);
    }

    private static String times(CycleScript.Expected e) {
        return e.least() == 1 && e.most() == 1 ? "" : " × " + (e.least() == e.most() ? e.least() : e.least() + "–" + e.most());
    }

    private static String window(Optional<CycleScript.Window> window, Words words) {
        return window.map(w -> " " + (w.isOpen() ? words.say("cycle.window-least", w.least(), w.whose())
                : words.say("cycle.window", w.least(), w.most(), w.whose()))).orElse("");
    }

    static String name(String event, boolean own, Words words) {
        return own ? event : words.say("event." + event);
    }

    private static List<TimeLineEvent> drawn(List<CycleResult.EventLine> lines, boolean own, Words words) {
        double end = Math.max(1, lines.stream().flatMap(l -> l.at().stream()).mapToDouble(BigDecimal::doubleValue).max().orElse(1));
        List<TimeLineEvent> drawn = new ArrayList<>();
        double before = 0;
        for (CycleResult.EventLine line : lines) {
            // What should have come after the last thing that did has no place on the line.
            double from = line.window().map(w -> w.least().doubleValue()).orElse(-1.0);
            double to = line.window().map(w -> w.most().doubleValue()).orElse(-1.0);
            if (from >= 0 && before + from > end) {
                from = -1;
            }
            drawn.add(new TimeLineEvent(name(line.event(), own, words), FIRST + drawn.size() * PITCH,
                    line.at().map(a -> place(a.doubleValue(), end))
                            .orElse(-1.0),
                    from < 0 ? -1 : Math.min(place(before + from, end), WIDTH - 4),
                    from < 0 ? -1 : Math.min(place(before + to, end), WIDTH - 2), line.verdict().name(),
                    line.verdict() == CycleResult.Verdict.RIGHT, line.hazard(), says(line, words)));
            before = line.at().map(BigDecimal::doubleValue).orElse(before);
        }
        return drawn;
    }

    private static double place(double seconds, double end) {
        return Math.round((LEFT + (WIDTH - 2 * LEFT) * seconds / end) * 10) / 10.0;
    }

    private static String says(CycleResult.EventLine line, Words words) {
        String verdict = line.verdict() == CycleResult.Verdict.RIGHT ? "" : words.of(line.verdict());
        String took = line.took().map(t -> words.say("cycle.took", Figures.plain(t))).orElse("");
        return verdict.isEmpty() || took.isEmpty() ? verdict + took : verdict + ", " + took;
    }

    public int height() {
        return FIRST + lines.size() * PITCH;
    }
}
