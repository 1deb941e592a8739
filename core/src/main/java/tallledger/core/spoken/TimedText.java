package tallledger.core.spoken;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.film.FilmFile;
import tallledger.core.film.Gap;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * Text with times: WebVTT, SubRip, or lines that begin with a time ({@code 1:23 this is bottom}, {@code [00:01:23] …}). Marks of voice and
 * style are left out; a line that captions repeat while the next one comes stands once. Lines whose times run back are put in the order of
 * their times, and that is said.
 *
 * @param cues   in the order of their times
 * @param doubts what of it was not as it should be
 */
public record TimedText(List<Cue> cues, List<Reason> doubts) {

    public static final int MOST_CHARACTERS = 800_000;
    public static final int MOST_LINES = 12_000;
    /** What a line takes at most where nobody says when it ends, s. */
    static final BigDecimal A_LINE = BigDecimal.valueOf(4);
    private static final String CLOCK = "(?:(\\d{1,2}):)?(\\d{1,3}):(\\d{2})(?:[.,](\\d{1,3}))?";
    private static final Pattern FROM_TO = Pattern.compile("\\s*" + CLOCK + "\\s*-->\\s*" + CLOCK + ".*");
    private static final Pattern BEGINS = Pattern.compile("\\s*[\\[(<]?" + CLOCK + "[\\])>]?\\s*[-–—:|]?\\s*(.*)");
    private static final Pattern MARK = Pattern.compile("<[^<>]{0,80}>|\\{\\\\[^}]{0,40}\\}");
    private static final int GROUPS = 4;
    private static final int SECONDS_A_MINUTE = 60;
    private static final int SECONDS_AN_HOUR = 3600;

    /** @param until empty where only its beginning is known */
    public record Cue(BigDecimal from, Optional<BigDecimal> until, String text) {
    }

    /** Who says nothing for so long is silent, s (house). */
    private static final BigDecimal SILENT = BigDecimal.valueOf(3);

    /**
     * Where nobody speaks, by texts of one film together.
     *
     * @param end second at which the film ends
     */
    public static List<Gap> silences(List<TimedText> texts, BigDecimal end) {
        List<Gap> spoken = new ArrayList<>();
        for (TimedText text : texts) {
            for (int i = 0; i < text.cues.size(); i++) {
                Cue cue = text.cues.get(i);
                BigDecimal next = i + 1 < text.cues.size() ? text.cues.get(i + 1).from : end;
                spoken.add(new Gap(cue.from, cue.until.filter(u -> u.compareTo(cue.from) > 0)
                        .orElse(cue.from.add(A_LINE).min(next.max(cue.from)))));
            }
        }
        return Gap.between(spoken, end, SILENT);
    }

    /** @throws Refused where it is none, or longer than what anybody says of a machine */
    public static TimedText parse(String typed) {
        if (typed.isBlank()) {
            throw Refused.because(SpokenReason.TEXT_EMPTY);
        }
        if (typed.length() > MOST_CHARACTERS) {
            throw Refused.because(SpokenReason.TEXT_LARGE, typed.length(), MOST_CHARACTERS);
        }
        List<String> lines = typed.replace("\uFEFF", "").lines().toList();
        if (lines.size() > MOST_LINES) {
            throw Refused.because(SpokenReason.TEXT_LINES, lines.size(), MOST_LINES);
        }
        List<Cue> cues = new ArrayList<>();
        List<Reason> doubts = new ArrayList<>();
        boolean blocks = lines.stream().anyMatch(l -> FROM_TO.matcher(l).matches());
        int unread = blocks ? blocks(lines, cues) : lines(lines, cues);
        if (cues.isEmpty()) {
            throw Refused.because(SpokenReason.TEXT_NO_TIMES);
        }
        if (unread > 0) {
            doubts.add(Reason.of(SpokenReason.LINES_UNREAD, unread));
        }
        int back = 0;
        for (int i = 1; i < cues.size(); i++) {
            back += cues.get(i).from.compareTo(cues.get(i - 1).from) < 0 ? 1 : 0;
        }
        if (back > 0) {
            doubts.add(Reason.of(SpokenReason.TIMES_BACK, back));
        }
        cues.sort(Comparator.comparing(Cue::from));
        return new TimedText(List.copyOf(cues), List.copyOf(doubts));
    }

