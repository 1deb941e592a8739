package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tallledger.core.cycle.CycleScript.Expected;
import tallledger.core.cycle.CycleScript.Never;
import tallledger.core.cycle.CycleScript.Whose;
import tallledger.core.cycle.CycleScript.Window;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.GradedLimit;

/**
 * The scripts that come with the house. Some depend on what is set on the machine (a dwell, a number of passes): those
 * settings are asked for and have a starting value.
 */
public final class CycleScripts {

    /** What stands set on the machine, by name; all in s or counts. */
    public record Setting(String name, String start) {
    }

    /** The widest time to stand still under a brake, s. */
    private static final BigDecimal STOP = GradedLimit.SPINDLE_STOP.at(Grade.WORKABLE);
    /** Long enough to see that a thing stays as it is, s (house rule); the machine's own book may want more, or a person. */
    private static final Setting WAIT = new Setting("wait", "3");
    /** Within which a thing must stop, s. */
    private static final Setting STOPS = new Setting("stop", STOP.toPlainString());
    private static final Window SOON = new Window(BigDecimal.ZERO, BigDecimal.valueOf(3), Whose.HOUSE);
    /** A set time is met within a quarter of it, or this much, s (house rule). */
    private static final BigDecimal NEAR = new BigDecimal("0.3");
    private static final Never BY_ITSELF = new Never("starts-by-itself", true);

    private record Definition(List<Setting> settings, Function<Map<String, BigDecimal>, CycleScript> build) {
    }

    private static final Map<String, Definition> ALL = new LinkedHashMap<>();

    static {
        waiting("feed-trip", s -> List.of(one("feed-on"), one("trips"), one("stays-off", stays(s))), new Never("feeds-on", false));
        waiting("quill-knock-off", s -> List.of(one("quill-feed-on"), one("knocks-off"), one("stays-off", stays(s))), new Never("feeds-past", false));
        fixed("half-nut-interlock", List.of(one("feed-in"), one("half-nut-blocked"), one("feed-out"), one("half-nut-in"), one("feed-blocked")),
                new Never("both-in", true));
        stopping("emergency-stop", "stop-pressed", "stop-released");
        stopping("foot-brake", "pedal-down", "pedal-up");
        stopping("kick-bar", "bar-kicked", "bar-let-go");
        stopping("pedal", "pedal-down", "pedal-up");
        stopping("guard", "guard-opened", "guard-closed");
        waiting("neutral", s -> List.of(one("neutral-set"), one("free-by-hand"), one("motor-on"), one("spindle-still", stays(s))), new Never("spindle-drives", true));
        waiting("brake-before-start", s -> List.of(one("brake-on"), one("start-pressed"), one("does-not-drive", stays(s)), one("brake-off"), one("start-pressed"), one("runs")),
                new Never("drives-against-brake", false));
        fixed("direction", List.of(one("forward-pressed"), one("turns-forward"), one("stops"), one("reverse-pressed"), one("turns-reverse"), one("stops")),
                new Never("wrong-way", true));
        fixed("commanded-shift", List.of(one("set-below"), one("runs"), one("set-above"), one("stops"), one("shifts"), one("runs")),
                new Never("hunts", false), new Never("alarm", false));
        define("table-reversal", List.of(new Setting("dwell-left", "2"), new Setting("dwell-right", "2")), s -> new CycleScript("table-reversal",
                List.of(one("left-dog"), one("leaves-left", about(s.get("dwell-left"))), one("right-dog"), one("leaves-right", about(s.get("dwell-right")))),
                List.of(new Never("runs-past-dog", true)), Optional.of(new CycleScript.Rounds(Set.of("left-dog", "right-dog"), 1, true))));
        infeed("infeed-left", "infeeds-left", true, false);
        infeed("infeed-right", "infeeds-right", false, true);
        infeed("infeed-both", "infeeds", true, true);
        infeed("infeed-none", "infeeds", false, false);
        waiting("dead-stop", s -> List.of(one("infeed-on"), one("at-dead-stop"), one("sparks-out", stays(s)), one("retreats")), new Never("feeds-past", false));
        fixed("work-stops-on-retreat", List.of(one("work-turns"), one("wheel-back"), one("work-stops", SOON), one("wheel-in"), one("work-turns", SOON)), BY_ITSELF);
        rotary("down-feed-inner", true, false);
        rotary("down-feed-outer", false, true);
        rotary("down-feed-both", true, true);
        define("spark-out", List.of(new Setting("passes", "4")), s -> script("spark-out", List.of(one("at-zero"),
                times("pass", s.get("passes").intValue()), one("chuck-stops"), one("wheel-stops"), one("table-parks")), List.of(new Never("feeds-past", false))));
        define("centreless-infeed", List.of(new Setting("spark-out", "3")), s -> new CycleScript("centreless-infeed", List.of(one("infeed-on"), one("at-zero"),
                one("retreats", about(s.get("spark-out")))), List.of(new Never("feeds-past", false)), Optional.of(new CycleScript.Rounds(Set.of(), 2, false))));
        fixed("regulating-wheel", List.of(one("grind-set"), one("turns-slow"), one("dress-set"), one("turns-fast"), one("grind-set"), one("turns-slow")),
                new Never("jumps-speed", false));
        clamp("clamp-arm", "arm-holds", "arm-moves");
        clamp("clamp-head", "head-holds", "head-moves");
        clamp("clamp-column", "column-holds", "column-swings");
        waiting("clamped-elevation", s -> List.of(one("arm-holds"), one("raise-pressed"), one("does-not-move", stays(s)), one("released", stays(s)), one("raise-pressed"),
                one("arm-moves", SOON)),
                new Never("moves-clamped", true));
    }

