package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.house.House;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Survey;
import tallledger.core.verdict.SideBySide.Part;
import tallledger.core.verdict.SideBySide.Row;

class SideBySideTest {

    private static SurveyBook lathe() {
        return new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);
    }

    private static SideBySide beside(SurveyBook... books) {
        List<Survey> surveys = Stream.of(books).map(b -> Survey.fold(b.machine(), House.shipped(List.of()), b.entries())).toList();
        return SideBySide.of(surveys, surveys.stream().map(s -> Money.of(s, Money.WhatIf.NOTHING)).toList());
    }

    private static Row row(SideBySide all, String step) {
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
        List<Part> order = all.rows().stream().map(Row::part).toList();
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
        Row row = row(beside(one, other), "centres-level");
        assertThat(row.part()).isEqualTo(Part.MEASURED);
        assertThat(row.rank()).isEqualTo(0.25, within(1e-9));
    }

    @Test
    void anUntestedValueIsNoAdvantage() {
        SurveyBook one = lathe();
        SurveyBook other = lathe();
        one.step("nose-camming", false, "value", "0.060");
        SideBySide all = beside(one, other);
        assertThat(all.rows().get(0).name().code()).isEqualTo("step.nose-camming");
        assertThat(all.rows().get(0).part()).isEqualTo(Part.TESTED_ON_ONE);
        assertThat(all.rows().get(0).cells().get(1).isTested()).isFalse();
    }

    /** Sister machines of one description differ in nothing that was not recorded. */
    @Test
    void sistersAreAlike() {
        assertThat(beside(lathe(), lathe(), lathe()).rows()).allMatch(r -> r.part() == Part.ALIKE);
    }

    @Test
    void oneAloneAndFiveAreRefused() {
        assertThatThrownBy(() -> beside(lathe())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> beside(lathe(), lathe(), lathe(), lathe(), lathe())).isInstanceOf(Refused.class);
    }
}
