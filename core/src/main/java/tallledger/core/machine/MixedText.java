package tallledger.core.machine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tallledger.core.plate.SpeedList;
import tallledger.core.reason.Refused;

/**
 * What is written or said of a machine, all mixed: an advertisement, a plate, speeds that the seller recites. Rows and lists of speeds
 * and feeds are told apart from the words; the words go to {@link ClaimText}.
 *
 * <p>Taken for speeds or feeds are whole lines of figures, rows with their labels before them and their head above, and within a
 * sentence four figures or more in a row behind "speeds" or "feeds" or before "rpm", or six that only rise or only fall and
 * begin their clause; not those of a work head, a table or a motor. Figures that
 * nobody names are speeds only where one is 8 or more, which no feed reaches.
 *
 * <p>Worked: "Lathe, 2 hp, swing 410; speeds 31.5 45 63 90 125 180 rpm" gives the list "31.5 45 63 90 125 180" and the words "Lathe, 2 hp,
 * swing 410; speeds rpm". "Travels 30 x 12 x 18" stays words.
 *
 * @param speeds as typed, a row a line; empty where none were told apart
 * @param feeds  likewise
 * @param words  all the rest
 */
public record MixedText(Optional<String> speeds, Optional<String> feeds, String words) {

    /** No row of a plate and no sentence that anybody says is longer. */
    private static final int LONGEST_LINE = 600;
    /** Fewer figures in a sentence are dimensions, years and prices. */
    private static final int FEWEST_IN_SENTENCE = 4;
    /** Fewer that nobody names likewise, and these only where they rise or fall throughout. */
    private static final int FEWEST_UNNAMED = 6;
    /** Fewer on a line of their own likewise, but where other rows stand beside it. */
    private static final int FEWEST_ALONE = 3;
    /** No feed by the turn or the stroke reaches it, and no spindle worth a plate turns slower at its fastest. */
    private static final double SLOWEST_TOP_SPEED = 8;
    private static final String FIGURE = "\\d{1,5}(?:[.,]\\d{1,4})?";
    private static final Pattern PARTS = Pattern.compile("[\\s;|/]+|,(?!\\d)|(?<!\\d),");
    private static final Pattern NUMBER = Pattern.compile(FIGURE);
    private static final Pattern LABEL =
            Pattern.compile("\\p{Alpha}{1,2}|(?i:[ivx]{1,4}|low|mid|middle|high|slow|fast|direct|back|gear|in|out)");
    private static final Pattern HEADING =
            Pattern.compile("(?i)^\\s{0,3}(?:the\\s{1,3})?(?:spindle\\s{1,3})?(speeds?|rpm|r/min|feeds?)(?:\\s{1,3}plate)?"
                    + "(?:\\s{0,3},?\\s{0,3}(?:in\\s{1,3})?(?:rpm|r/min|mm/rev|in/rev))?\\s{0,3}[:=]?\\s{0,3}");
    private static final Set<String> NO_SUCH = Set.of("x", "X", "-", "–", "—", "?");
    private static final Set<String> BETWEEN = Set.of("and", "&", "rpm", "r/min", "to");
    private static final String IN_A_ROW =
            "(" + FIGURE + "(?:(?:\\s{0,3}(?:,\\s|/|;|\\band\\b)\\s{0,3}|\\s{1,4})(?:and\\s{1,3})?" + FIGURE + "){"
                    + (FEWEST_IN_SENTENCE - 1) + ",60}+)(?![\\w.,]*\\d)(?!\\s{0,3}(?:x|×|by)\\s{0,3}\\d)";
    private static final Pattern NAMED =
            Pattern.compile("(?i)\\b(speeds?|rpm|feeds?)\\b(?:\\s{1,3}(?:are|of|is|plate|listed|as|follows|go|run))*"
                    + "\\s{0,3}[:=,]?\\s{0,3}" + IN_A_ROW + "(?!\\s{0,3}(?:mm\\b(?!/)|in\\b(?!/)|inch|kg|lb|kw|hp|v\\b|hz))");
    private static final Pattern BARE =
            Pattern.compile("(?i)(?<![\\w.,])" + IN_A_ROW + "(?!\\s{0,3}(?:mm|in\\b|inch|kg|lb|kw|hp|v\\b|hz))");
    /** What turns as well and is no spindle. */
    private static final Pattern OTHERS =
            Pattern.compile("(?i)\\b(?:work ?(?:head|piece|spindle)?|table|motor|internal|regulating|live|sub|"
                    + "dress\\w{0,4}|pump|fan|jog|attachment|chuck)\\b");
    private static final Pattern WITH_UNIT = Pattern.compile("(?i)(?<![\\w.,])" + IN_A_ROW + "(?=\\s{0,3}(?:rpm|r/min|rev/min|r\\.p\\.m))");

