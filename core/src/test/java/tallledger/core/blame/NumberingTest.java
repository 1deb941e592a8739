package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.lever;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.blame.SpeedCause.Kind;
import tallledger.core.drive.Numbering;
import tallledger.core.drive.Route;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/** Levers numbered another way than their plate, against every permutation of both levers tried. */
class NumberingTest {

    private static final MachineDescription BOX = Machines.twelve();

    private static SpeedCauses.SpeedDeviation read(MachineDescription machine, Route route, double rpm) {
        return new SpeedCauses.SpeedDeviation(route, rpm, machine.speeds().nominal(route).orElseThrow().doubleValue(), false);
    }

    private static List<SpeedCauses.SpeedDeviation> as(MachineDescription machine, Numbering numbering, List<Route> routes) {
        return routes.stream().map(r -> read(machine, r, machine.speeds().nominal(numbering.meant(r)).orElseThrow().doubleValue() * 1.004))
                .toList();
    }

    private static Numbering gears(Integer... to) {
        Numbering same = Numbering.asLabelled(BOX.train());
        return new Numbering(same.from(), same.to().stream().map(p -> p.size() == to.length ? List.of(to) : p).toList());
    }

    private static Optional<SpeedCause> numbered(MachineDescription machine, List<SpeedCauses.SpeedDeviation> readings) {
        return SpeedCauses.of(machine.speeds(), readings, Rules.shipped()).stream().filter(c -> c.kind() == Kind.NUMBERED).findFirst();
    }

    /** Read 4, 3, 2, 1: said in pairs, and the machine described so is judged right. */
    @Test
    void aGateNumberedTheOtherWayIsFoundAndPutRight() {
        List<SpeedCauses.SpeedDeviation> readings = as(BOX, gears(3, 2, 1, 0), BOX.train().routes().subList(0, 6));
        SpeedCause cause = numbered(BOX, readings).orElseThrow();
        assertThat(cause.because().toString()).isEqualTo("cause.numbered[[cause.numbered-pairs[gear, [cause.numbered-pair[1, 4], "
                + "cause.numbered-pair[2, 3]]]]]");
        MachineDescription put = BOX.with(cause.numbering().orElseThrow());
        for (SpeedCauses.SpeedDeviation r : readings) {
            Route now = put.train().routeByKey(r.route().key()).orElseThrow();
            assertThat(put.speeds().nominal(now).orElseThrow().doubleValue()).isCloseTo(r.read() / 1.004,
                    org.assertj.core.data.Offset.offset(1e-6));
        }
        assertThat(SpeedCauses.of(put.speeds(), readings.stream().map(r -> read(put, r.route(), r.read())).toList(), Rules.shipped()))
                .as("nothing is left to explain").isEmpty();
    }

    /** Two levers of three whose labels are exchanged: one exchange, and their places are. */
    @Test
    void theLabelsOfTwoLeversAreExchanged() {
        MachineDescription nine = Machines.lathe("31.5 45 63 125 180 250 500 710 1000", lever("range", "A B C"), lever("gear", "1 2 3"));
        int range = IntStream.range(0, nine.train().stages().size()).filter(s -> nine.train().stages().get(s).name().equals("range"))
                .findFirst().orElseThrow();
        Numbering exchanged = Numbering.asLabelled(nine.train()).exchanged(range, range + 1);
        SpeedCause cause = numbered(nine, as(nine, exchanged, nine.train().routes())).orElseThrow();
        assertThat(cause.because().toString()).contains("cause.numbered-levers[range, gear]");
        MachineDescription put = nine.with(cause.numbering().orElseThrow());
        assertThat(put.speeds().nominal(put.train().routes().get(1))).isEqualTo(nine.speeds().nominal(nine.train().routes().get(3)));
    }

    /** Two readings off are no numbering; nor is what another cause explains; nor what fits nothing. */
    @Test
    void itIsNotOfferedWithoutNeed() {
        List<SpeedCauses.SpeedDeviation> two = as(BOX, gears(1, 0, 2, 3), BOX.train().routes().subList(0, 4));
        assertThat(two.stream().filter(r -> Math.abs(r.off()) > 0.02)).hasSize(2);
        assertThat(numbered(BOX, two)).isEmpty();
        List<Route> all = BOX.train().routes();
        assertThat(numbered(BOX, all.stream().map(r -> read(BOX, r, BOX.speeds().nominal(r).orElseThrow().doubleValue() * 1.2)).toList()))
                .isEmpty();
        List<SpeedCauses.SpeedDeviation> none = new ArrayList<>(as(BOX, gears(3, 2, 1, 0), all));
        none.set(5, read(BOX, none.get(5).route(), 77));
        assertThat(numbered(BOX, none)).isEmpty();
    }

    private static List<List<Integer>> permutations(int n) {
        if (n == 0) {
            return List.of(List.of());
        }
        return permutations(n - 1).stream().flatMap(p -> IntStream.rangeClosed(0, p.size()).mapToObj(i -> {
            List<Integer> longer = new ArrayList<>(p);
            longer.add(i, n - 1);
            return longer;
        })).collect(Collectors.toList());
    }

    private static int exchanges(List<Integer> permutation) {
        List<Integer> now = new ArrayList<>(permutation);
        int count = 0;
        for (int i = 0; i < now.size(); i++) {
            while (now.get(i) != i) {
                Collections.swap(now, i, now.get(i));
                count++;
            }
        }
        return count;
    }

    /** Every permutation of three ranges with every one of four gears, for readings at random: none needs fewer exchanges. */
    @Test
    void noOtherNumberingNeedsFewerExchanges() {
        Random random = new Random(7);
        int found = 0;
        for (int trial = 0; trial < 60; trial++) {
            List<List<Integer>> threes = permutations(3);
            List<List<Integer>> fours = permutations(4);
            Numbering really = both(threes.get(random.nextInt(6)), fours.get(random.nextInt(24)));
            List<Route> routes = new ArrayList<>(BOX.train().routes());
            Collections.shuffle(routes, random);
            List<SpeedCauses.SpeedDeviation> readings = as(BOX, really, routes.subList(0, 3 + random.nextInt(8)));
            int fewest = Integer.MAX_VALUE;
            for (List<Integer> three : threes) {
                for (List<Integer> four : fours) {
                    Numbering tried = both(three, four);
                    if (readings.stream().allMatch(r -> Math.abs(Math.log(r.read() / BOX.speeds().nominal(tried.meant(r.route()))
                            .orElseThrow().doubleValue())) <= 0.02)) {
                        fewest = Math.min(fewest, exchanges(three) + exchanges(four));
                    }
                }
            }
            Optional<NumberingSearch.FoundNumbering> search = NumberingSearch.of(BOX.speeds(), readings, 0.02);
            assertThat(search.map(NumberingSearch.FoundNumbering::exchanges).orElse(0)).as("trial %d", trial).isEqualTo(fewest);
            found += search.isPresent() ? 1 : 0;
        }
        assertThat(found).isGreaterThan(40);
    }

    private static Numbering both(List<Integer> three, List<Integer> four) {
        Numbering same = Numbering.asLabelled(BOX.train());
        return new Numbering(same.from(), same.to().stream().map(p -> p.size() == 3 ? three : p.size() == 4 ? four : p).toList());
    }
}