    private CycleScripts() {
    }

    public static List<String> codes() {
        return List.copyOf(ALL.keySet());
    }

    public static List<Setting> settings(String code) {
        return definition(code).settings;
    }

    /** @param set what is set on the machine; a missing setting takes its starting value */
    public static CycleScript of(String code, Map<String, BigDecimal> set) {
        Definition definition = definition(code);
        Map<String, BigDecimal> all = new LinkedHashMap<>();
        definition.settings.forEach(s -> all.put(s.name, Optional.ofNullable(set.get(s.name)).orElse(new BigDecimal(s.start))));
        return definition.build.apply(all);
    }

    private static Definition definition(String code) {
        Definition definition = ALL.get(code);
        if (definition == null) {
            throw new IllegalArgumentException("no such script: " + code);
        }
        return definition;
    }

    private static void fixed(String code, List<Expected> expected, Never... never) {
        define(code, List.of(), s -> script(code, expected, List.of(never)));
    }

    /** Runs, is stopped, stays stopped after the key is let go, and starts again only on purpose. */
    private static void stopping(String code, String stop, String release) {
        define(code, List.of(STOPS, WAIT), s -> script(code, List.of(one("runs"), one(stop), one("stops", new Window(BigDecimal.ZERO, s.get("stop"), whose(STOPS, s))), one(release),
                one("stays-stopped", stays(s)), one("started")), List.of(BY_ITSELF)));
    }

    private static void infeed(String code, String infeed, boolean left, boolean right) {
        List<Expected> expected = new java.util.ArrayList<>(List.of(one("left-dog")));
        if (left) {
            expected.add(one(infeed));
        }
        expected.add(one("right-dog"));
        if (right) {
            expected.add(one(infeed));
        }
        round(code, expected, Set.of("left-dog", "right-dog"), left || right ? new Never("infeeds-elsewhere", false) : new Never(infeed, false));
    }

    private static void rotary(String code, boolean inner, boolean outer) {
        List<Expected> expected = new java.util.ArrayList<>(List.of(one("inner-reversal")));
        if (inner) {
            expected.add(one("down-feeds"));
        }
        expected.add(one("outer-reversal"));
        if (outer) {
            expected.add(one("down-feeds"));
        }
        round(code, expected, Set.of("inner-reversal", "outer-reversal"), new Never("down-feeds-elsewhere", false));
    }

    /** Goes round twice at least, watched from whichever end. */
    private static void round(String code, List<Expected> cycle, Set<String> turns, Never never) {
        define(code, List.of(), s -> new CycleScript(code, cycle, List.of(never), Optional.of(new CycleScript.Rounds(turns, 2, false))));
    }

    /** One in which something must stay as it is for as long as is set. */
    private static void waiting(String code, Function<Map<String, BigDecimal>, List<Expected>> expected, Never... never) {
        define(code, List.of(WAIT), s -> script(code, expected.apply(s), List.of(never)));
    }

    private static Window stays(Map<String, BigDecimal> set) {
        return new Window(set.get(WAIT.name), CycleLog.LONGEST, whose(WAIT, set));
    }

    private static Whose whose(Setting setting, Map<String, BigDecimal> set) {
        return set.get(setting.name).compareTo(new BigDecimal(setting.start)) == 0 ? Whose.HOUSE : Whose.SET;
    }

    private static void clamp(String code, String holds, String moves) {
        fixed(code, List.of(one("clamp-pressed"), one(holds, SOON), one("release-pressed"), one(moves, SOON)), new Never("another-clamps", false));
    }

    private static void define(String code, List<Setting> settings, Function<Map<String, BigDecimal>, CycleScript> build) {
        ALL.put(code, new Definition(settings, build));
    }

    private static CycleScript script(String code, List<Expected> expected, List<Never> never) {
        return new CycleScript(code, expected, never);
    }

    private static Expected one(String event) {
        return new Expected(event, 1, 1, Optional.empty());
    }

    private static Expected one(String event, Window window) {
        return new Expected(event, 1, 1, Optional.of(window));
    }

    private static Expected times(String event, int count) {
        return new Expected(event, count, count, Optional.empty());
    }

    /** A set time, and a quarter of it to either side, 0.3 s at least. */
    private static Window about(BigDecimal seconds) {
        BigDecimal part = seconds.multiply(new BigDecimal("0.25")).max(NEAR);
        return new Window(seconds.subtract(part).max(BigDecimal.ZERO), seconds.add(part), Whose.SET);
    }
}
