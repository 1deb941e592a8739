package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;

/**
 * A person's own script, one event a line: {@code name}, {@code name x3}, {@code name x2-4}, {@code name 1.5-3 s},
 * {@code never name}, and {@code hazard name} for what can hurt somebody.
 */
public final class ScriptText {

    /** A longer script is read when it is recorded, not as it is written. */
    private static final int LONGEST = 4_000;
    private static final int LONGEST_LINE = 200;
    private static final Pattern LINE = Pattern.compile(
            "(?<name>\\p{L}[\\p{L}\\d' "
                    + "-]{0,39}?)(?:\\s+[x×](?<least>\\d{1,2})(?:-(?<most>\\d{1,2}))?)?"
                    + "(?:\\s+(?<from>\\d{1,4}(?:[.,]\\d+)?)\\s*-\\s*(?<to>\\d{1,4}(?:[.,]\\d+)?)\\s*s)?");

    private ScriptText() {
    }

    /** @throws Refused naming the line that cannot be read and the forms that can */
    public static CycleScript parse(String text) {
        List<CycleScript.Expected> expected = new ArrayList<>();
        List<CycleScript.Never> never = new ArrayList<>();
        for (String typed : text.split("\\R")) {
            String line = typed.strip();
            never(line).ifPresent(never::add);
            if (!line.isEmpty() && never(line).isEmpty()) {
                expected.add(expected(line));
            }
        }
        return new CycleScript(CycleScript.OWN, expected, never);
    }

    /** Events of a script that is still being written, as far as it can be read: each once, in order. */
    public static List<WrittenEvent> soFar(String text) {
        Map<String, WrittenEvent> events = new LinkedHashMap<>();
        for (String line : (text.length() > LONGEST ? text.substring(0, LONGEST) : text).split("\\R")) {
            event(line).filter(event -> !event.name.isBlank()).ifPresent(event -> events.putIfAbsent(event.name, event));
        }
        return List.copyOf(events.values());
    }

    /** @param forbidden where it must not happen */
    public record WrittenEvent(String name, Optional<CycleScript.Never> forbidden) {
    }

    private static Optional<WrittenEvent> event(String typed) {
        String line = typed.strip();
        try {
            return never(line).map(never -> new WrittenEvent(never.event(), Optional.of(never)))
                    .or(() -> read(line).map(expected -> new WrittenEvent(expected.event(), Optional.empty())));
        } catch (Refused halfWritten) {
            // A count or a window that makes no sense yet.
            return Optional.empty();
        }
    }

    private static Optional<CycleScript.Never> never(String line) {
        return line.startsWith("never ") || line.startsWith("hazard ")
                ? Optional.of(new CycleScript.Never(line.substring(line.indexOf(' ')).strip(), line.startsWith("hazard ")))
                : Optional.empty();
    }

    private static CycleScript.Expected expected(String line) {
        return read(line)
                .orElseThrow(() -> Refused.because(CycleReason.SCRIPT_LINE, line.length() > 40 ? line.substring(0, 40) + "…" : line));
    }

    private static Optional<CycleScript.Expected> read(String line) {
        Matcher m = LINE.matcher(line);
        // Length before the pattern, which goes back and forth.
        if (line.length() > LONGEST_LINE || !m.matches()) {
            return Optional.empty();
        }
        int least = m.group("least") == null ? 1 : Integer.parseInt(m.group("least"));
        int most = m.group("most") == null ? least : Integer.parseInt(m.group("most"));
        Optional<CycleScript.Window> window = m.group("from") == null ? Optional.empty()
                : Optional.of(new CycleScript.Window(seconds(m.group("from")), seconds(m.group("to")), CycleScript.Whose.OWN));
        return Optional.of(new CycleScript.Expected(m.group("name").strip(), least, most, window));
    }

    private static BigDecimal seconds(String digits) {
        return new BigDecimal(digits.replace(',', '.'));
    }
}
