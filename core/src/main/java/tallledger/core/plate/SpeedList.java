package tallledger.core.plate;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * Speeds as somebody types, pastes or recites them: as they stand on the plate, a row a line; a bare list in any order; sliding ranges;
 * or only how many there are and their ends.
 *
 * <p>"31.5 45 63 90" on each of three lines is a plate; "50, 65, 95 and 110 rpm" a list; "60 to 500, 500 to 4200" two ranges;
 * "12 from 31.5 to 1400" a count with its ends.
 */
public sealed interface SpeedList {

    int LONGEST = 4_000;
    int MOST_RANGES = 12;
    /** What parts one figure of a list from the next, and the most signs of one with its unit. */
    Pattern BLANKS = Pattern.compile("[\\s,;|/·•–—-]+");
    int LONGEST_PIECE = 40;
    /** Blanks between two columns; more of them say nothing more. */
    int WIDEST = 60;
    /** A row of dots or commas parts nothing better than a blank does. */
    Pattern DOTS = Pattern.compile("[.,;|/:-]{9,}");
    Pattern WIDE = Pattern.compile("[ \\t\\u00a0]{" + (WIDEST + 1) + ",}");
    Pattern UNIT = Pattern.compile("(?i)(?<=[\\d.\\s])(rpm|r\\.p\\.m\\.?|r/min|rev/min|min[-−⁻][1¹]|1/min|/min|speeds?)(?![\\w/])");
    Pattern FEED_UNIT = Pattern.compile(
            "(?i)(?<=[\\d.\\s])(?:mm|inch(?:es)?|in\\.?|\")\\s*(?:(?:/|per|a)\\s*(?:rev|turn|min|tooth)\\w*)?(?![\\w/])");
    Pattern RANGE = Pattern.compile("(?<![\\d.,])([\\d.,]{1,14}+)\\s*(?:to|–|—|…|\\.\\.\\.?|(?<=\\d)-(?=\\d)|\\s-\\s)\\s*([\\d.,]+)");
    Pattern COUNT = Pattern.compile("(\\d{1,3})\\s*(?:(?:speeds?|feeds?|threads?|of "
            + "them)\\s*[,:]?\\s*(?:from|between)?|[,:]?\\s+(?:from|between|:)|:)\\s*([\\d.,]+)\\s*(?:to|and|–|-|…|\\.\\.)\\s*([\\d.,]+)");
    Pattern OTHER_UNIT = Pattern.compile("(?i)[\\d.]\\s*(hz|kw|hp|v|m/min|ft/min|sfm|mm(?:/\\w+)?|in(?:/\\w+)?|amps?|%)(?!\\w)");
    Pattern ALONE = Pattern.compile("(?<=\\d)\\s+[-–—]\\s+(?=\\d)");
    /** Row numbers are taken for such where every figure is over so many times the last of them. */
    int FAR_ABOVE = 3;
    Pattern FIGURE = Pattern.compile("\\d+(?:[.,]\\d+)?");
    /** Between the words of one label, which holds no space. */
    String WORDS = "-";
    Set<String> BETWEEN = Set.of("and", "&", "or", "+", "/");

    /** As they stand on the plate: rows by columns, {@code x} where there is no such speed, {@code ?} where it cannot be read. */
    record Rows(List<String> rowLabels, List<String> columnLabels, List<List<PlateCell>> cells) implements SpeedList {
    }

    /** In any order. */
    record Bare(List<TypedNumber> speeds) implements SpeedList {
    }

    /** Sliding ranges, lowest first. */
    record Sliding(List<List<TypedNumber>> ranges) implements SpeedList {
    }

    /** Only how many, and the lowest and the highest. */
    record RangeEnds(int count, TypedNumber low, TypedNumber high) implements SpeedList {
    }

    /**
     * @param text as typed
     * @throws Refused when it is none of these; the reason names the line and says what would be right
     */
    static SpeedList read(String text) {
        return read(text, PlateOf.SPEED);
    }

    /** The same for feeds, whose figures may have a unit of length beside them. */
    static SpeedList readFeeds(String text) {
        return read(FEED_UNIT.matcher(readable(text)).replaceAll(" "), PlateOf.FEED);
    }

    /** And for threads, pitches or threads an inch. */
    static SpeedList readThreads(String text) {
        return read(FEED_UNIT.matcher(readable(text).replaceAll("(?i)\\btpi\\b", " ")).replaceAll(" "), PlateOf.THREAD);
    }

    /** No longer than a plate, and nothing in it longer than a figure with its unit. */
    private static String readable(String text) {
        if (text.length() > LONGEST) {
            throw Refused.because(PlateReason.LIST_LONG, text.length(), LONGEST);
        }
        for (String piece : BLANKS.split(text)) {
            TypedNumber.shortEnough(piece, LONGEST_PIECE);
        }
        return text;
    }

