package tallledger.web.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Family;
import tallledger.core.machine.Identity;
import tallledger.core.reading.LengthUnit;
import tallledger.web.record.Summary;

class ShelfQueryTest {

    private static Summary line(long id, String name, Family family, String place, int known, Optional<Summary.Amounts> money, Optional<Severity> worst) {
        Identity identity = new Identity(name, "Maker", "M" + id, family, "S" + id, "", place, "an owner", LengthUnit.MM);
        return new Summary(id, identity, money.map(m -> id + 100), Optional.empty(), worst.map(s -> new Summary.Worst(s, "bad")), worst.isPresent() ? 1 : 0, known, 10, known, 10, money, Optional.empty());
    }

    private static Optional<Summary.Amounts> money(double putRight, double unknown, double offer, double asking) {
        return Optional.of(new Summary.Amounts(putRight, unknown, Optional.of(offer), Optional.of(asking), "£", 0.5));
    }

    private static final List<Summary> SHELF = List.of(line(1, "Alder", Family.LATHE, "Upper shed", 4, money(300, 50, 900, 1000), Optional.of(Severity.SOON)),
            line(2, "Birch", Family.KNEE_MILL, "Lower Shed", 9, money(100, 400, 400, 1000), Optional.of(Severity.STOP_USE)), line(3, "Cedar", Family.LATHE, "yard", 0, Optional.empty(), Optional.empty()),
            line(4, "Dogwood", Family.LATHE, "yard", 6, money(0, 90, 500, 900), Optional.empty()));

    @ParameterizedTest
    @CsvSource({"KNOWN,2 4 1 3", "NAME,1 2 3 4", "PUT_RIGHT,4 2 1 3", "UNKNOWN,1 4 2 3", "OFFER,1 4 2 3", "WORST,2 1 4 3", "nonsense,2 4 1 3"})
    void itIsSortedAsAsked(String sort, String order) {
        assertThat(ShelfQuery.of("", "", "", sort, "").of(SHELF.stream())).extracting(l -> String.valueOf(l.machine())).containsExactly(order.split(" "));
    }

    @ParameterizedTest
    @CsvSource({"' SHED ','','',1 2", "m3,'','',3", "'',LATHE,'',1 3 4", "'',LATHE,SURVEYED,1 4", "'','',NOT_BEGUN,3", "nowhere,'','',''", "'',SAW,'',1 2 3 4"})
    void itIsFilteredByTextFamilyAndState(String text, String family, String state, String left) {
        assertThat(ShelfQuery.of(text, family, state, "NAME", "").of(SHELF.stream())).extracting(l -> String.valueOf(l.machine()))
                .containsExactly(left.isEmpty() ? new String[0] : left.split(" "));
    }

    @Test
    void aPageThatIsNoneIsTheFirst() {
        assertThat(ShelfQuery.of("", "", "", "", "-3").page()).isEqualTo(1);
        assertThat(ShelfQuery.of("", "", "", "", "0").page()).isEqualTo(1);
        assertThat(ShelfQuery.of("", "", "", "", "7").page()).isEqualTo(7);
    }
}
