package tallledger.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TakenReadingTest {

    @Test
    void oneReadingGoesIntoARowInOnePiece() {
        assertThat(TakenReading.of("0.02 mm")).isEqualTo(new TakenReading("0.02 mm", "0.02mm", false));
        assertThat(TakenReading.of("-0.4 °F")).isEqualTo(new TakenReading("-0.4 °F", "-0.4°F", false));
        assertThat(TakenReading.of(".0004")).isEqualTo(new TakenReading(".0004", ".0004", false));
        assertThat(TakenReading.of("")).isEqualTo(new TakenReading("", "", false));
    }

    @Test
    void severalAreTheWholeRow() {
        assertThat(TakenReading.of("0.02 0.03\n−0.01 mm").whole()).isTrue();
        assertThat(TakenReading.of("1 2").whole()).isTrue();
        assertThat(TakenReading.of("0.02 mm").whole()).isFalse();
    }
}