    private static SpeedList read(String text, PlateOf what) {
        String dotless = DOTS.matcher(readable(text)).replaceAll(" ");
        List<String> lines = WIDE.matcher(dotless).replaceAll(" ".repeat(WIDEST)).lines().map(String::strip).filter(line -> !line.isEmpty())
                .toList();
        if (lines.isEmpty()) {
            throw Refused.because(PlateReason.LIST_EMPTY);
        }
        if (lines.size() > Arrangements.MOST_SPEEDS) {
            throw Refused.because(PlateReason.LIST_LINES, lines.size(), Arrangements.MOST_SPEEDS);
        }
        for (int i = 0; i < lines.size(); i++) {
            Matcher other = OTHER_UNIT.matcher(lines.get(i));
            if (other.find()) {
                throw Refused.because(PlateReason.LIST_UNIT, i + 1, other.group(1), what);
            }
        }
        List<String> plain = gaps(lines.stream().map(line -> UNIT.matcher(line + " ").replaceAll(" ").strip()).toList());
        Matcher count = COUNT.matcher(lines.size() == 1 ? lines.get(0).replaceAll("(?i)\\s*(rpm|r/min)\\s*$", "") : "");
        if (count.matches()) {
            return ends(count);
        }
        if (RANGE.matcher(String.join(" ", plain)).find()) {
            return sliding(plain);
        }
        List<List<String>> tokens = plain.stream().map(SpeedList::tokens).toList();
        int widest = tokens.stream().mapToInt(List::size).max().orElse(0);
        return tokens.size() == 1 || widest == 1 ? bare(tokens) : rows(tokens);
    }

    /** In rows a dash that stands alone among three figures or more is a combination that does not exist, no range. */
    private static List<String> gaps(List<String> lines) {
        boolean inRows = lines.size() > 1 && lines.stream().anyMatch(l -> ALONE.matcher(l).find() && FIGURE.matcher(l).results()
                .count() > 2);
        return inRows ? lines.stream().map(l -> ALONE.matcher(l).replaceAll(" x ")).toList() : lines;
    }

    private static RangeEnds ends(Matcher count) {
        int z = Integer.parseInt(count.group(1));
        TypedNumber low = TypedNumber.parsePositive(count.group(2));
        TypedNumber high = TypedNumber.parsePositive(count.group(3));
        inOrder(low, high, 1);
        if (z < 2 || z > Arrangements.MOST_SPEEDS) {
            throw Refused.because(PlateReason.LIST_COUNT, z);
        }
        return new RangeEnds(z, low, high);
    }

    private static void inOrder(TypedNumber low, TypedNumber high, int line) {
        if (low.value().compareTo(high.value()) >= 0) {
            throw Refused.because(PlateReason.LIST_RANGE, line, low.typed(), high.typed());
        }
    }

