package tallledger.core.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Refused;

/** The worked figures, and sums against sums thrown. */
class PriceTest {

    private final CostSum worked = CostSum.of(List.of(new Cost(100, 200, 600), new Cost(0, 50, 100)));

    @Test
    void theWorkedSum() {
        assertThat(worked.mean()).isEqualTo(300, within(1e-9));
        assertThat((worked.eightieth() - 300) / 0.8416).isEqualTo(84.98, within(0.005));
        assertThat(worked.eightieth()).isEqualTo(371.5, within(0.05));
        assertThat(worked.together()).isEqualTo(384.2, within(0.05));
        assertThat(CostSum.of(List.of())).isEqualTo(new CostSum(0, 0, 0));
    }

    @Test
    void theWorkedOffer() {
        Offer offer = Offer.of(4000, worked, 260, 400, new double[] {1, 0.5, 0.25});
        assertThat(offer.offer()).isEqualTo(3240, within(1e-9));
        assertThat(offer.opening()).isEqualTo(2968.5, within(0.05));
        assertThat(offer.ceiling()).isEqualTo(3340, within(1e-9));
        assertThat(Offer.of(500, worked, 260, 400, new double[] {1, 0.5, 0.25})).as("none below nought").isEqualTo(new Offer(500, 0, 0, 0));
    }

    /** Twelve costs as normals of their mean and sd, thrown 40 000 times. */
    @Test
    void fourTimesInFiveIsWhatItSays() {
        Random random = new Random(6);
        List<Cost> costs = random.ints(12, 1, 9).mapToObj(i -> new Cost(20 * i, 50 * i, 140 * i)).toList();
        double[] thrown = new double[40_000];
        for (int t = 0; t < thrown.length; t++) {
            thrown[t] = costs.stream().mapToDouble(c -> c.mean() + c.deviation() * random.nextGaussian()).sum();
        }
        java.util.Arrays.sort(thrown);
        assertThat(CostSum.of(costs).eightieth()).isEqualTo(thrown[32_000], within(8.0));
    }

    @Test
    void amongSeveralItIsFromTheLeastToTheMost() {
        List<Cost> several = List.of(new Cost(0, 0, 0), new Cost(30, 90, 150), new Cost(200, 800, 2000));
        assertThat(Cost.among(several)).contains(new Cost(0, 90, 2000));
        assertThat(Cost.dearest(several)).contains(new Cost(200, 800, 2000));
        assertThat(Cost.among(List.of())).isEmpty();
        assertThatThrownBy(() -> new Cost(5, 4, 9)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Cost(-1, 4, 9)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Cost(0, Double.NaN, 9)).isInstanceOf(Refused.class);
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
    }
}
