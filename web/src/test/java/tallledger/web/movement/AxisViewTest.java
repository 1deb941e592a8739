package tallledger.web.movement;

import static org.assertj.core.api.Assertions.assertThat;

import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.survey.StepLedger;
import tallledger.web.App;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Words;

/** An axis is drawn from what was measured of it, and says what was not. */
class AxisViewTest {

    private static final Offset<Double> PIXEL = Offset.offset(0.05);

    private final Words words = App.demo().bean(Words.class);
    private final StoredSurvey finished = App.demo().bean(SurveyLibrary.class).survey(20);
    private final StoredSurvey begun = App.demo().bean(SurveyLibrary.class).survey(3);

    private AxisView axis(StoredSurvey survey, String name) {
        MachineDescription machine = survey.folded().machine();
        StepLedger ledger = survey.steps();
        return AxisView.of(ledger, machine.fitOut().axis(Axis.Role.named(name)).orElseThrow(), machine.identity().unit(), words);
    }

    @Test
    void theLongerOfClaimAndMeasureSpansTheDrawing() {
        AxisView table = axis(finished, "table");
        assertThat(table.measured()).isCloseTo(460, PIXEL);
        assertThat(table.claimed()).isCloseTo(460 * 760.0 / 763, PIXEL);
        assertThat(axis(begun, "carriage").measured()).as("not measured yet").isZero();
        assertThat(axis(begun, "carriage").travel()).isEqualTo("Travel not measured yet.");
        assertThat(axis(begun, "top slide").claimed()).as("nobody claims").isZero();
    }

    @Test
    void theTallestBarIsTheGreatestBacklash() {
        AxisView saddle = axis(finished, "saddle");
        assertThat(saddle.bars()).hasSize(3).extracting(AxisView.Bar::x).containsExactly(170.0, 400.0, 630.0);
        assertThat(saddle.bars().stream().mapToDouble(AxisView.Bar::height).max()).hasValueCloseTo(40.0, PIXEL);
        assertThat(saddle.says()).isNotEmpty();
        assertThat(axis(finished, "quill").bars()).as("a quill has no hand wheel").isEmpty();
    }

    @Test
    void eachWayIsAnArrowWithItsRate() {
        AxisView carriage = axis(begun, "carriage");
        assertThat(carriage.ways()).extracting(AxisView.MovementArrow::name).containsExactly("feed", "feed", "trip", "trip");
        assertThat(carriage.ways()).extracting(AxisView.MovementArrow::toPlus).containsExactly(false, true, false, true);
        assertThat(carriage.ways().get(0).figure()).endsWith(" mm/rev");
        assertThat(carriage.ways().get(0).y()).isEqualTo(carriage.ways().get(1).y());
        assertThat(carriage.rest()).extracting(AxisView.AxisLine::name).containsExactly("five stops", "lock", "hand wheel and dial",
                "backlash",
                "play");
    }

    /** To its own side, from the middle, the head at its end; a rapid has two. */
    @Test
    void anArrowPointsToItsSide() {
        assertThat(new AxisView.MovementArrow("k", "feed", true, "proven", "", 74, false).arrow())
                .isEqualTo("M420 80H600M590 74L600 80L590 86");
        assertThat(new AxisView.MovementArrow("k", "feed", false, "proven", "", 74, false).arrow())
                .isEqualTo("M380 80H200M210 74L200 80L210 86");
        assertThat(new AxisView.MovementArrow("k", "rapid", true, "open", "", 74, true).arrow()).endsWith("M580 74L590 80L580 86");
    }
}
