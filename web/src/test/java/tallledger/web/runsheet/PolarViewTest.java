package tallledger.web.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.geometry.Round;

class PolarViewTest {

    /**
     * r = 10 + 4 cos(θ − 90°) + cos 2θ µm: greatest 13 at 90°, least 5 at 270°; 8 µm are drawn as 52 px, the least at 48 px from the
     * middle.
     */
    @Test
    void theFirstReadingIsAtTheTopAndTheHighSpotAQuarterOn() {
        PolarView view = PolarView.of(new Round(IntStream.range(0, 12).mapToDouble(k -> Math.toRadians(30.0 * k))
                .mapToObj(a -> BigDecimal.valueOf((10 + 4 * Math.cos(a - Math.PI / 2) + Math.cos(2 * a)) / 1000)
                        .setScale(12, RoundingMode.HALF_UP))
                .toList()), BigDecimal::toPlainString);
        assertThat(view.dots()).hasSize(12);
        // 11 µm at the top: 48 + 6 · 6.5 = 87 px up.
        assertThat(view.dots().get(0)).isEqualTo(new PolarView.Dot(130, 43));
        assertThat(view.dots().get(3)).isEqualTo(new PolarView.Dot(230, 130));
        assertThat(view.dots().get(9)).isEqualTo(new PolarView.Dot(82, 130));
        assertThat(new double[] {view.inner(), view.outer(), view.fit()}).containsExactly(48, 100, 80.5);
        assertThat(new double[] {view.centreX(), view.centreY(), view.highX(), view.highY()}).containsExactly(156, 130, 248, 130);
        assertThat(view.between()).isEqualTo("8");
        assertThat(view.angle()).isEqualTo(90);
        assertThat(view.outline()).startsWith("M130.0 43.0L").endsWith("Z");
    }

    /** A dial that never moved is a circle, not a division by nought. */
    @Test
    void aDialThatNeverMovedIsACircle() {
        PolarView view = PolarView.of(new Round(java.util.Collections.nCopies(8, new BigDecimal("0.010"))), BigDecimal::toPlainString);
        assertThat(view.outer()).isEqualTo(48);
        assertThat(view.dots().get(0)).isEqualTo(new PolarView.Dot(130, 82));
        assertThat(view.between()).isEqualTo("0");
    }
}
