package tallledger.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers of a record somebody handed over are read with care. */
class PayloadTest {

    @Test
    void aNumberIsAsItWasTyped() {
        Payload p = new Payload(Map.of("a", "0.10", "b", List.of("1", "-2.5e-4")));
        assertThat(p.decimal("a")).isEqualTo(new BigDecimal("0.10"));
        assertThat(p.decimals("b")).containsExactly(BigDecimal.ONE, new BigDecimal("-2.5e-4"));
        assertThat(p.optionalDecimal("c")).isEmpty();
    }

    /** Written out it would fill the memory. */
    @ParameterizedTest
    @ValueSource(strings = {"1e999999999", "1e-999999999", "1E401", "nothing", ""})
    void whatNobodyTypedIsRefused(String number) {
        assertThatIllegalArgumentException().isThrownBy(() -> new Payload(Map.of("a", number)).decimal("a"));
    }
}
