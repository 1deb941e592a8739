package tallledger.web.machine;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Stage;
import tallledger.core.plate.Arrangement;
import tallledger.core.plate.Arrangements;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.SpeedList;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.cache.Memo;
import tallledger.web.forms.FormInput;
import tallledger.web.words.Figures;
import tallledger.web.words.WebReason;

/**
 * From speeds or feeds as they stand on the plate, or as a list somebody recites, to levers with their plate: what fits is offered, one
 * key takes it into the form's rows.
 */
public final class PlateFinder {

    private static final int MOST_OFFERED = 12;
    private static final int MOST_KEPT = 16;
    private static final List<String> ENDS = List.of(Stage.LOW_END, Stage.HIGH_END);
    private static final List<String> FEED_ENDS = List.of("slowest", "fastest");
    private static final Memo<PlateQuestion, FoundLayouts> KEPT = new Memo<>(MOST_KEPT, PlateFinder::find);

    private PlateFinder() {
    }

    private record PlateQuestion(SpeedList list, List<Integer> levers) {
    }

    /**
     * What fits.
     *
     * @param more arrangements beyond those offered
     */
    public record FoundLayouts(List<OfferedLayout> offers, int more, List<Reason> says) {
    }

    /**
     * One way to lay them out.
     *
     * @param levers  the lever that changes most first
     * @param cells   as they would stand in the plate's grid
     * @param slides  whether the last lever is a sliding one
     * @param lines   what each lever does
     * @param leftOut what was left out and what it may mean
     * @param rows    the plate as it would read
     * @param worst   how far the worst cell is off, %; empty where nothing was fitted
     */
    public record OfferedLayout(List<Lever> levers, List<String> cells, boolean slides, List<LeverLine> lines, List<LeftOutLine> leftOut,
            PlateGrid grid, Optional<Double> worst) {

        /** Sizes as people say them: "3 × 4". */
        public String sizes() {
            return levers.isEmpty() ? "1"
                    : levers.stream().map(l -> String.valueOf(l.positions().size()))
                            .collect(Collectors.joining(" × "));
        }

        /** What would stand at a cell of its grid. */
        public String cell(int row, int column) {
            return cells.get(row * grid.columns().size() + column);
        }
    }

    /** One lever and its factors. */
    public record LeverLine(String name, String factors) {
    }

    /** A speed that finds no place. */
    public record LeftOutLine(String typed, String at, String means, String reading, String slip) {
    }

    /** What the list typed gives; empty where none is typed, or it is refused where it was typed. */
    static Optional<FoundLayouts> found(FormInput typed, FormPlate plate) {
        if (!typed.has(plate.list())) {
            return Optional.empty();
        }
        return typed.attempt(plate.list(), () -> plate.read(typed.get(plate.list())))
                .flatMap(list -> typed.attempt(plate.counted(), () -> counted(typed.get(plate.counted())))
                        .flatMap(levers -> typed.attempt(plate.list(), () -> KEPT.of(new PlateQuestion(list, levers)))));
    }

    /** Positions of the levers as somebody counted them: "3 and 4", "levers of 2, 2 and 3", "3x4". */
    private static List<Integer> counted(String text) {
        List<Integer> levers = new ArrayList<>();
        for (String part : text.split("[\\s,;x×*]+")) {
            if (part.matches("\\d{1,3}")) {
                levers.add(Integer.parseInt(part));
            } else if (!part.isEmpty() && !part.matches("(?i)and|levers?|of|by|with|a|an|one|positions?|&|\\+")) {
                throw Refused.because(WebReason.LEVERS_COUNTED, part.length() > 24 ? part.substring(0, 24) : part);
            }
        }
        Arrangements.checkLevers(levers);
        return levers;
    }

    private static FoundLayouts find(PlateQuestion asked) {
        if (asked.list instanceof SpeedList.Rows rows) {
            return rows(rows);
        } else if (asked.list instanceof SpeedList.Sliding sliding) {
            return sliding(sliding);
        } else if (asked.list instanceof SpeedList.RangeEnds ends) {
            return ends(ends, asked.levers);
        }
        List<TypedNumber> speeds = ((SpeedList.Bare) asked.list).speeds();
        Arrangements all = Arrangements.of(speeds, asked.levers);
        List<OfferedLayout> offers = new ArrayList<>(all.found().stream().filter(a -> cells(a.sizes()) <= DriveTrain.MOST_COMBINATIONS)
                .limit(MOST_OFFERED)
                .map(PlateFinder::offer).toList());
        if (asked.levers.size() < 2) {
            single(distinct(speeds).stream().map(TypedNumber::typed).toList()).ifPresent(offers::add);
        }
        return new FoundLayouts(offers, Math.max(0, all.found().size() - MOST_OFFERED), all.says());
    }

