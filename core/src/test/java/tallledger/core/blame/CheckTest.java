package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;

/** The order in which people look: what costs least first, and what needs no cover off before what does. */
class CheckTest {

    private static Check check(String about, StageKind kind, String what, String likely) {
        return new Check(about, Optional.ofNullable(kind), what, BigDecimal.ZERO, new BigDecimal(likely), new BigDecimal("5000"));
    }

    private static final List<Check> TABLE = List.of(check("GROWLS", StageKind.GEAR, "gear pair", "900"),
            check("GROWLS", null, "drawbar", "0"),
            check("GROWLS", StageKind.BELT, "belt", "40"), check("GROWLS", StageKind.GEAR, "oil", "0"), check("WHINES", null, "guard", "0"),
            check("spindle", null, "bearing", "600"), check("spindle", null, "nose", "60"), check("feed", null, "belt", "5"));

    @Test
    void aSymptomAtAGearAsksTheFreeAndCommonFirst() {
        assertThat(Check.cheapestFirst(TABLE, Symptom.GROWLS, StageKind.GEAR)).extracting(Check::what)
                .containsExactly("drawbar", "oil", "gear pair");
        assertThat(Check.cheapestFirst(TABLE, Symptom.GROWLS, StageKind.BELT)).extracting(Check::what).containsExactly("drawbar", "belt");
        assertThat(Check.cheapestFirst(TABLE, Symptom.SQUEALS, StageKind.GEAR)).isEmpty();
    }

    @Test
    void aSystemIsLookedUpByItsName() {
        assertThat(Check.cheapestFirst(TABLE, "spindle")).extracting(Check::what).containsExactly("nose", "bearing");
        assertThat(Check.cheapestFirst(TABLE, "feed")).extracting(Check::what).containsExactly("belt");
        assertThat(Check.cheapestFirst(TABLE, "way")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"-1,0,0", "5,4,9", "1,3,2"})
    void costsMustRise(String low, String likely, String high) {
        assertThatThrownBy(() -> new Check("spindle", Optional.empty(), "nose", new BigDecimal(low), new BigDecimal(likely),
                new BigDecimal(high)))
                .hasMessageContaining("check.costs");
    }

    @Test
    void equalCostsAreNoContradiction() {
        assertThat(new Check("spindle", Optional.empty(), "x".repeat(300), BigDecimal.TEN, BigDecimal.TEN, BigDecimal.TEN).what())
                .hasSize(300);
        assertThatThrownBy(() -> check("spindle", null, "x".repeat(301), "1")).hasMessageContaining("check.what");
        assertThatThrownBy(() -> check("spindle", null, " ", "1")).hasMessageContaining("check.what");
    }
}
