package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reading.SurfaceSpeed;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class FinishRecordTest {

    private static final SurfaceFinish TURNED = new SurfaceFinish(SurfaceFinish.Process.TURNED);

    private static Values typed(String fields) {
        Map<String, String> typed = Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0], f -> f[1]));
        return new Values(typed, LengthUnit.MM);
    }

    /** Feed 0.2 and nose 0.8 should leave 1.60: 2.4 is 1.5 times, 4.8 three times; the gauge leaves a tenth open. By eye half to twice. */
    @ParameterizedTest
    @CsvSource({"ra=2.0, PROVEN, finish.good", "ra=2.4, PROVEN, finish.good", "ra=2.5, PROVEN, finish.ordinary",
            "ra=4.3, PROVEN, finish.ordinary", "ra=4.8, UNDECIDED, finish.close",
            "ra=5.4, FAILED, finish.else", "ra=3.0|how=PLATE, PROVEN, finish.ordinary", "ra=5.4|how=PLATE, UNDECIDED, finish.close"})
    void aTurnedFinishIsHeldAgainstItsFeedAndNose(String fields, Outcome outcome, String code) {
        StepJudgement judged = TURNED.weigh(typed(fields + "|feed=0.2|nose=0.8"), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.because().get(0).code()).isEqualTo(code);
    }

    @Test
    void withoutFeedAndNoseItStandsAlone() {
        StepJudgement judged = TURNED.weigh(typed("ra=1.6"), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judged.because().get(0).toString()).contains("finish.alone", "7");
        assertThat(new SurfaceFinish(SurfaceFinish.Process.GROUND).weigh(typed("ra=0.5"), Rules.shipped()).outcome())
                .isEqualTo(Outcome.PROVEN);
    }

    /** Scallops every 0.2 mm, 6.25 µm high, as heights with a spacing and as lines of x and z. */
    @ParameterizedTest
    @CsvSource({"false", "true"})
    void aTraceIsFilteredAndJudged(boolean pairs) {
        String trace = IntStream.range(0, 3000).mapToObj(i -> {
            double in = i * 0.004 % 0.2 - 0.1;
            return (pairs ? String.format(Locale.ROOT, "%.3f ", i * 0.004) : "") + String.format(Locale.ROOT, "%.3f", 1000 * in * in / 1.6);
        }).collect(Collectors.joining("\n"));
        StepJudgement judged = TURNED.weigh(typed((pairs ? "" : "spacing=0.004|") + "trace=" + trace + "|feed=0.2|nose=0.8"),
                Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged.because().get(0).code()).isEqualTo("finish.good");
        assertThat(judged.because().get(1).code()).isEqualTo("finish.trace");
        assertThat(judged.because().get(1).arguments()).element(0).hasToString("figure.unit[0.8, mm]");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"feed=0.2|nose=0.8; ra; number.missing", "ra=1.6|feed=0.9|nose=0.8; feed; turned-finish.feed",
            "ra=1|trace=1 2 3; ra; finish.both", "trace=1 2 3; trace; trace.count",
            "ra=-1; ra; number.not-positive"})
    void whatIsMistypedIsSaidAtItsField(String fields, String field, String code) {
        assertThatThrownBy(() -> TURNED.read(typed(fields))).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.field()).contains(field);
            assertThat(r.reason().code()).isEqualTo(code);
        });
    }

    @Test
    void aTraceWithADropoutIsRefusedWithItsRow() {
        String trace = IntStream.range(0, 100).filter(i -> i != 40).mapToObj(i -> i * 0.01 + " 1").collect(Collectors.joining("\n"));
        assertThatThrownBy(() -> TURNED.read(typed("trace=" + trace)))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("finish.uneven"));
    }

    private static final DriveTrain TRAIN = new DriveTrain(List.of(Machines.motor("1440"),
            new Stage("lever", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                    List.of(Machines.gears("low", 18, 71), Machines.gears("high", 40, 40)))),
            List.of());

    private static StepJudgement chatter(String more) {
        String trace = IntStream.range(0, 1200)
                .mapToObj(i -> String.format(Locale.ROOT, "%.3f", 2 * Math.sin(2 * Math.PI * i * 0.005 / 0.06)))
                .collect(Collectors.joining(" "));
        SurfaceFinish milled = new SurfaceFinish(SurfaceFinish.Process.MILLED,
                Optional.of(
                        new SurfaceFinish.TurningParts(TRAIN, Machines.plate(List.of(Machines.plateLever("lever", "low high")), "365 1440"),
                                Optional.of(new BigDecimal("50")))));
        return milled.weigh(typed("spacing=0.005|trace=" + trace + more), Rules.shipped());
    }

    /** 71 teeth at 365 rpm are 431.9 a second: 0.06 mm of it at 25.915 mm/s, 1.5549 m/min. */
    @Test
    void aSpacingIsLaidBesideWhatTurns() {
        assertThat(chatter("").because()).extracting(Reason::code).contains("finish.spacing", "finish.no-speed");
        assertThat(chatter("|past=1.5549").because()).extracting(Reason::code).contains("finish.frequency");
        StepJudgement found = chatter("|past=1554.9 mm/min|spindle=365");
        assertThat(found.because()).filteredOn(b -> b.code().equals("finish.comes-round")).singleElement().satisfies(b -> {
            assertThat(b.toString()).contains("MESH", "18:71", "432, Hz");
            assertThat((List<?>) b.arguments().get(3)).hasSize(1);
        });
        assertThat(chatter("|past=2 m/min|spindle=365").because()).extracting(Reason::code).contains("finish.nothing-turns");
        assertThat(chatter("|past=1.5549|spindle=700").because()).as("no such speed on this machine").extracting(Reason::code)
                .contains("finish.frequency");
    }

    @Test
    void theFeedIsNoFault() {
        String trace = IntStream.range(0, 3000)
                .mapToObj(i -> String.format(Locale.ROOT, "%.3f", 1000 * Math.pow(i * 0.004 % 0.2 - 0.1, 2) / 1.6))
                .collect(Collectors.joining("\n"));
        assertThat(TURNED.weigh(typed("spacing=0.004|trace=" + trace + "|feed=0.2|nose=0.8"), Rules.shipped()).because())
                .extracting(Reason::code).contains("finish.is-feed");
    }

    @Test
    void theCutOffMayBeChosenAndATornTraceProvesNothing() {
        assertThat(chatter("|cutOff=MM_0_8").because().get(1).arguments()).element(0).hasToString("figure.unit[0.8, mm]");
        assertThatThrownBy(() -> chatter("|cutOff=MM_8"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("cutOff"));
        String torn = IntStream.range(0, 1200).mapToObj(i -> i == 600 ? "-90" : String.format(Locale.ROOT, "%.3f", Math.sin(i)))
                .collect(Collectors.joining(" "));
        StepJudgement judged = new SurfaceFinish(SurfaceFinish.Process.MILLED).weigh(typed("spacing=0.005|trace=" + torn), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judged.because()).extracting(Reason::code).contains("finish.dropout");
    }

    @ParameterizedTest
    @CsvSource({"12 in/min, 0.3048", "300 mm/min, 0.3", "18, 18", "60 ft/min, 18.288", "1 m/s, 60"})
    void aSpeedPastAToolIsReadInItsUnit(String typed, BigDecimal metres) {
        assertThat(SurfaceSpeed.parse(typed, LengthUnit.MM)).isEqualByComparingTo(metres);
        assertThatThrownBy(() -> SurfaceSpeed.parse("3 knots", LengthUnit.MM)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> SurfaceSpeed.parse("-3", LengthUnit.MM)).isInstanceOf(Refused.class);
    }
}
