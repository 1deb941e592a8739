package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;

/** Worked by hand: 60 rpm at the spindle behind 18:71, before it 236.7 rpm through a step pulley 100:200, so 473.3 rpm. */
class TurningTest {

    private static final DriveTrain TRAIN = new DriveTrain(List.of(Machines.motor("1440"),
            new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT,
                    List.of(new Position("1", new Transmission.Grooves(new BigDecimal("100"), new BigDecimal("200"))))),
            new Stage("lever", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                    List.of(Machines.gears("low", 18, 71), new Position("high", new Transmission.Unknown())))),
            List.of());

    @Test
    void everythingBehindTheSpindleComesRound() {
        List<Turning> all = Turning.of(TRAIN, TRAIN.routes().get(0), 60, Optional.of(50.0));
        assertThat(all).extracting(Turning::kind).containsExactly(Turning.Kind.SPINDLE, Turning.Kind.MESH, Turning.Kind.SHAFT_INTO,
                Turning.Kind.SHAFT_INTO, Turning.Kind.MOTOR, Turning.Kind.SUPPLY_TWICE);
        double[] hertz = {1, 71, 71 / 18.0, 2 * 71 / 18.0, 24, 100};
        for (int i = 0; i < hertz.length; i++) {
            assertThat(all.get(i).hertz()).isEqualTo(hertz[i], within(1e-9));
        }
        assertThat(all.get(1).pair()).isEqualTo("18:71");
    }

    /** Round 100 and 200 mm a belt is (100 + 200)·2.5708 = 771.2 mm at least; 628.3 go by in a turn of the larger: 0.8147. */
    @Test
    void aBeltComesRoundLessOftenThanItsPulleys() {
        List<BeltTurn> belts = BeltTurn.of(TRAIN, TRAIN.routes().get(0));
        assertThat(belts).extracting(BeltTurn::stage).containsExactly("belt");
        assertThat(belts.get(0).most()).isEqualTo(0.8147 * 71 / 18, within(1e-3));
        assertThat(BeltTurn.of(TRAIN, TRAIN.routes().get(1))).as("behind wheels nobody counted").isEmpty();
    }

    /** Behind wheels nobody has counted nothing is known but what plates say. */
    @Test
    void whatIsNotKnownStopsIt() {
        assertThat(Turning.of(TRAIN, TRAIN.routes().get(1), 400, Optional.empty())).extracting(Turning::kind)
                .containsExactly(Turning.Kind.SPINDLE, Turning.Kind.MOTOR);
    }
}
