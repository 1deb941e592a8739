package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.StepId;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Shown;

/**
 * An entry stands by itself: what is described or ruled later changes nothing of what was typed, and what was judged then stays to be
 * seen.
 */
class StandsByItselfTest {

    private static final MachineDescription METRIC = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());

    private static MachineDescription inch(MachineDescription m) {
        Identity i = m.identity();
        Identity inches = new Identity(i.name(), i.maker(), i.model(), i.family(), i.serial(), i.year(), i.seenAt(), i.offeredBy(),
                LengthUnit.INCH);
        return new MachineDescription(inches, m.claims(), m.train(), m.plate(), m.motor(), m.feeds(), m.fitOut());
    }

    /** 0.010 mm of backlash is as rebuilt; read as inches it would be 0.254 mm, workable at best. */
    @Test
    void aDescriptionInTheOtherUnitJudgesNoOldReadingAnew() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        book.step("backlash.table", false, "minus", "0.010 0.010 0.010", "middle", "0.010 0.010 0.010", "plus", "0.010 0.010 0.010");
        StepResult metric = book.ledger().latest().get(StepId.read("backlash.table"));
        StepResult inches = Survey.fold(inch(METRIC), House.shipped(List.of()), book.entries()).steps().latest()
                .get(StepId.read("backlash.table"));
        assertThat(metric.judgement().grade()).contains(Grade.REBUILT);
        assertThat(inches.judgement().outcome()).isEqualTo(metric.judgement().outcome());
        assertThat(inches.judgement().grade()).isEqualTo(metric.judgement().grade());
        assertThat(inches.judgement().because().get(0).toString()).as("shown in the machine's unit").contains("thou");
        assertThat(inches.otherwiseThen()).isEmpty();
    }

    /** One written before entries named their unit is read in the machine's, as it was. */
    @Test
    void aRecordWithoutABasisIsReadInTheMachinesUnit() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        book.step("backlash.table", false, "minus", "0.010 0.010 0.010", "middle", "0.010 0.010 0.010", "plus", "0.010 0.010 0.010");
        Entry written = book.entries().get(1);
        Map<String, Object> old = new java.util.HashMap<>(written.draft().payload());
        old.keySet().removeAll(List.of("basis", "judged"));
        List<Entry> entries = List.of(book.entries().get(0),
                Entry.following(Optional.of(book.entries().get(0)), Draft.of(written.by(), "STEP", written.step(), old)));
        assertThat(Survey.fold(METRIC, House.shipped(List.of()), entries).steps().latest().get(StepId.read("backlash.table")).judgement()
                .grade()).contains(Grade.REBUILT);
        StepResult inches = Survey.fold(inch(METRIC), House.shipped(List.of()), entries).steps().latest()
                .get(StepId.read("backlash.table"));
        assertThat(inches.judgement().grade()).contains(Grade.WORKABLE);
        assertThat(inches.then()).isEmpty();
    }

    @Test
    void anEntryNamesUnitGaugeVersionsAndJudgement() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        Payload p = book.step("backlash.table", false, "minus", "0.5 0.5 0.5", "middle", "0.6 0.6 0.6", "plus", "0.5 0.5 0.5").payload();
        assertThat(p.part("basis").fields()).isEqualTo(Map.of("unit", "MM", "description", 1, "rules", 1,
                "gauge", Map.of("name", "indicator", "resolution", "0.001", "calibration", "0.01")));
        assertThat(p.part("judged").text("outcome")).isEqualTo("FAILED");
        assertThat(p.part("judged").parts("because").get(0).text("code")).isEqualTo("graded.missed");
    }

    /** 95 is within ±6 % of 100, outside of it for 110. */
    @Test
    void aRunJudgedByALaterPlateShowsBoth() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        Entry entry = book.run(List.of("A", "forward"), "95", false);
        assertThat(entry.payload().part("judged").text("outcome")).isEqualTo("PROVEN");
        assertThat(book.spindle().runs().get(0).otherwiseThen()).isEmpty();
        MachineDescription other = METRIC.withCell(List.of("A"), tallledger.core.plate.PlateCell.parse("110"));
        Run later = Survey.fold(other, House.shipped(List.of()), book.entries()).drive().runs().get(0);
        assertThat(later.outcome()).isEqualTo(Outcome.FAILED);
        assertThat(later.otherwiseThen()).get().extracting(JudgedThen::outcome).isEqualTo(Outcome.PROVEN);
    }

    /**
     * A worse gauge named by the entry leaves more open, whatever gauge is usual now: 95 ± 4.8 may be outside 94 to 106, 0.010 ± 0.5
     * nearly anything.
     */
    @Test
    void theGaugeOfTheEntryCountsAndNotTheUsualOne() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        book.run(List.of("A", "forward"), "95", false);
        book.step("backlash.table", false, "minus", "0.010 0.010 0.010", "middle", "0.010 0.010 0.010", "plus", "0.010 0.010 0.010");
        List<Entry> entries = new java.util.ArrayList<>(book.entries().subList(0, 1));
        for (Entry written : book.entries().subList(1, 3)) {
            Map<String, Object> payload = new java.util.HashMap<>(written.draft().payload());
            Map<String, Object> basis = new java.util.HashMap<>(written.payload().part("basis").fields());
            basis.put("gauge", Map.of("name", "found in the drawer", "resolution", "1", "calibration", "0.05"));
            payload.put("basis", basis);
            entries.add(Entry.following(Optional.of(entries.get(entries.size() - 1)),
                    Draft.of(written.by(), written.kind(), written.step(), payload)));
        }
        Survey survey = Survey.fold(METRIC, House.shipped(List.of()), entries);
        assertThat(survey.strays()).isEmpty();
        assertThat(survey.drive().runs().get(0).outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(survey.drive().runs().get(0).otherwiseThen()).get().extracting(JudgedThen::outcome).isEqualTo(Outcome.PROVEN);
        assertThat(survey.steps().latest().get(StepId.read("backlash.table")).outcome()).isNotEqualTo(Outcome.PROVEN);
    }

    /** What the surveyor said was not as it should be was a failure then, whatever the numbers. */
    @Test
    void aFlagIsPartOfTheJudgementThen() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        assertThat(book.step("lamp", true).payload().part("judged").text("outcome")).isEqualTo("FAILED");
        assertThat(book.ledger().latest().get(StepId.read("lamp")).otherwiseThen()).isEmpty();
    }

    @Test
    void aReasonOutlivesItsEntry() {
        Reason reason = Reason.named("graded.within", new Shown(new BigDecimal("0.090"), new BigDecimal("0.009")), "mm", Grade.SOUND,
                new BigDecimal("0.10"), List.of(Reason.named("inner", 3), "text"), 2.5);
        Reason read = WrittenReason.read(new Payload(WrittenReason.write(reason)));
        assertThat(read).isEqualTo(Reason.named("graded.within", new Shown(new BigDecimal("0.090"), new BigDecimal("0.009")), "mm",
                Reason.named("Grade.SOUND"),
                new BigDecimal("0.10"), List.of(Reason.named("inner", 3), "text"), new BigDecimal("2.5")));
    }

    private static House with(Rule rule, String... figures) {
        return new House(2, "", Rules.shipped().with(rule, Stream.of(figures).map(BigDecimal::new).toList()), List.of(), List.of(),
                List.of());
    }

    /** Judged by other rules: how it was judged when it was written stays beside it. */
    @Test
    void aRecordIsJudgedByTheRulesItsSurveyNames() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        book.step("backlash.table", false, "minus", "0.100 0.100 0.100", "middle", "0.120 0.120 0.120", "plus", "0.100 0.100 0.100");
        Survey shipped = book.survey();
        assertThat(shipped.steps().latest().get(StepId.read("backlash.table")).judgement().grade()).contains(Grade.SOUND);
        Survey stricter = shipped.by(METRIC, with(Rule.BACKLASH, "0.01", "0.05", "0.11"), book.entries());
        StepResult result = stricter.steps().latest().get(StepId.read("backlash.table"));
        assertThat(result.outcome()).isEqualTo(Outcome.FAILED);
        assertThat(result.otherwiseThen()).isPresent();
        assertThat(JudgementChange.between(shipped, stricter)).singleElement().satisfies(o -> {
            assertThat(o.entry()).isEqualTo(2);
            assertThat(o.was()).isEqualTo(new JudgementChange.JudgedAs(Outcome.PROVEN, Optional.of(Grade.SOUND)));
            assertThat(o.now()).isEqualTo(new JudgementChange.JudgedAs(Outcome.FAILED, Optional.empty()));
        });
        assertThat(JudgementChange.between(shipped, shipped.by(METRIC, with(Rule.LATHE_NOSE, "0.01", "0.02", "0.03"), book.entries())))
                .isEmpty();
    }

    /** What a record was read with stays what it was, whatever gauge the house names later. */
    @Test
    void aRecordKeepsItsOwnGauge() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        book.step("backlash.table", false, "minus", "0.100 0.100 0.100", "middle", "0.120 0.120 0.120", "plus", "0.100 0.100 0.100");
        assertThat(JudgementChange.between(book.survey(), book.survey().by(METRIC, with(Rule.INDICATOR, "0.5", "100"), book.entries())))
                .isEmpty();
    }

    /** A run by a tolerance, and a stop by the brake's limit. */
    @Test
    void speedsAndStopsFollowTheRulesToo() {
        SurveyBook book = new SurveyBook(METRIC, Scope.WHOLE, 30);
        var train = METRIC.train();
        var route = train.routes().get(0);
        double plate = METRIC.speeds().nominal(route).orElseThrow().doubleValue();
        book.run(train.settings(route), String.format(java.util.Locale.ROOT, "%.1f", plate * 1.03), false);
        book.write(SurveyEntries.check(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true,
                "7.0",
                ""));
        assertThat(JudgementChange.between(book.survey(), book.survey().by(METRIC, with(Rule.SPEED_TOLERANCE, "1"), book.entries())))
                .singleElement()
                .satisfies(o -> assertThat(o.now().outcome()).isEqualTo(Outcome.FAILED));
        assertThat(JudgementChange.between(book.survey(), book.survey().by(METRIC, with(Rule.SPINDLE_STOP, "1", "2", "3"), book.entries())))
                .singleElement()
                .satisfies(o -> assertThat(o.now().outcome()).isEqualTo(Outcome.FAILED));
    }
}
