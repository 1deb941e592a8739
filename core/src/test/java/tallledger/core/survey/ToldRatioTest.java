package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.family.StartItem;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.safety.Mounted;
import tallledger.core.verdict.ClaimVerdict;

/** A range of which only the slower one's ratio is unknown: what readings make of it. */
class ToldRatioTest {

    private static final Stage RANGE = new Stage("range", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, List.of(
            new Position("A", new Transmission.Unknown()), new Position("B", new Transmission.Ratio(BigDecimal.ONE))));
    /** Good to 0.3 % as a standard uncertainty, its digit far below. */
    private static final Gauge TACHOMETER = new Gauge("ours", new BigDecimal("0.000001"), new BigDecimal("0.006"),
            Optional.of(new Gauge.Calibration(BigDecimal.ZERO, BigDecimal.ZERO, "", Optional.empty())));

    private final MachineDescription machine = Machines.lathe("? ? ? 315 560 1000", List.of(new Claim(Claim.Attribute.RATIO,
            "range A is 3.5 to 1, or perhaps 4", Claim.Source.SELLER, "")), List.of(), RANGE, Machines.lever("gear", "1 2 3"));
    private final List<Entry> entries = new ArrayList<>();
    private Instant now = Instant.parse("2026-05-09T08:30:00Z");

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
        now = now.plusSeconds(40);
    }

    private Survey with(String... runs) {
        write(SurveyEntries.opened(Authorship.of(now, "Q. Tester"), 1, "hash", SurveyBook.HOUSE, "buyer", Scope.SPINDLE_DRIVE,
                Grade.WORKABLE));
        for (String run : runs) {
            String[] parts = run.split(" ");
            write(SurveyEntries.run(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS,
                    Survey.fold(machine, SurveyBook.HOUSE, List.of()).drive(),
                    new RunRecord(List.of(parts[0], parts[1]), Optional.of(SpeedReading.shown(Method.CONTACT_TACHOMETER,
                            Optional.of(TACHOMETER), parts[2], "")), Set.of(), Optional.empty(), false, false, false, "")));
        }
        return Survey.fold(machine, House.shipped(List.of()), entries);
    }

    /** Worked: 141/31.2 = 4.519 and 2 870/637 = 4.505: 4.512 ± 0.028; 4.5 stands and 5 does not. */
    @Test
    void twoPairsTellTheRatio() {
        List<ToldRatio> told = ToldRatio.of(with("A 1 31.2", "B 1 141", "A 2 637", "B 2 2870").drive());
        assertThat(told).hasSize(1);
        assertThat(told.get(0).ratio()).isCloseTo(4.512, within(0.0005));
        assertThat(told.get(0).expanded()).isCloseTo(0.0271, within(0.0002));
        assertThat(told.get(0).one()).isTrue();
        assertThat(told.get(0).holds(4.5)).isTrue();
        assertThat(told.get(0).holds(5)).isFalse();
        assertThat(told.get(0).entries()).containsExactly(2, 3, 4, 5);
    }

    @Test
    void pairsThatDifferAreNotOneRatioAndOneRunTellsNothing() {
        assertThat(ToldRatio.of(with("A 1 90", "B 1 315", "A 2 140", "B 2 560").drive())).extracting(ToldRatio::one).containsExactly(false);
        entries.clear();
        assertThat(ToldRatio.of(with("A 1 90", "B 2 560").drive())).isEmpty();
    }

    /** The unknown one may be the faster: it is said so, and nothing is taken for a reduction. */
    @Test
    void aFasterPositionIsSaidToBeFaster() {
        ToldRatio told = ToldRatio.of(with("A 1 945", "B 1 315").drive()).get(0);
        assertThat(told.says().code()).isEqualTo("ratio.faster");
        assertThat(told.holds(3)).isTrue();
        assertThat(told.taken(machine.claims())).isEmpty();
    }

    @Test
    void whatWasNamedStandsOrIsRefused() {
        assertThat(ClaimVerdict.of(with("A 1 91.0", "B 1 318", "A 2 161", "B 2 563"))).allSatisfy(v -> {
            assertThat(v.standing()).isEqualTo(ClaimVerdict.Standing.UPHELD);
            assertThat(v.because().arguments().subList(1, 5)).containsExactly(1, "3.5", 1, "4");
            assertThat(v.entries()).containsExactly(2, 3, 4, 5);
        });
        entries.clear();
        assertThat(ClaimVerdict.of(with("A 1 63", "B 1 315"))).extracting(ClaimVerdict::standing)
                .containsExactly(ClaimVerdict.Standing.CONTRADICTED);
        entries.clear();
        assertThat(ClaimVerdict.of(with("A 1 63"))).extracting(ClaimVerdict::standing).containsExactly(ClaimVerdict.Standing.UNTESTED);
    }

    /** A back gear only slows: a chuck that may turn as fast as the machine does directly is no reason not to run it. */
    @Test
    void anUnknownBackGearIsNotRefusedForTheChucksMark() {
        write(SurveyEntries.opened(Authorship.of(now, "Q. Tester"), 1, "hash", SurveyBook.HOUSE, "buyer", Scope.SPINDLE_DRIVE,
                Grade.WORKABLE));
        write(SurveyEntries.startConfirmed(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS, List.of(StartItem.CHUCK_KEY_OUT),
                Mounted.parse(Mounted.Kind.CHUCK, "", "600", "", "", machine.unit(), machine.unit())));
        Survey survey = Survey.fold(machine, House.shipped(List.of()), entries);
        assertThat(RunGate.refusal(survey, survey.machine().train().routeByKey(key("A", "2")).orElseThrow())).isEmpty();
        assertThat(RunGate.refusal(survey, survey.machine().train().routeByKey(key("A", "3")).orElseThrow())).isPresent();
    }

    private String key(String range, String gear) {
        return machine.train().routes().stream().filter(r -> machine.train().settings(r).equals(List.of(range, gear))).findFirst()
                .orElseThrow().key();
    }
}
