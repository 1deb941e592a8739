package tallledger.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.motion.ChangeWheels.Thread;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class ChangeWheelsTest {

    private static GearChart chart(String screw, String promised, String reach, String buyable) {
        return GearChart.parse(screw, "1", promised, reach, buyable, LengthUnit.MM);
    }

    private static ChangeWheels of(GearChart chart, String wheels) {
        return ChangeWheels.of(chart, WheelSet.parse(wheels));
    }

    @Test
    void aLostThreadIsRestoredByTheFewestWheels() {
        ChangeWheels result = of(chart("6 mm", "3 mm; 2 mm; 4.5 mm", "", "20-60"), "20 40 60");
        assertThat(result.cut()).extracting(t -> t.exact().orElseThrow().written()).containsExactly("20/40", "20/60");
        assertThat(result.lost()).extracting(t -> t.pitch().typed()).containsExactly("4.5 mm");
        // 3/4 by one more wheel: 30/40 is the fewest teeth that does, with nothing smaller on 20 40 60.
        assertThat(result.buy()).containsExactly(30);
        assertThat(result.beyond()).isEmpty();
        assertThat(result.says()).extracting(r -> r.code()).containsExactly("wheels.cut", "wheels.lost", "wheels.buy");
    }

    @Test
    void anInchThreadOnAMetricScrewIsExactWithOneHundredAndTwentySeven() {
        GearChart chart = chart("6 mm", "12 tpi", "", "20-127");
        Thread without = of(chart, "20 60 120").threads().get(0);
        assertThat(without.exact()).isEmpty();
        ChangeWheels result = of(chart, "20 60 120 127");
        Thread with = result.threads().get(0);
        assertThat(with.exact()).isPresent();
        // 25.4/12 / 6 = 127/360
        assertThat(with.exact().orElseThrow().ratio()).isCloseTo(127.0 / 360, Offset.offset(1e-12));
        assertThat(with.exact().orElseThrow().wheels()).contains(127);
    }

    @Test
    void aSetThatWouldNotMountIsNoSet() {
        assertThat(GearTrain.mounts(20, 30, 60, 40)).as("c of 60 runs into the first stud: 20 + 30 < 60 + 15").isFalse();
        assertThat(GearTrain.mounts(40, 60, 30, 55)).isTrue();
        ChangeWheels short_ = of(chart("6 mm", "3 mm", "100-140", "20-60"), "20 40");
        assertThat(short_.cut()).as("20/40 spans 60, the quadrant begins at 100").isEmpty();
    }

    @Test
    void aWheelIsUsedTwiceOnlyWhereThereAreTwo() {
        GearChart chart = chart("4 mm", "1 mm", "", "12-12");
        // 1/4 as 20/40 · 20/40 needs two of each.
        assertThat(of(chart, "20 40").cut()).isEmpty();
        assertThat(of(chart, "2x20 2x40").cut()).hasSize(1);
    }

    @Test
    void aSwappedPairOfWheelsInvertsTheFeed() {
        assertThat(ChangeWheels.swapped(30, 60, 0.1, 0.4)).satisfies(r -> {
            assertThat(r.code()).isEqualTo("wheels.swap-right");
            assertThat((Double) r.arguments().get(2)).isCloseTo(4, Offset.offset(1e-12));
        });
        assertThat(ChangeWheels.swapped(30, 60, 0.1, 0.2).code()).isEqualTo("wheels.swap-over");
        assertThat(ChangeWheels.swapped(50, 60, 0.1, 0.2).code()).isEqualTo("wheels.swap-under");
    }

    /**
     * 30/60 is half the feed wanted and swapped twice too much: two alike are right, one more of 60 or of 30; 40/50 lies between where
     * 0.16 is wanted.
     */
    @Test
    void whereItIsTooSlowOneWayAndTooFastTheOtherThePairBetweenIsNamed() {
        GearChart.Teeth makeable = new GearChart.Teeth(20, 127);
        assertThat(ChangeWheels.instead(30, 60, 0.1, 0.2, WheelSet.parse("30 60 60"), makeable).get(0)).satisfies(p -> {
            assertThat(List.of(p.driver(), p.driven(), p.toMake())).containsExactly(60, 60, 0);
            assertThat(p.off()).isCloseTo(0, org.assertj.core.data.Offset.offset(1e-9));
        });
        assertThat(ChangeWheels.instead(30, 60, 0.1, 0.2, WheelSet.parse("30 60"), makeable)).first().satisfies(p -> {
            assertThat(p.toMake()).isEqualTo(1);
            assertThat(p.driver()).isEqualTo(p.driven());
        });
        assertThat(ChangeWheels.instead(30, 60, 0.1, 0.16, WheelSet.parse("30 40 50 60"), makeable).get(0))
                .satisfies(p -> assertThat(p.driver() + "/" + p.driven()).isEqualTo("40/50"));
        assertThat(ChangeWheels.says(ChangeWheels.instead(30, 60, 0.1, 9, WheelSet.parse("30 60"), makeable)).code())
                .isEqualTo("wheels.instead-none");
    }

    /** Against every set of one and of two wheels tried one by one. */
    @Test
    void theSmallestSetAgreesWithTryingThemAll() {
        Random random = new Random(7);
        for (int round = 0; round < 12; round++) {
            List<Integer> hand = random.ints(4, 20, 40).boxed().toList();
            String wheels = String.join(" ", hand.stream().map(String::valueOf).toList());
            GearChart chart = chart("6 mm", (random.nextInt(8) + 1) * 0.5 + " mm; " + (random.nextInt(8) + 9) * 0.25 + " mm", "", "20-40");
            ChangeWheels result = of(chart, wheels);
            if (!result.lost().isEmpty() && result.beyond().isEmpty()) {
                int fewest = fewest(chart, hand);
                assertThat(result.buy()).as(wheels + " " + chart.promised()).hasSize(fewest);
            }
        }
    }

    private static int fewest(GearChart chart, List<Integer> hand) {
        WheelSet set = new WheelSet(hand);
        if (IntStream.rangeClosed(20, 40).anyMatch(a -> ChangeWheels.of(chart, set.with(List.of(a))).lost().isEmpty())) {
            return 1;
        }
        boolean two = IntStream.rangeClosed(20, 40)
                .anyMatch(a -> IntStream.rangeClosed(a, 40).anyMatch(b -> isWhole(chart, set.with(List.of(a, b)))));
        return two ? 2 : 3;
    }

    /** Whether every promised pitch has a train, without the search for what to buy. */
    private static boolean isWhole(GearChart chart, WheelSet set) {
        java.util.Set<String> cut = new java.util.HashSet<>();
        each(set, chart.reach(), train -> chart.promised().forEach(p -> {
            if (Math.abs(train.ratio() * chart.leadScrew().mm().doubleValue() / p.mm().doubleValue() - 1) < 1e-9) {
                cut.add(p.typed());
            }
        }));
        return cut.size() == chart.promised().stream().map(p -> p.typed()).distinct().count();
    }

    @ParameterizedTest
    @ValueSource(strings = {"forty", "20 5", "20 900", "3xx40"})
    void nonsenseWheelsAreRefused(String typed) {
        assertThatThrownBy(() -> WheelSet.parse(typed)).isInstanceOf(Refused.class);
    }

    @Test
    void nonsenseChartsNameTheirField() {
        assertThatThrownBy(() -> chart("", "3 mm", "", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("leadScrew"));
        assertThatThrownBy(() -> chart("6 mm", "3 mm; none", "", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("promised"));
        assertThatThrownBy(() -> chart("6 mm", "3 mm", "150-60", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("reach"));
    }

    /** Every train of a set that mounts, picked wheel by wheel: the plain way. */
    private static void each(WheelSet set, Optional<GearChart.Teeth> reach, Consumer<GearTrain> then) {
        List<Integer> teeth = set.distinct();
        int[] left = teeth.stream().mapToInt(set::count).toArray();
        pick(teeth, left, new ArrayList<>(), reach, then);
    }

    private static void pick(List<Integer> teeth, int[] left, List<Integer> train, Optional<GearChart.Teeth> reach,
            Consumer<GearTrain> then) {
        int size = train.size();
        if (size == 2 && GearTrain.mounts(train.get(0), train.get(1), reach)) {
            then.accept(new GearTrain(train));
        }
        if (size == 4) {
            if (GearTrain.mounts(train.get(0), train.get(1), train.get(2), train.get(3))) {
                then.accept(new GearTrain(train));
            }
            return;
        }
        for (int i = 0; i < left.length; i++) {
            if (left[i] > 0) {
                left[i]--;
                train.add(teeth.get(i));
                pick(teeth, left, train, reach, then);
                train.remove(size);
                left[i]++;
            }
        }
    }

    /** Against picking every train wheel by wheel. */
    @Test
    void theNearestTrainIsTheNearestOfAll() {
        Random random = new Random(12);
        for (int round = 0; round < 40; round++) {
            List<Integer> hand = random.ints(5, 20, 45).boxed().toList();
            GearChart chart = GearChart.parse("6 mm", "1; 2", random.nextInt(100, 900) / 100.0 + " mm", "", "20-40", LengthUnit.MM);
            double pitch = chart.promised().get(0).mm().doubleValue();
            double[] least = {Double.POSITIVE_INFINITY};
            each(new WheelSet(hand), chart.reach(), train -> chart.factors()
                    .forEach(f -> least[0] = Math.min(least[0], Math.abs(train.ratio() * 6 * f.doubleValue() / pitch - 1))));
            Thread nearest = ChangeWheels.of(chart, new WheelSet(hand)).threads().get(0);
            assertThat(Math.abs(nearest.error())).isCloseTo(least[0], Offset.offset(2e-9));
            assertThat(nearest.nearest().orElseThrow().ratio() * 6 * nearest.factor().doubleValue() / pitch - 1)
                    .isCloseTo(nearest.error(), Offset.offset(2e-9));
        }
    }

    /** The largest set and the longest chart the forms take: it must come back soon, and say what it did not search. */
    @Test
    void theLargestChartIsReckoned() {
        String wheels = String.join(" ", IntStream.rangeClosed(20, 49).mapToObj(String::valueOf).toList());
        String promised = String.join("; ", IntStream.rangeClosed(1, 60).mapToObj(i -> i * 0.137 + " mm").toList());
        ChangeWheels result = ChangeWheels.of(GearChart.parse("6 mm", "1; 2; 3; 4; 5; 6; 7; 8; 9; 10; 11; 12", promised, "", "20-127",
                LengthUnit.MM), WheelSet.parse(wheels));
        assertThat(result.threads()).hasSize(60).allMatch(t -> t.nearest().isPresent());
        assertThat(result.says()).extracting(r -> r.code()).contains("wheels.no-set");
    }

    /**
     * 40 teeth of module 2: 0.2 mm of a circle of 251.3 mm, on a screw of 6 mm. Twice the turns of the screw swing twice as far, half as
     * often.
     */
    @Test
    void anUnevenWheelMakesTheThreadDrunkenAndLeavesItsPitch() {
        UnevenWheel.Tooth tooth = new UnevenWheel.Tooth(new BigDecimal("0.2"), new BigDecimal("0.2"));
        UnevenWheel one = UnevenWheel.of(40, new BigDecimal("2"), tooth, new BigDecimal("6"), BigDecimal.ONE);
        assertThat(one.swing()).isEqualByComparingTo("0.00477");
        assertThat(one.every()).isEqualByComparingTo("6");
        UnevenWheel two = UnevenWheel.of(40, new BigDecimal("2"), tooth, new BigDecimal("6"), new BigDecimal("2"));
        assertThat(two.swing()).isEqualByComparingTo("0.00955");
        assertThat(two.every()).isEqualByComparingTo("12");
        // By turning the wheel in small steps: the flank of every tooth in its place but two.
        double most = 0;
        double least = 0;
        for (int k = 0; k < 40; k++) {
            double flank = k == 7 ? 0.1 : k == 8 ? -0.1 : 0;
            double carriage = 6 * flank / (Math.PI * 2 * 40);
            most = Math.max(most, carriage);
            least = Math.min(least, carriage);
        }
        assertThat(one.swing().doubleValue()).isCloseTo(most - least, within(0.00001));
        assertThatThrownBy(() -> UnevenWheel.of(40, new BigDecimal("2"), new UnevenWheel.Tooth(BigDecimal.ZERO, BigDecimal.ZERO),
                new BigDecimal("6"), BigDecimal.ONE)).isInstanceOf(Refused.class);
    }

    /** Nobody copied a chart, only the screw is known: the usual threads are reckoned, and none that is missing is a fault. */
    @Test
    void aChartThatIsOnlyALeadScrewPromisesNothing() {
        GearChart chart = GearChart.parse("6 mm", "", "", "", "", LengthUnit.MM);
        assertThat(chart.usual()).isTrue();
        assertThat(chart.promised()).hasSize(17).first().satisfies(p -> assertThat(p.mm()).isEqualByComparingTo("0.5"));
        StepJudgement judged = new ChangeWheelCount(Optional.of(chart)).judge(WheelSet.parse("20 40 60"), Rules.shipped());
        assertThat(judged.held()).as("counted, neither good nor bad").isFalse();
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        // 20/60 and 40/60, 20/40 and their turns: 2, 4 and 3 mm.
        assertThat(judged.because().get(0).toString()).isEqualTo("wheels.cut-usual[3, 17]");
        assertThat(GearChart.parse("8 tpi", "", "", "", "", LengthUnit.MM).promised().get(0).typed()).isEqualTo("40 tpi");
        assertThat(GearChart.parse("0.125", "", "", "", "", LengthUnit.INCH).promised()).hasSize(19);
    }
}
