package tallledger.web.shelfindex;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Family;
import tallledger.core.machine.Identity;
import tallledger.core.unit.LengthUnit;
import tallledger.web.App;
import tools.jackson.databind.json.JsonMapper;

/** What of the shelf is asked for, from its own table. */
class ShelfQueryTest {

    @TempDir
    static Path data;
    private static App app;
    private static ShelfLines lines;

    private static Summary line(long id, String name, Family family, String place, int known, Optional<Summary.Amounts> money,
            Optional<Severity> worst, boolean away) {
        Identity identity = new Identity(name, "Maker", "M" + id, family, "S" + id, "", place, "an owner", LengthUnit.MM);
        return new Summary(id, identity, money.map(m -> id + 100), Optional.empty(), worst.map(s -> new Summary.Worst(s, "bad")),
                worst.isPresent() ? 1 : 0, known, 10, known, 10, money, Optional.empty(), away);
    }

    private static Optional<Summary.Amounts> money(double putRight, double unknown, double offer, double asking) {
        return Optional.of(new Summary.Amounts(putRight, unknown, Optional.of(offer), Optional.of(asking), "£", 0.5));
    }

    @BeforeAll
    static void fill() {
        app = App.on(data);
        lines = app.bean(ShelfLines.class);
        ShelfMapper mapper = app.bean(ShelfMapper.class);
        for (Summary line : List.of(line(1, "Alder", Family.LATHE, "Upper shed", 4, money(300, 50, 900, 1000), Optional.of(Severity.SOON),
                false),
                line(2, "Birch", Family.KNEE_MILL, "Lower Shed", 9, money(100, 400, 400, 1000), Optional.of(Severity.STOP_USE), false),
                line(3, "Cedar", Family.LATHE, "yard 100%", 0, Optional.empty(), Optional.empty(), false),
                line(4, "Dogwood", Family.LATHE, "yard", 6, money(0, 90, 500, 900), Optional.empty(), false),
                line(5, "Elder", Family.LATHE, "yard", 6, money(0, 90, 500, 900), Optional.empty(), true))) {
            ShelfRow row = new ShelfRow(line.machine(), "", JsonMapper.builder().build().writeValueAsString(line));
            mapper.keep(row, line, ShelfRow.Sorted.of(line));
            mapper.show(row);
        }
    }

    @AfterAll
    static void close() {
        app.close();
    }

    private static String[] numbers(String text) {
        return text.isEmpty() ? new String[0] : text.split(" ");
    }

    private static List<String> found(ShelfQuery query) {
        return lines.page(query, 0).lines().stream().map(l -> String.valueOf(l.machine())).toList();
    }

    @ParameterizedTest
    @CsvSource({"KNOWN,2 4 1 3", "NAME,1 2 3 4", "PUT_RIGHT,4 2 1 3", "UNKNOWN,1 4 2 3", "OFFER,1 4 2 3", "WORST,2 1 4 3",
            "nonsense,2 4 1 3"})
    void itIsSortedAsAsked(String sort, String order) {
        assertThat(found(ShelfQuery.of("", "", "", "", sort, ""))).containsExactly(numbers(order));
    }

    @ParameterizedTest
    @CsvSource({"' SHED ','','','',1 2", "m3,'','','',3", "'',LATHE,'','',1 3 4", "'',LATHE,'',SURVEYED,1 4", "'','','',NOT_BEGUN,3",
            "nowhere,'','','',''", "'',SAW,'','',1 2 3 4", "'','',YARD,'',3 4",
            "'','',%,'',3", "_,'','','',''", "'','','',AWAY,5", "elder,'','','',''", "'o''neill','','','',''"})
    void itIsFilteredByTextFamilyPlaceAndState(String text, String family, String place, String state, String left) {
        ShelfQuery query = ShelfQuery.of(text, family, place, state, "NAME", "");
        assertThat(found(query)).containsExactly(numbers(left));
        assertThat(lines.page(query, 0).found()).isEqualTo(numbers(left).length);
    }

    /** The mapper's own page, two at a time: each machine once, in the order asked for, and nothing beyond the last. */
    @Test
    void eachPageBeginsWhereTheOneBeforeEnded() {
        ShelfMapper mapper = app.bean(ShelfMapper.class);
        ShelfRow.ShelfFilter first = ShelfRow.ShelfFilter.of(ShelfQuery.of("", "", "", "", "NAME", "1"));
        assertThat(first.skipped()).isZero();
        assertThat(ShelfRow.ShelfFilter.of(ShelfQuery.of("", "", "", "", "NAME", "3")).skipped()).isEqualTo(2 * ShelfQuery.A_PAGE);
        List<List<Long>> pages = IntStream.range(0, 3)
                .mapToObj(
                        i -> mapper.page(
                                new ShelfRow.ShelfFilter(first.like(), first.family(), first.placeLike(), first.surveyed(), first.away(),
                                        first.sort(), 2 * i, 2)))
                .toList();
        assertThat(pages).containsExactly(List.of(1L, 2L), List.of(3L, 4L), List.of());
    }

    @Test
    void aPageThatIsNoneIsTheFirstAndOneBeyondTheLastIsTheLast() {
        assertThat(ShelfQuery.of("", "", "", "", "", "-3").page()).isEqualTo(1);
        assertThat(ShelfQuery.of("", "", "", "", "", "0").page()).isEqualTo(1);
        assertThat(lines.page(ShelfQuery.of("", "", "", "", "", "7"), 0).number()).isEqualTo(1);
    }
}
