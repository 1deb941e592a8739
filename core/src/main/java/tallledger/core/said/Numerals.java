package tallledger.core.said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Numbers in words as digits, each place of the new text knowing where it came from: "sixteen hundred" is 1600, "six and a half" 6 1/2,
 * "three and an eighth" 3 1/8, "twenty-five thirty-seconds" 25/32. A lone "one" stays a word: it is seldom a number.
 *
 * @param text in lower case, number words as digits
 * @param from where each sign of it began in what was said
 * @param to   where it ended
 */
record Numerals(String text, int[] from, int[] to) {

    private static final Pattern WORD = Pattern.compile("[A-Za-z]+");
    private static final Map<String, Integer> SMALL = new HashMap<>();
    private static final Map<String, Integer> PARTS = Map.of("half", 2, "halves", 2, "quarter", 4, "quarters", 4, "eighth", 8, "eighths", 8,
            "sixteenth", 16, "sixteenths", 16);

    static {
        String[] words = ("zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen "
                + "eighteen nineteen").split(" ");
        for (int i = 0; i < words.length; i++) {
            SMALL.put(words[i], i);
        }
        String[] tens = "twenty thirty forty fifty sixty seventy eighty ninety".split(" ");
        for (int i = 0; i < tens.length; i++) {
            SMALL.put(tens[i], 20 + 10 * i);
        }
    }

    private record Token(String word, int start, int end) {
    }

    static Numerals of(String said) {
        List<Token> words = new ArrayList<>();
        Matcher m = WORD.matcher(said);
        while (m.find()) {
            words.add(new Token(m.group().toLowerCase(Locale.ROOT), m.start(), m.end()));
        }
        StringBuilder text = new StringBuilder();
        List<int[]> places = new ArrayList<>();
        int at = 0;
        int i = 0;
        while (i < words.size()) {
            Phrase phrase = new Phrase(said, words, i);
            if (!phrase.isNumber() && !phrase.isAnInchAndABit(i) && !phrase.isAndABit(i)) {
                i++;
                continue;
            }
            copy(said, at, words.get(i).start, text, places);
            int end = words.get(phrase.next - 1).end;
            for (char digit : phrase.written().toCharArray()) {
                text.append(digit);
                places.add(new int[] {words.get(i).start, end});
            }
            at = end;
            i = phrase.next;
        }
        copy(said, at, said.length(), text, places);
        return new Numerals(text.toString(), places.stream().mapToInt(p -> p[0]).toArray(), places.stream().mapToInt(p -> p[1]).toArray());
    }

    private static void copy(String said, int from, int to, StringBuilder text, List<int[]> places) {
        for (int k = from; k < to; k++) {
            text.append(Character.toLowerCase(said.charAt(k)));
            places.add(new int[] {k, k + 1});
        }
    }

    /** Number words that belong together, from one word on. */
    private static final class Phrase {

        private final String said;
        private final List<Token> words;
        private int next;
        private long total;
        private long current;
        private boolean any;
        private String fraction = "";
        private String decimals = "";
        private String unit = "";
        private boolean behindDigits;

        Phrase(String said, List<Token> words, int from) {
            this.said = said;
            this.words = words;
            this.next = from;
            whole();
            if (any && word(next).equals("point") && follows(next) && SMALL.getOrDefault(word(next + 1), 10) < 10 && follows(next + 1)) {
                decimals = "." + SMALL.get(word(next + 1));
                next += 2;
            } else if (any) {
                fraction(from);
            }
        }

        /** A lone "one" is no number. */
        boolean isNumber() {
            return any && !(total + current == 1 && fraction.isEmpty() && decimals.isEmpty());
        }

