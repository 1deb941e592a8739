package tallledger.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static tallledger.core.Machines.plateLever;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.plate.PlateRemark.Kind;

class PlateCheckTest {

    private static final List<Lever> THREE_BY_FOUR = List.of(plateLever("range", "A B C"), plateLever("gear", "1 2 3 4"));

    private static PlateCheck check(String cells) {
        return PlateCheck.of(Machines.plate(THREE_BY_FOUR, cells), OptionalInt.empty());
    }

    /** The worked plate: B3 alone is suspect, predicted 251.3, residual +0.108, explained by 250; B/A 3.98, C/B 3.97; φ 1.412. */
    @Test
    void findsTheMisreadCellOfTheWorkedPlate() {
        PlateCheck check = check(Machines.TWELVE_MISREAD);
        PlateRemark suspect = only(check, Kind.SUSPECT);
        assertThat(suspect.cells()).containsExactly(List.of("B", "3"));
        assertThat(suspect.predicted().orElseThrow()).isEqualByComparingTo("251.3");
        assertThat((double) suspect.because().arguments().get(3)).isCloseTo(100 * (280 / 251.3 - 1), offset(0.05));
        assertThat(suspect.readings()).first().isEqualTo(new Misreading(new BigDecimal("2.5E+2"), Misreading.Slip.DIGIT_MISREAD));
        double b = check.factors().factors(0).get(1).orElseThrow();
        double c = check.factors().factors(0).get(2).orElseThrow();
        assertThat(b).isCloseTo(3.98, offset(0.005));
        assertThat(c / b).isCloseTo(3.97, offset(0.005));
        assertThat(check.ladder().orElseThrow().phi()).isCloseTo(1.412, offset(0.0005));
        assertThat(check.ladder().orElseThrow().standardStep()).isEqualByComparingTo("1.413");
    }

    @Test
    void aSoundPlateHasNoDoubts() {
        assertThat(check(Machines.TWELVE).remarks()).noneMatch(PlateRemark::isDoubt);
    }

    /** With two by two cells any one of four explains the misfit: name them as alternatives, not one of them. */
    @Test
    void namesAlternativesWhenThePlateCannotTell() {
        List<Lever> levers = List.of(plateLever("range", "L H"), plateLever("gear", "1 2"));
        PlateCheck check = PlateCheck.of(Machines.plate(levers, "100 200 400 900"), OptionalInt.empty());
        PlateRemark alternatives = only(check, Kind.ALTERNATIVES);
        assertThat(alternatives.cells()).hasSize(4);
        assertThat(check.remarks()).filteredOn(r -> r.kind() == Kind.SUSPECT).hasSize(4);
    }

    /** A third of the cells wrong, each by its own factor: no quarter of them explains it, so nothing is suspected singly. */
    @Test
    void aThirdWrongBlamesNothingSingly() {
        PlateCheck check = check("31.5 52 63 90 125 180 330 355 410 710 1000 1900");
        assertThat(check.factors().outcome()).isEqualTo(LeverFactors.Outcome.DOES_NOT_MULTIPLY);
        assertThat(check.remarks()).anyMatch(r -> r.kind() == Kind.NOT_MULTIPLYING).noneMatch(r -> r.kind() == Kind.SUSPECT);
    }

    @Test
    void predictsWhatAWornCellHid() {
        PlateCheck check = check(Machines.TWELVE.replace("250", "?"));
        assertThat(only(check, Kind.UNREADABLE).because().arguments()).containsExactly(1, "B3 ≈ 251.3");
    }

    @Test
    void remarksRepeatsAndCounts() {
        PlateCheck check = PlateCheck.of(Machines.plate(THREE_BY_FOUR, Machines.TWELVE.replace("355", "250")), OptionalInt.of(12));
        assertThat(only(check, Kind.REPEATED).cells()).containsExactly(List.of("B", "3"), List.of("B", "4"));
        assertThat(only(check, Kind.COUNT).because().arguments()).containsExactly(11, 12, PlateOf.SPEED);
        assertThat(only(check, Kind.SUSPECT).readings()).first().extracting(Misreading::slip).isEqualTo(Misreading.Slip.NEIGHBOUR_REPEATED);
    }

