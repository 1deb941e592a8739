package tallledger.core.family;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each machine has the cautions of what can hurt somebody on it. */
class CautionTest {

    @Test
    void aWheelBurstsOnAGrinderAndAChuckOpensOnALathe() {
        assertThat(Caution.of(Family.LATHE.traits())).contains(Caution.CHUCK).doesNotContain(Caution.WHEEL);
        assertThat(Caution.of(Family.CYLINDRICAL_GRINDER.traits())).contains(Caution.WHEEL).doesNotContain(Caution.CHUCK);
        assertThat(Caution.of(Family.KNEE_MILL.traits())).doesNotContain(Caution.WHEEL, Caution.CHUCK);
    }

    @ParameterizedTest
    @EnumSource
    void whatGoesForAllIsSaidOfAll(Family family) {
        assertThat(Caution.of(family.traits())).contains(Caution.OPINION, Caution.UNTESTED, Caution.POWER, Caution.TURNING, Caution.LIFT);
    }
}
