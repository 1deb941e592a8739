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
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Unit;

/**
 * The scripts that come with the house. Some depend on what is set on the machine (a dwell, a number of passes): those
 * settings are asked for and have a starting value. The other times are rules of the house.
 */
public final class CycleScripts {

    /** What stands set on the machine; all in s or counts. */
    public enum Setting {
        /** How long a thing must be seen to stay as it is; the machine's own book may want more, or a person. */
        WAIT("wait") {
            @Override
            public BigDecimal start(Rules rules) {
                return rules.number(Rule.STAYS);
            }
        },
        /** Within which a thing must stop. */
        STOP("stop") {
            @Override
            public BigDecimal start(Rules rules) {
                return rules.graded(Rule.SPINDLE_STOP).workable();
            }
        },
        DWELL_LEFT("dwell-left", "2"), DWELL_RIGHT("dwell-right", "2"), PASSES("passes", "4"), SPARK_OUT("spark-out", "3"),
        /** Which {@link EndOrder} its maker gave it, by number. */
        ORDER("order", "0");

        private final String field;
        private final BigDecimal start;

        Setting(String field, String start) {
            this.field = field;
            this.start = new BigDecimal(start);
        }

        Setting(String field) {
            this(field, "0");
        }

        /** Name of its field. */
        public String field() {
            return field;
        }

        /** What it is taken for where nobody says. */
        public BigDecimal start(Rules rules) {
            return start;
        }

        /** Its unit; a bare number for a count. */
        public Unit unit() {
            return this == PASSES || this == ORDER ? Unit.NUMBER : Unit.SECONDS;
        }
    }

    /** In which order a grinder ends its cycle: makers differ, and neither is a fault. */
    public enum EndOrder {
        STOPS_THEN_PARKS, PARKS_THEN_STOPS
    }

    private static final Never BY_ITSELF = new Never("starts-by-itself", true);

    /** A script's times, as they are set and as the house has them. */
    private record Times(Map<Setting, BigDecimal> set, Rules rules) {

        BigDecimal at(Setting setting) {
            return set.getOrDefault(setting, setting.start(rules));
        }

        Window soon() {
            return new Window(BigDecimal.ZERO, rules.number(Rule.SOON), Whose.HOUSE);
        }

        Window stays() {
            return new Window(at(Setting.WAIT), CycleLog.LONGEST, whose(Setting.WAIT));
        }

        Window stops() {
            return new Window(BigDecimal.ZERO, at(Setting.STOP), whose(Setting.STOP));
        }

        private Whose whose(Setting setting) {
            return at(setting).compareTo(setting.start(rules)) == 0 ? Whose.HOUSE : Whose.SET;
        }

        /** A set time, and a share of it to either side, so much at least. */
        Window about(Setting setting) {
            BigDecimal seconds = at(setting);
            BigDecimal part = seconds.multiply(rules.share(Rule.SET_TIME)).max(rules.number(Rule.SET_TIME_LEAST));
            return new Window(seconds.subtract(part).max(BigDecimal.ZERO), seconds.add(part), Whose.SET);
        }
    }

    private record Definition(List<Setting> settings, Function<Times, CycleScript> build) {
    }

    private static final Map<String, Definition> ALL = new LinkedHashMap<>();

