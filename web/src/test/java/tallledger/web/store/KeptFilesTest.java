package tallledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.App;
import tallledger.web.Http;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;

/**
 * The data of every earlier version of the database's layout, as the application of that time left them: opened, read whole and written
 * on.
 */
class KeptFilesTest {

    @TempDir
    Path data;

    private void unpack(int version) throws IOException {
        try (InputStream kept = KeptFilesTest.class.getResourceAsStream("/kept/v" + version + ".zip");
                ZipInputStream zip = new ZipInputStream(kept)) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                Files.copy(zip, data.resolve(Path.of(e.getName()).getFileName()));
            }
        }
    }

    private long asked(String what) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + data + "/tall-ledger", "sa",
                ""); Statement s = connection.createStatement(); ResultSet answer = s.executeQuery(what)) {
            answer.next();
            return answer.getLong(1);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 4, 5, 6, 7})
    void isReadWholeAndWrittenOn(int version) throws Exception {
        unpack(version);
        assertThat(asked("select max(cast(\"version\" as int)) from \"flyway_schema_history\"")).as("as it was then").isEqualTo(version);
        long entries = asked("select count(*) from entry");
        assertThat(entries).isGreaterThan(20);
        try (App app = App.on(data)) {
            Books books = app.bean(Books.class);
            List<BookRow> all = books.all();
            assertThat(all.stream().mapToLong(book -> books.entries(book).size()).sum()).as("every entry").isEqualTo(entries);
            assertThat(all).allSatisfy(book -> assertThat(Chain.firstBreak(books.entries(book))).isEmpty());
            List<Long> surveys = all.stream().filter(book -> book.getKind() == BookKind.SURVEY).map(BookRow::getId).toList();
            assertThat(surveys).isNotEmpty();
            Http http = new Http(app);
            for (long id : surveys) {
                StoredSurvey survey = app.bean(SurveyLibrary.class).survey(id);
                assertThat(survey.broken()).isEmpty();
                // A wheel without a diameter was taken then, and is not any more: its limit could not be reckoned. It is said, and hides
                // nothing.
                assertThat(survey.strays().values()).as("survey %d",
                        id).allMatch(because -> because.toString().contains("mounted.wheel-diameter")).hasSizeLessThan(2);
                assertThat(survey.core().photos())
                        .allSatisfy(p -> assertThat(app.bean(Attachments.class).attachment(p.sha256())).isPresent());
                assertThat(http.get("/surveys/" + id + "/verdict").statusCode()).isEqualTo(200);
            }
            assertThat(http.get("/").statusCode()).isEqualTo(200);
            StoredSurvey open = surveys.stream().map(app.bean(SurveyLibrary.class)::survey).filter(s -> s.core().closed().isEmpty())
                    .findFirst().orElseThrow();
            books.append(open.id(), SurveyEntries.remark(Authorship.of(Instant.now(), "Q. Tester"), "still written on"),
                    Submission.fresh(open.head()));
            assertThat(app.bean(SurveyLibrary.class).survey(open.id()).core().remarks()).extracting(r -> r.what())
                    .contains("still written on");
        }
    }
}
