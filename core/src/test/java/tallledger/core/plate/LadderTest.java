package tallledger.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;

class LadderTest {

    /** Speeds from 100 up by steps given in ln. */
    private static Ladder by(double... steps) {
        List<BigDecimal> speeds = new ArrayList<>(List.of(BigDecimal.valueOf(100)));
        double ln = Math.log(100);
        for (double step : steps) {
            ln += step;
            speeds.add(BigDecimal.valueOf(Math.exp(ln)));
        }
        return Ladder.of(speeds);
    }

    /**
     * Both sides of the fourth step are even enough either way. Split before it: 0.25 beside 0.30 scatters by 0.00188; after it: 0.25
     * beside 0.22 by 0.00068.
     */
    @Test
    void ofTwoPossibleBreaksTheOneWithLessScatterCounts() {
        assertThat(by(0.22, 0.22, 0.22, 0.25, 0.30, 0.30, 0.30).breakAt()).hasValue(4);
        assertThat(by(0.22, 0.22, 0.22, 0.28, 0.30, 0.30, 0.30).breakAt()).hasValue(3);
    }

    /** Median of four steps is the mean of the middle two, 0.30: over 0.45 is a hole, under 0.15 a crowd. */
    @Test
    void aHoleIsHalfAsMuchAgainAsTheMedianStep() {
        assertThat(by(0.2, 0.2, 0.4, 0.46).holes()).containsExactly(3);
        assertThat(by(0.2, 0.2, 0.4, 0.44).holes()).isEmpty();
        assertThat(by(0.16, 0.2, 0.4, 0.4).crowds()).isEmpty();
        assertThat(by(0.14, 0.2, 0.4, 0.4).crowds()).containsExactly(0);
    }

    /** Median of three is the middle one, 0.40. */
    @Test
    void threeStepsAreEnoughForAHole() {
        assertThat(by(0.2, 0.4, 0.55).holes()).isEmpty();
        assertThat(by(0.2, 0.4, 0.61).holes()).containsExactly(2);
        assertThat(by(0.2, 0.61).holes()).isEmpty();
    }

    @Test
    void anAcceptedReadingCountsAndWhatIsNoCellIsRefused() {
        PlateCell accepted = PlateCell.parse("280 means 250".replace(" means ", PlateCell.MEANS));
        assertThat(accepted.number()).get().extracting(n -> n.value().intValueExact()).isEqualTo(250);
        SpeedPlate plate = Machines.plate(List.of(Machines.plateLever("gear", "1 2")), "100 200");
        assertThatThrownBy(() -> plate.cell(List.of("3"))).hasMessageContaining("plate.no-cell");
    }

    /** A nought lost or gained anywhere in the figure, or a point. */
    @Test
    void noughtsAreLostAndGainedWhereverTheyStand() {
        assertThat(slip("1400", 140)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
        assertThat(slip("140", 1400)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
        assertThat(slip("1050", 150)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
        assertThat(slip("150", 1050)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
        assertThat(slip("31.5", 315)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
        assertThat(slip("315", 31.5)).isEqualTo(Misreading.Slip.ZERO_LOST_OR_GAINED);
    }

    private static Misreading.Slip slip(String typed, double predicted) {
        return Misreading.explaining(new BigDecimal(typed), predicted, List.of()).get(0).slip();
    }
}
