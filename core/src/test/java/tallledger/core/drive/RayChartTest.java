package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static tallledger.core.Machines.gears;
import static tallledger.core.Machines.lever;

import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;

class RayChartTest {

    /** 1440 by 24/48 or 36/36, then 20/80 or 50/50: two rays from the motor, four to the spindle. */
    @Test
    void aKnownDriveIsDrawnAtItsTrueSpeeds() {
        Stage first = new Stage("first", StageKind.GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("a", 24, 48), gears("b", 36, 36)));
        Stage back = new Stage("back", StageKind.GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("in", 20, 80), gears("out", 50, 50)));
        RayChart chart = RayChart.of(Machines.lathe("? ? ? ?", first, back).speeds()).orElseThrow();
        assertThat(chart.absolute()).isTrue();
        assertThat(chart.rays()).hasSize(6);
        assertThat(chart.rays().stream().filter(r -> r.stage() == 1).mapToDouble(r -> r.to().low()).sorted().toArray())
                .containsExactly(new double[] {180, 360, 720, 1440}, offset(1e-6));
    }

    /** Interlocked: 1 100, 2 200, and only 1 has high, at 400. Rays still end at the plate's own values. */
    @Test
    void anInterlockedPlateIsDrawnAtItsOwnValues() {
        RayChart chart = RayChart.of(Machines.lathe("100 400 200 x", lever("belt", "1 2"), lever("range", "low high")).speeds())
                .orElseThrow();
        assertThat(chart.rays().stream().filter(r -> r.stage() == 1).mapToDouble(r -> r.to().low()).sorted().toArray())
                .containsExactly(new double[] {100, 200, 400}, offset(1e-6));
    }

    /** The plate's own factors: B over A is 3.98, so the rays of B end 3.98 times higher, and B3 ends at 251, not at the misread 280. */
    @Test
    void unknownRatiosAreDrawnFromThePlatesFactors() {
        RayChart chart = RayChart.of(Machines.lathe(Machines.TWELVE_MISREAD, lever("range", "A B C"), lever("gear", "1 2 3 4")).speeds())
                .orElseThrow();
        assertThat(chart.absolute()).isFalse();
        assertThat(chart.rays()).hasSize(3 + 12);
        assertThat(chart.rays().stream().filter(r -> r.stage() == 1).mapToDouble(r -> r.to().low()).sorted().toArray()[6])
                .isCloseTo(251.3, offset(0.1));
    }
}