    private static Sliding sliding(List<String> lines) {
        List<List<TypedNumber>> ranges = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Matcher range = RANGE.matcher(lines.get(i));
            StringBuilder rest = new StringBuilder();
            while (range.find()) {
                TypedNumber low = number(range.group(1).replaceAll("[,.]$", ""), i + 1);
                TypedNumber high = number(range.group(2).replaceAll("[,.]$", ""), i + 1);
                inOrder(low, high, i + 1);
                ranges.add(List.of(low, high));
                range.appendReplacement(rest, " ");
            }
            range.appendTail(rest);
            String left = rest.toString().replaceAll("(?i)[,;&|/+]|\\band\\b|\\bvariable\\b", " ").strip();
            if (left.chars().anyMatch(Character::isDigit)) {
                throw Refused.because(PlateReason.LIST_BOTH, i + 1, left);
            }
        }
        ranges.sort(java.util.Comparator.comparing(r -> r.get(0).value()));
        if (ranges.size() > MOST_RANGES) {
            throw Refused.because(PlateReason.LIST_RANGES, ranges.size(), MOST_RANGES);
        }
        return new Sliding(List.copyOf(ranges));
    }

    private static Bare bare(List<List<String>> lines) {
        List<TypedNumber> speeds = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            for (String token : lines.get(i)) {
                speeds.add(number(token, i + 1));
            }
        }
        return new Bare(List.copyOf(speeds));
    }

    private static Rows rows(List<List<String>> lines) {
        return joined(lines.stream().map(SpeedList::oneLabel).toList());
    }

    /** Words before the figures of a row are its one label: "back gear 31 45" begins with "back-gear". */
    private static List<String> oneLabel(List<String> line) {
        int words = 0;
        while (words < line.size() && isLabel(line.get(words)) && line.get(words).length() > 1) {
            words++;
        }
        if (words < 2 || words == line.size() || line.subList(words, line.size()).stream().anyMatch(SpeedList::isLabel)) {
            return line;
        }
        List<String> joined = new ArrayList<>(List.of(String.join(WORDS, line.subList(0, words))));
        joined.addAll(line.subList(words, line.size()));
        return joined;
    }

    private static Rows joined(List<List<String>> lines) {
        List<List<String>> body = new ArrayList<>(lines);
        List<String> columns = List.of();
        boolean labelled = isLabelled(lines) || isLabelled(lines.subList(1, lines.size()));
        int wide = lines.get(1).size() - (labelled ? 1 : 0);
        boolean headed = labelled && !isNumbered(lines) && (lines.get(0).size() == wide || !isLabel(lines.get(0).get(0)))
                || lines.get(0).stream().allMatch(SpeedList::isLabel) && lines.get(0).size() >= wide;
        if (headed) {
            List<String> head = lines.get(0);
            columns = head.subList(Math.max(0, head.size() - wide), head.size());
            body.remove(0);
        }
        labelled = isLabelled(body);
        List<String> labels = labelled ? body.stream().map(line -> line.get(0)).toList() : List.of();
        List<List<PlateCell>> cells = new ArrayList<>();
        for (int r = 0; r < body.size(); r++) {
            List<String> row = labelled ? body.get(r).subList(1, body.get(r).size()) : body.get(r);
            int line = r + 1 + (columns.isEmpty() ? 0 : 1);
            if (row.size() != wide) {
                throw Refused.because(PlateReason.LIST_UNEQUAL, line, row.size(), wide);
            }
            cells.add(row.stream().map(token -> cell(token, line)).toList());
        }
        if (cells.stream().flatMap(List::stream).noneMatch(PlateCell.Value.class::isInstance)) {
            throw Refused.because(PlateReason.LIST_NO_SPEED);
        }
        return new Rows(labels, columns, List.copyOf(cells));
    }

    private static boolean isLabelled(List<List<String>> rows) {
        return rows.stream().allMatch(row -> isLabel(row.get(0))) || isNumbered(rows);
    }

    /** Rows that begin with 1, 2, 3 …, each far below what stands behind it, begin with their numbers. */
    private static boolean isNumbered(List<List<String>> rows) {
        return rows.size() > 1 && IntStream.range(0, rows.size()).allMatch(r -> rows.get(r).size() > 2
                && rows.get(r).get(0).equals(String.valueOf(r + 1)) && rows.get(r).subList(1, rows.get(r).size()).stream()
                        .filter(t -> FIGURE.matcher(t).matches()).allMatch(t -> new BigDecimal(t.replace(',', '.'))
                                .doubleValue() > FAR_ABOVE * rows.size()));
    }

    /** A letter or a word at the head of a row; neither a number nor a sign of no speed. */
    private static boolean isLabel(String token) {
        return Character.isLetter(token.charAt(0)) && !PlateCell.NO_SPEED_SIGNS.contains(token);
    }

    private static PlateCell cell(String token, int line) {
        return PlateCell.NO_SPEED_SIGNS.contains(token) || token.equals(PlateCell.UNREADABLE_SIGN) ? PlateCell.parse(token)
                : new PlateCell.Value(number(token, line));
    }

    private static TypedNumber number(String token, int line) {
        try {
            return TypedNumber.parsePositive(token);
        } catch (Refused not) {
            throw Refused.because(PlateReason.LIST_NOT_A_SPEED, line, token.length() > 24 ? token.substring(0, 24) : token);
        }
    }

    /**
     * Parted by tabs, semicolons or commas with a space, where there are any; else by spaces. A comma within digits is the number's own.
     */
    private static List<String> tokens(String line) {
        String parted = line.replaceAll("[\\t;|]|,\\s+|,$", " ; ");
        boolean bySigns = parted.contains(";");
        List<String> tokens = new ArrayList<>();
        for (String part : parted.split(bySigns ? ";" : "\\s+")) {
            String token = part.strip();
            if (token.isEmpty() || BETWEEN.contains(token)) {
                continue;
            }
            if (bySigns && token.chars().noneMatch(Character::isDigit) && Character.isLetter(token.charAt(0))) {
                tokens.add(token.replaceAll("\\s+", WORDS));
                continue;
            }
            Optional<TypedNumber> whole = numberIn(token);
            if (whole.isPresent() && whole.get().value().compareTo(new BigDecimal("60000")) <= 0) {
                tokens.add(token);
            } else {
                Arrays.stream(token.split("[\\s,]+")).filter(t -> !t.isEmpty() && !BETWEEN.contains(t)).forEach(tokens::add);
            }
        }
        return tokens.isEmpty() ? List.of(line) : tokens;
    }

    private static Optional<TypedNumber> numberIn(String token) {
        try {
            return Optional.of(TypedNumber.parse(token));
        } catch (Refused not) {
            return Optional.empty();
        }
    }
}
