package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.SurveyBook;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.house.HouseGauge;
import tallledger.core.ledger.Authorship;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.ConditionStatement;

/** What a reading was taken with and how warm it was is kept with it. */
class GaugesAndWarmthTest {

    private final SurveyBook book = new SurveyBook(CatalogueTest.machine(Family.MACHINING_CENTRE, Family.MACHINING_CENTRE.traits().usual()),
            Scope.WHOLE, 60);

    private static Gauge indicator(String due) {
        return HouseGauge.typed("g1", Rule.INDICATOR, Map.of("name", "indicator 7", "resolution", "0.001", "calibration", "0.002", "due",
                due)).gauge();
    }

    private String readout() {
        return book.ledger().steps().stream().map(s -> s.id().written()).filter(id -> id.startsWith("readout.")).findFirst().orElseThrow();
    }

    private StepResult read(Optional<Gauge> by) {
        StepLedger ledger = book.ledger();
        Step step = ledger.step(readout()).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
        book.write(SurveyEntries.step(Authorship.of(book.now(), SurveyBook.ME), ledger, step, Map.of("value", "0.012", "over", "300"),
                SurveyBook.BASIS.with(by), false, confirmed, ""));
        return book.ledger().latest().get(StepId.read(readout()));
    }

    private static Uncertainty parts(StepResult result) {
        return result.judgement().figures().get(0).parts().orElseThrow();
    }

    @Test
    void theGaugeChosenCountsAndStaysWithTheEntry() {
        StepResult usual = read(Optional.empty());
        StepResult own = read(Optional.of(indicator("2027-01-01")));
        assertThat(own.values().readWith()).contains(indicator("2027-01-01"));
        assertThat(parts(own).calibration()).isCloseTo(0.001, within(1e-12));
        assertThat(parts(usual).calibration()).isNotCloseTo(0.001, within(1e-6));
    }

    /** 300 mm of steel 10 K apart: 300·11.5e-6·10/√3 = 19.92 µm as a standard uncertainty. */
    @Test
    void temperaturesCountInTheirSittingOnly() {
        assertThat(parts(read(Optional.empty())).thermal()).isZero();
        book.write(SurveyEntries.temperatures(Authorship.of(book.now(), SurveyBook.ME), "30", "68 °F", LengthUnit.MM));
        StepResult warm = read(Optional.empty());
        assertThat(parts(warm).thermal()).isCloseTo(0.0199186, within(1e-6));
        assertThat(warm.judgement().because()).extracting(Reason::code).contains("temperature.apart");
        book.pause(4 * 3600);
        StepResult later = read(Optional.empty());
        assertThat(parts(later).thermal()).isZero();
        assertThat(later.judgement().because()).extracting(Reason::code).contains("temperature.unread");
        book.write(SurveyEntries.temperatures(Authorship.of(book.now(), SurveyBook.ME), "30", "20", LengthUnit.MM));
        book.write(SurveyEntries.stopped(Authorship.of(book.now(), SurveyBook.ME)));
        assertThat(parts(read(Optional.empty())).thermal()).isZero();
        assertThat(book.survey().strays()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"-300,20,machine,temperature.impossible", "20,-460 F,gauge,temperature.impossible", "warm,20,machine,temperature.not-one",
            "20,,gauge,number.missing", "20,200,gauge,temperatures.apart"})
    void whatIsNoTemperatureIsSaidAtItsField(String machine, String gauge, String field, String why) {
        Refused refused =
                catchThrowableOfType(Refused.class, () -> SurveyEntries.temperatures(Authorship.of(book.now(), SurveyBook.ME), machine,
                        gauge == null ? "" : gauge, LengthUnit.MM));
        assertThat(refused.field()).contains(field);
        assertThat(refused.reason().code()).isEqualTo(why);
    }

    /** Said of the reading, and of all of them in the statement; it judges nothing otherwise. */
    @Test
    void anOverdueGaugeIsSaidAtEveryReading() {
        StepResult good = read(Optional.of(indicator("2026-05-09")));
        assertThat(good.judgement().because()).extracting(Reason::code).doesNotContain("gauge.overdue");
        StepResult over = read(Optional.of(indicator("2026-05-08")));
        assertThat(over.judgement().because()).contains(Reason.named("gauge.overdue", "indicator 7", "2026-05-08"));
        assertThat(over.outcome()).isEqualTo(good.outcome());
        assertThat(over.otherwiseThen()).isEmpty();
        assertThat(ConditionStatement.of(book.survey()).sentences()).filteredOn(s -> s.words().code().equals("statement.overdue"))
                .singleElement()
                .satisfies(s -> assertThat(s.entries()).containsExactly(over.entry()));
    }
}
