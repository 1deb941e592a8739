package tallledger.core.said;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Running text, read sentence by sentence.
 *
 * <p>Worked: "Fifteen speeds, 25 to 3150, she runs them all." is a count of 15, a slowest of 25, a fastest of 3150, and that all of them
 * run.
 */
public final class SaidText {

    /**
     * A full stop with a blank behind it ends a sentence, but not before a small letter, nor behind "No", nor behind "approx" or "max"
     * where
     * a figure follows.
     */
    private static final Pattern END = Pattern.compile("\\R|;|!(?=\\s|$)|(?<=\\?)(?=\\s|$)|(?<!\\b(?:[Nn]o|[Nn]r))\\.(?=\\s|$)(?!\\s[a-z])"
            + "(?<!\\b(?:approx|abt|ca|incl|max|min|dia|spec)\\.(?=\\s\\d))");
    private static final int LONGEST_SENTENCE = 600;

    private SaidText() {
    }

    /**
     * What was taken and what was not.
     *
     * @param untaken the words nothing was taken of, sentence by sentence, in their order
     */
    public record Split(List<Said> things, List<String> untaken) {
    }

    /** The sentences of a text, in their order. */
    public static List<String> sentences(String text) {
        return Arrays.stream(END.split(text)).map(String::strip).filter(s -> !s.isEmpty()).toList();
    }

    /** Words that begin with a count, without it: "Two steadies" are "steadies". */
    public static String withoutCount(String words) {
        return Numerals.of(words.strip()).text().replaceFirst("^\\d{1,3}\\s+", "");
    }

    /** In lower case, number words as digits. */
    public static String inDigits(String text) {
        return Numerals.of(text).text();
    }

    public static Split read(String text, Vocabulary vocabulary) {
        List<Said> things = new ArrayList<>();
        List<String> untaken = new ArrayList<>();
        sentences(text).forEach(said -> {
            // What is asked is not said.
            if (said.length() > LONGEST_SENTENCE || said.endsWith("?")) {
                untaken.add(said);
                return;
            }
            SaidSentence sentence = new SaidSentence(said);
            Remarks.admissions(sentence);
            Measures.read(sentence, vocabulary);
            Remarks.read(sentence, vocabulary);
            things.addAll(sentence.things());
            List<String> left = sentence.untaken();
            if (!left.isEmpty()) {
                untaken.add(String.join(", ", left));
            }
        });
        return new Split(List.copyOf(things), List.copyOf(untaken));
    }
}
