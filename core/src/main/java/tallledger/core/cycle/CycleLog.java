package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tallledger.core.reason.Refused;

/**
 * Events as they happened, tapped or typed one a line: {@code name seconds}.
 *
 * @param taps in the order of time
 */
public record CycleLog(List<Tap> taps) {

    public static final int MOST_TAPS = 120;
    /** Nobody watches one cycle longer, s. */
    public static final BigDecimal LONGEST = BigDecimal.valueOf(4 * 3600);

    private static final Pattern LINE = Pattern.compile("(?<name>.*\\S)\\s+(?<at>\\d{1,6}(?:[.,]\\d{1,3})?)\\s*s?");

    /** One event at so many seconds. */
    public record Tap(String event, BigDecimal at) {
    }

    public CycleLog {
        taps = List.copyOf(taps);
    }

    /** @throws Refused naming the line: unreadable, an event the script does not know, or a time before the one above it */
    public static CycleLog parse(String text, List<String> events) {
        List<Tap> taps = new ArrayList<>();
        int number = 0;
        for (String typed : text.split("\\R")) {
            number++;
            String line = typed.strip();
            if (!line.isEmpty()) {
                taps.add(tap(line, number, events, taps));
            }
        }
        if (taps.isEmpty()) {
            throw Refused.because(CycleReason.LOG_EMPTY);
        }
        if (taps.size() > MOST_TAPS) {
            throw Refused.because(CycleReason.LOG_LONG, taps.size(), MOST_TAPS);
        }
        return new CycleLog(taps);
    }

    private static Tap tap(String line, int number, List<String> events, List<Tap> before) {
        Matcher m = LINE.matcher(line);
        if (!m.matches()) {
            throw Refused.because(CycleReason.LOG_LINE, number, line.length() > 40 ? line.substring(0, 40) + "…" : line);
        }
        String event = EventWords.event(m.group("name"), events)
                .orElseThrow(() -> Refused.because(CycleReason.LOG_EVENT, number, m.group("name"),
                        events.stream().map(EventWords::of).collect(Collectors.joining(", "))));
        BigDecimal at = new BigDecimal(m.group("at").replace(',', '.'));
        if (at.compareTo(LONGEST) > 0) {
            throw Refused.because(CycleReason.LOG_LATE, number, at, LONGEST);
        }
        if (!before.isEmpty() && at.compareTo(before.get(before.size() - 1).at) < 0) {
            throw Refused.because(CycleReason.LOG_ORDER, number, at, before.get(before.size() - 1).at);
        }
        return new Tap(event, at);
    }
}
