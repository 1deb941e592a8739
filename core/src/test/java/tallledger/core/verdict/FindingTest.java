package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.Severity;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;

/** What is no fault of the machine: shown, a note, and not priced. */
class FindingTest {

    private SurveyBook at(String plate) {
        MachineDescription machine = Machines.lathe(plate, Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4"));
        return new SurveyBook(machine, Scope.WHOLE, 20);
    }

    private static List<Finding> findings(SurveyBook book) {
        return Finding.of(book.survey());
    }

    private static Money.PricedFinding priced(SurveyBook book) {
        return Money.of(book.survey(), Money.WhatIf.NOTHING).priced().get(0);
    }

    /** The plate says 280 where its other cells say 250; the machine turns 252. */
    @Test
    void aMisprintIsANote() {
        SurveyBook book = at(Machines.TWELVE_MISREAD);
        book.run(List.of("A", "1"), "31.8", false);
        book.run(List.of("B", "3"), "252", false);
        assertThat(findings(book)).singleElement().satisfies(f -> {
            assertThat(f.severity()).isEqualTo(Severity.NOTE);
            assertThat(f.explained().orElseThrow().byPlate()).isTrue();
            assertThat(f.says()).extracting(Reason::code).containsExactly("finding.plate");
        });
        assertThat(priced(book).by()).isEqualTo(Money.By.PLATE);
        assertThat(VerdictGlance.of(book.survey(), Money.of(book.survey(), Money.WhatIf.NOTHING)).worst()).isEmpty();
    }

    /** 0.6 a turn with 60 driving 40 where 0.2 is set: a third is wanted, so 30/60 of 20, 30, 40 and 60 and no other pair. */
    @Test
    void wheelsThatWereCountedAreSearchedForTheFeed() {
        SurveyBook book = at(Machines.TWELVE);
        book.step("feed.carriage.minus", false, "distance", "30", "turns", "50", "set", "0.2 mm/rev, wheels 60/40");
        assertThat(findings(book)).singleElement().satisfies(f -> assertThat(f.what().toString()).doesNotContain("finding.wheels"));
        book.step("change-wheels", false, "wheels", "20 30 40 60");
        assertThat(findings(book).get(0).what().toString()).contains("finding.wheels[[20/40, 30/60]]");
        book.step("change-wheels", false, "wheels", "40 60");
        assertThat(findings(book).get(0).what().toString()).contains("finding.wheels-none[2]");
    }

    /** The same reading with a growl: the growl is the machine's. */
    @Test
    void aGrowlThereIsNone() {
        SurveyBook book = at(Machines.TWELVE_MISREAD);
        book.run(List.of("B", "3"), "252", false, Symptom.GROWLS);
        assertThat(findings(book)).extracting(Finding::severity).containsExactly(Severity.SOON, Severity.NOTE);
        assertThat(findings(book).get(0).explained()).isEmpty();
    }

    /** Every speed 1.2 times its plate: 60 Hz on a 50 Hz machine. One that is off by itself is not explained by it. */
    @Test
    void anotherFrequencyIsOutsideTheMachine() {
        SurveyBook book = at(Machines.TWELVE);
        book.run(List.of("A", "1"), "37.8", false);
        book.run(List.of("B", "2"), "216", false);
        book.run(List.of("C", "1"), "600", false);
        assertThat(findings(book)).hasSize(3).allSatisfy(f -> {
            assertThat(f.severity()).isEqualTo(Severity.NOTE);
            assertThat(f.whose()).isEqualTo(Regrade.Whose.OUTSIDE);
            assertThat(f.says()).extracting(Reason::code).containsExactly("finding.no-fault");
        });
        assertThat(priced(book).by()).isEqualTo(Money.By.OUTSIDE);
        book.run(List.of("C", "4"), "1100", false);
        assertThat(findings(book)).filteredOn(f -> f.explained().isEmpty()).singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.SOON));
    }

    /** One reading that might be a lever not home is no misprint. */
    @Test
    void whatMayHaveAnotherCauseIsNotExplained() {
        SurveyBook book = at(Machines.TWELVE);
        book.run(List.of("A", "1"), "31.6", false);
        book.run(List.of("B", "2"), "250.5", false);
        assertThat(findings(book)).singleElement().satisfies(f -> assertThat(f.explained()).isEqualTo(Optional.empty()));
    }

    /** Whoever's fault it is said to be, what stops use is still said first. */
    @Test
    void whatStopsUseIsSaidWhoeversFaultItIs() {
        SurveyBook book = at(Machines.TWELVE);
        int isolator = book.step("isolator", true).sequence();
        book.write(SurveyEntries.regraded(Authorship.of(book.now(), SurveyBook.ME),
                Regrade.parse(isolator, Severity.STOP_USE, "the shed's own switch", Regrade.Whose.OUTSIDE, "", "", ""),
                Severity.STOP_USE));
        assertThat(priced(book).by()).isEqualTo(Money.By.OUTSIDE);
        assertThat(VerdictGlance.of(book.survey(), Money.of(book.survey(), Money.WhatIf.NOTHING)).use().get(0).code())
                .isEqualTo("glance.stop");
    }

    @Test
    void findingsStandByTheirSystemTheWorstFirst() {
        SurveyBook book = at(Machines.TWELVE);
        book.step("lamp", true);
        book.run(List.of("A", "1"), "31.6", false, Symptom.WHINES);
        book.step("isolator", true);
        book.run(List.of("A", "2"), "", false, Symptom.NO_DRIVE);
        assertThat(Finding.bySystem(findings(book))).hasSize(3);
        assertThat(Finding.bySystem(findings(book)).keySet()).extracting(Reason::code)
                .containsExactly("system.isolator", "system.spindle-drive", "system.lamp");
        assertThat(Finding.bySystem(findings(book)).values())
                .anySatisfy(some -> assertThat(some).extracting(Finding::severity).containsExactly(Severity.BEFORE_USE,
                        Severity.LIVE_WITH));
    }
}
