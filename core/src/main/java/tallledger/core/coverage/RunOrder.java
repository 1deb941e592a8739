package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import tallledger.core.drive.Route;

/**
 * The quickest order of given runs under the cold-spindle rule.
 *
 * <p>Up to 16 runs exact, by dynamic programming over subsets (state: runs done, last run; what may follow depends only on the
 * highest of those done). Above, several constructed orders are improved by moving and turning stretches, and the result is
 * compared with a proven bound: a minimum spanning tree over the moves, raised by node potentials (Held and Karp).
 */
final class RunOrder {

    static final int EXACT = 16;
    private static final int IMPROVING_ROUNDS = 60;
    /** Among equally quick orders the one that climbs, as people do: a step costs this much a rung, s, never enough to outweigh time. */
    private static final double RUNG = 1e-6;

    private final Situation situation;
    private final List<Route> routes;
    private final int count;
    private final double[][] move;
    private final double[] first;
    private final double[] rpm;
    private final double running;
    private final boolean[] begins;

    /** An order, with its time and a bound no order can beat, s. */
    record Ordered(List<Route> routes, double seconds, double bound) {
    }

    private RunOrder(Situation situation, List<Route> routes) {
        this.situation = situation;
        this.routes = routes;
        this.count = routes.size();
        this.move = new double[count][count];
        this.first = new double[count];
        this.rpm = routes.stream().mapToDouble(situation::rpm).toArray();
        this.begins = new boolean[count];
        this.running = routes.stream().mapToDouble(situation::runTime).sum();
        var train = situation.table().train();
        for (int i = 0; i < count; i++) {
            int to = i;
            first[i] = RUNG * i + situation.standing().map(s -> situation.times().move(train, s, routes.get(to))).orElse(0.0);
            for (int j = 0; j < count; j++) {
                move[i][j] = RUNG * Math.abs(i - j) + situation.times().move(train, routes.get(i), routes.get(j));
            }
        }
        List<Route> reachable = routes.stream().filter(r -> mayFollow(routes.indexOf(r), startHighest(), rpm[0])).toList();
        for (int i = 0; i < count; i++) {
            begins[i] = situation.mayBegin(routes.get(i), reachable);
        }
    }

    static Ordered of(Situation situation, List<Route> routes) {
        if (routes.isEmpty()) {
            return new Ordered(List.of(), 0, 0);
        }
        List<Route> ascending = routes.stream()
                .sorted(Comparator.comparingDouble((Route r) -> situation.rpm(r)).thenComparing(situation::isPlaced)).toList();
        RunOrder order = new RunOrder(situation, ascending);
        return ascending.size() <= EXACT ? order.exact() : order.improved();
    }

    /** Highest speed that may be run next after the highest so far. */
    private double reach(double highest) {
        return highest > 0 ? situation.cold().reach(highest) : rpm[0];
    }

    private double startHighest() {
        return situation.highest().orElse(0);
    }

    /** Reach, given which runs are done; where passing over left a hole wider than the rule, the slowest left is let through. */
    private boolean mayFollow(int next, double highest, double slowestLeft) {
        return rpm[next] <= Math.max(reach(highest), slowestLeft) * (1 + 1e-9);
    }

    private Ordered exact() {
        int full = (1 << count) - 1;
        double[] best = new double[(full + 1) * count];
        byte[] from = new byte[(full + 1) * count];
        Arrays.fill(best, Double.POSITIVE_INFINITY);
        double[] reach = reaches(full);
        for (int i = 0; i < count; i++) {
            if (rpm[i] <= reach[0] && begins[i]) {
                best[(1 << i) * count + i] = first[i];
                from[(1 << i) * count + i] = -1;
            }
        }
        for (int done = 1; done < full; done++) {
            for (int last = 0; last < count; last++) {
                double here = best[done * count + last];
                if (here == Double.POSITIVE_INFINITY) {
                    continue;
                }
                // Runs stand from slow to fast: the first out of reach ends it.
                for (int next = 0; next < count && rpm[next] <= reach[done]; next++) {
                    if ((done >> next & 1) == 0) {
                        int then = (done | 1 << next) * count + next;
                        if (here + move[last][next] < best[then] - RUNG / 10) {
                            best[then] = here + move[last][next];
                            from[then] = (byte) last;
                        }
                    }
                }
            }
        }
        return traced(best, from, full);
    }

    /** By which runs are done, the fastest that may be next. */
    private double[] reaches(int full) {
        double[] after = new double[count];
        for (int i = 0; i < count; i++) {
            after[i] = reach(Math.max(startHighest(), rpm[i]));
        }
        double atFirst = reach(startHighest());
        double[] reach = new double[full + 1];
        for (int done = 0; done < full; done++) {
            double highest = done == 0 ? atFirst : after[Integer.SIZE - 1 - Integer.numberOfLeadingZeros(done)];
            reach[done] = Math.max(highest, rpm[Integer.numberOfTrailingZeros(~done)]) * (1 + 1e-9);
        }
        return reach;
    }

