package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.Values;
import tallledger.core.family.Family;
import tallledger.core.family.StepId;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.Finding;

/** As which grade a machine is judged decides what is a finding, whoever surveys it. */
class JudgedAsTest {

    private static final MachineDescription MACHINE = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());

    /** Backlash: rebuilt 0.05, sound 0.15, workable 0.40 mm; read with the house's indicator. */
    @ParameterizedTest(name = "{0} judged as {1}")
    @CsvSource({"0.020, REBUILT, PROVEN, REBUILT", "0.100, REBUILT, FAILED, SOUND", "0.100, SOUND, PROVEN, SOUND",
            "0.100, WORKABLE, PROVEN, SOUND", "0.300, SOUND, FAILED, WORKABLE",
            "0.300, REBUILT, FAILED, WORKABLE", "0.300, WORKABLE, PROVEN, WORKABLE", "0.500, WORKABLE, FAILED, ''",
            "0.050, REBUILT, UNDECIDED, SOUND", "0.150, SOUND, UNDECIDED, WORKABLE"})
    void theGradeWantedDecides(String value, Grade wanted, Outcome outcome, String reached) {
        var judged = new SingleMeasurement(Rule.BACKLASH, Rule.INDICATOR, true)
                .weigh(new Values(java.util.Map.of("value", value), LengthUnit.MM), Rules.shipped().judgedAs(wanted));
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.grade().map(Grade::name).orElse("")).isEqualTo(reached);
    }

    @Test
    void anEntryChangesItForAllThatWasMeasuredAndStrikingItChangesItBack() {
        SurveyBook book = new SurveyBook(MACHINE, Scope.WHOLE, 30);
        book.step("backlash.table", false, "minus", "0.10 0.10 0.10", "middle", "0.10 0.10 0.10", "plus", "0.10 0.10 0.10");
        Survey workable = Survey.fold(MACHINE, House.shipped(List.of()), book.entries());
        assertThat(outcome(workable)).isEqualTo(Outcome.PROVEN);
        assertThat(Finding.of(workable)).isEmpty();
        Entry said = book.write(SurveyEntries.judgedAs(Authorship.of(book.entries().get(0).at(), "Q. Tester"), Grade.REBUILT));
        Survey rebuilt = workable.grown(book.entries());
        assertThat(outcome(rebuilt)).isEqualTo(Outcome.FAILED);
        assertThat(Finding.of(rebuilt)).hasSize(1);
        assertThat(rebuilt.steps().latest().get(StepId.read("backlash.table")).otherwiseThen()).as("it was judged otherwise then")
                .isPresent();
        assertThat(rebuilt.strays()).isEmpty();
        book.write(SurveyEntries.strike(Authorship.of(said.at(), "Q. Tester"), book.entries(), said.sequence(), "slip"));
        assertThat(outcome(rebuilt.grown(book.entries()))).isEqualTo(Outcome.PROVEN);
    }

    /** A person may judge a finding otherwise, with why, its cost and the time it takes; what stops use is lowered by nobody. */
    @Test
    void aPersonJudgesAFindingOtherwise() {
        SurveyBook book = new SurveyBook(MACHINE, Scope.WHOLE, 30);
        Entry lamp = book.step("lamp", true);
        Finding by = Finding.of(book.survey()).get(0);
        assertThat(by.says()).isEmpty();
        Regrade regrade = Regrade.parse(lamp.sequence(), Severity.LIVE_WITH, "clumsy, but it holds", Regrade.Whose.BY_DESIGN,
                "100 / 200 / 600", "1", "20");
        Entry said = book.write(SurveyEntries.regraded(Authorship.of(lamp.at(), "Q. Tester"), regrade, by.severity()));
        Finding judged = Finding.of(book.survey()).get(0);
        assertThat(judged.severity()).isEqualTo(Severity.LIVE_WITH);
        assertThat(judged.says()).extracting(r -> r.code()).containsExactly("finding.by-design", "finding.cost", "finding.time");
        assertThat((java.math.BigDecimal) judged.says().get(2).arguments().get(2)).isEqualByComparingTo("20");
        book.write(SurveyEntries.strike(Authorship.of(said.at(), "Q. Tester"), book.entries(), said.sequence(), "slip"));
        assertThat(Finding.of(book.survey()).get(0).severity()).isEqualTo(by.severity());
        assertThatThrownBy(() -> SurveyEntries.regraded(Authorship.of(lamp.at(), "Q"), regrade, Severity.STOP_USE))
                .isInstanceOf(Refused.class);
        book.write(SurveyEntries.regraded(Authorship.of(lamp.at(), "Q"),
                Regrade.parse(lamp.sequence(), Severity.STOP_USE, "it shocks", Regrade.Whose.FAULT, "", "", ""), by.severity()));
        assertThat(book.survey().steps().stopUse()).hasSize(1);
        assertThat(book.survey().strays()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"'', '', '', '', why", "why, dear, '', '', cost", "why, 600 / 200 / 100, '', '', cost", "why, '', 1, '', timesADay",
            "why, '', often, 3, minutesEach"})
    void whatIsNoJudgementNamesItsField(String why, String cost, String minutes, String times, String field) {
        assertThatThrownBy(() -> Regrade.parse(3, Severity.SOON, why, Regrade.Whose.FAULT, cost, minutes, times))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(field));
    }

    private static Outcome outcome(Survey survey) {
        return survey.steps().latest().get(StepId.read("backlash.table")).outcome();
    }
}
