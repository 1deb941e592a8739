package tallledger.core.plate;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import tallledger.core.plate.PlateRemark.Kind;
import tallledger.core.reason.Reason;

/**
 * Does the plate make sense? Table, lever factors, ladder; all remarks collected, none thrown.
 *
 * @param remarks what a person should look at, doubts first
 * @param factors what each lever does, from the cells that are not suspect
 * @param ladder  the ladder of distinct speeds; empty for fewer than two
 */
public record PlateCheck(List<PlateRemark> remarks, LeverFactors factors, Optional<Ladder> ladder) {

    private static final MathContext SHOWN = new MathContext(4);

    /**
     * @param plate   the plate as typed
     * @param claimed number of speeds somebody claims, where somebody does
     */
    public static PlateCheck of(SpeedPlate plate, OptionalInt claimed) {
        return of(plate, claimed, LeverFactors.of(plate), PlateOf.SPEED);
    }

    /** The same for a plate of feeds. */
    public static PlateCheck ofFeeds(SpeedPlate plate) {
        return of(plate, OptionalInt.empty(), LeverFactors.of(plate), PlateOf.FEED);
    }

    /** The same where the plate's lever factors are known already. */
    public static PlateCheck of(SpeedPlate plate, OptionalInt claimed, LeverFactors factors) {
        return of(plate, claimed, factors, PlateOf.SPEED);
    }

    /** Of a thread plate: pitches are what threads are, so nothing is said of their steps. */
    public static PlateCheck ofThreads(SpeedPlate plate) {
        return of(plate, OptionalInt.empty(), LeverFactors.of(plate), PlateOf.THREAD);
    }

    private static PlateCheck of(SpeedPlate plate, OptionalInt claimed, LeverFactors factors, PlateOf what) {
        List<BigDecimal> values = plate.cells().values().stream().flatMap(cell -> cell.value().stream()).toList();
        Optional<Ladder> ladder = values.stream().map(BigDecimal::stripTrailingZeros).distinct().count() < 2
                ? Optional.empty()
                : Optional.of(Ladder.of(values));
        List<PlateRemark> remarks = new ArrayList<>(factorRemarks(plate, factors));
        remarks.addAll(tableRemarks(plate, claimed, factors, what));
        ladder.filter(l -> what != PlateOf.THREAD).ifPresent(l -> remarks.addAll(ladderRemarks(l, plate, factors, what)));
        remarks.sort(java.util.Comparator.comparing((PlateRemark r) -> !r.isDoubt()));
        return new PlateCheck(List.copyOf(remarks), factors, ladder);
    }

    private static List<PlateRemark> tableRemarks(SpeedPlate plate, OptionalInt claimed, LeverFactors factors, PlateOf what) {
        List<PlateRemark> remarks = new ArrayList<>();
        Map<BigDecimal, List<List<String>>> byValue = new LinkedHashMap<>();
        plate.cells().forEach((key, cell) -> cell.value()
                .ifPresent(v -> byValue.computeIfAbsent(v.stripTrailingZeros(), x -> new ArrayList<>()).add(key)));
        unread(plate, factors).ifPresent(remarks::add);
        byValue.forEach((value, keys) -> {
            if (keys.size() > 1) {
                remarks.add(remark(Kind.REPEATED, keys, Optional.empty(),
                        Reason.of(PlateReason.PLATE_REPEATED, value, names(plate, keys), what)));
            }
        });
        int unread = (int) plate.cells().values().stream().filter(PlateCell.Unreadable.class::isInstance).count();
        int distinct = byValue.size();
        if (claimed.isPresent() && claimed.getAsInt() != distinct) {
            remarks.add(remark(Kind.COUNT, List.of(), Optional.empty(),
                    unread == 0 ? Reason.of(PlateReason.PLATE_COUNT, distinct, claimed.getAsInt(), what)
                            : Reason.of(PlateReason.PLATE_COUNT_UNREAD, distinct, claimed.getAsInt(), what, unread)));
        }
        return remarks;
    }

