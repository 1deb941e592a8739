package tallledger.core.spoken;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Timed text as sentences. Captions break a sentence wherever a line is full: the cues are put together again, and parted at full stops,
 * at pauses, and where captions know no full stop at all, at the end of a cue.
 */
public record Narration(List<SpokenSentence> sentences) {

    /** With the seconds between which it is said. */
    public record SpokenSentence(BigDecimal from, BigDecimal until, String words) {
    }

    /** Who says nothing for so long has ended a sentence, s. */
    private static final BigDecimal PAUSE = new BigDecimal("1.2");
    /** Slow speech; where a line took longer, somebody was silent after it. */
    private static final BigDecimal CHARACTERS_A_SECOND = BigDecimal.valueOf(11);
    private static final int LONG_WITHOUT_STOP = 160;
    private static final int ENDLESS = 400;
    private static final int MILLISECONDS = 3;
    private static final Pattern END = Pattern.compile("(?<=[.!?;])(?<!\\b(?:[Nn]o|[Nn]r|approx|ca|max|min)\\.)\\s+(?=[A-Z\"'\\d])");

    /** A run of cues that belong together, with where each begins in its text. */
    private record Run(StringBuilder text, List<Integer> starts, List<TimedText.Cue> cues) {

        BigDecimal second(int place) {
            int i = starts.size() - 1;
            while (i > 0 && starts.get(i) > place) {
                i--;
            }
            TimedText.Cue cue = cues.get(i);
            BigDecimal until = i + 1 < cues.size() && cue.until().isEmpty() ? cues.get(i + 1).from() : end(cue);
            BigDecimal share = BigDecimal.valueOf(Math.min(1.0, (place - starts.get(i)) / (double) Math.max(1, cue.text().length())));
            return cue.from().add(until.subtract(cue.from()).max(BigDecimal.ZERO).multiply(share, MathContext.DECIMAL32))
                    .setScale(MILLISECONDS, RoundingMode.HALF_UP);
        }
    }

    public static Narration of(TimedText text) {
        List<SpokenSentence> sentences = new ArrayList<>();
        Run run = new Run(new StringBuilder(), new ArrayList<>(), new ArrayList<>());
        for (int i = 0; i < text.cues().size(); i++) {
            TimedText.Cue cue = text.cues().get(i);
            run.starts.add(run.text.length());
            run.cues.add(cue);
            run.text.append(cue.text()).append(' ');
            boolean pause = i + 1 < text.cues().size()
                    && text.cues().get(i + 1).from().subtract(cue.until().orElse(spoken(cue))).compareTo(PAUSE) > 0;
            int since = run.text.length() - lastStop(run.text);
            String next = i + 1 < text.cues().size() ? text.cues().get(i + 1).text() : "";
            // Not within a number, or a thing that is counted: where speakers begin anew, else where it has become too long.
            boolean endless = since > LONG_WITHOUT_STOP && ANEW.matcher(" " + next).region(1, next.length() + 1).useTransparentBounds(true)
                    .lookingAt() || since > ENDLESS;
            if (pause || endless || i + 1 == text.cues().size()) {
                sentences(run, sentences);
                run = new Run(new StringBuilder(), new ArrayList<>(), new ArrayList<>());
            }
        }
        return new Narration(List.copyOf(sentences));
    }

    /** When a line has been said, as people speak, where nobody says when it ends. */
    private static BigDecimal spoken(TimedText.Cue cue) {
        return cue.from().add(BigDecimal.valueOf(cue.text().length()).divide(CHARACTERS_A_SECOND, MathContext.DECIMAL32));
    }

    private static int lastStop(StringBuilder text) {
        return Math.max(text.lastIndexOf(". "), Math.max(text.lastIndexOf("! "), text.lastIndexOf("? "))) + 1;
    }

    private static void sentences(Run run, List<SpokenSentence> into) {
        String text = run.text.toString();
        int from = 0;
        Matcher m = END.matcher(text);
        while (m.find()) {
            clauses(run, text, from, m.start(), into);
            from = m.end();
        }
        clauses(run, text, from, text.length(), into);
    }

    /** What goes on and on without a stop is parted where speakers begin anew. */
    private static void clauses(Run run, String text, int from, int until, List<SpokenSentence> into) {
        int begins = from;
        if (until - from > LONGEST) {
            // Nobody says so much in one breath: it is read piece by piece, so that no text keeps anybody waiting.
            while (until - begins > A_PIECE) {
                int blank = text.lastIndexOf(' ', begins + A_PIECE);
                int end = blank > begins ? blank : begins + A_PIECE;
                add(run, text, begins, end, into);
                begins = end;
            }
        } else if (until - from > LONG_CLAUSE && text.substring(from, until).chars().filter(c -> c == ',').count() < 2) {
            Matcher m = ANEW.matcher(text).region(from, until);
            m.useTransparentBounds(true);
            while (m.find()) {
                if (text.substring(begins, m.start()).split(" ").length >= FEWEST_WORDS
                        && text.substring(m.start(), until).split(" ").length >= FEWEST_WORDS) {
                    add(run, text, begins, m.start(), into);
                    begins = m.start();
                }
            }
        }
        add(run, text, begins, until, into);
    }

    private static final int LONGEST = 2000;
    private static final int A_PIECE = 400;
    private static final int LONG_CLAUSE = 80;
    private static final int FEWEST_WORDS = 4;
    private static final Pattern ANEW = Pattern.compile("(?<= )(?=(?:"
            + "and (?:the|it|it's|you|i|we|then|there|there's|that's|next|now|also|a (?!half|quarter|third|bit|hundred))"
            + "|so|now|but|um|okay|then|also|the \\w+ (?:\\w+ )?(?:is|has|does|works|doesn't|goes|runs|feeds?)"
            + "|you(?:'ll)? get|you can|there's|there is|there are|i (?:think|believe|don't|have|can)|i've|i'll"
            + "|it's|it has|it comes|that's|this is|we've|we're|here's|right now|backlash|comes with)\\b)",
            Pattern.CASE_INSENSITIVE);

    private static void add(Run run, String text, int from, int until, List<SpokenSentence> into) {
        String words = text.substring(from, until).strip();
        if (!words.isEmpty()) {
            into.add(new SpokenSentence(run.second(from), run.second(Math.max(from, until - 1)), words));
        }
    }

    private static BigDecimal end(TimedText.Cue cue) {
        return cue.until().filter(u -> u.compareTo(cue.from()) > 0).orElse(cue.from().add(TimedText.A_LINE));
    }
}
