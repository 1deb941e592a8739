package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * An arrow, a ring or a word over a photograph, which itself stays as it was taken. Places are in thousandths of its width and height from
 * its upper left corner, so that they hold for the small copy too.
 *
 * @param fromX an arrow's tail, a corner of the box a ring lies in, where a word begins
 * @param toX   the arrow's head, the corner opposite; a word's own place again
 * @param word  what it says; may be empty for an arrow or a ring
 */
public record PictureMark(Drawn shape, int fromX, int fromY, int toX, int toY, String word) {

    public enum Drawn { ARROW, RING, WORD }

    private static final int MOST = 40;
    private static final int LONGEST_WORD = 60;
    private static final int WHOLE = 1000;
    private static final BigDecimal A_PERCENT = BigDecimal.TEN;
    private static final Pattern LINE = Pattern.compile("(arrow|ring|word)((?: \\d{1,3}(?:\\.\\d{1,3})?){2,4}+)(?: (\\D.{0,200}+))?",
            Pattern.CASE_INSENSITIVE);

    public PictureMark {
        word = word.strip();
        if (Stream.of(fromX, fromY, toX, toY).anyMatch(place -> place < 0 || place > WHOLE)) {
            throw Refused.because(SurveyReason.MARK_OUTSIDE);
        }
        if (word.length() > LONGEST_WORD) {
            throw Refused.because(CommonReason.TEXT_LONG, word.length(), LONGEST_WORD);
        }
        if (shape == Drawn.WORD && word.isEmpty()) {
            throw Refused.because(SurveyReason.MARK_WORD);
        }
    }

    /**
     * As typed or drawn, one a line: {@code arrow 10 20 30.5 40 crack}, {@code ring 10 20 30 40}, {@code word 10 20 crack}; places in per
     * cent of width and height.
     *
     * @throws Refused naming the line that is none
     */
    public static List<PictureMark> parse(String typed) {
        List<PictureMark> marks = typed.lines().map(String::strip).filter(line -> !line.isEmpty()).map(PictureMark::ofLine).toList();
        if (marks.isEmpty()) {
            throw Refused.because(SurveyReason.MARK_NONE);
        }
        if (marks.size() > MOST) {
            throw Refused.because(SurveyReason.MARK_MANY, marks.size(), MOST);
        }
        return marks;
    }

    private static PictureMark ofLine(String line) {
        Matcher parts = LINE.matcher(line);
        if (!parts.matches()) {
            throw Refused.because(SurveyReason.MARK_FORM, line);
        }
        Drawn shape = Drawn.valueOf(parts.group(1).toUpperCase(Locale.ROOT));
        List<Integer> at = Stream.of(parts.group(2).strip().split(" ")).map(PictureMark::thousandths).toList();
        if (at.size() != (shape == Drawn.WORD ? 2 : 4)) {
            throw Refused.because(SurveyReason.MARK_FORM, line);
        }
        String word = parts.group(3) == null ? "" : parts.group(3);
        return shape == Drawn.WORD ? new PictureMark(shape, at.get(0), at.get(1), at.get(0), at.get(1), word)
                : new PictureMark(shape, at.get(0), at.get(1), at.get(2), at.get(3), word);
    }

    private static int thousandths(String percent) {
        return new BigDecimal(percent).multiply(A_PERCENT).setScale(0, RoundingMode.HALF_UP).intValueExact();
    }

    /** In words: what it is, and what it says. */
    public Reason says() {
        return Reason.of(SurveyReason.MARK_SAYS, shape, word.isEmpty() ? 0 : 1, word);
    }

    Map<String, Object> toPayload() {
        return Map.of("shape", shape.name(), "fromX", fromX, "fromY", fromY, "toX", toX, "toY", toY, "word", word);
    }

    static PictureMark from(Payload p) {
        return new PictureMark(Drawn.valueOf(p.text("shape")), p.whole("fromX"), p.whole("fromY"), p.whole("toX"), p.whole("toY"),
                p.text("word"));
    }
}
