package tallledger.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/** From bare speeds to the levers that explain them: the worked figures, and searches made anew without any of its short cuts. */
class ArrangementsTest {

    private static final String EVEN = "31.5 45 63 90 125 180 250 355 500 710 1000 1400";

    private static List<TypedNumber> speeds(String text) {
        return Arrays.stream(text.split(" ")).map(TypedNumber::parsePositive).toList();
    }

    private static Arrangements of(String text, Integer... levers) {
        return Arrangements.of(speeds(text), List.of(levers));
    }

    private static List<String> codes(Arrangements found) {
        return found.says().stream().map(Reason::code).toList();
    }

    private static List<Double> factors(Arrangement found, int lever) {
        return found.factors().get(lever).stream().map(f -> Math.round(f.orElseThrow() * 100) / 100.0).toList();
    }

    @Test
    void twoRangesOfFourInTheirOnlyWay() {
        Arrangements found = of("325 50 475 65 95 250 110 550");
        assertThat(found.found()).singleElement().satisfies(a -> {
            assertThat(a.sizes()).containsExactly(2, 4);
            assertThat(factors(a, 0)).containsExactly(1.0, 5.0);
            assertThat(factors(a, 1)).containsExactly(1.0, 1.3, 1.9, 2.2);
            assertThat(a.cells().get(List.of("B", "2")).typed()).isEqualTo("325");
            assertThat(a.levers().get(0).name()).isEqualTo("letter lever");
        });
        assertThat(found.says()).isEmpty();
    }

    @Test
    void eightSpeedsThatFitFourWays() {
        Arrangements found = of("56 80 112 160 350 500 700 1000");
        assertThat(found.found()).hasSize(4);
        assertThat(found.found().stream().filter(a -> a.sizes().equals(List.of(2, 2, 2))).toList()).singleElement()
                .satisfies(a -> assertThat(List.of(factors(a, 0).get(1), factors(a, 1).get(1), factors(a, 2).get(1))).containsExactly(6.25,
                        2.0, 1.43));
        assertThat(found.found().stream().filter(a -> a.sizes().size() == 2).map(a -> factors(a, a.sizes().indexOf(2)).get(1)).toList())
                .containsExactlyInAnyOrder(1.43, 2.0, 6.25);
        assertThat(codes(found)).containsExactly("arrange.several");
    }

    @Test
    void anEvenLadderFitsTenWaysAndOnlyTheLeversCanSay() {
        Arrangements found = of(EVEN);
        assertThat(found.found().stream().map(a -> a.sizes().stream().sorted().toList())
                .collect(Collectors.groupingBy(s -> s, Collectors.counting())))
                .isEqualTo(java.util.Map.of(List.of(2, 2, 3), 3L, List.of(2, 6), 4L, List.of(3, 4), 3L));
        assertThat(found.found()).isSortedAccordingTo(java.util.Comparator.comparingDouble(Arrangement::worst));
        assertThat(of(EVEN, 3, 4).found()).hasSize(3).allSatisfy(a -> assertThat(a.sizes()).containsExactlyInAnyOrder(3, 4));
        assertThat(of(EVEN, 3).found()).as("one lever counted, the others not").hasSize(6);
    }

    @Test
    void aRoundedPlateFitsOneWayAndOneMisreadSpeedIsLeftOut() {
        Arrangements found = of("45 70 100 150 230 335 480 760");
        assertThat(found.found()).singleElement().satisfies(a -> {
            assertThat(factors(a, 0)).containsExactly(1.0, 4.94);
            assertThat(a.worst()).isCloseTo(0.017, within(0.0005));
        });
        Arrangements misread = of("45 70 100 150 230 320 480 760");
        assertThat(misread.found()).isNotEmpty().allSatisfy(a -> assertThat(a.leftOut()).hasSize(1));
        assertThat(codes(misread)).contains("arrange.left-out");
    }

    @Test
    void aMisreadSpeedIsNamedWithWhatItMeans() {
        Arrangements found = of("50 65 95 110 250 325 745 550");
        assertThat(found.found()).anySatisfy(a -> {
            assertThat(a.sizes()).containsExactly(2, 4);
            assertThat(a.leftOut()).singleElement().satisfies(out -> {
                assertThat(out.typed().typed()).isEqualTo("745");
                assertThat(out.at()).containsExactly("B", "3");
                assertThat(out.means().orElseThrow()).isCloseTo(475, within(0.5));
                assertThat(out.slips().get(0).slip()).isEqualTo(Misreading.Slip.DIGITS_SWAPPED);
            });
        });
        assertThat(of("31.5 45 63 90 125 180 250 355 500 710 1000 1400 31.5").says()).extracting(Reason::code).contains("arrange.twice");
    }

