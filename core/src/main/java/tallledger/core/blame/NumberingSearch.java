package tallledger.core.blame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.blame.SpeedCauses.SpeedDeviation;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Numbering;
import tallledger.core.drive.Route;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.reason.Reason;

/**
 * Positions of one or two levers numbered another way, or the labels of two levers exchanged: the way with the fewest exchanges of two
 * positions by which every reading fits its plate value (W 1.3). A position that was not read goes where fewest are needed.
 *
 * <p>Worked: a gate of four read 4, 3, 2, 1 needs two exchanges: "1 and 4, 2 and 3 are the other way round".
 */
final class NumberingSearch {

    private static final int MOST_LEVERS = 2;
    private static final int FREE = -1;
    /** Readings that fit very many values would be tried for ever; nothing is offered then. */
    private static final int MOST_TRIED = 200_000;

    /** A way found, with the exchanges it needs and how far its worst reading is off, ln. */
    record FoundNumbering(Numbering numbering, int exchanges, double misfit) {
    }

    private final SpeedTable table;
    private final DriveTrain train;
    private final List<SpeedDeviation> readings;
    private final double fits;
    private final int[][] to;
    private final int[][] taken;
    private int tried;
    private Optional<FoundNumbering> best = Optional.empty();

    private NumberingSearch(SpeedTable table, List<SpeedDeviation> readings, double fits) {
        this.table = table;
        this.train = table.train();
        this.fits = fits;
        this.readings = readings.stream().sorted(Comparator.comparingInt(r -> candidates(r).size())).toList();
        this.to = train.stages().stream().map(s -> free(s.positions().size())).toArray(int[][]::new);
        this.taken = train.stages().stream().map(s -> free(s.positions().size())).toArray(int[][]::new);
    }

    /** @param fits a reading fits its plate value within this, ln */
    static Optional<FoundNumbering> of(SpeedTable table, List<SpeedDeviation> readings, double fits) {
        NumberingSearch search = new NumberingSearch(table, readings, fits);
        search.exchangedLevers();
        search.place(0);
        return search.tried > MOST_TRIED ? Optional.empty() : search.best;
    }

    private static int[] free(int size) {
        int[] positions = new int[size];
        Arrays.fill(positions, FREE);
        return positions;
    }

    /** Routes whose plate value a reading fits, all else than the plate's levers standing as it was. */
    private List<Route> candidates(SpeedDeviation reading) {
        return train.routes().stream().filter(r -> IntStream.range(0, train.stages().size())
                .allMatch(s -> train.stages().get(s).isOnPlate() || r.at(s) == reading.route().at(s)))
                .filter(r -> table.nominal(r).filter(n -> off(reading, n.doubleValue()) <= fits).isPresent()).toList();
    }

    private static double off(SpeedDeviation reading, double plate) {
        return Math.abs(Math.log(reading.read() / plate));
    }

    private void exchangedLevers() {
        List<Stage> stages = train.stages();
        for (int a = 0; a < stages.size(); a++) {
            for (int b = a + 1; b < stages.size(); b++) {
                if (stages.get(a).isOnPlate() && stages.get(b).isOnPlate()
                        && stages.get(a).positions().size() == stages.get(b).positions().size()) {
                    offer(Numbering.asLabelled(train).exchanged(a, b), 1);
                }
            }
        }
    }

    private void place(int at) {
        if (++tried > MOST_TRIED || IntStream.range(0, to.length).filter(this::isOther).count() > MOST_LEVERS) {
            return;
        }
        if (at == readings.size()) {
            List<int[]> whole = Arrays.stream(to).map(NumberingSearch::closed).toList();
            offer(new Numbering(Numbering.asLabelled(train).from(), whole.stream().map(p -> Arrays.stream(p).boxed().toList()).toList()),
                    whole.stream().mapToInt(NumberingSearch::exchanges).sum());
            return;
        }
        Route route = readings.get(at).route();
        for (Route meant : candidates(readings.get(at))) {
            List<Integer> set = new ArrayList<>();
            if (set(route, meant, set)) {
                place(at + 1);
            }
            set.forEach(s -> {
                to[s][route.at(s)] = FREE;
                taken[s][meant.at(s)] = FREE;
            });
        }
    }

