package tallledger.core.said;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One sentence, read thing by thing: what was taken is covered, so that nothing is read twice. */
final class SaidSentence {

    private static final char COVERED = '\u0001';
    /** Covered, and not taken: it comes back among what was not. */
    private static final char KEPT = '\u0002';
    private static final Pattern LETTERS = Pattern.compile("[\\p{L}\\d\u0002]");
    /** What only joins what was taken says nothing by itself. */
    private static final Pattern JOINS = Pattern.compile("(?:[^\\p{L}\\d\u0002]|\\b(?:and|with|the|a|an|it|its|is|are|has|have|of|or|"
            + "on|in|at|to|from|for|by|all|"
            + "about|around|roughly|approx|approximately|circa|i|believe|think|maybe|perhaps|should|be|supposed|only|also|plus|each|per|s|"
            + "machine|lathe|mill|drill|grinder|motor|spindle|speeds?|feeds?|travels?|wheel|table|chuck|swing|goes|up|down|rpm|then)\\b)*");
    private static final Pattern HEDGE = Pattern.compile("(?i)\\s*(?:or so|i believe|i think|i reckon|maybe|perhaps|as far as i know|so"
            + " i am told|"
            + "supposedly|i never counted)\\s*");

    private final String said;
    private final Numerals numerals;
    private final StringBuilder left;
    private final List<Said> things = new ArrayList<>();

    SaidSentence(String said) {
        this.said = said;
        this.numerals = Numerals.of(said);
        this.left = new StringBuilder(numerals.text());
    }

    /** What has not been taken yet, in lower case with digits; what was is a sign that is no letter. */
    String left() {
        return left.toString();
    }

    /** Each place where the pattern stands is given to the reader; where that takes it, it is covered. */
    void each(Pattern pattern, Predicate<Matcher> reader) {
        int from = 0;
        Matcher m = pattern.matcher(left());
        while (from <= left.length() && m.find(from)) {
            int start = m.start();
            int end = m.end();
            if (reader.test(m)) {
                cover(start, end);
                m = pattern.matcher(left());
            }
            from = Math.max(end, start + 1);
        }
    }

    void cover(int start, int end) {
        for (int i = start; i < end; i++) {
            left.setCharAt(i, COVERED);
        }
    }

    /** Nobody says what it is of: it stays words, and no other rule reads it. */
    boolean keep(Matcher m) {
        for (int i = m.start(); i < m.end(); i++) {
            left.setCharAt(i, KEPT);
        }
        return false;
    }

    boolean take(Topic topic, String value, Matcher m) {
        return take(topic, value, m, "");
    }

    boolean take(Topic topic, String value, Matcher m, String subject) {
        things.add(new Said(topic, value.strip(), clause(m.start(), m.end()), subject));
        return true;
    }

    /** With the words of the match alone. */
    boolean takeExactly(Topic topic, String value, Matcher m, String subject) {
        things.add(new Said(topic, value.strip(), original(m.start(), m.end()).strip(), subject));
        return true;
    }

    /** What was said between two places of the text in digits. */
    String original(int start, int end) {
        return end <= start ? "" : said.substring(numerals.from()[start], numerals.to()[end - 1]);
    }

    /** The clause round a place: to the comma on either side, and on over one that holds a hedge alone. */
    private String clause(int start, int end) {
        int from = numerals.from()[start];
        int to = numerals.to()[end - 1];
        while (from > 0 && !isComma(from - 1)) {
            from--;
        }
        while (to < said.length() && !isComma(to)) {
            to++;
        }
        int next = to + 1;
        while (next < said.length() && !isComma(next)) {
            next++;
        }
        if (to < said.length() && HEDGE.matcher(said.substring(to + 1, Math.min(next, said.length()))).matches()) {
            to = Math.min(next, said.length());
        }
        return said.substring(from, to).strip();
    }

    /** The clause round a match, in lower case with digits. */
    String clause(Matcher m) {
        String text = numerals.text();
        int from = m.start();
        int to = m.end();
        while (from > 0 && !parts(text, from - 1)) {
            from--;
        }
        while (to < text.length() && !parts(text, to)) {
            to++;
        }
        return text.substring(from, to);
    }

    /** All that stands before a match, in lower case with digits. */
    String before(Matcher m) {
        return numerals.text().substring(0, m.start());
    }

    /** All that stands behind it. */
    String after(Matcher m) {
        return numerals.text().substring(m.end());
    }

    /** Whether a word stands anywhere in it. */
    boolean holds(String regex) {
        return Forms.of("\\b(?:" + regex + ")\\b").matcher(numerals.text()).find();
    }

    private static boolean parts(String text, int i) {
        return text.charAt(i) == ',' && !(i + 1 < text.length() && Character.isDigit(text.charAt(i + 1)));
    }

    /** A comma that parts clauses, not one within a number. */
    private boolean isComma(int i) {
        return parts(said, i);
    }

    List<Said> things() {
        return List.copyOf(things);
    }

    /** The clauses, or what is left of them, of which nothing was taken; hedges and small words apart. */
    List<String> untaken() {
        List<String> all = new ArrayList<>();
        int start = 0;
        for (int i = 0; i <= left.length(); i++) {
            boolean ends = i == left.length() || left.charAt(i) == COVERED || left.charAt(i) == ','
                    && !(i + 1 < left.length() && Character.isDigit(left.charAt(i + 1)));
            if (ends) {
                String piece = left.substring(start, i);
                if (LETTERS.matcher(piece).find() && !JOINS.matcher(piece).matches() && !HEDGE.matcher(piece).matches()) {
                    all.add(original(start, i).strip());
                }
                start = i + 1;
            }
        }
        return all;
    }
}
