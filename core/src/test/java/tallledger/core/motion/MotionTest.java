package tallledger.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.gauge.Verdict;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class MotionTest {

    private static final BigDecimal FEED = Rules.shipped().share(Rule.FEED_TOLERANCE);
    private static final BigDecimal RAPID = Rules.shipped().share(Rule.RAPID_TOLERANCE);

    private static TypedLength mm(String typed) {
        return TypedLength.parse(typed, LengthUnit.MM);
    }

    private static List<BigDecimal> numbers(String text) {
        return Arrays.stream(text.split(" ")).map(BigDecimal::new).toList();
    }

    private static String code(Runnable call) {
        try {
            call.run();
        } catch (Refused refused) {
            return refused.reason().code() + refused.field().map(f -> "@" + f).orElse("");
        }
        return "taken";
    }

    @Test
    void aFeedIsDistanceOverTimeOrTurns() {
        FeedReading minute = FeedReading.perMinute(mm("100"), TypedNumber.parse("60.0"));
        assertThat(minute.rate()).isEqualByComparingTo("100");
        // The last digit typed is 1 mm, 1/√12 = 0.289 mm, coarser than the rule; the seconds' is 0.1 s, 0.029 s beside the hand's 0.1.
        assertThat(minute.expanded(Rules.shipped())).isCloseTo(2 * 100 * Math.hypot(0.288675 / 100, Math.hypot(0.1, 0.0288675) / 60),
                org.assertj.core.data.Offset.offset(1e-5));
        assertThat(FeedReading.perMinute(mm("100"), TypedNumber.parse("60")).expanded(Rules.shipped())).as("whole seconds leave more open")
                .isCloseTo(2 * 100 * Math.hypot(0.288675 / 100, Math.hypot(0.1, 0.288675) / 60), org.assertj.core.data.Offset.offset(1e-5));
        assertThat(FeedReading.perMinute(mm("100.0"), TypedNumber.parse("60.0")).expanded(Rules.shipped())).as("the rule's 0.125 mm")
                .isCloseTo(2 * 100 * Math.hypot(0.125 / 100, Math.hypot(0.1, 0.0288675) / 60), org.assertj.core.data.Offset.offset(1e-5));
        assertThat(FeedReading.perTurn(mm("20.0"), new BigDecimal("100")).rate()).isEqualByComparingTo("0.2");
    }

    @Test
    void aFeedIsJudgedWithinTenPerCent() {
        Optional<BigDecimal> chart = Optional.of(new BigDecimal("100"));
        assertThat(FeedReading.perMinute(mm("105.0"), TypedNumber.parse("60.0")).against(chart, FEED, Rules.shipped()).orElseThrow()
                .verdict()).isEqualTo(Verdict.WITHIN);
        assertThat(FeedReading.perMinute(mm("112.0"), TypedNumber.parse("60.0")).against(chart, FEED, Rules.shipped()).orElseThrow()
                .verdict()).isEqualTo(Verdict.OUTSIDE);
        assertThat(FeedReading.perMinute(mm("110.0"), TypedNumber.parse("60.0")).against(chart, FEED, Rules.shipped()).orElseThrow()
                .verdict()).isEqualTo(Verdict.TOO_CLOSE_TO_CALL);
        assertThat(FeedReading.perMinute(mm("112.0"), TypedNumber.parse("60.0")).against(chart, RAPID, Rules.shipped()).orElseThrow()
                .verdict()).isEqualTo(Verdict.WITHIN);
    }

    @ParameterizedTest
    @CsvSource({"100, 0, feed.time@seconds", "100, 10800, feed.time@seconds", "0, 60, number.not-positive@distance"})
    void timesOfNoughtAndOfThreeHoursAreRefused(String distance, String seconds, String expected) {
        assertThat(code(() -> FeedReading.perMinute(mm(distance), TypedNumber.parse(seconds)))).isEqualTo(expected);
    }

    @Test
    void fiveTripsHaveARange() {
        Trips trips = Trips.of(numbers("0.00 0.02 0.01 0.03 0.01"));
        assertThat(trips.range()).isEqualByComparingTo("0.03");
        assertThat(Trips.of(numbers("0 0 0 0.06 0")).range()).isEqualByComparingTo("0.06");
        assertThat(code(() -> Trips.of(numbers("0 0 0 0")))).isEqualTo("trips.count");
    }

    @ParameterizedTest
    @CsvSource({"0.10 0.10 0.10, 0.24 0.26 0.25, 0.12 0.11 0.13, 0.25, 0.15, backlash.screw",
            "0.30 0.31 0.32, 0.31 0.31 0.31, 0.30 0.30 0.30, 0.31, 0.01, backlash.nut",
            "0.05 0.05 0.05, 0.06 0.06 0.06, 0.05 0.05 0.05, 0.06, 0.01, backlash.even",
            "0.20 0.20 0.20, 0.50 0.50 0.50, 0.20 0.20 0.20, 0.5, 0.3, backlash.screw-and-nut"})
    void backlashTellsAWornScrewFromAWornNut(String left, String middle, String right, String greatest, String wear, String says) {
        Backlash backlash = Backlash.of(List.of(new Backlash.Station("left", numbers(left)),
                new Backlash.Station("middle", numbers(middle)), new Backlash.Station("right", numbers(right))));
        assertThat(backlash.greatest()).isEqualByComparingTo(greatest);
        assertThat(backlash.wear()).isEqualByComparingTo(wear);
        assertThat(backlash.says(Rules.shipped()).code()).isEqualTo(says);
    }

    @Test
    void backlashWantsThreeReadingsAndThreePlaces() {
        assertThat(code(() -> new Backlash.Station("left", numbers("0.1 0.1")))).isEqualTo("backlash.readings");
        assertThat(code(() -> new Backlash.Station("left", numbers("0.1 -0.1 0.1")))).isEqualTo("backlash.negative");
        Backlash.Station one = new Backlash.Station("left", numbers("0.1 0.1 0.1"));
        assertThat(code(() -> Backlash.of(List.of(one, one)))).isEqualTo("backlash.stations");
    }

    @Test
    void aThreadErrorAddsUpOverThreeHundred() {
        ThreadPitch thread = ThreadPitch.of(new BigDecimal("1.5"), new BigDecimal("30.03"), 20);
        assertThat(thread.lead()).isEqualByComparingTo("1.5015");
        assertThat(thread.error()).isEqualByComparingTo("0.001");
        assertThat(thread.over300()).isEqualByComparingTo("0.300");
        assertThat(code(() -> ThreadPitch.of(BigDecimal.ONE, BigDecimal.TEN, 0))).isEqualTo("feed.turns@turns");
    }

    @Test
    void contradictoryAxesAreRefusedWhereTheyWereTyped() {
        Axis.AxisRates none = Axis.AxisRates.UNKNOWN;
        assertThat(code(() -> new Axis("table", "left", "right", Set.of(Ability.TRIP), "", none)))
                .isEqualTo("axis.trip-without-feed@abilities");
        assertThat(code(() -> new Axis("table", "left", "right", Set.of(), "", new Axis.AxisRates(Axis.Per.MIN, "5", "", ""))))
                .isEqualTo("axis.rate-without-feed@slowest");
        assertThat(
                code(() -> new Axis("table", "left", "right", Set.of(Ability.FEED), "", new Axis.AxisRates(Axis.Per.MIN, "", "", "900"))))
                .isEqualTo("axis.rapid-without-rapid@rapid");
        assertThat(code(() -> new Axis("table", "left", "left", Set.of(), "", none))).isEqualTo("axis.ways@ways");
        assertThat(code(() -> new Axis(" ", "left", "right", Set.of(), "", none))).isEqualTo("axis.name@name");
        Axis crossed =
                new Axis("table", "left", "right", Set.of(Ability.FEED), "700 mm", new Axis.AxisRates(Axis.Per.MIN, "800", "20", ""));
        assertThat(code(() -> crossed.checked(LengthUnit.MM))).isEqualTo("axis.rates-crossed@fastest");
        assertThat(code(() -> new Axis("table", "left", "right", Set.of(), "far", none).checked(LengthUnit.MM)))
                .isEqualTo("length.not-one@travel");
        assertThatThrownBy(() -> new Axis("a".repeat(31), "left", "right", Set.of(), "", none)).isInstanceOf(Refused.class);
    }
}
