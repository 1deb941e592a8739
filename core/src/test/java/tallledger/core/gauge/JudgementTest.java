package tallledger.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;

class JudgementTest {

    private static final Limit LIMIT = Limit.aboutSpeed(new BigDecimal("100"), new BigDecimal("0.06"));

    @ParameterizedTest
    @CsvSource({"105,1,WITHIN", "105.5,1,TOO_CLOSE_TO_CALL", "107,1,TOO_CLOSE_TO_CALL", "107.1,1,OUTSIDE", "94.9,1,TOO_CLOSE_TO_CALL",
            "95,1,WITHIN", "92.9,1,OUTSIDE", "106,0,WITHIN", "106.0000001,0,OUTSIDE", "100,7,TOO_CLOSE_TO_CALL"})
    void theWholeUncertaintyIsTheGuardBand(BigDecimal reading, double u, Verdict verdict) {
        assertThat(Judgement.of(reading, u, LIMIT).verdict()).isEqualTo(verdict);
    }

    /** 0.06 · 31.5 = 1.89 has no exact binary form; in decimals 33.39 is on the limit, not over it. */
    @Test
    void comparesInDecimals() {
        Limit limit = Limit.aboutSpeed(new BigDecimal("31.5"), new BigDecimal("0.06"));
        assertThat(limit.upper()).isEqualByComparingTo("33.39");
        assertThat(Judgement.of(new BigDecimal("33.39"), 0, limit).verdict()).isEqualTo(Verdict.WITHIN);
    }

    @Test
    void saysWhatGaugeWouldSettleIt() {
        Judgement judged = Judgement.of(new BigDecimal("105.5"), 1, LIMIT);
        assertThat(judged.because().code()).isEqualTo("verdict.too-close");
        Reason settles = (Reason) judged.because().arguments().get(2);
        assertThat(settles.code()).isEqualTo("settles.gauge");
        assertThat(((Quantity) settles.arguments().get(0)).value()).isEqualByComparingTo("0.5");
    }

    @Test
    void onTheLimitNoGaugeSettlesIt() {
        assertThat(Judgement.of(new BigDecimal("106"), 1, LIMIT).because().arguments().get(2)).isEqualTo(Reason.named("settles.nothing"));
    }
}
