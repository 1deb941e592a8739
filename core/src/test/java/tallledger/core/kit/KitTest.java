package tallledger.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.kit.KitItem.State;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class KitTest {

    private static KitItem item(String name, State state, String promised, String choice, String cost) {
        return KitItem.parse(name, state, promised, choice, cost, "", "");
    }

    /** As entries 10, 11, 12 … would. */
    private static KitList list(KitItem... items) {
        KitList list = KitList.EMPTY;
        for (int i = 0; i < items.length; i++) {
            list = list.with(items[i], 10 + i);
        }
        return list;
    }

    @Test
    void ofAGroupOneSeenIsEnough() {
        KitList kit = list(item("faceplate 300", State.MISSING, "", "faceplate", "140"),
                item("faceplate 400", State.SEEN, "", "faceplate", ""));
        assertThat(kit.owed()).isEmpty();
        assertThat(kit.isSettledByChoice(kit.items().get(0))).isTrue();
    }

    @Test
    void ofAGroupWithNoneThereTheCheapestIsOwed() {
        KitList kit = list(item("steady large", State.MISSING, "", "steady", "300"),
                item("steady small", State.MISSING, "", "steady", "180"),
                item("four-jaw", State.MISSING, "the seller", "", "260"), item("key", State.MISSING, "", "", ""));
        assertThat(kit.owed()).extracting(KitItem::name).containsExactly("four-jaw", "key", "steady small");
        assertThat(kit.sum().toReplace()).isEqualByComparingTo("440");
        assertThat(kit.sum().unpriced()).isEqualTo(1);
        assertThat(kit.broken()).hasSize(1).first().satisfies(r -> {
            assertThat(r.what().arguments()).containsExactly("four-jaw", "the seller");
            assertThat(r.entry()).isEqualTo(12);
        });
    }

    /** Two of which one goes with it are one piece; what is awaited costs what it costs until it comes, once. */
    @Test
    void ofAGroupOneGoesWithIt() {
        KitList kit = list(item("box table", State.SEEN, "", "table or vice", ""), item("vice", State.SEEN, "", "table or vice", "80"),
                item("scale", State.AWAITED, "the seller", "", "180"), item("chuck", State.SEEN, "", "", ""));
        assertThat(kit.choices()).containsOnlyKeys("table or vice");
        KitList.Sum sum = kit.sum();
        assertThat(sum.pieces()).isEqualTo(3);
        assertThat(sum.seen()).isEqualTo(2);
        assertThat(sum.awaited()).isEqualTo(1);
        assertThat(sum.missing()).isZero();
        assertThat(sum.toReplace()).isEqualByComparingTo("180");
        assertThat(kit.with(item("scale", State.SEEN, "the seller", "", "180"), 20).sum().toReplace()).isEqualByComparingTo("0");
    }

    @Test
    void aWarrantyIsKeptAsItIsSaid() {
        KitItem readout = KitItem.parse("readout", State.SEEN, "the seller", "", "", "", "", "", " two years ");
        assertThat(KitItem.from(new Payload(readout.toPayload()))).isEqualTo(readout);
        assertThat(readout.warranty()).isEqualTo("two years");
        assertThat(KitItem.from(new Payload(item("vice", State.SEEN, "", "", "").toPayload())).warranty()).isEmpty();
    }

    @Test
    void theLatestWordOnAnItemCounts() {
        KitList kit = list(item("manual", State.AWAITED, "", "", ""), item("chuck", State.SEEN, "", "", ""),
                item("manual", State.SEEN, "", "", ""));
        assertThat(kit.items()).extracting(KitItem::name).containsExactly("manual", "chuck");
        assertThat(kit.sum().seen()).isEqualTo(2);
    }

    @Test
    void anItemSurvivesItsPayload() {
        KitItem item = KitItem.parse("warranty", State.SEEN, "the rebuilder", "", "0", "2027-05-31", "parts");
        assertThat(KitItem.from(new Payload(item.toPayload()))).isEqualTo(item);
    }

    @Test
    void aDateThatIsPastIsSaid() {
        KitItem awaited = KitItem.parse("steady", State.AWAITED, "", "", "", "2026-06-15", "");
        assertThat(awaited.isPast(LocalDate.parse("2026-06-15"))).isFalse();
        assertThat(awaited.isPast(LocalDate.parse("2026-06-16"))).isTrue();
        assertThat(item("chuck", State.SEEN, "", "", "").isPast(LocalDate.parse("2026-06-16"))).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"'', 5, '', name", "chuck, -3, '', cost", "chuck, cheap, '', cost", "chuck, 5, tomorrow, until",
            "chuck, 5, 2027-02-30, until"})
    void nonsenseNamesItsField(String name, String cost, String until, String field) {
        assertThatThrownBy(() -> KitItem.parse(name, State.SEEN, "", "", cost, until, ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(field));
    }

    @ParameterizedTest
    @CsvSource({"1850, 120, 90, 2000, lift.too-much, 60", "1850, 120, 90, 2500, lift.tight, 440", "280, '', '', 1000, lift.enough, 720",
            "1 850 kg, 120 kg, '', 5000, lift.enough, 3030",
            "1.2 t, 250 to 300 lb, '', 1 350 kg, lift.tight, 13.92", "1800-2000, '', '', 1900 to 2500, lift.may-be-too-much, 100",
            "2600-2800, '', '', 1900 to 2500, lift.too-much, 100"})
    void theLiftCarriesMachineSkidAndExtras(String machine, String skid, String extras, String carries, String code, String left) {
        var says = Lift.parse(machine, skid, extras, carries, "the keeper").says(Rules.shipped());
        assertThat(says.code()).isEqualTo(code);
        assertThat(((tallledger.core.unit.Quantity) says.arguments().get(2)).value()).isEqualByComparingTo(left);
    }

    @Test
    void atAnInchMachineALiftIsInPounds() {
        assertThat(Lift.parse("2450", "", "", "3000 lb", "", LengthUnit.INCH).machine()).satisfies(m -> {
            assertThat(m.typed()).isEqualTo("2450 lb");
            assertThat(m.high()).isEqualByComparingTo("1111.32");
        });
        assertThatThrownBy(() -> Lift.parse("450 000", "", "", "3000", "", LengthUnit.INCH)).isInstanceOfSatisfying(Refused.class,
                r -> assertThat(r.reason().arguments()).containsExactly("450 000", BigDecimal.valueOf(440_000), 1));
    }

    @Test
    void aLiftThatCarriesNothingIsRefused() {
        assertThatThrownBy(() -> Lift.parse("100", "", "", "0", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("carries"));
        assertThatThrownBy(() -> Lift.parse("", "", "", "100", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("machine"));
    }
}
