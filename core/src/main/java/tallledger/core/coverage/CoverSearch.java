package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.LongToDoubleFunction;
import java.util.stream.IntStream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;

/**
 * Searches orders of runs layer by layer over bit masks: a state is the elements exercised, the last run and how far the
 * cold-spindle rule lets the next one go; of equal states only the quickest is kept.
 *
 * <p>Textbook: branch over sets, then order each. Searching orders directly finds the fewest runs and the quickest order among
 * all fewest sets in one pass, since a set can be run under the rule exactly if some order of it can. A branch is left when the
 * runs it has left cannot cover what is missing: at least as many as any one stage has positions missing, and at least as many as
 * the climb to the highest speed takes. Of orders that are equally quick the one found first is taken: as far as it goes, slow to fast.
 */
final class CoverSearch {

    /** States kept a layer; a layer that would be larger is cut to its best and the search says so. */
    static final int MOST_STATES = 40_000;

    /** Of equally quick plans the one that runs forward: s, far below any real time. */
    private static final double FORWARD_FIRST = 1e-6;
    private static final long LOWEST = 1L << 62;
    private static final long HIGHEST = 1L << 63;

    private final Situation situation;
    private final boolean cold;
    private final List<Route> routes;
    private final long[] masks;
    private final double[] rpm;
    private final double[] runTime;
    private final double[][] move;
    private final long[] stageMasks;
    private final int[] hops;
    /** How many candidates, slowest first, may follow each. */
    private final int[] reaches;
    private final long needed;
    private boolean cut;

    /** A state, with the way to it. */
    record Node(long mask, int last, int reach, double time, Node before) {
    }

    /** States of one layer, in the order they were found; of equal ones the quickest. Found by open addressing: there are millions. */
    private static final class Layer {

        private static final long MIXES = 0x9E3779B97F4A7C15L;

        private final List<Node> nodes = new ArrayList<>();
        /** Place of a node among the nodes, from 1; 0 where the slot is free. */
        private int[] slots = new int[1 << 12];

        /** The slot of a state, or the free one where it would stand. */
        private int slot(long mask, int last, int reach) {
            long mixed = (mask * MIXES ^ ((long) last << 32 | reach)) * MIXES;
            int at = (int) (mixed >>> 32) & slots.length - 1;
            while (slots[at] != 0) {
                Node there = nodes.get(slots[at] - 1);
                if (there.mask == mask && there.last == last && there.reach == reach) {
                    return at;
                }
                at = at + 1 & slots.length - 1;
            }
            return at;
        }

        private void reach(long mask, int last, int reach, double time, Node before) {
            int at = slot(mask, last, reach);
            if (slots[at] == 0) {
                nodes.add(new Node(mask, last, reach, time, before));
                slots[at] = nodes.size();
                if (nodes.size() * 2 > slots.length) {
                    grow();
                }
            } else if (time < nodes.get(slots[at] - 1).time) {
                nodes.set(slots[at] - 1, new Node(mask, last, reach, time, before));
            }
        }

        private void grow() {
            slots = new int[slots.length * 2];
            for (int i = 0; i < nodes.size(); i++) {
                Node node = nodes.get(i);
                slots[slot(node.mask, node.last, node.reach)] = i + 1;
            }
        }
    }

    /**
     * @param cold     whether the cold-spindle rule holds
     * @param withEnds whether the lowest and the highest speed must be among the runs
     */
    CoverSearch(Situation situation, boolean cold, boolean withEnds) {
        this.situation = situation;
        this.cold = cold;
        this.routes = situation.candidates();
        int n = routes.size();
        this.rpm = routes.stream().mapToDouble(situation::rpm).toArray();
        this.runTime = routes.stream().mapToDouble(r -> situation.runTime(r) + (situation.table().train().isReverse(r) ? FORWARD_FIRST : 0))
                .toArray();
        this.masks = new long[n];
        this.move = new double[n][n];
        DriveTrain train = situation.table().train();
        long provable = situation.provable();
        long ends = withEnds ? ends() : 0;
        for (int i = 0; i < n; i++) {
            masks[i] = situation.elements().mask(routes.get(i)) & provable | endsOf(i) & ends;
            for (int j = 0; j < n; j++) {
                move[i][j] = situation.times().move(train, routes.get(i), routes.get(j));
            }
        }
        this.needed = provable | ends;
        this.stageMasks = stageMasks(train);
        this.hops = hops();
        this.reaches = IntStream.range(0, n).map(i -> cold ? reachOf(rpm[i]) : 0).toArray();
    }

