package tallledger.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;

class HouseGaugeTest {

    private static Map<String, String> said(String... more) {
        Map<String, String> fields = new HashMap<>(Map.of("name", "indicator 7", "resolution", "0.001", "calibration", "0.002",
                "repeatability", "0.0006", "certificate", "W-7", "due", "2027-02-28"));
        for (int i = 0; i < more.length; i += 2) {
            fields.put(more[i], more[i + 1]);
        }
        return fields;
    }

    private static Gauge gauge(String... more) {
        return HouseGauge.typed("g1", Rule.INDICATOR, said(more)).gauge();
    }

    /** By hand: digit 0.001/√12 = 0.28868 µm, calibration 1 µm, repeats 0.6 µm: U = 2·√(0.28868² + 1² + 0.6²) = 2.4028 µm. */
    @Test
    void aReadingIsItsDigitItsCalibrationAndHowItRepeats() {
        Uncertainty one = gauge().reading(new BigDecimal("0.12"), new BigDecimal("0.001"));
        assertThat(one.expanded() * 1000).isCloseTo(2.4028, within(1e-4));
        assertThat(gauge().difference(new BigDecimal("0.12"), new BigDecimal("0.001")).expanded() * 1000)
                .isCloseTo(2 * Math.sqrt(2 * 0.288675 * 0.288675 + 1 + 2 * 0.36), within(1e-4));
        assertThat(gauge("calibration", "2 %").reading(BigDecimal.ONE, BigDecimal.ZERO).calibration()).isCloseTo(0.01, within(1e-12));
    }

    /** What was read again stands for what was known of the gauge. */
    @Test
    void repeatsStandForTheGaugesOwn() {
        Uncertainty three = gauge().reading(BigDecimal.ONE, BigDecimal.ZERO).repeated(java.util.List.of(1.0, 1.0, 1.0));
        assertThat(three.scatter()).isZero();
        assertThat(gauge().reading(BigDecimal.ONE, BigDecimal.ZERO).repeated(java.util.List.of(1.0)).scatter()).isEqualTo(0.0006);
    }

    @Test
    void itsLastDayIsStillGood() {
        assertThat(gauge().isOverdue(LocalDate.parse("2027-02-28"))).isFalse();
        assertThat(gauge().isOverdue(LocalDate.parse("2027-03-01"))).isTrue();
        assertThat(gauge("due", "").isOverdue(LocalDate.parse("2090-01-01"))).isFalse();
    }

    @Test
    void itIsTypedKeptAndTypedAgain() {
        HouseGauge gauge = HouseGauge.typed("g1", Rule.INDICATOR, said());
        assertThat(HouseGauge.from(new Payload(gauge.toPayload()))).isEqualTo(gauge);
        assertThat(HouseGauge.typed("g1", Rule.INDICATOR, gauge.asTyped())).isEqualTo(gauge);
        HouseGauge share = HouseGauge.typed("g2", Rule.TACHOMETER, said("calibration", "0.5 %", "due", "", "repeatability", ""));
        assertThat(HouseGauge.typed("g2", Rule.TACHOMETER, share.asTyped())).isEqualTo(share);
        assertThat(Gauge.from(share.gauge().toPayload())).isEqualTo(share.gauge());
    }

    @ParameterizedTest
    @CsvSource({"name,'',name,gauge.name", "resolution,-0.001,resolution,rule.range", "resolution,fine,resolution,number.not-one",
            "calibration,80 %,calibration,rule.range",
            "calibration,'',calibration,number.missing", "repeatability,-1,repeatability,rule.range", "due,31.3.2027,due,gauge.due",
            "due,2027-02-30,due,gauge.due"})
    void whatMakesNoSenseIsSaidAtItsField(String field, String text, String at, String why) {
        Refused refused = catchThrowableOfType(Refused.class, () -> HouseGauge.typed("g1", Rule.INDICATOR, said(field, text)));
        assertThat(refused.field()).contains(at);
        assertThat(refused.reason().code()).isEqualTo(why);
    }

    @Test
    void aGaugeThatLeavesNothingOpenIsNone() {
        Refused refused = catchThrowableOfType(Refused.class,
                () -> HouseGauge.typed("g1", Rule.INDICATOR, said("resolution", "0", "calibration", "0")));
        assertThat(refused.reason().code()).isEqualTo("gauge.nothing");
        assertThat(catchThrowableOfType(Refused.class, () -> HouseGauge.typed("g1", Rule.BACKLASH, said())).field()).contains("kind");
    }
}
