package tallledger.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static tallledger.core.Machines.lever;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.Machines;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/** Orders against brute force over all permutations, and bounds that must never exceed the true best. */
class RunOrderTest {

    private static MachineDescription random(Random random, int a, int b) {
        List<Double> speeds = IntStream.range(0, a * b).mapToObj(i -> 25 + random.nextDouble() * 1500).sorted().toList();
        String cells = speeds.stream().map(n -> String.format("%.1f", n)).collect(Collectors.joining(" "));
        Stage belt = new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, lever("belt", labels("L", a)).positions());
        return Machines.lathe(cells, belt,
                lever("gear", labels("G", b), random.nextBoolean() ? Shifting.SHIFTS_TURNING : Shifting.STOP_TO_SHIFT));
    }

    private static String labels(String prefix, int count) {
        return IntStream.rangeClosed(1, count).mapToObj(i -> prefix + i).collect(Collectors.joining(" "));
    }

    private static Situation fresh(MachineDescription machine) {
        return Situation.of(machine.speeds(), Elements.of(machine.train()), Map.of(), List.of(), Optional.empty(), OptionalDouble.empty(),
                Rules.shipped());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theQuickestOrderIsTheQuickest(long seed) {
        MachineDescription machine = random(new Random(seed), 2, 3);
        Situation situation = fresh(machine);
        List<Route> routes = EverySpeed.routes(machine.speeds());
        RunOrder.Ordered ordered = RunOrder.of(situation, routes);
        assertThat(ordered.seconds()).isCloseTo(bruteForce(situation, routes), offset(1e-6));
        assertThat(ordered.routes()).containsExactlyInAnyOrderElementsOf(routes);
    }

    private static double bruteForce(Situation situation, List<Route> routes) {
        double[] best = {Double.MAX_VALUE};
        permute(situation, new ArrayList<>(), new ArrayList<>(routes), 0, 0, best);
        return best[0];
    }

    private static void permute(Situation s, List<Route> done, List<Route> left, double time, double highest, double[] best) {
        if (left.isEmpty()) {
            best[0] = Math.min(best[0], time);
            return;
        }
        double slowest = left.stream().mapToDouble(s::rpm).min().orElseThrow();
        for (Route next : List.copyOf(left)) {
            double reach = highest == 0 ? slowest : Math.max(s.cold().reach(highest), slowest);
            if (s.rpm(next) <= reach * (1 + 1e-9)) {
                double moving = done.isEmpty() ? 0 : s.times().move(s.table().train(), done.get(done.size() - 1), next);
                left.remove(next);
                done.add(next);
                permute(s, done, left, time + moving + s.runTime(next), Math.max(highest, s.rpm(next)), best);
                done.remove(done.size() - 1);
                left.add(next);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void theBoundNeverExceedsTheBestPath(long seed) {
        Random random = new Random(seed);
        int n = 6;
        double[][] move = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < i; j++) {
                move[i][j] = 5 + random.nextInt(20) * 5;
                move[j][i] = move[i][j];
            }
        }
        double[] first = random.doubles(n, 0, 30).toArray();
        double best = shortestPath(move, first, 0, -1, 0);
        double bound = SpanningBound.of(move, first);
        assertThat(bound).isLessThanOrEqualTo(best + 1e-6).isGreaterThan(best * 0.5);
    }

    private static double shortestPath(double[][] move, double[] first, int done, int last, double time) {
        if (done == (1 << first.length) - 1) {
            return time;
        }
        double best = Double.MAX_VALUE;
        for (int next = 0; next < first.length; next++) {
            if ((done >> next & 1) == 0) {
                best = Math.min(best, shortestPath(move, first, done | 1 << next, next,
                        time + (last < 0 ? first[next] : move[last][next])));
            }
        }
        return best;
    }

    /** Slow speeds take longer than the listening time: ten turns at 20 min⁻¹ are 30 s. */
    @Test
    void aSlowRunTakesItsTurns() {
        assertThat(HouseTimes.of(Rules.shipped()).run(20, false)).isEqualTo(30);
        assertThat(HouseTimes.of(Rules.shipped()).run(100, false)).isEqualTo(20);
        assertThat(HouseTimes.of(Rules.shipped()).run(100, true)).isEqualTo(40);
    }

    /** One stop for however many stop-to-shift levers move; none for a lever that shifts turning. */
    @Test
    void stoppingIsPaidOnceAMove() {
        MachineDescription machine = Machines.lathe("50 100 200 400", lever("a", "1 2"), lever("b", "1 2", Shifting.SHIFTS_TURNING));
        List<Route> routes = machine.train().routes();
        assertThat(HouseTimes.of(Rules.shipped()).move(machine.train(), routes.get(0), routes.get(1))).isEqualTo(5);
        assertThat(HouseTimes.of(Rules.shipped()).move(machine.train(), routes.get(0), routes.get(2))).isEqualTo(15);
        assertThat(HouseTimes.of(Rules.shipped()).move(machine.train(), routes.get(0), routes.get(3))).isEqualTo(20);
        assertThat(HouseTimes.of(Rules.shipped()).move(machine.train(), routes.get(0), routes.get(0))).isZero();
    }
}