    /** The lowest and the highest speed are forced in as long as nobody ran them and they may still be run. */
    private long ends() {
        if (routes.isEmpty()) {
            return 0;
        }
        double lowest = speeds(true);
        double highest = speeds(false);
        boolean lowRun = situation.run().stream().anyMatch(r -> situation.isPlaced(r) && situation.rpm(r) == lowest);
        boolean highRun = situation.run().stream().anyMatch(r -> situation.isPlaced(r) && situation.rpm(r) == highest);
        long placed = IntStream.range(0, rpm.length)
                .filter(i -> situation.isPlaced(routes.get(i)) && !situation.table().train().isSweep(routes.get(i)))
                .mapToLong(i -> (rpm[i] == lowest ? LOWEST : 0) | (rpm[i] == highest ? HIGHEST : 0)).reduce(0, (a, b) -> a | b);
        return placed & ((lowRun ? 0 : LOWEST) | (highRun ? 0 : HIGHEST));
    }

    private double speeds(boolean lowest) {
        var all = situation.table().speeds().stream().filter(s -> !s.isSweep()).flatMap(s -> s.expected().stream())
                .mapToDouble(Double::doubleValue);
        return (lowest ? all.min() : all.max()).orElse(0);
    }

    /** Whether the fastest speed is still to be run, and may be. */
    boolean needsFastest() {
        return (needed & HIGHEST) != 0;
    }

    private long endsOf(int i) {
        boolean noEnd = situation.table().train().isSweep(routes.get(i)) || !situation.isPlaced(routes.get(i));
        return noEnd ? 0 : (rpm[i] == speeds(true) ? LOWEST : 0) | (rpm[i] == speeds(false) ? HIGHEST : 0);
    }

    private long[] stageMasks(DriveTrain train) {
        long[] stages = new long[train.stages().size()];
        int bit = 0;
        for (int s = 0; s < stages.length; s++) {
            for (int p = 0; p < train.stages().get(s).positions().size(); p++) {
                stages[s] |= 1L << bit++;
            }
            stages[s] &= needed;
        }
        return stages;
    }

    /** Fewest climbs from each reach to the top, by always taking the fastest allowed. */
    private int[] hops() {
        int[] fewest = new int[routes.size() + 1];
        for (int reach = 0; reach <= routes.size(); reach++) {
            int count = 1;
            int at = reach;
            while (at < routes.size() && at > 0) {
                at = reachOf(rpm[at - 1]);
                count++;
            }
            fewest[reach] = count;
        }
        return fewest;
    }

    /** How many candidates, slowest first, may follow a highest speed. */
    private int reachOf(double highest) {
        if (!cold) {
            return routes.size();
        }
        double limit = situation.cold().reach(highest);
        int reach = 0;
        while (reach < rpm.length && rpm[reach] <= limit) {
            reach++;
        }
        // Where speeds were passed over, the next that is left is let through; the run sheet cautions.
        if (reach < rpm.length && (reach == 0 || rpm[reach - 1] <= highest)) {
            double next = rpm[reach];
            while (reach < rpm.length && rpm[reach] <= next) {
                reach++;
            }
        }
        return reach;
    }

    private int startReach() {
        if (!cold) {
            return routes.size();
        }
        if (situation.highest().isPresent()) {
            return reachOf(situation.highest().getAsDouble());
        }
        int reach = 0;
        while (reach < rpm.length && rpm[reach] <= rpm[0]) {
            reach++;
        }
        return reach;
    }

    /** Whether a layer had to be cut, so that "fewest" and "quickest" are no longer proven by the search alone. */
    boolean wasCut() {
        return cut;
    }

    long needed() {
        return needed;
    }

    /** Runs no plan can do without. */
    int lowerBound() {
        return lowerBound(0, startReach());
    }

    private int lowerBound(long mask, int reach) {
        long missing = needed & ~mask;
        if (missing == 0) {
            return 0;
        }
        int bound = 1;
        for (long stage : stageMasks) {
            bound = Math.max(bound, Long.bitCount(stage & missing));
        }
        return (missing & HIGHEST) == 0 ? bound : Math.max(bound, hops[reach]);
    }

    /** The quickest order that covers everything needed with exactly the fewest runs. */
    Node fewest() {
        for (int target = lowerBound();; target++) {
            Collection<Node> layer = starts(target);
            for (int depth = 1; depth < target && !layer.isEmpty(); depth++) {
                layer = next(layer, target - depth - 1, Double.MAX_VALUE);
            }
            Node best = layer.stream().filter(n -> (needed & ~n.mask) == 0).min(Comparator.comparingDouble(Node::time)).orElse(null);
            if (best != null || target > routes.size()) {
                return best;
            }
        }
    }

    /**
     * Orders of which none is both slower and worth less than another, quickest first, none longer than a limit, s.
     *
     * @param withFastest only those that have the fastest speed among them
     */
    record Frontier(List<Node> all, List<Node> withFastest) {
    }