    private static int cells(List<Integer> sizes) {
        return sizes.stream().reduce(1, (a, b) -> a * b);
    }

    private static List<TypedNumber> distinct(List<TypedNumber> speeds) {
        Map<Object, TypedNumber> distinct = new LinkedHashMap<>();
        speeds.stream().sorted(java.util.Comparator.comparing(TypedNumber::value))
                .forEach(n -> distinct.putIfAbsent(n.value().stripTrailingZeros(), n));
        return List.copyOf(distinct.values());
    }

    /**
     * One lever, knob or belt with a position for each, as far as one stage has so many; or the one speed of a machine that has no choice.
     */
    private static Optional<OfferedLayout> single(List<String> speeds) {
        if (speeds.size() > Stage.MOST_POSITIONS) {
            return Optional.empty();
        }
        List<Lever> levers = speeds.size() == 1 ? List.of() : List.of(Arrangement.lever(0, speeds.size()));
        return Optional.of(new OfferedLayout(levers, speeds, false, List.of(), List.of(), PlateGrid.of(levers), Optional.empty()));
    }

    private static OfferedLayout offer(Arrangement a) {
        List<String> cells = new ArrayList<>();
        for (List<String> key : SpeedPlate.keysOf(a.levers())) {
            Optional<Arrangement.LeftOut> misread = a.leftOut().stream().filter(out -> out.at().equals(key)).findFirst();
            String unread = misread.map(out -> out.typed().typed()).orElse(PlateCell.UNREADABLE_SIGN);
            cells.add(Optional.ofNullable(a.cells().get(key)).map(TypedNumber::typed).orElse(unread));
        }
        List<LeverLine> lines = IntStream.range(0, a.levers().size())
                .mapToObj(l -> new LeverLine(a.levers().get(l).name(), a.factors().get(l).stream()
                        .map(f -> f.map(Figures::ratio).orElse("?")).collect(Collectors.joining(" · "))))
                .toList();
        List<LeftOutLine> leftOut = a.leftOut().stream().map(out -> new LeftOutLine(out.typed().typed(), Lever.nameOf(out.at(), a.levers()),
                out.means().map(Figures::ratio).orElse(""), out.slips().isEmpty() ? "" : Figures.plain(out.slips().get(0).value()),
                out.slips().isEmpty() ? "" : out.slips().get(0).slip().name())).toList();
        return new OfferedLayout(a.levers(), cells, false, lines, leftOut, PlateGrid.of(a.levers()), Optional.of(a.worst() * 100));
    }

    private static FoundLayouts rows(SpeedList.Rows rows) {
        int columns = rows.cells().get(0).size();
        List<String> down = rows.rowLabels().isEmpty() ? lettered(rows.cells().size()) : rows.rowLabels();
        List<String> across = rows.columnLabels().isEmpty() ? numbered(columns) : rows.columnLabels();
        List<Lever> levers = new ArrayList<>();
        if (down.size() > 1) {
            levers.add(new Lever(rows.rowLabels().isEmpty() ? "letter lever" : "row lever", down));
        }
        if (columns > 1) {
            levers.add(new Lever(rows.columnLabels().isEmpty() ? "number lever" : "column lever", across));
        }
        if (levers.stream().anyMatch(l -> l.positions().stream().distinct().count() < l.positions().size())) {
            throw Refused.because(WebReason.LABEL_TWICE);
        }
        if ((long) rows.cells().size() * columns > DriveTrain.MOST_COMBINATIONS) {
            throw Refused.because(WebReason.PLATE_LARGE, rows.cells().size() * columns, DriveTrain.MOST_COMBINATIONS);
        }
        List<PlateCell> cells = rows.cells().stream().flatMap(List::stream).toList();
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        Map<List<String>, PlateCell> plate = new LinkedHashMap<>();
        IntStream.range(0, keys.size()).forEach(i -> plate.put(keys.get(i), cells.get(i)));
        PlateCheck check = PlateCheck.ofFeeds(new SpeedPlate(levers, plate, Optional.empty()));
        List<LeverLine> lines = IntStream.range(0, levers.size())
                .mapToObj(l -> new LeverLine(levers.get(l).name(), check.factors().factors(l).stream()
                        .map(f -> f.map(Figures::ratio).orElse("?")).collect(Collectors.joining(" · "))))
                .toList();
        OfferedLayout offer =
                new OfferedLayout(levers, cells.stream().map(PlateCell::typed).toList(), false, lines, List.of(), PlateGrid.of(levers),
                        Optional.empty());
        return new FoundLayouts(List.of(offer), 0, check.remarks().stream().filter(r -> r.isDoubt()).map(r -> r.because()).toList());
    }

