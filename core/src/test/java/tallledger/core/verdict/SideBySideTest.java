package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.MotorRating;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.price.Stakes;
import tallledger.core.reading.Power;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.SideBySide.ComparedRow;
import tallledger.core.verdict.SideBySide.Part;

class SideBySideTest {

    private static SurveyBook lathe() {
        return new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);
    }

    private static SideBySide beside(SurveyBook... books) {
        List<Survey> surveys = Stream.of(books).map(b -> Survey.fold(b.machine(), House.shipped(List.of()), b.entries())).toList();
        return SideBySide.of(surveys, surveys.stream().map(s -> Money.of(s, Money.WhatIf.NOTHING)).toList());
    }

    private static ComparedRow row(SideBySide all, String step) {
        return all.rows().stream().filter(r -> r.name().code().equals("step." + step)).findFirst().orElseThrow();
    }

    /** 0.004 and 0.024 mm of camming, workable 0.04: 0.5 of it. 0.0040 and 0.0042 within the hand's last digit: alike. */
    @Test
    void theGreatestDifferenceOverItsLimitComesFirst() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        for (SurveyBook book : List.of(one, other)) {
            book.step("nose-camming", false, "value", book == one ? "0.004" : "0.024");
            book.step("centre-runout", false, "value", book == one ? "0.012" : "0.004");
            book.step("lead-screw-float", false, "value", book == one ? "0.0040" : "0.0042");
        }
        SideBySide all = beside(one, other);
        assertThat(row(all, "nose-camming").rank()).isEqualTo(0.5, within(1e-9));
        assertThat(row(all, "centre-runout").rank()).isEqualTo(0.2, within(1e-9));
        assertThat(row(all, "lead-screw-float").part()).isEqualTo(Part.ALIKE);
        assertThat(all.rows().stream().filter(r -> r.part() == Part.MEASURED).map(r -> r.name().code()))
                .containsExactly("step.nose-camming", "step.centre-runout");
        List<Part> order = all.rows().stream().map(ComparedRow::part).toList();
        List<Part> sorted = new ArrayList<>(order);
        sorted.sort(null);
        assertThat(order).isEqualTo(sorted);
    }

    /** As much to one side as the other to the other is no likeness: 0.02 of 0.08. */
    @Test
    void theOtherWayIsNotAlike() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        one.step("centres-level", false, "value", "0.010", "lies", "AS_IT_MAY");
        other.step("centres-level", false, "value", "0.010", "lies", "THE_OTHER_WAY");
        ComparedRow row = row(beside(one, other), "centres-level");
        assertThat(row.part()).isEqualTo(Part.MEASURED);
        assertThat(row.rank()).isEqualTo(0.25, within(1e-9));
    }

    @Test
    void anUntestedValueIsNoAdvantage() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        one.step("nose-camming", false, "value", "0.060");
        SideBySide all = beside(one, other);
        ComparedRow first = all.rows().stream().filter(r -> r.part() == Part.TESTED_ON_ONE).findFirst().orElseThrow();
        assertThat(first.name().code()).isEqualTo("step.nose-camming");
        assertThat(first.cells().get(1).isTested()).isFalse();
        assertThat(all.untested()).containsExactly(0, 1);
        other.step("centre-runout", false, "value", "0.004");
        other.step("lead-screw-float", false, "value", "0.002");
        assertThat(beside(one, other).untested()).as("each counts what it lacks").containsExactly(2, 1);
    }

    /** 0.048 of runout is outside workable (0.04) and 0.030 is not: that comes before a wider difference between two good ones. */
    @Test
    void goodOnOneAndNotOnAnotherComesFirst() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        for (SurveyBook book : List.of(one, other)) {
            book.step("nose-camming", false, "value", book == one ? "0.004" : "0.024");
            book.step("centre-runout", false, "value", book == one ? "0.030" : "0.048");
        }
        SideBySide all = beside(one, other);
        assertThat(row(all, "centre-runout").cells()).extracting(c -> c.outcome().orElseThrow())
                .containsExactly(Outcome.PROVEN, Outcome.FAILED);
        assertThat(row(all, "centre-runout").rank()).isLessThan(row(all, "nose-camming").rank());
        assertThat(all.rows().stream().filter(r -> r.part() == Part.MEASURED).map(r -> r.name().code()))
                .containsExactly("step.centre-runout", "step.nose-camming");
    }

    /** Sister machines of one description differ in nothing that was not recorded. */
    @Test
    void sistersAreAlike() {
        assertThat(beside(lathe(), lathe(), lathe()).rows()).allMatch(r -> r.part() == Part.ALIKE);
    }

    private static SurveyBook machine(String maker, String model, String year, LengthUnit unit, String travel, Set<Feature> features) {
        MachineDescription d = Machines.twelve();
        FitOut f = d.fitOut();
        Axis carriage = new Axis("carriage", "left", "right", Set.of(), travel, f.axes().get(0).rates());
        FitOut fitted = new FitOut(List.of(carriage), features, f.supply(), Optional.empty());
        MotorRating motor = new MotorRating(Power.parse("4 kW"), MotorRating.Law.CONSTANT_POWER, new BigDecimal("0.8"));
        Identity identity = new Identity("L", maker, model, Family.LATHE, "", year, "", "", unit);
        return new SurveyBook(new MachineDescription(identity, List.of(), d.train(), d.plate(), Optional.of(motor), Optional.empty(),
                fitted), Scope.WHOLE, 20);
    }

    private static ComparedRow named(SideBySide all, VerdictReason name, Object... about) {
        return all.rows().stream().filter(r -> r.name().equals(Reason.of(name, about))).findFirst().orElseThrow();
    }

    /** What one has and another lacks is there as a row; what both say alike stands last, 20 in and 508 mm too. */
    @Test
    void descriptionsStandSideBySide() {
        Feature lamp = Feature.values()[0];
        SurveyBook one = machine("Brinmoor", "T1", "1974", LengthUnit.INCH, "20", Set.of(lamp));
        SurveyBook other = machine("brinmoor ", "t1", "1981", LengthUnit.MM, "508.0", Set.of());
        SideBySide all = beside(one, other);
        assertThat(all.sisters()).as("as written by two people").isTrue();
        assertThat(named(all, VerdictReason.BESIDE_TRAVEL, "carriage").part()).isEqualTo(Part.ALIKE);
        ComparedRow feature = named(all, VerdictReason.BESIDE_FEATURE, lamp);
        assertThat(feature.part()).isEqualTo(Part.OTHERWISE);
        assertThat(feature.cells()).extracting(SideBySide.ComparedCell::there).containsExactly(true, false);
        assertThat(named(all, VerdictReason.BESIDE_YEAR).part()).isEqualTo(Part.OTHERWISE);
        assertThat(named(all, VerdictReason.BESIDE_YEAR).cells()).extracting(c -> c.said().orElseThrow()).containsExactly("1974", "1981");
        assertThat(named(all, VerdictReason.BESIDE_POWER).part()).isEqualTo(Part.ALIKE);
        assertThat(named(all, VerdictReason.BESIDE_SPEEDS).cells()).extracting(c -> c.said().orElseThrow()).containsExactly(12, 12);
        assertThat(named(all, VerdictReason.BESIDE_SLOWEST).cells().get(0).said()).contains(new BigDecimal("31.5"));
        assertThat(named(all, VerdictReason.BESIDE_FASTEST).cells().get(0).said()).contains(new BigDecimal("1400"));
        assertThat(named(beside(one, machine("Brinmoor", "T1", "1974", LengthUnit.MM, "500", Set.of(lamp))), VerdictReason.BESIDE_TRAVEL,
                "carriage").part()).isEqualTo(Part.OTHERWISE);
        ComparedRow unsaid = named(beside(one, machine("Brinmoor", "T1", "1974", LengthUnit.MM, "", Set.of())), VerdictReason.BESIDE_TRAVEL,
                "carriage");
        assertThat(unsaid.cells().get(1).there()).as("it has the axis, nobody says how long").isTrue();
        assertThat(unsaid.cells().get(1).said()).isEmpty();
        assertThat(unsaid.part()).isEqualTo(Part.OTHERWISE);
    }

    /** Of one maker and model they are sisters; of another model, or of none, they are not. */
    @Test
    void onlyOfOneMakerAndModelAreTheySisters() {
        SurveyBook one = machine("Brinmoor", "T1", "", LengthUnit.MM, "", Set.of());
        assertThat(beside(one, machine("Brinmoor", "T2", "", LengthUnit.MM, "", Set.of())).sisters()).isFalse();
        assertThat(beside(one, machine("Eskholt", "T1", "", LengthUnit.MM, "", Set.of())).sisters()).isFalse();
        SurveyBook nameless = machine("Brinmoor", "", "", LengthUnit.MM, "", Set.of());
        assertThat(beside(nameless, nameless).sisters()).isFalse();
    }

    /** Money in each one's currency; where nobody asked a price there is neither price nor offer, and that is no likeness. */
    @Test
    void whatIsAskedAndReckonedStandsSideBySide() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        one.write(SurveyEntries.priced(Authorship.of(one.now(), SurveyBook.ME), Stakes.typed("4000", "", "£", "IN_DAILY_USE")));
        SideBySide all = beside(one, other);
        ComparedRow asked = named(all, VerdictReason.BESIDE_ASKED);
        assertThat(asked.part()).isEqualTo(Part.OTHERWISE);
        assertThat(asked.cells().get(0).said()).contains(new SideBySide.Amount(4000, "£"));
        assertThat(asked.cells().get(1).there()).isFalse();
        assertThat(named(all, VerdictReason.BESIDE_OFFER).cells()).extracting(SideBySide.ComparedCell::there).containsExactly(true, false);
        assertThat(named(all, VerdictReason.BESIDE_KNOWN).cells()).allSatisfy(c -> assertThat(c.said().orElseThrow())
                .isEqualTo(Reason.of(VerdictReason.BESIDE_PERCENT, 0L)));
        for (VerdictReason sum : List.of(VerdictReason.BESIDE_PUT_RIGHT, VerdictReason.BESIDE_KIT, VerdictReason.BESIDE_UNKNOWN)) {
            assertThat(named(all, sum).cells()).as(sum.name())
                    .allSatisfy(c -> assertThat(c.said().orElseThrow()).isInstanceOf(SideBySide.Amount.class));
        }
        assertThat(named(all, VerdictReason.BESIDE_KIT).part()).as("£ 0 and 0 of no currency").isEqualTo(Part.OTHERWISE);
    }

    @Test
    void oneAloneAndFiveAreRefused() {
        assertThatThrownBy(() -> beside(lathe())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> beside(lathe(), lathe(), lathe(), lathe(), lathe())).isInstanceOf(Refused.class);
    }
}