    @Test
    void oneLeverCannotBeCheckedAgainstItself() {
        PlateCheck check = PlateCheck.of(Machines.plate(List.of(plateLever("gear", "1 2 3 4")), "50 100 200 400"), OptionalInt.empty());
        assertThat(check.remarks()).anyMatch(r -> r.kind() == Kind.UNCHECKED);
    }

    /** 4 × 4 × 4 cells in ratio steps of 1.12, 1.6 and 6.5; two misread: found through the median polish. */
    @Test
    void aLargePlateIsSearchedThroughARobustFit() {
        List<Lever> levers = List.of(plateLever("a", "1 2 3 4"), plateLever("b", "1 2 3 4"), plateLever("c", "1 2 3 4"));
        List<Double> values = IntStream.range(0, 64)
                .mapToObj(i -> 20 * Math.pow(6.5, i / 16) * Math.pow(1.6, i / 4 % 4) * Math.pow(1.12, i % 4)).toList();
        String cells = IntStream.range(0, 64).mapToObj(i -> String.format("%.2f", values.get(i) * (i == 9 ? 1.3 : i == 50 ? 0.8 : 1)))
                .collect(Collectors.joining(" "));
        LeverFactors factors = LeverFactors.of(Machines.plate(levers, cells));
        assertThat(factors.suspectSets()).containsExactly(List.of(List.of("1", "3", "2"), List.of("4", "1", "3")));
    }

    /** Three ranges of four feeds, 0.56 read as 0.65: the two digits were swapped. */
    @Test
    void aFeedPlateIsCheckedByTheSameRules() {
        PlateCheck check = check("0.05 0.07 0.1 0.14 0.2 0.28 0.4 0.65 0.8 1.12 1.6 2.24");
        PlateRemark suspect = only(check, Kind.SUSPECT);
        assertThat(suspect.cells()).containsExactly(List.of("B", "4"));
        assertThat(suspect.readings().get(0).value()).isEqualByComparingTo("0.56");
        assertThat(suspect.readings().get(0).slip()).isEqualTo(Misreading.Slip.DIGITS_SWAPPED);
    }

    @Test
    void aHoleAndACrowdAreFound() {
        Ladder ladder = Ladder.of(List.of(31.5, 45.0, 63.0, 125.0, 180.0, 185.0, 250.0).stream().map(BigDecimal::valueOf).toList());
        assertThat(ladder.holes().stream().map(i -> ladder.speeds().get(i).intValue())).containsExactly(63);
        assertThat(ladder.crowds().stream().map(i -> ladder.speeds().get(i).intValue())).containsExactly(180);
    }

    /** Beside a cell nobody can read the missing step may be there; between the ends of sliding ranges there is no step at all. */
    @Test
    void noHoleIsClaimedBesideAnUnreadCellOrInsideASlidingRange() {
        String cells = "31.5 45 63 90 125 180 ? 355 500 710 1000 1400";
        assertThat(check(cells).remarks()).noneMatch(r -> r.kind() == Kind.HOLE);
        assertThat(check("31.5 45 63 90 125 180 400 355 500 710 1000 1400").remarks()).isNotEmpty();
        List<Lever> sliding = List.of(plateLever("range", "low high"), new Lever("variator", List.of("low end", "high end"), true));
        assertThat(PlateCheck.of(Machines.plate(sliding, "56 450 400 3150"), OptionalInt.empty()).remarks())
                .noneMatch(r -> r.kind() == Kind.HOLE || r.kind() == Kind.CROWD);
    }