    private static FoundLayouts sliding(SpeedList.Sliding sliding) {
        int ranges = sliding.ranges().size();
        List<Lever> levers = new ArrayList<>();
        if (ranges > 1) {
            levers.add(Arrangement.lever(0, ranges));
        }
        levers.add(new Lever("variator", ENDS, true));
        List<String> cells = sliding.ranges().stream().flatMap(List::stream).map(TypedNumber::typed).toList();
        return new FoundLayouts(
                List.of(new OfferedLayout(levers, cells, true, List.of(), List.of(), PlateGrid.of(levers), Optional.empty())), 0,
                List.of());
    }

    /** Only how many and the ends: every product is offered, the rest of its plate unread. */
    private static FoundLayouts ends(SpeedList.RangeEnds ends, List<Integer> counted) {
        List<List<Integer>> shapes = Arrangements.shapes(ends.count(), counted);
        List<Reason> says = new ArrayList<>(List.of(Reason.of(WebReason.ENDS_ONLY, ends.count())));
        if (shapes.isEmpty()) {
            Arrangements.noShape(ends.count(), counted).ifPresent(says::add);
        }
        List<OfferedLayout> offers = new ArrayList<>();
        for (List<Integer> shape : shapes) {
            List<Lever> levers = new ArrayList<>();
            IntStream.range(0, shape.size()).forEach(l -> levers.add(Arrangement.lever(shape.size() - 1 - l, shape.get(l))));
            offers.add(new OfferedLayout(levers, between(ends), false, List.of(), List.of(), PlateGrid.of(levers), Optional.empty()));
        }
        if (counted.size() < 2) {
            single(between(ends)).ifPresent(offers::add);
        }
        offers.removeIf(offer -> offer.cells().size() > DriveTrain.MOST_COMBINATIONS);
        return new FoundLayouts(offers, 0, says);
    }

    private static List<String> between(SpeedList.RangeEnds ends) {
        List<String> cells = new ArrayList<>(Collections.nCopies(ends.count(), PlateCell.UNREADABLE_SIGN));
        cells.set(0, ends.low().typed());
        cells.set(ends.count() - 1, ends.high().typed());
        return cells;
    }

    private static List<String> numbered(int positions) {
        return IntStream.rangeClosed(1, positions).mapToObj(String::valueOf).toList();
    }

    private static List<String> lettered(int positions) {
        return IntStream.range(0, positions).mapToObj(i -> i < 26 ? String.valueOf((char) ('A' + i)) : "A" + (char) ('A' + i - 26))
                .toList();
    }

    /** Takes an offer into the form: its levers and its cells. */
    static void take(FormInput typed, OfferedLayout offer, FormPlate plate) {
        List<Lever> levers = plate == FormPlate.SPEED ? offer.levers : offer.levers.stream().map(PlateFinder::ofFeed).toList();
        if (plate == FormPlate.SPEED) {
            DriveFields.take(levers, typed);
        } else {
            PlateFields.writeLevers(levers, plate, typed);
        }
        typed.set(plate.shape(), PlateGrid.shapeOf(levers));
        IntStream.range(0, offer.cells.size()).forEach(i -> typed.set(plate.cell(i), offer.cells.get(i)));
        typed.set(plate.list(), "");
        typed.set(plate.counted(), "");
    }

    /** Of a feed that slides the form has the two ends only, each in one word. */
    private static Lever ofFeed(Lever lever) {
        return lever.slides() ? new Lever("feed dial", FEED_ENDS) : lever;
    }
}
