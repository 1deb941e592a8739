package tallledger.web.sealed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.web.App;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;

/** The tables of a handed-over survey. */
class TablesTest {

    private static List<String> steps() {
        ShelfIndex shelf = App.demo().bean(ShelfIndex.class);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        return shelf.page(ShelfQuery.ALL).lines().stream().flatMap(l -> l.survey().stream())
                .flatMap(id -> App.demo().bean(Tables.class).of(library.survey(id)).get("steps.csv").lines()).toList();
    }

    /** A sheet goes on reckoning with what was measured: in the machine's unit, with U, what it was over, and the limit that counts. */
    @Test
    void whatWasMeasuredStandsThereAsFigures() {
        List<String> rows = steps();
        assertThat(rows.get(0)).endsWith("outcome,grade,remark,figure,U,unit,over,limit,limit of");
        assertThat(rows)
                .anySatisfy(r -> assertThat(r).matches(".*: play,.*,(proven|failed|too close to call),[a-z]*,[^,]*,0\\.\\d+,0\\.\\d+,mm,,"
                        + "0\\.08,House values\\."))
                .anySatisfy(r -> assertThat(r).matches(".*: travel,.*,\\d+,1\\.15\\d*,mm,,from [\\d.  ]+,at least [\\d.]+ mm"))
                .anySatisfy(r -> assertThat(r).matches(".*,0\\.\\d+,0\\.\\d+,mm,\\d+ mm,0\\.\\d+,.*"))
                .anySatisfy(r -> assertThat(r).matches(".*,[\\d.]+,[\\d.]+,thou,(?:[\\d.]+ in)?,[\\d.]+,.*"))
                .anySatisfy(r -> assertThat(r).as("nobody said how well it was measured")
                        .matches(".*Supply at the machine,.*,\\d+\\.?\\d*,,V,,.*"))
                .anySatisfy(r -> assertThat(r).matches(".*Serial number and year.*,proven,,,,,,,,"));
    }
}
