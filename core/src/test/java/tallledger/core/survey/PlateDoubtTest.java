package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;

/** A doubt about the plate stands until somebody has read the speed. */
class PlateDoubtTest {

    private final SurveyBook book = new SurveyBook(Machines.lathe(Machines.TWELVE_MISREAD, Machines.lever("range", "A B C"),
            Machines.lever("gear", "1 2 3 4")), Scope.SPINDLE_DRIVE, 40);

    private PlateDoubt doubt(String range, String gear, String rpm, boolean loaded) {
        book.run(List.of(range, gear), rpm, loaded);
        List<PlateDoubt> doubts = PlateDoubt.of(book.spindle());
        assertThat(doubts).hasSize(1);
        return doubts.get(0);
    }

    /** 280 on the plate, 251.3 by its other cells; the geometric mean is 265.3. */
    @ParameterizedTest
    @CsvSource({"253.2, doubt.plate-misleads", "262, doubt.plate-misleads", "284, doubt.plate-stands", "268, doubt.plate-stands", "264.8, ",
            "265.9, ", "310, ", "225, "})
    void aReadingSettlesIt(String rpm, String which) {
        assertThat(doubt("B", "3", rpm, false).settled().map(s -> s.because().code())).isEqualTo(Optional.ofNullable(which));
    }

    @Test
    void onlyWhatTheReadingBearsOutMayStillBeAccepted() {
        assertThat(doubt("B", "3", "253.2", false).readings()).isNotEmpty()
                .allSatisfy(m -> assertThat(m.value().doubleValue()).isBetween(245.0, 261.0));
        assertThat(doubt("B", "3", "284", false).readings()).isEmpty();
    }

    /** Where the plate stands nothing else is offered, however near a misreading lies to what was read. */
    @Test
    void whereThePlateStandsNothingElseMayBeAccepted() {
        PlateDoubt misleads = doubt("B", "3", "253.2", false);
        BigDecimal near = misleads.readings().get(0).value();
        PlateDoubt stands = new PlateDoubt(misleads.remark(),
                Optional.of(new PlateDoubt.Settled(true, near, 1, new BigDecimal("280"), new BigDecimal("251.3"))));
        assertThat(stands.readings()).isEmpty();
    }

    @Test
    void anotherSpeedOrALoadedReadingSettlesNothing() {
        assertThat(doubt("B", "2", "181", false).settled()).isEmpty();
        PlateDoubt loaded = doubt("B", "3", "253.2", true);
        assertThat(loaded.settled()).isEmpty();
        assertThat(loaded.readings()).extracting(m -> m.value().stripTrailingZeros()).contains(new BigDecimal("2.5E+2"));
    }
}
