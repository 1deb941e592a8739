package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.drive.Route;

/**
 * What minutes can buy at the spindle: ways to run speeds of which none is both slower and worth less than another, so that whoever shares
 * minutes between the spindle and the rest of the machine need look at no other. Exact as long as the search was not cut
 * ({@link CoverSearch#MOST_STATES}).
 */
public final class RunChoice {

    private final Situation situation;
    private final ToDoubleFunction<Element> worth;
    private final List<RunWay> ways;
    private final boolean proven;
    private final long provable;

    /**
     * One of them.
     *
     * @param seconds in the quickest order the cold-spindle rule allows
     * @param worth   of the elements it proves
     * @param fastest whether the fastest speed is in it, or need not be
     */
    public record RunWay(List<Route> routes, double seconds, double worth, boolean fastest) {
    }

    RunChoice(Situation situation, double limit, ToDoubleFunction<Element> worth) {
        this.situation = situation;
        this.worth = worth;
        this.provable = situation.provable();
        CoverSearch search = new CoverSearch(situation, true, true);
        boolean hasFastest = !search.needsFastest();
        List<RunWay> found = new ArrayList<>(List.of(new RunWay(List.of(), 0, 0, hasFastest)));
        if (search.needed() != 0) {
            CoverSearch.Frontier frontier = search.frontier(limit, this::worth);
            frontier.all().forEach(n -> found.add(way(search, n, hasFastest || frontier.withFastest().contains(n))));
            frontier.withFastest().stream().filter(n -> !hasFastest && !frontier.all().contains(n))
                    .forEach(n -> found.add(way(search, n, true)));
        }
        found.sort(Comparator.comparingDouble(RunWay::seconds));
        this.ways = List.copyOf(found);
        this.proven = !search.wasCut();
    }

    private RunWay way(CoverSearch search, CoverSearch.Node end, boolean fastest) {
        return new RunWay(search.way(end), CoverSearch.seconds(end), worth(end.mask()), fastest);
    }

    /** Worth of the elements whose bits are set; bits that are no element, such as "the fastest was run", are worth nothing. */
    private double worth(long mask) {
        return situation.elements().in(mask & provable).stream().mapToDouble(worth).sum();
    }

    Situation situation() {
        return situation;
    }

    /** Quickest first; the first of them is nothing at all. */
    public List<RunWay> ways() {
        return ways;
    }

    /** Whether no way was left out. */
    public boolean isProven() {
        return proven;
    }

    /** Those with the fastest speed among them, where some such takes no longer than that; else all. */
    public List<RunWay> withFastest(double seconds) {
        List<RunWay> with = ways.stream().filter(RunWay::fastest).toList();
        return with.stream().anyMatch(w -> w.seconds <= seconds) ? with : ways;
    }

    /** The most worth within so many seconds, the fastest speed among it where they reach it; the quicker of equals. */
    public RunWay within(double seconds) {
        return withFastest(seconds).stream().filter(w -> w.seconds <= seconds).reduce((a, b) -> b.worth > a.worth + 1e-9 ? b : a)
                .orElseThrow();
    }

    /** The least time a run takes, s: what {@link #bound} counts runs by. */
    public double quickest() {
        return situation.candidates().stream().mapToDouble(situation::runTime).min().orElse(Double.MAX_VALUE);
    }

    /** No way is worth more with so many runs: each proves the best position left of every stage. */
    public double bound(int runs) {
        return IntStream.range(0, situation.table().train().stages().size()).mapToDouble(stage -> best(stage, runs)).sum();
    }

    private double best(int stage, int runs) {
        DoubleStream falling = situation.elements().in(provable).stream().filter(e -> e.stage() == stage)
                .mapToDouble(e -> -worth.applyAsDouble(e)).sorted();
        return -falling.limit(runs).sum();
    }
}
