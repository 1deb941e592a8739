package tallledger.core.said;

import static tallledger.core.said.Forms.NUM;
import static tallledger.core.said.Forms.TO;
import static tallledger.core.said.Forms.of;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The rules for feeds and threads. */
final class Feeds {

    private static final String SIZE = "(thou\\b|mm\\b|in\\b(?:ch(?:es)?)?|[\"″])?";
    private static final String RATE = "(mm|in(?:ch(?:es)?)?)?\\s*(?:(?:per|a|/)\\s*(rev(?:olution)?\\b|turn\\b|min(?:ute)?\\b)|(ipm|"
            + "ipr)\\b)";
    private static final Pattern AFTER_FEEDS = of("\\bfeeds?\\b[\\s:,(\\u0001]*(?:from\\s+|of\\s+|ranging from\\s+)?" + NUM + "\\s*" + SIZE
            + TO + NUM + "\\s*" + SIZE
            + "(?:\\s*" + RATE + ")?(?!\\s*" + Forms.RPM + ")");
    private static final Pattern COLON = of("\\bfeeds?\\s*:?\\s*(\\d{1,3})(?=\\s*(?:$|[,(;]))");
    private static final Pattern BY_RATE = of(NUM + "\\s*" + SIZE + TO + NUM + "\\s*" + SIZE + "\\s*" + RATE);
    private static final Pattern COUNT = of("(?<![\\w.])(\\d{1,3})\\s+(?:([a-z][a-z ]*?)\\s+)?(?:power\\s+)?feeds?\\b");

    private Feeds() {
    }

    static void read(SaidSentence s, Vocabulary v) {
        s.each(COLON, m -> {
            s.cover(m.start(1), m.end(1));
            s.take(Topic.FEED_COUNT, m.group(1), m);
            return false;
        });
        s.each(AFTER_FEEDS, m -> ends(s, m, v));
        s.each(BY_RATE, m -> ends(s, m, v));
        s.each(COUNT, m -> {
            String of = m.group(2) == null ? "" : v.axis(m.group(2));
            boolean known = m.group(2) == null || !of.isEmpty() || m.group(2).matches("power|different|auto(?:matic)?|longitudinal|cross");
            return known && s.take(Topic.FEED_COUNT, m.group(1), m, of);
        });
        if (s.things().stream().anyMatch(t -> t.topic() == Topic.SLOWEST_FEED)
                && s.things().stream().noneMatch(t -> t.topic() == Topic.FEED_COUNT || t.topic() == Topic.SLOWEST_SPEED)) {
            s.each(of("(?<![\\w.])(\\d{1,3})\\s+of them\\b"), m -> s.take(Topic.FEED_COUNT, m.group(1), m));
        }
        s.each(of("(?<![\\w.])(\\d{1,3})\\s+(?:(?:metric|inch|imperial|whitworth|different)\\s+)?(?:threads|pitches)\\b"),
                m -> s.take(Topic.THREAD_COUNT, m.group(1), m));
    }

    /** With the unit that was said behind either end, and per what. */
    private static boolean ends(SaidSentence s, Matcher m, Vocabulary v) {
        double low = Measures.number(m.group(1));
        double high = Measures.number(m.group(3));
        if (low >= high) {
            return false;
        }
        String size = m.group(4) != null ? m.group(4) : m.group(2) != null ? m.group(2) : m.group(5) != null ? m.group(5) : "";
        String per = m.group(6) != null ? m.group(6).startsWith("min") ? "/min" : "/rev"
                : m.group(7) != null ? m.group(7).equals("ipm")
                        ? "/min"
                        : "/rev" : "";
        String unit = size.isEmpty() ? m.group(7) != null ? "in" : per.isEmpty() ? "" : v.inches() ? "in" : "mm"
                : size.startsWith("in")
                        ? "in"
                        : size;
        String behind = unit.isEmpty() ? "" : " " + unit + per;
        s.take(Topic.SLOWEST_FEED, m.group(1) + behind, m);
        s.take(Topic.FASTEST_FEED, m.group(3) + behind, m);
        s.cover(m.start(1), m.end());
        return false;
    }
}
