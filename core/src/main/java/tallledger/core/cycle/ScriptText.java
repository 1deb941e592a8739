package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;

/**
 * A person's own script, one event a line: {@code name}, {@code name x3}, {@code name x2-4}, {@code name 1.5-3 s},
 * {@code never name}, and {@code hazard name} for what can hurt somebody.
 */
public final class ScriptText {

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
            if (line.startsWith("never ") || line.startsWith("hazard ")) {
                never.add(new CycleScript.Never(line.substring(line.indexOf(' ')).strip(), line.startsWith("hazard ")));
            } else if (!line.isEmpty()) {
                expected.add(expected(line));
            }
        }
        return new CycleScript(CycleScript.OWN, expected, never);
    }

    private static CycleScript.Expected expected(String line) {
        Matcher m = LINE.matcher(line);
        // Length before the pattern, which goes back and forth.
        if (line.length() > LONGEST_LINE || !m.matches()) {
            throw Refused.because(CycleReason.SCRIPT_LINE, line.length() > 40 ? line.substring(0, 40) + "…" : line);
        }
        int least = m.group("least") == null ? 1 : Integer.parseInt(m.group("least"));
        int most = m.group("most") == null ? least : Integer.parseInt(m.group("most"));
        Optional<CycleScript.Window> window = m.group("from") == null ? Optional.empty()
                : Optional.of(new CycleScript.Window(seconds(m.group("from")), seconds(m.group("to")), CycleScript.Whose.OWN));
        return new CycleScript.Expected(m.group("name").strip(), least, most, window);
    }

    private static BigDecimal seconds(String digits) {
        return new BigDecimal(digits.replace(',', '.'));
    }
}
