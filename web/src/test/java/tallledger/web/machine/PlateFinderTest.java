package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.rules.Rules;
import tallledger.web.forms.FormInput;

/** From a plate read or recited to the rows of the form, and from them to a machine. */
class PlateFinderTest {

    private static FormInput asked(String list, String counted) {
        FormInput typed = MachineForm.blank();
        typed.set("name", "Any");
        typed.set("list", list);
        typed.set("counted", counted);
        return typed;
    }

    private static MachineDescription taken(FormInput typed, int offer) {
        PlateFinder.take(typed, PlateFinder.found(typed, FormPlate.SPEED).orElseThrow().offers().get(offer), FormPlate.SPEED);
        Optional<MachineDescription> machine = MachineForm.description(typed, Optional.empty(), Rules.shipped());
        assertThat(typed.errors()).isEmpty();
        return machine.orElseThrow();
    }

    @Test
    void rowsAndColumnsAreTheTwoLevers() {
        MachineDescription machine = taken(asked("low mid high\nI 31.5 45 63\nII 125 x ?", ""), 0);
        assertThat(machine.plate().levers()).extracting(l -> l.positions())
                .containsExactly(List.of("I", "II"), List.of("low", "mid", "high"));
        assertThat(machine.plate().cell(List.of("II", "low")).typed()).isEqualTo("125");
        assertThat(machine.plate().cell(List.of("II", "mid"))).isInstanceOf(PlateCell.NoSpeed.class);
        assertThat(machine.plate().cell(List.of("II", "high"))).isInstanceOf(PlateCell.Unreadable.class);
        assertThat(machine.speeds().counted()).hasSize(5);
    }

    @Test
    void aBareListBecomesTheLeversThatExplainItAndTheMotorStays() {
        FormInput typed = asked("1400 1000 710 500 355 250 180 125 90 63 45 31.5", "3 and 4");
        List<PlateFinder.OfferedLayout> offers = PlateFinder.found(typed, FormPlate.SPEED).orElseThrow().offers();
        assertThat(offers).hasSize(3);
        int wanted = offers.indexOf(offers.stream().filter(o -> o.sizes().equals("3 × 4")).findFirst().orElseThrow());
        MachineDescription machine = taken(typed, wanted);
        assertThat(machine.train().stages()).extracting(s -> s.name()).containsExactly("motor", "letter lever", "number lever");
        assertThat(machine.plate().cell(List.of("B", "3")).typed()).isEqualTo("250");
        assertThat(typed.get("list")).isEmpty();
    }