        /** "12 and a half": what stands behind digits. */
        boolean isAndABit(int from) {
            if (!word(from).equals("and") || !said.substring(0, words.get(from).start).matches("(?s).*(?<![\\d.,/])\\d{1,3}[ -]")) {
                return false;
            }
            if (word(from + 1).matches("an?") && PARTS.containsKey(word(from + 2))) {
                fraction = "1/" + PARTS.get(word(from + 2));
            } else if (SMALL.containsKey(word(from + 1)) && PARTS.containsKey(word(from + 2))) {
                fraction = SMALL.get(word(from + 1)) + "/" + PARTS.get(word(from + 2));
            }
            next = from + 3;
            behindDigits = true;
            return !fraction.isEmpty();
        }

        /** "An inch and three eighths" is 1 3/8 inch. */
        boolean isAnInchAndABit(int from) {
            if (!word(from).matches("an|one") || !word(from + 1).equals("inch") || !follows(from + 1)) {
                return false;
            }
            next = from + 2;
            fraction(next);
            total = 1;
            current = 0;
            unit = " inch";
            return !fraction.isEmpty();
        }

        String written() {
            String number = total + current + decimals;
            return (behindDigits ? fraction
                    : fraction.startsWith("/") ? number + fraction
                            : fraction.isEmpty() ? number
                                    : number + " " + fraction)
                    + unit;
        }

        private void whole() {
            while (next < words.size()) {
                String word = words.get(next).word;
                Integer small = SMALL.get(word);
                if (small != null && fits(small)) {
                    current += small;
                    any = true;
                } else if (word.equals("hundred") && any && current > 0 && current < 100) {
                    current *= 100;
                } else if (word.equals("thousand") && any && current > 0) {
                    total += current * 1000;
                    current = 0;
                } else if (!(word.equals("and") && any && current % 100 == 0 && (current >= 100 || total > 0) && follows(next + 1)
                        && SMALL.containsKey(word(next + 1)) && !(follows(next + 2) && (isCounted(next + 2)
                                || follows(next + 3) && isCounted(next + 3))))) {
                    return;
                }
                next++;
                if (next < words.size() && !follows(next)) {
                    return;
                }
            }
        }

        /** "Twenty to two thousand and eighteen feeds" are two numbers. */
        private boolean isCounted(int i) {
            return word(i).matches("speeds?|feeds?|threads|pitches|tools|collets|chucks|gears|horse(?:power)?|arbors|steps");
        }

        /** Twenty takes a one behind it, sixteen does not; a hundred takes both. */
        private boolean fits(int small) {
            if (!any || current == 0) {
                return true;
            }
            long tail = current % 100;
            return tail == 0 ? current >= 100 : tail >= 20 && tail % 10 == 0 && small < 10;
        }

        private void fraction(int from) {
            if (word(next).equals("and") && follows(next) && (word(next + 1).equals("a") || word(next + 1).equals("an"))
                    && PARTS.containsKey(word(next + 2))) {
                fraction = "1/" + PARTS.get(word(next + 2));
                next += 3;
            } else if (word(next).equals("and") && SMALL.containsKey(word(next + 1)) && PARTS.containsKey(word(next + 2))) {
                fraction = SMALL.get(word(next + 1)) + "/" + PARTS.get(word(next + 2));
                next += 3;
            } else if (next > from && follows(next) && PARTS.containsKey(word(next)) && !word(next).startsWith("half")) {
                fraction = "/" + PARTS.get(word(next));
                next += 1;
            } else if (next > from && (word(next) + " " + word(next + 1)).matches("thirty seconds?") && follows(next)) {
                fraction = "/32";
                next += 2;
            } else if (next > from && (word(next) + " " + word(next + 1)).matches("sixty fourths?") && follows(next)) {
                fraction = "/64";
                next += 2;
            }
        }

        private String word(int i) {
            return i < words.size() ? words.get(i).word : "";
        }

        /** Whether only a blank or a hyphen stands before the word. */
        private boolean follows(int i) {
            return i < words.size() && i > 0 && said.substring(words.get(i - 1).end, words.get(i).start).matches("[ \\-]{1,2}");
        }
    }
}
