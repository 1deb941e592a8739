package tallledger.web.film;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/** Text with times that any player shows beside a film (WebVTT, W3C), written cue by cue. */
public final class WebVtt {

    private static final int MILLISECONDS_AN_HOUR = 3_600_000;
    private static final int MILLISECONDS_A_MINUTE = 60_000;
    private static final int MILLISECONDS = 1000;

    private final StringBuilder vtt = new StringBuilder("WEBVTT\n");

    /** What no player shows: whose times these are. */
    public WebVtt note(String text) {
        vtt.append("\nNOTE ").append(line(text)).append('\n');
        return this;
    }

    /** @param from seconds @param until seconds */
    public WebVtt cue(BigDecimal from, BigDecimal until, String text) {
        vtt.append('\n').append(clock(from)).append(" --> ").append(clock(until)).append('\n')
                .append(line(text.replace("&", "&amp;").replace("<", "&lt;"))).append('\n');
        return this;
    }

    /** An arrow would be read as times. */
    private static String line(String text) {
        return text.replace("-->", "\u2192").replaceAll("\\s*\\R\\s*", " ");
    }

    /** hh:mm:ss.000. */
    public static String clock(BigDecimal seconds) {
        long ms = seconds.movePointRight(3).setScale(0, RoundingMode.HALF_UP).longValue();
        return String.format(Locale.ROOT, "%02d:%02d:%02d.%03d", ms / MILLISECONDS_AN_HOUR, ms / MILLISECONDS_A_MINUTE % 60,
                ms / MILLISECONDS % 60, ms % MILLISECONDS);
    }

    public String written() {
        return vtt.toString();
    }
}
