package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateRemark;
import tallledger.core.reason.Reason;

class StageCheckTest {

    private static Stage belts(String... grooves) {
        return new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, java.util.Arrays.stream(grooves).map(g -> g.split(" "))
                .map(g -> new Position(g[0], new Transmission.Grooves(new BigDecimal(g[1]), new BigDecimal(g[2])))).toList());
    }

    private static List<PlateRemark> check(String cells, Stage... stages) {
        MachineDescription machine = Machines.lathe(cells, stages);
        return StageCheck.of(machine.speeds());
    }

    /** Motor 1 440 by 100/200 and 100/100 gives 720 and 1 440; the plate says 720 and 1 000. */
    @Test
    void stagesThatGiveOtherSpeedsThanThePlateAreNamedWithWhatTheyGive() {
        List<PlateRemark> remarks = check("720 1000", belts("1 100 200", "2 100 100"));
        assertThat(remarks).allSatisfy(r -> assertThat(r.isDoubt()).isTrue());
        PlateRemark off = remarks.stream().filter(r -> r.because().code().equals("plate.stages-contradict")).findFirst().orElseThrow();
        assertThat(off.cells()).containsExactly(List.of("2"));
        assertThat(off.because().arguments().get(0)).isEqualTo(1);
        assertThat(((List<?>) off.because().arguments().get(1))).singleElement().satisfies(given -> {
            List<Object> says = ((Reason) given).arguments();
            assertThat((BigDecimal) says.get(1)).isEqualByComparingTo("1440");
            assertThat((BigDecimal) says.get(2)).isEqualByComparingTo("1000");
        });
    }

    /** A guessed 2 : 1 is 3.9 : 1 by the plate. */
    @Test
    void aGuessedRatioIsHeldAgainstThePlatesOwnFactor() {
        Stage back = new Stage("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT,
                List.of(new Position("in", new Transmission.Ratio(new BigDecimal("0.5"))),
                        new Position("out", new Transmission.Ratio(BigDecimal.ONE))));
        List<PlateRemark> remarks = check("50 71 100 195 277 390", back, Machines.lever("gear", "1 2 3"));
        assertThat(remarks).singleElement().satisfies(r -> {
            assertThat(r.because().code()).isEqualTo("plate.stage-factor");
            List<Object> says = r.because().arguments();
            assertThat(says.subList(0, 3)).containsExactly("back gear", "out", "in");
            assertThat((BigDecimal) says.get(3)).isEqualByComparingTo("2");
            assertThat((BigDecimal) says.get(4)).isEqualByComparingTo("3.9");
        });
    }

    /** A motor's full-load speed lies a few per cent under its no-load one; a plate rounds. */
    @Test
    void stagesThatAgreeAreNotRemarkedOn() {
        assertThat(check("720 1440", belts("1 100 200", "2 100 100"))).isEmpty();
        assertThat(check("700 1400", belts("1 100 200", "2 100 100"))).isEmpty();
        assertThat(check("? ?", belts("1 100 200", "2 100 100"))).isEmpty();
        assertThat(check("31.5 45", Machines.lever("gear", "1 2"))).isEmpty();
    }
}