    /** One line for all cells that cannot be read, with what the others say of them. */
    private static Optional<PlateRemark> unread(SpeedPlate plate, LeverFactors factors) {
        List<List<String>> unread = plate.cells().entrySet().stream().filter(e -> e.getValue() instanceof PlateCell.Unreadable)
                .map(Map.Entry::getKey).toList();
        if (unread.isEmpty()) {
            return Optional.empty();
        }
        List<String> says = unread.stream().flatMap(key -> factors.predict(key).map(p -> plate.name(key) + " ≈ " + shown(p).toPlainString())
                .stream()).toList();
        return Optional.of(remark(Kind.UNREADABLE, unread, Optional.empty(),
                says.isEmpty() ? Reason.of(PlateReason.PLATE_UNREAD, unread.size())
                        : Reason.of(PlateReason.PLATE_UNREAD_PREDICTED, unread.size(), String.join(", ", says))));
    }

    private static List<PlateRemark> factorRemarks(SpeedPlate plate, LeverFactors factors) {
        return switch (factors.outcome()) {
            case FITS -> List.of();
            case CANNOT_TELL -> plate.cells().size() < 2 ? List.of()
                    : List.of(remark(Kind.UNCHECKED, List.of(), Optional.empty(), Reason.of(PlateReason.PLATE_UNCHECKED)));
            case DOES_NOT_MULTIPLY -> List.of(remark(Kind.NOT_MULTIPLYING, List.of(), Optional.empty(),
                    Reason.of(PlateReason.PLATE_NOT_MULTIPLYING)));
            case SUSPECTS -> suspects(plate, factors);
        };
    }

    private static List<PlateRemark> suspects(SpeedPlate plate, LeverFactors factors) {
        List<List<List<String>>> sets = factors.suspectSets();
        List<PlateRemark> remarks = new ArrayList<>();
        boolean alternatives = sets.size() > 1;
        if (alternatives) {
            String named = String.join(" / ", sets.stream().map(set -> names(plate, set)).toList());
            remarks.add(remark(Kind.ALTERNATIVES, factors.allSuspects(), Optional.empty(),
                    Reason.of(PlateReason.PLATE_ALTERNATIVES, sets.size(), named)));
        }
        for (int s = 0; s < sets.size(); s++) {
            for (List<String> key : sets.get(s)) {
                remarks.add(suspect(plate, key, factors.predict(s, key).orElseThrow(), alternatives));
            }
        }
        return remarks;
    }

    private static PlateRemark suspect(SpeedPlate plate, List<String> key, double predicted, boolean alternative) {
        BigDecimal typed = plate.cell(key).value().orElseThrow();
        List<Misreading> readings = Misreading.explaining(typed, predicted, neighbours(plate, key));
        double off = 100 * (typed.doubleValue() / predicted - 1);
        Reason because = Reason.of(alternative ? PlateReason.PLATE_SUSPECT_ALTERNATIVE : PlateReason.PLATE_SUSPECT,
                plate.name(key), typed, shown(predicted), off);
        return new PlateRemark(Kind.SUSPECT, List.of(key), Optional.of(shown(predicted)), readings, because);
    }

    /** Values one lever position away. */
    private static List<BigDecimal> neighbours(SpeedPlate plate, List<String> key) {
        return plate.cells().entrySet().stream().filter(e -> differences(e.getKey(), key) == 1)
                .flatMap(e -> e.getValue().value().stream()).toList();
    }

    private static int differences(List<String> a, List<String> b) {
        return (int) java.util.stream.IntStream.range(0, a.size()).filter(i -> !a.get(i).equals(b.get(i))).count();
    }