    /** @throws Refused where it still speaks when the film has ended: it is another film's, and none of that could be answered */
    public TimedText checkedFor(FilmFile film) {
        BigDecimal last = cues.get(cues.size() - 1).from;
        if (!film.holds(last)) {
            throw Refused.because(SpokenReason.TEXT_PAST_END, FilmMoment.shown(last), FilmMoment.shown(film.seconds().orElseThrow()));
        }
        return this;
    }

    /** Cues of several lines, parted by empty ones. @return how many lines stand in none */
    private static int blocks(List<String> lines, List<Cue> cues) {
        int unread = 0;
        List<String> before = List.of();
        for (int i = 0; i < lines.size();) {
            Matcher m = FROM_TO.matcher(lines.get(i));
            if (!m.matches()) {
                unread += isNothing(lines.get(i), i + 1 < lines.size() ? lines.get(i + 1) : "") ? 0 : 1;
                i++;
                continue;
            }
            List<String> text = new ArrayList<>();
            for (i++; i < lines.size() && !lines.get(i).isBlank() && !FROM_TO.matcher(lines.get(i)).matches(); i++) {
                text.add(plain(lines.get(i)));
            }
            if (!text.isEmpty() && FROM_TO.matcher(i < lines.size() ? lines.get(i) : "").matches()
                    && text.get(text.size() - 1).matches("\\d{1,6}")) {
                text.remove(text.size() - 1);
            }
            List<String> repeated = before;
            List<String> fresh = text.stream().filter(t -> !t.isEmpty() && !repeated.contains(t)).toList();
            before = text;
            if (!fresh.isEmpty()) {
                cues.add(new Cue(second(m, 1), Optional.of(second(m, GROUPS + 1)), String.join(" ", fresh)));
            }
        }
        return unread;
    }

    /** Heads, notes, numbers and names of cues say nothing. */
    private static boolean isNothing(String line, String next) {
        return line.isBlank() || line.matches("(?:WEBVTT|NOTE|STYLE|REGION|Kind:|Language:|X-TIMESTAMP).*")
                || line.strip().matches("\\d{1,7}")
                || FROM_TO.matcher(next).matches();
    }

    /** Lines that begin with a time; one without goes on with the one before. */
    private static int lines(List<String> lines, List<Cue> cues) {
        int unread = 0;
        for (String line : lines) {
            Matcher m = BEGINS.matcher(line);
            if (m.matches()) {
                cues.add(new Cue(second(m, 1), Optional.empty(), plain(m.group(GROUPS + 1))));
            } else if (!line.isBlank() && !cues.isEmpty()) {
                Cue last = cues.remove(cues.size() - 1);
                cues.add(new Cue(last.from, Optional.empty(), last.text + " " + plain(line)));
            } else if (!line.isBlank()) {
                unread++;
            }
        }
        cues.removeIf(c -> c.text.isBlank());
        return unread;
    }

    private static String plain(String line) {
        return MARK.matcher(line).replaceAll("").replace("&amp;", "&").replace("&lt;", "<").replace("&gt;", ">").replace("&nbsp;", " ")
                .replace("&#39;", "'").replace("&quot;", "\"").replace('’', '\'').replaceAll("\\[(?:music|applause|__)[^\\]]*\\]", "")
                .replaceAll("\\s+", " ").strip();
    }

    private static BigDecimal second(Matcher m, int group) {
        int hours = m.group(group) == null ? 0 : Integer.parseInt(m.group(group));
        int whole =
                hours * SECONDS_AN_HOUR + Integer.parseInt(m.group(group + 1)) * SECONDS_A_MINUTE + Integer.parseInt(m.group(group + 2));
        return m.group(group + 3) == null ? BigDecimal.valueOf(whole) : new BigDecimal(whole + "." + m.group(group + 3));
    }
}