    @Test
    void aMisreadSpeedStandsAsItWasReadAndThePlateCheckNamesIt() {
        FormInput typed = asked("50 65 95 110 250 325 745 550", "2, 4");
        PlateFinder.FoundLayouts found = PlateFinder.found(typed, FormPlate.SPEED).orElseThrow();
        int wanted = (int) found.offers().stream().takeWhile(o -> !(o.sizes().equals("2 × 4") && o.leftOut().get(0).at().equals("B3")))
                .count();
        assertThat(found.offers().get(wanted).leftOut()).singleElement().satisfies(out -> {
            assertThat(out.reading()).isEqualTo("475");
            assertThat(out.slip()).isEqualTo("DIGITS_SWAPPED");
        });
        MachineDescription machine = taken(typed, wanted);
        assertThat(machine.plate().cell(List.of("B", "3")).typed()).isEqualTo("745");
        assertThat(machine.speeds().factors().suspectSets()).as("a lever of two leaves a pair").contains(List.of(List.of("B", "3")));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            60 to 4200                   | 1
            60 to 500, 500 to 4200       | 3
            """)
    void slidingRangesAreAVariator(String list, int stages) {
        MachineDescription machine = taken(asked(list, ""), 0);
        assertThat(machine.train().stages()).anyMatch(s -> s.kind().slides());
        assertThat(machine.plate().levers()).hasSize((stages + 1) / 2);
    }

    @Test
    void onlyHowManyAndTheEndsLeaveTheRestUnread() {
        MachineDescription machine = taken(asked("12 from 31.5 to 1400", "3 and 4"), 0);
        assertThat(machine.plate().cells().values().stream().filter(PlateCell.Unreadable.class::isInstance)).hasSize(10);
        assertThat(machine.plate().cell(List.of("C", "4")).typed()).isEqualTo("1400");
    }

    @Test
    void oneSpeedAndFiveOfABeltAreOneLeverOrNone() {
        assertThat(taken(asked("2800", ""), 0).plate().levers()).isEmpty();
        MachineDescription five = taken(asked("450, 700, 1100, 1700, 2700", ""), 0);
        assertThat(five.plate().levers()).singleElement().satisfies(l -> assertThat(l.positions()).hasSize(5));
    }

    @Test
    void withoutAPlateTheLeversAloneTellTheSpeedsApart() {
        FormInput typed = MachineForm.blank();
        typed.set("name", "Plateless");
        typed.set("stage1.name", "gear");
        typed.set("stage1.kind", "GEAR");
        typed.set("stage1.shifting", "UNKNOWN");
        typed.set("stage1.positions", "1..4");
        MachineDescription machine = MachineForm.description(typed, Optional.empty(), Rules.shipped()).orElseThrow();
        assertThat(machine.plate().cells().values()).hasSize(4).allMatch(PlateCell.Unreadable.class::isInstance);
    }

    @Test
    void feedsComeTheSameWay() {
        FormInput typed = asked("", "");
        typed.set("feedlist", ".002 in .004 .008 .016");
        PlateFinder.FoundLayouts found = PlateFinder.found(typed, FormPlate.FEED).orElseThrow();
        PlateFinder.take(typed, found.offers().get(0), FormPlate.FEED);
        typed.set("feedUnit", "INCH");
        typed.set("feedPer", "REV");
        MachineDescription machine = MachineForm.description(typed, Optional.empty(), Rules.shipped()).orElseThrow();
        assertThat(machine.feeds().orElseThrow().plate().cells()).hasSize(4);
    }

    @Test
    void feedsThatSlideAreADialWithTwoEnds() {
        FormInput typed = asked("", "");
        typed.set("feedlist", "0.05 to 0.5");
        PlateFinder.take(typed, PlateFinder.found(typed, FormPlate.FEED).orElseThrow().offers().get(0), FormPlate.FEED);
        typed.set("feedUnit", "MM");
        typed.set("feedPer", "REV");
        MachineDescription machine = MachineForm.description(typed, Optional.empty(), Rules.shipped()).orElseThrow();
        assertThat(machine.feeds().orElseThrow().plate().levers()).singleElement()
                .satisfies(l -> assertThat(l.positions()).containsExactly("slowest", "fastest"));
    }

    /** One stage has up to 16 positions: more speeds are offered as several levers or, where none fit, not at all. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            16 from 40 to 2000  | 16
            17 from 40 to 2000  | ''
            100 from 40 to 2000 | ''
            12 from 31.5 to 1400 | 12
            """)
    void noLeverIsOfferedThatTheFormWouldRefuse(String list, String single) {
        PlateFinder.FoundLayouts found = PlateFinder.found(asked(list, ""), FormPlate.SPEED).orElseThrow();
        assertThat(found.offers().stream().filter(o -> o.levers().size() == 1).map(PlateFinder.OfferedLayout::sizes).findFirst().orElse(""))
                .isEqualTo(single);
        for (int i = 0; i < found.offers().size(); i++) {
            assertThat(taken(asked(list, ""), i).plate().levers()).isEqualTo(found.offers().get(i).levers());
        }
        assertThat(found.says()).anySatisfy(r -> assertThat(r.code()).isIn("ends.only", "arrange.no-product"));
    }

    @Test
    void leversCountedAreAskedForWhereOnlyTheEndsAreKnown() {
        assertThat(PlateFinder.found(asked("12 from 31.5 to 1400", "6"), FormPlate.SPEED).orElseThrow().offers())
                .extracting(PlateFinder.OfferedLayout::sizes)
                .contains("2 × 6")
                .doesNotContain("3 × 4");
        PlateFinder.FoundLayouts none = PlateFinder.found(asked("12 from 31.5 to 1400", "3 and 5"), FormPlate.SPEED).orElseThrow();
        assertThat(none.offers()).isEmpty();
        assertThat(none.says()).extracting(r -> r.code()).contains("arrange.no-such");
    }

    @ParameterizedTest(name = "{0} / {1}")
    @CsvSource(delimiter = '|', textBlock = """
            31.5 45 fast        |           | list    | list.not-a-speed
            500 to 60           |           | list    | list.range
            31.5 45 63 90       | two       | counted | levers.counted
            31.5 45 63 90       | 1 and 4   | counted | arrange.lever
            12 from 31.5 to 1400 | 1 and 12 | counted | arrange.lever
            31.5 45 63 90       | 2 2 2 2 2 | counted | arrange.levers
            32 from 40 to 2000  | 2 2 2 2 2 | counted | arrange.levers
            """)
    void whatIsWrongIsSaidWhereItWasTyped(String list, String counted, String field, String code) {
        FormInput typed = asked(list, counted == null ? "" : counted);
        assertThat(PlateFinder.found(typed, FormPlate.SPEED)).isEmpty();
        assertThat(typed.errors().get(field).code()).isEqualTo(code);
    }
}