    private static List<PlateRemark> ladderRemarks(Ladder ladder, SpeedPlate plate, LeverFactors factors, PlateOf what) {
        List<PlateRemark> remarks = new ArrayList<>();
        // Ends of sliding ranges are no ladder.
        if (plate.levers().stream().noneMatch(Lever::slides)) {
            remarks.add(remark(Kind.LADDER, List.of(), Optional.empty(),
                    Reason.of(PlateReason.PLATE_LADDER, ladder.speeds().size(), ladder.phi(), ladder.standardStep(), what,
                            ladder.steps().get(0), ladder.steps().get(ladder.steps().size() - 1), ladder.median())));
        }
        ladder.breakAt().ifPresent(at -> remarks.add(remark(Kind.BROKEN_LADDER, List.of(), Optional.empty(),
                Reason.of(PlateReason.PLATE_BROKEN_LADDER, ladder.speeds().get(at)))));
        // Where the levers multiply and every cell is filled, the steps are what the wheels give.
        if (factors.outcome() == LeverFactors.Outcome.FITS && plate.cells().values().stream().allMatch(c -> c.value().isPresent())) {
            return remarks;
        }
        Beside beside = Beside.of(plate, factors);
        ladder.holes().stream().filter(i -> beside.isClear(ladder, i))
                .forEach(i -> remarks.add(step(Kind.HOLE, PlateReason.PLATE_HOLE, ladder, i, what)));
        ladder.crowds().stream().filter(i -> beside.isClear(ladder, i))
                .forEach(i -> remarks.add(step(Kind.CROWD, PlateReason.PLATE_CROWD, ladder, i, what)));
        return remarks;
    }

    /**
     * What lies beside a step of the ladder, so that nothing is claimed of it: a cell that cannot be read and may stand there, or a
     * sliding range.
     *
     * @param unplaced whether a cell cannot be read and the others do not say what stands there
     * @param expected what the other cells say of those that cannot be read
     * @param ranges   lowest and highest value of each sliding range
     */
    private record Beside(boolean unplaced, List<Double> expected, List<double[]> ranges) {

        private static final double NEAR = 1.03;

        static Beside of(SpeedPlate plate, LeverFactors factors) {
            List<Optional<Double>> unread = plate.cells().entrySet().stream().filter(e -> e.getValue() instanceof PlateCell.Unreadable)
                    .map(e -> factors.predict(e.getKey())).toList();
            Map<List<String>, double[]> ranges = new LinkedHashMap<>();
            boolean slides = plate.levers().stream().anyMatch(Lever::slides);
            plate.cells().forEach((key, cell) -> cell.value().filter(v -> slides).ifPresent(v -> {
                double[] range = ranges.computeIfAbsent(fixed(plate, key), k -> new double[] {Double.MAX_VALUE, 0});
                range[0] = Math.min(range[0], v.doubleValue());
                range[1] = Math.max(range[1], v.doubleValue());
            }));
            return new Beside(unread.stream().anyMatch(Optional::isEmpty), unread.stream().flatMap(Optional::stream).toList(),
                    List.copyOf(ranges.values()));
        }

        /** The levers that do not slide. */
        private static List<String> fixed(SpeedPlate plate, List<String> key) {
            return java.util.stream.IntStream.range(0, key.size()).filter(l -> !plate.levers().get(l).slides()).mapToObj(key::get).toList();
        }

        boolean isClear(Ladder ladder, int lower) {
            double from = ladder.speeds().get(lower).doubleValue();
            double to = ladder.speeds().get(lower + 1).doubleValue();
            boolean unread = unplaced || expected.stream().anyMatch(e -> e >= from / NEAR && e <= to * NEAR);
            boolean inRange = ranges.stream().anyMatch(r -> r[0] < to && r[1] > from);
            boolean ends = isEnd(from) && isEnd(to);
            return !unread && !inRange && !ends;
        }

        private boolean isEnd(double value) {
            return ranges.stream().anyMatch(r -> r[0] == value || r[1] == value);
        }
    }

    private static PlateRemark step(Kind kind, PlateReason code, Ladder ladder, int lower, PlateOf what) {
        return remark(kind, List.of(), Optional.empty(),
                Reason.of(code, ladder.speeds().get(lower), ladder.speeds().get(lower + 1), what));
    }

    private static PlateRemark remark(Kind kind, List<List<String>> cells, Optional<BigDecimal> predicted, Reason because) {
        return new PlateRemark(kind, cells, predicted, List.of(), because);
    }

    private static BigDecimal shown(double value) {
        return new BigDecimal(value).round(SHOWN);
    }

    private static String names(SpeedPlate plate, List<List<String>> keys) {
        return String.join(", ", keys.stream().map(plate::name).toList());
    }
}
