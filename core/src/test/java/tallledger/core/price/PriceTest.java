package tallledger.core.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** The worked figures, and sums against sums thrown. */
class PriceTest {

    private static final double[] SHARES = {1, 0.5, 0.25};
    private static final Mixture SYSTEM = Mixture.cheapestFirst(List.of(share("a", 100, 200, 400), share("b", 300, 600, 1500)));
    private final RepairBill worked = RepairBill.of(List.of(RepairBill.Asker.of(Mixture.of("a", "", new Cost(100, 200, 600))),
            RepairBill.Asker.of(Mixture.of("b", "", new Cost(0, 50, 100)))));

    private static Mixture.Share share(String key, double low, double likely, double high) {
        return new Mixture.Share(key, key, new Cost(low, likely, high), 0);
    }

    @Test
    void theWorkedSum() {
        assertThat(worked.mean()).isEqualTo(300, within(1e-9));
        assertThat((worked.eightieth() - 300) / 0.8416).isEqualTo(84.98, within(0.005));
        assertThat(worked.eightieth()).isEqualTo(371.5, within(0.05));
        assertThat(worked.correlated()).isEqualTo(384.2, within(0.05));
        assertThat(RepairBill.of(List.of()).mean()).isZero();
    }

    /** Shares ⅔ and ⅓; two faults of one system are not twice one. */
    @Test
    void aRepairIsPaidOnce() {
        assertThat(SYSTEM.shares()).extracting(Mixture.Share::share).containsExactly(2 / 3.0, 1 / 3.0);
        assertThat(SYSTEM.mean()).isEqualTo(377.8, within(0.05));
        assertThat(SYSTEM.deviation()).isEqualTo(258.7, within(0.05));
        RepairBill one = RepairBill.of(List.of(RepairBill.Asker.of(SYSTEM)));
        assertThat(one.mean()).isEqualTo(377.8, within(0.05));
        assertThat(Math.sqrt(one.variance())).isEqualTo(258.7, within(0.05));
        RepairBill two = RepairBill.of(List.of(RepairBill.Asker.of(SYSTEM), RepairBill.Asker.of(SYSTEM)));
        assertThat(two.mean()).isEqualTo(581.5, within(0.05));
        assertThat(Math.sqrt(two.variance())).isEqualTo(367.5, within(0.05));
    }

    /** 0.6 gear, 0.1 lever, 0.3 no fault. */
    @Test
    void aDriveCostsByItsPosterior() {
        RepairBill drive = RepairBill.of(List.of(new RepairBill.Asker(Map.of("gear", 0.6, "lever", 0.1), Map.of(), Map.of("gear",
                new Cost(180, 450, 1100), "lever", new Cost(60, 180, 400)))));
        assertThat(drive.mean()).isEqualTo(327.7, within(0.05));
        assertThat(Math.sqrt(drive.variance())).isEqualTo(262.7, within(0.05));
    }

    /** 4/8/16 h at 45, parts 60/150/400, 2 060 kg: size 1.1353, 264/559/1 217, mean 619.4. */
    @Test
    void workIsHoursTimesRateTimesSizeAndParts() {
        Repair repair = new Repair("screw", "", "nut", spread("4", "8", "16"), spread("60", "150", "400"));
        Rates rates = Rates.of(45, OptionalDouble.of(2060), Double.MAX_VALUE);
        assertThat(rates.size()).isEqualTo(1.1353, within(0.00005));
        assertThat(repair.cost(rates).low()).isEqualTo(264, within(0.5));
        assertThat(repair.cost(rates).likely()).isEqualTo(559, within(0.5));
        assertThat(repair.cost(rates).high()).isEqualTo(1217, within(0.5));
        assertThat(repair.cost(rates).mean()).isEqualTo(619.4, within(0.05));
        assertThat(Rates.of(45, OptionalDouble.empty(), 1).size()).isEqualTo(1);
        assertThat(Rates.of(45, OptionalDouble.of(20), 1).size()).isEqualTo(0.5);
        assertThat(Rates.of(45, OptionalDouble.of(40_000), 1).size()).isEqualTo(2.5);
        assertThat(repair.cost(Rates.of(45, OptionalDouble.empty(), 500))).as("beyond it the machine is scrap").isEqualTo(
                new Cost(240, 500, 500));
    }

    private static Spread spread(String low, String likely, String high) {
        return new Spread(new BigDecimal(low), new BigDecimal(likely), new BigDecimal(high));
    }

    @Test
    void theWorkedOffer() {
        Offer offer = Offer.of(4000, Double.MAX_VALUE, 0, worked, 260, 400, SHARES);
        assertThat(offer.offer()).isEqualTo(3240, within(1e-9));
        assertThat(offer.opening()).isEqualTo(2968.5, within(0.05));
        assertThat(offer.ceiling()).isEqualTo(3340, within(1e-9));
        assertThat(offer.onFloor()).isFalse();
    }

