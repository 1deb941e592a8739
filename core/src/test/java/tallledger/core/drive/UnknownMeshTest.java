package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;

/** Wheels of 12 to 150 teeth: by hand. */
class UnknownMeshTest {

    private static DriveTrain train(Transmission last) {
        Transmission half = new Transmission.Ratio(new BigDecimal("0.5"));
        return new DriveTrain(List.of(Machines.motor("1440"), stage("box", StageKind.GEAR, half), stage("range", StageKind.GEAR, last)),
                List.of());
    }

    private static Stage stage(String name, StageKind kind, Transmission by) {
        return new Stage(name, kind, Shifting.STOP_TO_SHIFT, List.of(new Position("1", by)));
    }

    @ParameterizedTest
    @CsvSource({"0.5, range 24.0 to 150.0; box 48.0 to 300.0", "2, range 12.0 to 75.0; box 12.0 to 75.0", "1, box 24.0 to 150.0"})
    void betweenTheFewestAndTheMostTeethOfBothWheels(BigDecimal last, String expected) {
        assertThat(said(new Transmission.Ratio(last))).isEqualTo(expected);
    }

    @Test
    void nothingIsSaidBehindWhatIsNotKnown() {
        assertThat(said(new Transmission.Unknown())).isEqualTo("range 12.0 to 150.0");
        assertThat(said(Machines.gears("low", 18, 71).transmission())).startsWith("box ");
    }

    @Test
    void aBeltHasNoTeeth() {
        DriveTrain belted = new DriveTrain(List.of(Machines.motor("1440"), stage("belt", StageKind.BELT, new Transmission.Unknown())),
                List.of());
        assertThat(UnknownMesh.of(belted, belted.routes().get(0))).isEmpty();
    }

    private static String said(Transmission last) {
        DriveTrain train = train(last);
        return String.join("; ", UnknownMesh.of(train, train.routes().get(0)).stream()
                .map(m -> m.stage() + " " + m.lowest() + " to " + m.highest()).toList());
    }
}