    Frontier frontier(double limit, LongToDoubleFunction worth) {
        List<Node> all = List.of();
        List<Node> withFastest = List.of();
        Collection<Node> layer = starts(Integer.MAX_VALUE).stream().filter(n -> n.time <= limit).toList();
        double inTime = limit;
        while (!layer.isEmpty()) {
            all = better(all, layer, worth);
            withFastest = better(withFastest, layer.stream().filter(n -> (n.mask & HIGHEST) != 0).toList(), worth);
            // Once everything is covered only something quicker is worth looking for.
            inTime = Math.min(inTime, layer.stream().filter(n -> (needed & ~n.mask) == 0).mapToDouble(Node::time).min().orElse(limit));
            layer = next(layer, Integer.MAX_VALUE, inTime);
        }
        return new Frontier(all, withFastest);
    }

    private static List<Node> better(List<Node> some, Collection<Node> more, LongToDoubleFunction worth) {
        // Of all that have exercised the same only the quickest can be better than what is there.
        Map<Long, Node> quickest = new LinkedHashMap<>();
        more.forEach(n -> quickest.merge(n.mask, n, (a, b) -> b.time < a.time ? b : a));
        List<Node> sorted = new ArrayList<>(some);
        sorted.addAll(quickest.values());
        Map<Long, Double> worths = new HashMap<>();
        sorted.forEach(n -> worths.computeIfAbsent(n.mask, worth::applyAsDouble));
        sorted.sort(Comparator.comparingDouble(Node::time).thenComparingDouble(n -> -worths.get(n.mask)));
        List<Node> kept = new ArrayList<>();
        double most = -1;
        for (Node node : sorted) {
            if (worths.get(node.mask) > most + 1e-9) {
                kept.add(node);
                most = worths.get(node.mask);
            }
        }
        return kept;
    }

    private List<Node> starts(int target) {
        List<Node> starts = new ArrayList<>();
        int reach = startReach();
        boolean fresh = situation.highest().isEmpty();
        DriveTrain train = situation.table().train();
        List<Route> startable = routes.subList(0, reach);
        for (int i = 0; i < reach; i++) {
            if (!situation.mayBegin(routes.get(i), startable)) {
                continue;
            }
            double moving = situation.standing().isPresent() && !fresh
                    ? situation.times().move(train, situation.standing().get(), routes.get(i))
                    : 0;
            int then = Math.max(reach, reachOf(Math.max(rpm[i], situation.highest().orElse(0))));
            Node node = new Node(masks[i], i, cold && fresh ? reachOf(rpm[i]) : then, moving + runTime[i], null);
            if (target == Integer.MAX_VALUE || 1 + lowerBound(node.mask, node.reach) <= target) {
                starts.add(node);
            }
        }
        return starts;
    }

    private List<Node> next(Collection<Node> layer, int runsLeft, double limit) {
        Layer next = new Layer();
        for (Node node : layer) {
            long missing = needed & ~node.mask;
            if (missing == 0) {
                continue;
            }
            double[] moves = move[node.last];
            for (int i = 0; i < node.reach; i++) {
                int reach = Math.max(node.reach, reaches[i]);
                double time = node.time + moves[i] + runTime[i];
                if (time > limit || (masks[i] & missing) == 0 && reach == node.reach) {
                    continue;
                }
                long mask = node.mask | masks[i];
                if (runsLeft == Integer.MAX_VALUE || lowerBound(mask, reach) <= runsLeft) {
                    next.reach(mask, i, reach, time, node);
                }
            }
        }
        return next.nodes.size() > MOST_STATES ? trimmed(next.nodes) : next.nodes;
    }

    /** The states that miss least, the quickest of those that miss one more than fit in. */
    private List<Node> trimmed(List<Node> layer) {
        cut = true;
        Map<Integer, List<Node>> byMissing = new TreeMap<>();
        layer.forEach(n -> byMissing.computeIfAbsent(Long.bitCount(needed & ~n.mask), k -> new ArrayList<>()).add(n));
        List<Node> kept = new ArrayList<>(MOST_STATES);
        for (List<Node> some : byMissing.values()) {
            if (kept.size() + some.size() > MOST_STATES) {
                some.sort(Comparator.comparingDouble(Node::time));
            }
            kept.addAll(some.subList(0, Math.min(some.size(), MOST_STATES - kept.size())));
        }
        return kept;
    }

    /** Time of a way, s, without what only decides between equals. */
    static double seconds(Node end) {
        return Math.round(end.time * 10) / 10.0;
    }

    /** The routes on the way to a state, first to last. */
    List<Route> way(Node end) {
        List<Route> way = new ArrayList<>();
        for (Node node = end; node != null; node = node.before) {
            way.add(routes.get(node.last));
        }
        Collections.reverse(way);
        return way;
    }
}
