package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/** The panel against the motor's plate, and speeds by command about a change-over. */
class PanelAndTrialsTest {

    private static final PanelCheck PANEL = new PanelCheck(Optional.of(new BigDecimal("4.0")));
    private static final String SOUND = "disconnect=AS_IT_SHOULD|fuses=AS_IT_SHOULD|diagram=IN_THE_PANEL|motorAmps=4.0|";

    private static Values typed(String fields) {
        Map<String, String> typed = Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2))
                .filter(f -> f.length == 2 && !f[1].isEmpty()).collect(Collectors.toMap(f -> f[0], f -> f[1], (a, b) -> b));
        return new Values(typed, LengthUnit.MM);
    }

    /** 90 to 115 % of 4.0 A is 3.6 to 4.6 A. */
    @ParameterizedTest
    @CsvSource({"3.59, FAILED, panel.overload-low", "3.6, PROVEN, panel.overload-right", "4.2 A, PROVEN, panel.overload-right",
            "4.6, PROVEN, panel.overload-right",
            "4.61, FAILED, panel.overload-high", "6.3, FAILED, panel.overload-high"})
    void theOverloadIsHeldAgainstTheMotorsPlate(String set, Outcome outcome, String code) {
        StepJudgement judged = PANEL.weigh(typed(SOUND + "overloadAmps=" + set), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.because()).anySatisfy(r -> assertThat(r.code()).isEqualTo(code));
        assertThat(judged.worse()).isEmpty();
        assertThat(judged.figures()).singleElement().satisfies(f -> {
            assertThat(f.measured().value()).isEqualByComparingTo(set.replace(" A", ""));
            assertThat(f.unit()).isEqualTo(Unit.AMPERES);
            assertThat(f.against().orElseThrow().verdict() == Verdict.WITHIN).isEqualTo(outcome == Outcome.PROVEN);
            assertThat(f.against().orElseThrow().limits().most()).isEqualByComparingTo("4.6");
        });
        assertThat(judged.figure()).as("not what the panel is opened for").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"disconnect=NOT_AS_IT_SHOULD, FAILED, true", "disconnect=NOT_THERE, FAILED, true", "disconnect=NOT_SEEN, UNDECIDED, false",
            "fuses=NOT_AS_IT_SHOULD, FAILED, false",
            "fuses=NOT_SEEN, UNDECIDED, false", "diagram=NONE, PROVEN, false", "diagram=NOT_SEEN, UNDECIDED, false",
            "overloadAmps=, UNDECIDED, false"})
    void whatWasNotSeenIsOpenAndWhatCannotBeCutOffStopsUse(String field, Outcome outcome, boolean stops) {
        String start = SOUND + (field.startsWith("overload") ? "" : "overloadAmps=4.0|");
        StepJudgement judged = PANEL.weigh(typed(start + field), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.worse().isPresent()).isEqualTo(stops);
    }

    @Test
    void anOverloadWithoutAMotorIsAskedFor() {
        assertThatThrownBy(() -> PANEL.read(typed("disconnect=NOT_SEEN|fuses=NOT_SEEN|diagram=NONE|overloadAmps=4")))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("motorAmps"));
        assertThatThrownBy(() -> PANEL.read(typed(SOUND + "overloadAmps=four")))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("overloadAmps"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1700 1703; 1790 1794; 1810 1806; 1900 1897; 1700 1702 | PROVEN    | trials.both
            1700 1703; 1900 1897                                  | UNDECIDED | trials.up-only
            1900 1897; 1700 1703                                  | UNDECIDED | trials.down-only
            1600 1603; 1700 1703                                  | UNDECIDED | trials.never
            1799 1799; 1800 1800; 1799 1799                       | PROVEN    | trials.both
            1700 1703; 1900 1600; 1700 1703                       | FAILED    | trial.off
            1700 = 1703; 1900 → 1897; 1700: 1701                  | PROVEN    | trials.both
            100 106; 1900 1897; 1700 1703                         | UNDECIDED | trial.off
            """)
    void aChangeOverIsPassedBothWays(String trials, Outcome outcome, String code) {
        StepJudgement judged = new TrialSpeeds().weigh(typed("changeOver=1800|trials=" + trials), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.because()).anySatisfy(r -> assertThat(r.code()).isEqualTo(code));
    }

    @ParameterizedTest
    @CsvSource({"1700, trials.line", "1700 1703, trials.count", "1700 1703 9; 3 4, trials.line", "a b; 3 4, number.not-one"})
    void whatAreNoPairsIsRefused(String trials, String code) {
        assertThatThrownBy(() -> new TrialSpeeds().read(typed("changeOver=1800|trials=" + trials)))
                .isInstanceOfSatisfying(Refused.class, r -> {
                    assertThat(r.reason().code()).isEqualTo(code);
                    assertThat(r.field()).contains("trials");
                });
    }

    /** About 60 is good to a twentieth either way: U = 2 · 6/√12 = 3.46, and half a per cent of the gauge. */
    @ParameterizedTest
    @CsvSource({"about 60", "'~60'", "'ca. 60 rpm'", "'60, about as low as it goes'", "60 as low as it goes"})
    void aFigureSaidWithAboutIsGoodToATwentieth(String said) {
        var read = new SpeedRead(Optional.empty(), Optional.empty()).read(typed("reading=" + said));
        assertThat(read.rpm()).isEqualByComparingTo("60");
        assertThat(read.expanded(Rules.shipped())).isBetween(3.46, 3.48);
        assertThat(read.typed()).isEqualTo(said);
    }
}