    /** @param set stages in which a position was given its meaning */
    private boolean set(Route route, Route meant, List<Integer> set) {
        for (int s = 0; s < to.length; s++) {
            int p = route.at(s);
            int m = meant.at(s);
            if (to[s][p] == FREE && taken[s][m] == FREE) {
                to[s][p] = m;
                taken[s][m] = p;
                set.add(s);
            } else if (to[s][p] != m) {
                return false;
            }
        }
        return true;
    }

    private boolean isOther(int stage) {
        return IntStream.range(0, to[stage].length).anyMatch(p -> to[stage][p] != FREE && to[stage][p] != p);
    }

    /** What was not read stays; a chain that must go on closes on itself, which takes the fewest exchanges. */
    private static int[] closed(int[] partial) {
        int[] whole = partial.clone();
        boolean[] reached = new boolean[whole.length];
        Arrays.stream(partial).filter(m -> m != FREE).forEach(m -> reached[m] = true);
        for (int first = 0; first < whole.length; first++) {
            if (!reached[first]) {
                int last = first;
                while (whole[last] != FREE) {
                    last = whole[last];
                }
                whole[last] = first;
            }
        }
        return whole;
    }

    /** Exchanges of two that a permutation is made of: its length less its cycles. */
    private static int exchanges(int[] whole) {
        boolean[] seen = new boolean[whole.length];
        int cycles = 0;
        for (int p = 0; p < whole.length; p++) {
            cycles += seen[p] ? 0 : 1;
            for (int q = p; !seen[q]; q = whole[q]) {
                seen[q] = true;
            }
        }
        return whole.length - cycles;
    }

    private void offer(Numbering numbering, int exchanges) {
        double misfit = 0;
        for (SpeedDeviation reading : readings) {
            misfit = Math.max(misfit, table.nominal(numbering.meant(reading.route())).map(n -> off(reading, n.doubleValue()))
                    .orElse(Double.POSITIVE_INFINITY));
        }
        boolean better = best.isEmpty() || exchanges < best.get().exchanges
                || exchanges == best.get().exchanges && misfit < best.get().misfit;
        if (exchanges > 0 && misfit <= fits && better) {
            best = Optional.of(new FoundNumbering(numbering, exchanges, misfit));
        }
    }

    /** "gear: 1 and 4, 2 and 3 are the other way round". */
    static Reason says(DriveTrain train, Numbering numbering) {
        List<Object> parts = new ArrayList<>();
        for (int s = 0; s < train.stages().size(); s++) {
            Stage stage = train.stages().get(s);
            int other = numbering.from().get(s);
            if (other > s) {
                parts.add(Reason.of(BlameReason.NUMBERED_LEVERS, stage.name(), train.stages().get(other).name()));
            }
            List<Integer> to = numbering.to().get(s);
            List<Integer> moved = IntStream.range(0, to.size()).filter(p -> to.get(p) != p).boxed().toList();
            if (!moved.isEmpty() && moved.stream().allMatch(p -> to.get(to.get(p)).equals(p))) {
                parts.add(Reason.of(BlameReason.NUMBERED_PAIRS, stage.name(), moved.stream().filter(p -> p < to.get(p))
                        .map(p -> (Object) Reason.of(BlameReason.NUMBERED_PAIR, stage.positions().get(p).label(),
                                stage.positions().get(to.get(p)).label()))
                        .toList()));
            } else if (!moved.isEmpty()) {
                parts.add(Reason.of(BlameReason.NUMBERED_ROUND, stage.name(), moved.stream()
                        .map(p -> (Object) Reason.of(BlameReason.NUMBERED_AS, stage.positions().get(p).label(),
                                stage.positions().get(to.get(p)).label()))
                        .toList()));
            }
        }
        return Reason.of(BlameReason.CAUSE_NUMBERED, parts);
    }
}