    static {
        waiting("feed-trip", s -> List.of(one("feed-on"), one("trips"), one("stays-off", s.stays())), new Never("feeds-on", false));
        waiting("quill-knock-off", s -> List.of(one("quill-feed-on"), one("knocks-off"), one("stays-off", s.stays())),
                new Never("feeds-past", false));
        fixed("half-nut-interlock", s -> List.of(one("feed-in"), one("half-nut-blocked"), one("feed-out"), one("half-nut-in"),
                one("feed-blocked")),
                new Never("both-in", true));
        stopping("emergency-stop", "stop-pressed", "stop-released");
        stopping("foot-brake", "pedal-down", "pedal-up");
        stopping("kick-bar", "bar-kicked", "bar-let-go");
        stopping("pedal", "pedal-down", "pedal-up");
        define("dead-man-pedal", List.of(Setting.STOP, Setting.WAIT),
                s -> script("dead-man-pedal", List.of(one("pedal-held"), one("runs"), one("pedal-let-go"),
                        one("stops", s.stops()), one("stays-stopped", s.stays())), List.of(BY_ITSELF, new Never("runs-on", true))));
        stopping("guard", "guard-opened", "guard-closed");
        waiting("neutral", s -> List.of(one("neutral-set"), one("free-by-hand"), one("motor-on"), one("spindle-still", s.stays())),
                new Never("spindle-drives", true));
        waiting("brake-before-start", s -> List.of(one("brake-on"), one("start-pressed"), one("does-not-drive", s.stays()),
                one("brake-off"), one("start-pressed"), one("runs")),
                new Never("drives-against-brake", false));
        fixed("direction", s -> List.of(one("forward-pressed"), one("turns-forward"), one("stops"), one("reverse-pressed"),
                one("turns-reverse"), one("stops")),
                new Never("wrong-way", true));
        fixed("commanded-shift", s -> List.of(one("set-below"), one("runs"), one("set-above"), one("stops"), one("shifts"), one("runs")),
                new Never("hunts", false), new Never("alarm", false));
        define("table-reversal", List.of(Setting.DWELL_LEFT, Setting.DWELL_RIGHT), s -> new CycleScript("table-reversal",
                List.of(one("left-dog"), one("leaves-left", s.about(Setting.DWELL_LEFT)), one("right-dog"),
                        one("leaves-right", s.about(Setting.DWELL_RIGHT))),
                List.of(new Never("runs-past-dog", true)), Optional.of(new CycleScript.Rounds(Set.of("left-dog", "right-dog"), 1, true))));
        infeed("infeed-left", "infeeds-left", true, false);
        infeed("infeed-right", "infeeds-right", false, true);
        infeed("infeed-both", "infeeds", true, true);
        infeed("infeed-none", "infeeds", false, false);
        waiting("dead-stop", s -> List.of(one("infeed-on"), one("at-dead-stop"), one("sparks-out", s.stays()), one("retreats")),
                new Never("feeds-past", false));
        fixed("work-stops-on-retreat", s -> List.of(one("work-turns"), one("wheel-back"), one("work-stops", s.soon()), one("wheel-in"),
                one("work-turns", s.soon())), BY_ITSELF);
        rotary("down-feed-inner", true, false);
        rotary("down-feed-outer", false, true);
        rotary("down-feed-both", true, true);
        define("spark-out", List.of(Setting.PASSES, Setting.ORDER), s -> script("spark-out", ending(s), List.of(new Never("feeds-past",
                false))));
        define("centreless-infeed", List.of(Setting.SPARK_OUT), s -> new CycleScript("centreless-infeed",
                List.of(one("infeed-on"), one("at-zero"),
                        one("retreats", s.about(Setting.SPARK_OUT))),
                List.of(new Never("feeds-past", false)),
                Optional.of(new CycleScript.Rounds(Set.of(), 2, false))));
        fixed("regulating-wheel", s -> List.of(one("grind-set"), one("turns-slow"), one("dress-set"), one("turns-fast"), one("grind-set"),
                one("turns-slow")),
                new Never("jumps-speed", false));
        clamp("clamp-arm", "arm-holds", "arm-moves");
        clamp("clamp-head", "head-holds", "head-moves");
        clamp("clamp-column", "column-holds", "column-swings");
        waiting("clamped-elevation", s -> List.of(one("arm-holds"), one("raise-pressed"), one("does-not-move", s.stays()),
                one("released", s.stays()), one("raise-pressed"),
                one("arm-moves", s.soon())),
                new Never("moves-clamped", true));
    }

    private CycleScripts() {
    }

    private static List<Expected> ending(Times s) {
        Expected passes = times("pass", s.at(Setting.PASSES).intValue());
        return s.at(Setting.ORDER).intValue() == EndOrder.PARKS_THEN_STOPS.ordinal()
                ? List.of(one("at-zero"), passes, one("table-parks"), one("chuck-stops"), one("wheel-stops"))
                : List.of(one("at-zero"), passes, one("chuck-stops"), one("wheel-stops"), one("table-parks"));
    }

    public static List<String> codes() {
        return List.copyOf(ALL.keySet());
    }

    public static List<Setting> settings(String code) {
        return definition(code).settings;
    }

    /** @param set what is set on the machine; a missing setting is taken for its start */
    public static CycleScript of(String code, Map<Setting, BigDecimal> set, Rules rules) {
        return definition(code).build.apply(new Times(set, rules));
    }

    /** What can happen in it, by the names of its keys; no time has a part in that. */
    public static List<String> events(String code) {
        return of(code, Map.of(), Rules.shipped()).events();
    }

    private static Definition definition(String code) {
        Definition definition = ALL.get(code);
        if (definition == null) {
            throw new IllegalArgumentException("no such script: " + code);
        }
        return definition;
    }

    private static void fixed(String code, Function<Times, List<Expected>> expected, Never... never) {
        define(code, List.of(), s -> script(code, expected.apply(s), List.of(never)));
    }

    /** Runs, is stopped, stays stopped after the key is let go, and starts again only on purpose. */
    private static void stopping(String code, String stop, String release) {
        define(code, List.of(Setting.STOP, Setting.WAIT),
                s -> script(code, List.of(one("runs"), one(stop), one("stops", s.stops()), one(release),
                        one("stays-stopped", s.stays()), one("started")), List.of(BY_ITSELF)));
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
        round(code, expected, Set.of("left-dog", "right-dog"), left || right ? new Never("infeeds-elsewhere", false)
                : new Never(infeed, false));
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
    private static void waiting(String code, Function<Times, List<Expected>> expected, Never... never) {
        define(code, List.of(Setting.WAIT), s -> script(code, expected.apply(s), List.of(never)));
    }

    private static void clamp(String code, String holds, String moves) {
        fixed(code, s -> List.of(one("clamp-pressed"), one(holds, s.soon()), one("release-pressed"), one(moves, s.soon())),
                new Never("another-clamps", false));
    }

    private static void define(String code, List<Setting> settings, Function<Times, CycleScript> build) {
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
}