    @ParameterizedTest(name = "cell {0} misread")
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void theMisreadSpeedMayBeAnyOfThem(int cell) {
        List<TypedNumber> right = speeds("50 65 95 110 250 325 475 550");
        List<TypedNumber> typed = new ArrayList<>(right);
        typed.set(cell, TypedNumber.parse(right.get(cell).value().multiply(new java.math.BigDecimal("10")).stripTrailingZeros()
                .toPlainString()));
        assertThat(Arrangements.of(typed, List.of(2, 4)).found()).anySatisfy(a -> {
            assertThat(a.leftOut()).extracting(Arrangement.LeftOut::typed).containsExactly(typed.get(cell));
            assertThat(a.leftOut().get(0).means().orElseThrow()).isCloseTo(right.get(cell).value().doubleValue(), within(0.5));
        });
    }

    /** Two of eighteen misread, at every pair of places: the arrangement they came from is always among those found. */
    @ParameterizedTest(name = "cell {0} and others misread")
    @ValueSource(ints = {0, 2, 5, 8, 17})
    void twoOfEighteenMayBeAnyTwo(int one) {
        double[] factors = {1, 1.23, 1.51, 1.79, 2.4, 2.9};
        for (int two = 0; two < 18; two++) {
            List<TypedNumber> typed = new ArrayList<>();
            for (int i = 0; i < 18; i++) {
                double value = 20 * Math.pow(4.3, i / 6) * factors[i % 6];
                typed.add(TypedNumber.parse(String.format(Locale.ROOT, "%.1f", i == one || i == two ? value * (i == one ? 1.17 : 0.86)
                        : value)));
            }
            int other = two;
            if (one == two) {
                continue;
            }
            assertThat(Arrangements.everyOne(typed, List.of(3, 6), 2).values()).as("%s and %s", one, two)
                    .anySatisfy(a -> assertThat(a.leftOut().stream().map(Arrangement.LeftOut::typed))
                            .containsExactlyInAnyOrder(typed.get(one), typed.get(other)));
        }
    }

    @ParameterizedTest
    @CsvSource({"1", "2", "3"})
    void upToThreeAreOneLeversAndNothingIsMissing(int z) {
        assertThat(Arrangements.of(IntStream.range(0, z).mapToObj(i -> TypedNumber.parse(String.valueOf(50 + 30 * i))).toList(), List.of())
                .says()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"5,5", "7,7", "11,11", "14,14"})
    void noProductIsSaid(int z, int count) {
        Arrangements found = Arrangements.of(IntStream.range(0, z).mapToObj(i -> TypedNumber.parse(String.valueOf(50 + 30 * i))).toList(),
                List.of());
        assertThat(found.found()).isEmpty();
        assertThat(found.says()).singleElement().satisfies(r -> {
            assertThat(r.code()).isEqualTo("arrange.no-product");
            assertThat(r.arguments()).containsExactly(count);
        });
    }

    @Test
    void leversThatMakeOneMoreThanTheSpeedsLeaveOneCombinationWithout() {
        Arrangements found = of("31.5 45 63 90 125 180 355 500 710 1000 1400", 3, 4);
        assertThat(codes(found)).contains("arrange.fewer");
        assertThat(found.found()).anySatisfy(a -> {
            assertThat(a.cells()).hasSize(11).doesNotContainKey(List.of("B", "3"));
            assertThat(a.leftOut()).isEmpty();
        });
        Arrangements more = of("31.5 45 63 90 125 180 217 250 355 500 710 1000 1400", 3, 4);
        assertThat(codes(more)).contains("arrange.more");
        assertThat(more.found()).anySatisfy(a -> assertThat(a.leftOut()).extracting(o -> o.typed().typed()).containsExactly("217"));
    }

    @Test
    void threeOfFourAlwaysFitSoNothingIsLeftOutOfFour() {
        Arrangements found = of("50 100 150 1000");
        assertThat(found.found()).isEmpty();
        assertThat(codes(found)).containsExactly("arrange.none");
    }

    @Test
    void twentyFourAndThirtySixSpeedsAreSearchedWhole() {
        assertThat(of(ladder(24, 1.2589)).found()).hasSize(34);
        assertThat(of(ladder(36, 1.122)).found()).hasSizeGreaterThan(30);
        Arrangements none = of(IntStream.range(0, 36).mapToObj(i -> String.valueOf(13 + i * i + i * 7 % 11)).distinct()
                .collect(Collectors.joining(" ")));
        assertThat(none.cut()).isFalse();
        assertThat(none.found()).isEmpty();
        assertThat(codes(none)).containsExactly("arrange.none");
    }