    @Test
    void feedsAreCalledFeeds() {
        SpeedPlate plate = Machines.plate(List.of(plateLever("knob", "1 2 3 4 5 6 7")), "0.05 0.07 0.1 0.2 0.28 0.4 0.4");
        assertThat(PlateCheck.ofFeeds(plate).remarks()).extracting(r -> r.because().arguments())
                .anySatisfy(a -> assertThat(a).contains(PlateOf.FEED));
        assertThat(PlateCheck.ofFeeds(plate).remarks()).extracting(r -> r.because().arguments())
                .noneSatisfy(a -> assertThat(a).contains(PlateOf.SPEED));
        assertThat(PlateCheck.of(plate, OptionalInt.empty()).remarks()).extracting(r -> r.because().arguments())
                .anySatisfy(a -> assertThat(a).contains(PlateOf.SPEED));
    }

    /** The point lost or gained: 3 105 for 31.05, 1.25 for 124. */
    @Test
    void aPointLostOrGainedIsAReading() {
        assertThat(Misreading.explaining(new BigDecimal("3105"), 31.0, List.of())).extracting(Misreading::value)
                .anySatisfy(v -> assertThat(v).isEqualByComparingTo("31.05"));
        assertThat(Misreading.explaining(new BigDecimal("1.25"), 124, List.of())).extracting(Misreading::slip)
                .containsExactly(Misreading.Slip.POINT_LOST_OR_GAINED);
    }

    /** Belts by gears that overlap: where they multiply and all are there, steps near each other are what the wheels give. */
    @Test
    void nothingStandsTooCloseWhereTheLeversMultiply() {
        SpeedPlate plate = Machines.lathe("100 200 400 110 220 440", Machines.lever("belt", "A B"), Machines.lever("gear", "1 2 3"))
                .plate();
        assertThat(PlateCheck.of(plate, OptionalInt.empty()).remarks()).extracting(PlateRemark::kind)
                .doesNotContain(Kind.CROWD, Kind.HOLE);
    }

    /** Three speeds of a sliding range have no standard step. */
    @Test
    void theEndsOfASlidingRangeAreNoLadder() {
        SpeedPlate plate = Machines.lathe("60 500 300 2500", Machines.lever("belt", "A B"), Stage.sliding("variator", StageKind.VARIATOR,
                Optional.empty())).plate();
        assertThat(PlateCheck.of(plate, OptionalInt.empty()).remarks()).extracting(PlateRemark::kind).doesNotContain(Kind.LADDER);
    }

    /** 900 where 90.4 is expected is a nought gained, not 90.4 with a nought before it. */
    @Test
    void noMisreadingBeginsWithANeedlessNought() {
        assertThat(Misreading.explaining(new BigDecimal("900"), 90.4, List.of())).isNotEmpty()
                .allSatisfy(m -> assertThat(m.slip()).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED));
    }

    /** Steps of 1.26 up to 100, then of 1.58: common, no fault, and no holes are reported. */
    @Test
    void aBrokenLadderIsNoFault() {
        Ladder ladder = Ladder.of(List.of("50", "63", "80", "100", "158", "250", "400").stream().map(BigDecimal::new).toList());
        assertThat(ladder.breakAt()).hasValue(3);
        assertThat(ladder.holes()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"281,2.81E+2", "251.3,2.5E+2", "9.8,1E+1", "1130,1.12E+3"})
    void knowsThePreferredNumbers(double value, BigDecimal nearest) {
        BigDecimal found = PreferredNumbers.nearest(value);
        assertThat(PreferredNumbers.isPreferred(found)).isTrue();
        assertThat(found.doubleValue()).isCloseTo(nearest.doubleValue(), org.assertj.core.data.Percentage.withPercentage(1));
    }

    @ParameterizedTest
    @CsvSource({"777,555,", "140,14,ZERO_LOST_OR_GAINED", "14,40,TEEN_FOR_TY", "520,250,DIGITS_SWAPPED"})
    void explainsOnlyByASlipThatFits(String typed, double predicted, Misreading.Slip slip) {
        List<Misreading> found = Misreading.explaining(new BigDecimal(typed), predicted, List.of());
        if (slip == null) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).extracting(Misreading::slip).contains(slip);
        }
    }

    private static PlateRemark only(PlateCheck check, Kind kind) {
        List<PlateRemark> found = check.remarks().stream().filter(r -> r.kind() == kind).toList();
        assertThat(found).hasSize(1);
        return found.get(0);
    }
}