    /**
     * Told apart.
     *
     * @param text as pasted; longer than {@link ClaimText#LONGEST} it is all words, and refused there
     */
    public static MixedText read(String text) {
        if (text.length() > ClaimText.LONGEST) {
            return new MixedText(Optional.empty(), Optional.empty(), text);
        }
        Sorting sorting = new Sorting();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size();) {
            i = sorting.take(lines, i);
        }
        return sorting.done();
    }

    /** Which plate a heading is of. */
    private enum Plate {
        SPEEDS, FEEDS;

        static Plate of(String heading) {
            return heading.toLowerCase(Locale.ROOT).startsWith("feed") ? FEEDS : SPEEDS;
        }

        boolean reads(String text) {
            try {
                if (this == FEEDS) {
                    SpeedList.readFeeds(text);
                } else {
                    SpeedList.read(text);
                }
                return true;
            } catch (Refused notOne) {
                return false;
            }
        }
    }

    /** A text being sorted, line by line. The first list of a kind is taken; a second stays among the words, to be asked about. */
    private static final class Sorting {

        private Optional<String> speeds = Optional.empty();
        private Optional<String> feeds = Optional.empty();
        private Optional<Plate> announced = Optional.empty();
        private final List<String> words = new ArrayList<>();

        /** Takes one line, or all rows of a plate; the place of the next line. */
        private int take(List<String> lines, int at) {
            if (lines.get(at).length() > LONGEST_LINE) {
                words.add(lines.get(at));
                return at + 1;
            }
            Matcher heading = HEADING.matcher(lines.get(at));
            Optional<Plate> named = heading.find() ? Optional.of(Plate.of(heading.group(1))) : announced;
            String first = named.isPresent() && announced.isEmpty() ? lines.get(at).substring(heading.end()) : lines.get(at);
            if (announced.isEmpty() && named.isPresent() && first.isBlank()) {
                announced = named;
                words.add(lines.get(at));
                return at + 1;
            }
            announced = Optional.empty();
            int head = isHead(first) ? 1 : 0;
            List<String> rows = new ArrayList<>(head == 0 ? List.of() : List.of(first));
            int figures = 0;
            for (int next = at + head; next < lines.size(); next++) {
                String row = next == at ? first : lines.get(next);
                if (row.length() > LONGEST_LINE || figures(row) == 0) {
                    break;
                }
                rows.add(row);
                figures += figures(row);
            }
            if (figures >= (named.isPresent() ? 2 : FEWEST_ALONE) && isTaken(named, String.join("\n", rows))) {
                return at + rows.size();
            }
            // Rows that make no plate are looked at once, not again from each of them on.
            int end = at + Math.max(1, rows.size());
            lines.subList(at, end).forEach(line -> words.add(within(line)));
            return end;
        }

        private boolean isTaken(Optional<Plate> named, String text) {
            Plate plate = named.orElse(Plate.SPEEDS);
            if (plate == Plate.SPEEDS && largest(text) < SLOWEST_TOP_SPEED || !plate.reads(text)) {
                return false;
            }
            if ((plate == Plate.FEEDS ? feeds : speeds).isPresent()) {
                return false;
            }
            if (plate == Plate.FEEDS) {
                feeds = Optional.of(text);
            } else {
                speeds = Optional.of(text);
            }
            return true;
        }

        /** A sentence without the list that stands in it. */
        private String within(String line) {
            String left = line;
            for (Pattern pattern : List.of(NAMED, WITH_UNIT, BARE)) {
                Matcher list = pattern.matcher(left);
                while (list.find()) {
                    int group = list.groupCount();
                    Plate plate = pattern == NAMED ? Plate.of(list.group(1)) : Plate.SPEEDS;
                    String before = clause(left.substring(0, list.start()));
                    boolean isIts = pattern == BARE ? before.isEmpty() && isLadder(list.group(group)) : !OTHERS.matcher(before).find();
                    if (isIts && isTaken(Optional.of(plate), list.group(group))) {
                        left = left.substring(0, list.start(group)) + left.substring(list.end(group));
                        list = pattern.matcher(left);
                    }
                }
            }
            return left;
        }

        /** What stands before it in its clause. */
        private static String clause(String before) {
            int from = before.length();
            while (from > 0 && ",;.!".indexOf(before.charAt(from - 1)) < 0) {
                from--;
            }
            return before.substring(from).strip();
        }

        /** How many figures and signs a row has; nought where it is none. */
        private static int figures(String line) {
            List<String> tokens = Arrays.stream(PARTS.split(line.strip())).filter(t -> !t.isEmpty()).toList();
            int labels = 0;
            while (labels < tokens.size() && !isCell(tokens.get(labels)) && LABEL.matcher(tokens.get(labels)).matches()) {
                labels++;
            }
            List<String> rest = tokens.subList(labels, tokens.size());
            boolean isRow = labels <= 3 && rest.stream().allMatch(t -> isCell(t) || BETWEEN.contains(t.toLowerCase(Locale.ROOT)))
                    && rest.stream().anyMatch(t -> NUMBER.matcher(t).matches());
            return isRow ? (int) rest.stream().filter(Sorting::isCell).count() : 0;
        }

        private static boolean isCell(String token) {
            return NUMBER.matcher(token).matches() || NO_SUCH.contains(token);
        }

        /** Two labels or more and nothing else: what stands above the columns of a plate. */
        private static boolean isHead(String line) {
            List<String> tokens = Arrays.stream(PARTS.split(line.strip())).filter(t -> !t.isEmpty()).toList();
            return tokens.size() > 1 && tokens.stream().allMatch(t -> LABEL.matcher(t).matches());
        }

        /** Figures that only rise, or only fall, and are enough of them to be nothing but speeds. */
        private static boolean isLadder(String list) {
            double[] figures = NUMBER.matcher(list).results().mapToDouble(r -> Double.parseDouble(r.group().replace(',', '.'))).toArray();
            boolean rises = IntStream.range(1, figures.length).allMatch(i -> figures[i] > figures[i - 1]);
            boolean falls = IntStream.range(1, figures.length).allMatch(i -> figures[i] < figures[i - 1]);
            return figures.length >= FEWEST_UNNAMED && (rises || falls);
        }

        private static double largest(String text) {
            return NUMBER.matcher(text).results().mapToDouble(r -> Double.parseDouble(r.group().replace(',', '.'))).max().orElse(0);
        }

        private MixedText done() {
            return new MixedText(speeds, feeds, String.join("\n", words).strip());
        }
    }
}