    /** Never above what is asked, never under what it fetches as scrap; scrap over the asking price is the asking price. */
    @Test
    void anOfferLiesBetweenScrapAndAsking() {
        Offer dear = Offer.of(6000, 4000, 300, worked, 0, 100, SHARES);
        assertThat(dear.offer()).isEqualTo(4000);
        assertThat(dear.worth()).isEqualTo(6000 - 300 - 50, within(1e-9));
        assertThat(dear.isMoreThanAsked()).isTrue();
        Offer unknown = Offer.of(500, 500, 172.5, worked, 0, 400, SHARES);
        assertThat(unknown.onFloor()).isTrue();
        assertThat(List.of(unknown.opening(), unknown.offer(), unknown.ceiling())).containsOnly(172.5);
        assertThat(Offer.of(100, 100, 900, worked, 0, 0, SHARES).offer()).isEqualTo(100);
        assertThat(Offer.of(700, 700, 0, worked, 390, 0, SHARES).isMoreThanAsked()).isFalse();
    }

    /** Up to six faults with up to three repairs each, some in common: against every way they may turn out, written out. */
    @Test
    void theBillIsWhatEveryWayOfItComesTo() {
        Random random = new Random(9);
        for (int trial = 0; trial < 200; trial++) {
            List<Mixture> faults = new ArrayList<>();
            for (int f = random.nextInt(1, 6); f > 0; f--) {
                faults.add(Mixture.cheapestFirst(random.ints(0, 7).distinct().limit(random.nextInt(1, 4))
                        .mapToObj(k -> share("r" + k, 10 + 30 * k, 40 + 60 * k, 100 + 190 * k)).toList()));
            }
            RepairBill bill = RepairBill.of(faults.stream().map(RepairBill.Asker::of).toList());
            double[] sums = written(faults, 0, Map.of(), 1);
            assertThat(bill.mean()).isEqualTo(sums[0], within(1e-9));
            assertThat(bill.variance()).isEqualTo(sums[1] - sums[0] * sums[0], within(1e-6));
        }
    }

    /** E of the sum and of its square over every choice of one repair a fault. */
    private static double[] written(List<Mixture> faults, int i, Map<String, Cost> asked, double chance) {
        if (i == faults.size()) {
            double mean = asked.values().stream().mapToDouble(Cost::mean).sum();
            double variance = asked.values().stream().mapToDouble(c -> c.deviation() * c.deviation()).sum();
            return new double[] {chance * mean, chance * (mean * mean + variance)};
        }
        double[] all = new double[2];
        for (Mixture.Share s : faults.get(i).shares()) {
            Map<String, Cost> now = new HashMap<>(asked);
            now.put(s.key(), s.cost());
            double[] some = written(faults, i + 1, now, chance * s.share());
            all[0] += some[0];
            all[1] += some[1];
        }
        return all;
    }

    @Test
    void whatIsNoCostIsRefused() {
        assertThatThrownBy(() -> new Cost(5, 4, 9)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Cost(-1, 4, 9)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Cost(0, Double.NaN, 9)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> spread("2", "1", "3")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Repair("bed", "", " ", Spread.NONE, Spread.NONE)).isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource({"-5,,£,IN_DAILY_USE,asking", "much,,£,IN_DAILY_USE,asking", ",0,£,IN_DAILY_USE,sound", "5,,12 £,IN_DAILY_USE,currency",
            "5,,£,FOUND,background", "999999999,,£,STOOD_IDLE,asking"})
    void whatIsNoPriceIsSaidAtItsField(String asking, String sound, String currency, String background, String field) {
        assertThatThrownBy(() -> Stakes.typed(asking == null ? "" : asking, sound == null ? "" : sound, currency, background))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(field));
    }

    /** Eight signs of currency and a hundred million are the most. */
    @Test
    void theMostIsStillTaken() {
        assertThat(Stakes.typed("100000000", "", "shilling", "STOOD_IDLE").start().orElseThrow().typed()).isEqualTo("100000000");
        assertThatThrownBy(() -> Stakes.typed("100000001", "", "£", "STOOD_IDLE")).isInstanceOf(Refused.class);
    }

    @Test
    void theValueOfASoundOneComesBeforeThePriceAsked() {
        assertThat(Stakes.typed("4 000", "", "€", "STOOD_IDLE").start().orElseThrow().value()).isEqualByComparingTo("4000");
        Stakes both = Stakes.typed("4000", "5200", "€", "STOOD_IDLE");
        assertThat(both.start().orElseThrow().typed()).isEqualTo("5200");
        assertThat(Stakes.typed("", "", "", "STOOD_IDLE").start()).isEmpty();
        assertThat(Stakes.from(new Payload(both.toPayload()))).isEqualTo(both);
        Stakes more = Stakes.typed("4000", "", "€", "STOOD_IDLE", "2450", "300", "38", LengthUnit.INCH);
        assertThat(Stakes.from(new Payload(more.toPayload()))).isEqualTo(more);
        assertThat(more.extra().mass().low()).as("a bare figure at an inch machine is in pounds").isEqualByComparingTo("1111.32");
        assertThatThrownBy(() -> Stakes.typed("4000", "", "€", "STOOD_IDLE", "heavy", "", "", LengthUnit.INCH))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().arguments()).as("in pounds").containsExactly("heavy", 1));
    }
}