    private Ordered traced(double[] best, byte[] from, int full) {
        int last = 0;
        for (int i = 1; i < count; i++) {
            if (best[full * count + i] < best[full * count + last]) {
                last = i;
            }
        }
        if (best[full * count + last] == Double.POSITIVE_INFINITY) {
            throw new IllegalStateException("no order of these runs obeys the cold-spindle rule: " + routes);
        }
        double moving = whole(best[full * count + last]);
        List<Route> order = new ArrayList<>();
        for (int done = full; last >= 0;) {
            order.add(routes.get(last));
            int before = from[done * count + last];
            done &= ~(1 << last);
            last = before;
        }
        Collections.reverse(order);
        return new Ordered(order, running + moving, running + moving);
    }

    /** Takes the rungs out again: moves take whole tenths of a second. */
    private static double whole(double moving) {
        return Math.round(moving * 10) / 10.0;
    }

    private Ordered improved() {
        int[] best = null;
        double bestTime = Double.MAX_VALUE;
        for (int[] start : List.of(climbing(), nearest())) {
            int[] order = improve(start);
            double time = time(order);
            if (time < bestTime) {
                best = order;
                bestTime = time;
            }
        }
        double bound = SpanningBound.of(move, first);
        return new Ordered(Arrays.stream(best).mapToObj(routes::get).toList(), running + whole(bestTime),
                running + Math.min(bound, whole(bestTime)));
    }

    private int[] climbing() {
        int[] order = new int[count];
        Arrays.setAll(order, i -> i);
        return order;
    }

    /** Always the cheapest allowed move, the slower of equals. */
    private int[] nearest() {
        boolean[] done = new boolean[count];
        int[] order = new int[count];
        double highest = startHighest();
        for (int k = 0; k < count; k++) {
            double slowest = Double.MAX_VALUE;
            for (int i = count - 1; i >= 0; i--) {
                slowest = done[i] ? slowest : rpm[i];
            }
            int pick = -1;
            for (int i = 0; i < count; i++) {
                if (!done[i] && mayFollow(i, highest, slowest) && (k > 0 || begins[i])) {
                    double cost = k == 0 ? first[i] : move[order[k - 1]][i];
                    if (pick < 0 || cost < (k == 0 ? first[pick] : move[order[k - 1]][pick]) - 1e-9) {
                        pick = i;
                    }
                }
            }
            order[k] = pick;
            done[pick] = true;
            highest = Math.max(highest, rpm[pick]);
        }
        return order;
    }

    /** Moves and turns stretches of the order as long as it gets quicker and stays allowed. */
    private int[] improve(int[] start) {
        int[] order = start.clone();
        double time = time(order);
        boolean better = true;
        for (int round = 0; better && round < IMPROVING_ROUNDS; round++) {
            better = false;
            for (int i = 0; i < count; i++) {
                for (int j = i + 1; j < count; j++) {
                    for (int to = -1; to < count; to++) {
                        int[] changed = to < 0 ? turned(order, i, j) : j - i <= 4 ? moved(order, i, j, to) : null;
                        if (changed != null && time(changed) < time - 1e-9 && isAllowed(changed)) {
                            order = changed;
                            time = time(order);
                            better = true;
                        }
                        if (to < 0 && j - i > 4) {
                            break;
                        }
                    }
                }
            }
        }
        return order;
    }

    private static int[] turned(int[] order, int i, int j) {
        int[] changed = order.clone();
        for (int a = i, b = j; a < b; a++, b--) {
            changed[a] = order[b];
            changed[b] = order[a];
        }
        return changed;
    }

    /** Takes the stretch [i, j) out and puts it back before position {@code to} of the rest. */
    private static int[] moved(int[] order, int i, int j, int to) {
        int length = j - i;
        if (to > order.length - length) {
            return null;
        }
        int[] changed = new int[order.length];
        int rest = 0;
        int write = 0;
        for (int k = 0; k <= order.length - length; k++) {
            if (k == to) {
                System.arraycopy(order, i, changed, write, length);
                write += length;
            }
            if (k < order.length - length) {
                rest = rest == i ? j : rest;
                changed[write++] = order[rest++];
            }
        }
        return changed;
    }

    private double time(int[] order) {
        double time = first[order[0]];
        for (int k = 1; k < order.length; k++) {
            time += move[order[k - 1]][order[k]];
        }
        return time;
    }

    private boolean isAllowed(int[] order) {
        if (!begins[order[0]]) {
            return false;
        }
        double[] slowestFrom = new double[count + 1];
        slowestFrom[count] = Double.MAX_VALUE;
        for (int k = count - 1; k >= 0; k--) {
            slowestFrom[k] = Math.min(slowestFrom[k + 1], rpm[order[k]]);
        }
        double highest = startHighest();
        for (int k = 0; k < count; k++) {
            if (!mayFollow(order[k], highest, slowestFrom[k])) {
                return false;
            }
            highest = Math.max(highest, rpm[order[k]]);
        }
        return true;
    }
}