    @Test
    void speedsAFewPerCentApartFitInSoManyWaysThatTheSearchIsCutAndSaysSo() {
        Arrangements found = of(IntStream.range(0, 36).mapToObj(i -> String.format(Locale.ROOT, "%.0f", 100 * Math.pow(1.03, i)))
                .collect(Collectors.joining(" ")));
        assertThat(found.cut()).isTrue();
        assertThat(codes(found)).contains("arrange.cut");
    }

    @Test
    void overThirtySixOnlyRangesThatFollowEachOther() {
        Arrangements found = of(ladder(48, 1.1));
        assertThat(codes(found)).contains("arrange.contiguous");
        assertThat(found.found()).isNotEmpty().allSatisfy(a -> assertThat(a.sizes().stream().reduce(1, (x, y) -> x * y)).isEqualTo(48));
    }

    @Test
    void whatIsNoLeverAndNoListIsRefused() {
        assertThatThrownBy(() -> of(EVEN, 1)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Arrangements.of(IntStream.range(1, 500).mapToObj(i -> TypedNumber.parse(String.valueOf(i))).toList(),
                List.of())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Arrangements.of(List.of(TypedNumber.parse("-5"), TypedNumber.parse("5")), List.of()))
                .isInstanceOf(Refused.class);
        assertThat(of(EVEN, 5).says()).extracting(Reason::code).containsExactly("arrange.no-such");
    }

    private static String ladder(int z, double step) {
        return IntStream.range(0, z)
                .mapToObj(i -> String.format(Locale.ROOT, "%.3g", 20 * Math.pow(step, i)).replaceAll("\\.?0*e\\+0?(\\d)", "e$1"))
                .map(s -> new java.math.BigDecimal(s).toPlainString()).collect(Collectors.joining(" "));
    }

    /** Every way to place the speeds, tried by the fit alone, finds what the search finds: whole, and with one left out. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(ints = {1, 2, 3, 4, 6, 9})
    void everyPlacingTriedFindsTheSame(int seed) {
        Random random = new Random(seed);
        int[] sizes = seed % 3 == 0 ? new int[] {2, 2, 2} : new int[] {2, 3};
        int z = Arrays.stream(sizes).reduce(1, (a, b) -> a * b);
        List<TypedNumber> typed = new ArrayList<>();
        for (int i = 0; i < z; i++) {
            double value = sizes.length == 2 ? 40 * Math.pow(2.2, i / 3) * Math.pow(1.37, i % 3)
                    : 40 * Math.pow(4.1, i / 4) * Math.pow(2.05, i / 2 % 2) * Math.pow(1.4, i % 2);
            typed.add(TypedNumber.parse(String.format(Locale.ROOT, "%.0f",
                    value * (1 + 0.008 * random.nextGaussian()) * (seed % 2 == 0 && i == seed % z ? 0.8 : 1))));
        }
        if (typed.stream().map(TypedNumber::value).distinct().count() < z) {
            return;
        }
        List<TypedNumber> ascending = typed.stream().sorted(java.util.Comparator.comparing(TypedNumber::value)).toList();
        Set<Object> expected = new HashSet<>();
        placings(sizes, ascending, new int[z], 0, -1, expected);
        List<Integer> shape = Arrays.stream(sizes).boxed().toList();
        assertThat(Arrangements.everyOne(ascending, shape, 0).keySet()).isEqualTo(expected);
        if (sizes.length == 2) {
            Set<Object> withOneOut = new HashSet<>();
            for (int empty = 0; empty < z; empty++) {
                placings(sizes, ascending, new int[z], 0, empty, withOneOut);
            }
            assertThat(Arrangements.everyOne(ascending, shape, 1).keySet()).isEqualTo(withOneOut);
        }
    }

    private static void placings(int[] sizes, List<TypedNumber> numbers, int[] at, int cell, int empty, Set<Object> fit) {
        if (cell == at.length) {
            Placed placed = Placed.of(sizes, at, numbers);
            if (placed.fitted().isPresent()) {
                fit.add(placed.signature());
            }
            return;
        }
        if (cell == empty) {
            at[cell] = -1;
            placings(sizes, numbers, at, cell + 1, empty, fit);
            return;
        }
        for (int s = 0; s < numbers.size(); s++) {
            int speed = s;
            if (IntStream.range(0, cell).noneMatch(c -> at[c] == speed)) {
                at[cell] = s;
                placings(sizes, numbers, at, cell + 1, empty, fit);
            }
        }
    }
}
