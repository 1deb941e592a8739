package tallledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.App;
import tallledger.web.Http;
import tallledger.web.StoreScenes;
import tallledger.web.housebook.Houses;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.Closing;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.shelfindex.StartCheckUp;

/** The store under power cuts, retired connections, a full disk, and two presses at once. */
class StoreTest {

    @TempDir
    Path data;

    private static Draft remark(String text) {
        return SurveyEntries.remark(Authorship.of(Instant.parse("2026-05-09T08:30:00Z"), "Q"), text);
    }

    private static long survey(App app) {
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        StoredMachine machine = library.machine(machineBooks.add(KestrelVale.dunmarshP20().description(), "Q", Submission.fresh(0)));
        return surveyBooks.open(machine, "Q", "buyer", Scope.SPINDLE_DRIVE, Submission.fresh(0));
    }

    private static void everyKindOfWrite(App app, byte mark) {
        long survey = survey(app);
        app.bean(Books.class).append(survey, remark("one"), Submission.fresh(1));
        List<AttachmentRow> photo = List.of(AttachmentRow.of("image/png", new byte[] {mark}));
        app.bean(Attachments.class).keep(survey, photo, remark("a picture"), Submission.fresh(2));
        app.scenes().houseSaved();
        assertThat(app.bean(SurveyLibrary.class).survey(survey).entries()).hasSize(3);
    }

    /** H2 tied the old checks "kind in (…)" to the connection that made them: once the pool had retired it nothing could be opened. */
    @Test
    void everyKindOfWriteOutlivesEveryPooledConnection() {
        try (App app = App.on(data)) {
            everyKindOfWrite(app, (byte) 1);
            app.bean(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
            everyKindOfWrite(app, (byte) 2);
        }
    }

    /** The same for a database made before that was mended, with a survey that was opened twice by one key. */
    @Test
    void aDatabaseOfTheFirstVersionsIsMendedToo() throws Exception {
        String url = "jdbc:h2:file:" + data + "/tall-ledger";
        Flyway.configure().dataSource(url, "sa", "").locations("classpath:db/migration").target("2").load().migrate();
        String key = Submission.fresh(0).key();
        try (Connection connection = DriverManager.getConnection(url, "sa", ""); Statement s = connection.createStatement()) {
            s.executeUpdate("insert into photo values ('" + AttachmentRow.of("", new byte[] {9}).sha256()
                    + "', 'image/png', X'09', X'08')");
            s.executeUpdate("insert into photo values ('" + AttachmentRow.of("", new byte[] {7}).sha256()
                    + "', 'image/png', X'07', X'08')");
            for (int book = 1; book <= 3; book++) {
                s.executeUpdate("insert into book (kind, title, opened_at) values ('" + (book < 3 ? "MACHINE" : "HOUSE")
                        + "', 'old', '2026-05-01T08:00:00Z')");
                Draft draft = Draft.of(Authorship.of(Instant.parse("2026-05-01T08:00:00Z"), "Q"), "CHECKS", "", Map.of());
                Entry entry = new Entry(1, 1, draft, Entry.BEFORE_FIRST, "");
                String hash = AttachmentRow.of("", entry.canonical().getBytes(StandardCharsets.UTF_8)).sha256();
                s.executeUpdate("insert into entry values (" + book + ", 1, '2026-05-01T08:00:00Z', 'Q', 'CHECKS', '', '{}', null, '"
                        + entry.previous() + "', '" + hash
                        + "', '" + (book < 3 ? key : "house-key") + "')");
            }
        }
        try (App app = App.on(data)) {
            everyKindOfWrite(app, (byte) 1);
            app.bean(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
            everyKindOfWrite(app, (byte) 2);
            long again = app.bean(MachineBooks.class).add(KestrelVale.dunmarshP20().description(), "Q", new Submission(key, 0));
            assertThat(again).as("the first of two books opened by one key").isEqualTo(1);
            Books books = app.bean(Books.class);
            assertThat(books.entries(books.book(1))).singleElement().satisfies(e -> {
                assertThat(e.format()).isEqualTo(1);
                assertThat(e.isWhole()).isTrue();
            });
            assertThat(app.bean(Attachments.class).attachment(AttachmentRow.of("", new byte[] {9}).sha256())).get()
                    .extracting(AttachmentRow::type).isEqualTo("image/png");
            assertThat(app.bean(Attachments.class).attachment(AttachmentRow.of("", new byte[] {8}).sha256())).get()
                    .extracting(AttachmentRow::type).isEqualTo("image/jpeg");
        }
    }

    /** What was acknowledged is on the device: the file as a power cut would leave it, copied at the answer, holds every entry. */
    @Test
    void aPowerCutRightAfterTheAnswerLosesNothing() throws Exception {
        StoreScenes.powerCutDisk();
        try (App app = App.on(data, "--spring.datasource.url=jdbc:h2:powercut:" + data
                + "/tall-ledger;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE")) {
            long survey = survey(app);
            for (int i = 1; i <= Integer.getInteger("cuts", 30); i++) {
                if (i % 10 == 0) {
                    byte[] bytes = {(byte) i};
                    app.bean(Attachments.class).keep(survey, List.of(AttachmentRow.of("image/png", bytes)), remark("picture " + i),
                            Submission.fresh(i));
                } else {
                    app.bean(Books.class).append(survey, remark("no. " + i), Submission.fresh(i));
                }
                Path cut = data.resolve("cut-" + i + ".mv.db");
                Files.copy(StoreScenes.onDevice(data.resolve("tall-ledger.mv.db")), cut);
                try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + data + "/cut-" + i, "sa", "");
                        ResultSet found = connection.createStatement()
                                .executeQuery("select count(*), (select count(*) from attachment) from entry where book_id = " + survey)) {
                    found.next();
                    assertThat(found.getInt(1)).as("entries on the device after answer %d", i).isEqualTo(i + 1);
                    assertThat(found.getInt(2)).isEqualTo(i / 10);
                }
            }
        }
    }

    /** Eight presses of one opening form at once: one machine, one survey, one house book, and the key still answers afterwards. */
    @Test
    void oneKeyOpensOneBookHoweverOftenItIsPressed() throws Exception {
        try (App app = App.on(data)) {
            SurveyLibrary library = app.bean(SurveyLibrary.class);
            MachineBooks machineBooks = app.bean(MachineBooks.class);
            SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
            Submission once = Submission.fresh(0);
            Set<Long> machines = atOnce(() -> machineBooks.add(KestrelVale.farrowbyRt().description(), "Q", once));
            assertThat(machines).hasSize(1);
            StoredMachine machine = library.machine(machines.iterator().next());
            Submission opening = Submission.fresh(0);
            assertThat(atOnce(() -> surveyBooks.open(machine, "Q", "buyer", Scope.WHOLE, opening))).hasSize(1);
            assertThat(library.surveysOf(machine)).hasSize(1);
            assertThat(surveyBooks.open(machine, "Q", "buyer", Scope.WHOLE, opening)).isEqualTo(library.surveysOf(machine).get(0).id());
            atOnce(() -> {
                try {
                    app.scenes().houseSaved();
                    return 1L;
                } catch (StaleFormException told) {
                    return 0L;
                }
            });
            assertThat(app.bean(Books.class).all()).filteredOn(b -> b.getKind() == BookKind.HOUSE).hasSize(1);
        }
    }

    private static Set<Long> atOnce(Callable<Long> press) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Long>> presses = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                presses.add(press);
            }
            Set<Long> results = new TreeSet<>();
            for (Future<Long> result : pool.invokeAll(presses)) {
                results.add(result.get());
            }
            return results;
        } finally {
            pool.shutdown();
        }
    }

    /** Two entries in two books: when the second cannot be written the first is not there either, nor remembered. */
    @Test
    void ofTwoEntriesBothAreWrittenOrNeither() {
        try (App app = App.on(data)) {
            SurveyLibrary library = app.bean(SurveyLibrary.class);
            SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
            long id = survey(app);
            StoredSurvey survey = library.survey(id);
            app.bean(Books.class).append(id, remark("meanwhile"), Submission.fresh(1));
            assertThatThrownBy(() -> surveyBooks.acceptReadingIn(survey, List.of("I", "L"), "170", "Q", Submission.fresh(1)))
                    .isInstanceOf(StaleFormException.class);
            assertThat(library.machine(survey.machine().id()).version()).isEqualTo(1);
            surveyBooks.acceptReadingIn(library.survey(id), List.of("I", "L"), "170", "Q", Submission.fresh(2));
            assertThat(library.machine(survey.machine().id()).version()).isEqualTo(2);
            assertThat(library.survey(id).machineVersion()).isEqualTo(2);
            assertThat(library.survey(id).broken()).isEmpty();
        }
    }

    @Test
    void withoutRoomNothingIsWrittenAndTheReasonIsSaid() {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
        }
        try (App app = App.on(data, "--tallledger.room=900TB")) {
            assertThatThrownBy(() -> app.bean(Books.class).append(survey, remark("one"), Submission.fresh(1)))
                    .isInstanceOfSatisfying(WriteRefusedException.class, not -> assertThat(not.reason().code()).isEqualTo("store.room"));
            assertThat(app.bean(SurveyLibrary.class).survey(survey).entries()).hasSize(1);
        }
    }

    /** H2 closes itself when a write finds no room; once there is room again the same form writes. */
    @Test
    void aStoreThatClosedItselfOpensAgain() {
        StoreScenes.powerCutDisk();
        try (App app = App.on(data, "--spring.datasource.url=jdbc:h2:powercut:" + data
                + "/tall-ledger;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE")) {
            long survey = survey(app);
            Books books = app.bean(Books.class);
            books.append(survey, remark("before"), Submission.fresh(1));
            Submission form = Submission.fresh(2);
            StoreScenes.diskFull(true);
            assertThatThrownBy(() -> books.append(survey, remark("full"), form)).isInstanceOfSatisfying(WriteRefusedException.class,
                    not -> assertThat(not.reason().code()).isEqualTo("store.failed"));
            StoreScenes.diskFull(false);
            for (int i = 0; i < 3; i++) {
                try {
                    books.append(survey, remark("full"), form);
                    break;
                } catch (WriteRefusedException opening) {
                    assertThat(i).as("presses it takes").isLessThan(2);
                }
            }
            assertThat(books.entries(books.book(survey))).extracting(e -> e.draft().payload().get("text"))
                    .containsExactly(null, "before", "full");
        } finally {
            StoreScenes.diskFull(false);
        }
    }

    /** A survey that could not be closed is open, in both books; with room again the same form closes it. */
    @Test
    void onAFullDiskNothingIsClosedByHalf() {
        StoreScenes.powerCutDisk();
        try (App app = App.on(data, "--spring.datasource.url=jdbc:h2:powercut:" + data
                + "/tall-ledger;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE")) {
            long survey = survey(app);
            SurveyLibrary library = app.bean(SurveyLibrary.class);
            int house = app.bean(Houses.class).head();
            Submission form = Submission.fresh(library.survey(survey).head());
            StoreScenes.diskFull(true);
            assertThatThrownBy(() -> app.bean(Closing.class).close(library.survey(survey), "Q", form))
                    .isInstanceOf(WriteRefusedException.class);
            StoreScenes.diskFull(false);
            for (int i = 0; i < 3; i++) {
                try {
                    assertThat(library.survey(survey).core().closed()).isEmpty();
                    assertThat(app.bean(Houses.class).book().keys()).as("no key stands in the house's book").isEmpty();
                    app.bean(Closing.class).close(library.survey(survey), "Q", form);
                    break;
                } catch (WriteRefusedException opening) {
                    assertThat(i).as("presses it takes").isLessThan(2);
                }
            }
            assertThat(library.survey(survey).core().closed()).isPresent();
            assertThat(app.bean(Houses.class).head()).isGreaterThan(house);
            assertThat(app.bean(Houses.class).book().keys()).hasSize(1);
        } finally {
            StoreScenes.diskFull(false);
        }
    }

    private static void change(App app, String sql) throws Exception {
        try (Connection connection = app.bean(HikariDataSource.class).getConnection(); Statement s = connection.createStatement()) {
            s.executeUpdate(sql);
        }
    }

    /** With a middle entry gone the others stand once each, the book says where it breaks, and takes no more. */
    @Test
    void aBookWithAnEntryGoneOpensAndTakesNoMore() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            for (int i = 1; i <= 4; i++) {
                app.bean(Books.class).append(survey, remark("no. " + i), Submission.fresh(i));
            }
            change(app, "delete from entry where book_id = " + survey + " and sequence = 3");
        }
        try (App app = App.on(data)) {
            for (int look = 0; look < 3; look++) {
                StoredSurvey read = app.bean(SurveyLibrary.class).survey(survey);
                assertThat(read.entries()).extracting(e -> e.sequence()).containsExactly(1, 2, 4, 5);
                assertThat(read.broken().orElseThrow().sequence()).isEqualTo(3);
            }
            assertThatThrownBy(() -> app.bean(Books.class).append(survey, remark("more"), Submission.fresh(5)))
                    .isInstanceOfSatisfying(WriteRefusedException.class, not -> assertThat(not.reason().code()).isEqualTo("store.broken"));
        }
    }

    /** A description changed behind the survey's back is found by the hash the survey named. */
    @Test
    void aDescriptionExchangedUnderASurveyIsFound() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            long other = app.bean(MachineBooks.class).add(KestrelVale.dunmarshR50().description(), "Q", Submission.fresh(0));
            change(app, "update entry set payload = (select payload from entry where book_id = " + other
                    + "), hash = (select hash from entry where book_id = " + other
                    + "), at = (select at from entry where book_id = " + other + ") where book_id = "
                    + app.bean(SurveyLibrary.class).survey(survey).machine().id());
        }
        try (App app = App.on(data)) {
            assertThat(app.bean(SurveyLibrary.class).survey(survey).broken().orElseThrow().because().code())
                    .isEqualTo("chain.other-description");
        }
    }

    @Test
    void aPhotographThatIsNotWhatTheLedgerNamesIsNotShown() throws Exception {
        try (App app = App.on(data)) {
            byte[] bytes = {7, 8, 9};
            AttachmentRow picture = AttachmentRow.of("image/png", bytes);
            String hash = picture.sha256();
            app.bean(Attachments.class).keep(survey(app), List.of(picture), remark("picture"), Submission.fresh(1));
            assertThat(app.bean(Attachments.class).attachment(hash)).isPresent();
            change(app, "update attachment set bytes = X'070809AA' where sha256 = '" + hash + "'");
            assertThat(app.bean(Attachments.class).attachment(hash)).isEmpty();
        }
    }

    /** Entries the file of heads knows and the database does not: said, nothing written until somebody has read it. */
    @Test
    void aDatabaseShorterThanItWasIsSaidAndWritesNothingUntilRead() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            for (int i = 1; i <= 4; i++) {
                app.bean(Books.class).append(survey, remark("no. " + i), Submission.fresh(i));
            }
            change(app, "delete from entry where book_id = " + survey + " and sequence > 3");
        }
        try (App app = App.on(data)) {
            Books books = app.bean(Books.class);
            assertThat(books.heads().missing()).singleElement().satisfies(m -> {
                assertThat(m.book()).isEqualTo(survey);
                assertThat(m.had()).isEqualTo(5);
                assertThat(m.has()).isEqualTo(3);
            });
            assertThatThrownBy(() -> books.append(survey, remark("more"), Submission.fresh(3))).isInstanceOfSatisfying(
                    WriteRefusedException.class,
                    not -> assertThat(not.reason().code()).isEqualTo("store.untold"));
            books.told();
            books.append(survey, remark("more"), Submission.fresh(3));
            assertThat(books.heads().missing()).isEmpty();
        }
        Files.delete(data.resolve("tall-ledger.mv.db"));
        Files.createFile(data.resolve("tall-ledger.mv.db"));
        try (App app = App.on(data)) {
            assertThat(app.bean(Books.class).heads().missing()).extracting(Heads.Missing::has).containsExactly(0, 0, 0);
        }
    }

    /** Rows that cannot be read: bad content, an unknown kind, a bad time. The rest of the shelf does not notice. */
    @Test
    void oneUnreadableRowHidesNoOther() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            for (int i = 1; i <= 7; i++) {
                app.bean(Books.class).append(survey, remark("no. " + i), Submission.fresh(i));
            }
            for (Map.Entry<Integer, String> bad : Map.of(2, "payload = '{\"text\":'", 3, "kind = 'NOTED'", 4, "at = 'yesterday'", 5,
                    "payload = '{\"text\":1.5}'", 6, "format = 3", 7, "zone = 'Nowhere/Land'").entrySet()) {
                change(app, "update entry set " + bad.getValue() + " where book_id = " + survey + " and sequence = " + bad.getKey());
            }
        }
        try (App app = App.on(data)) {
            StoredSurvey read = app.bean(SurveyLibrary.class).survey(survey);
            assertThat(read.strays()).containsOnlyKeys(2, 3, 4, 5, 6, 7);
            assertThat(read.strays().values()).extracting(r -> r.code()).containsExactly("stray.content", "stray.kind", "stray.time",
                    "stray.unreadable", "stray.format", "stray.time");
            assertThat(read.core().remarks()).extracting(e -> e.entry()).containsExactly(8);
            assertThat(app.bean(ShelfIndex.class).page(ShelfQuery.ALL).lines()).hasSize(1);
            for (String page : List.of("/", "/surveys/" + survey + "/run", "/surveys/" + survey + "/entries",
                    "/surveys/" + survey + "/verdict", "/surveys/" + survey + "/verdict.pdf",
                    "/surveys/" + survey + "/speeds", "/surveys/" + survey + "/faults")) {
                assertThat(app.status(page)).as(page).isEqualTo(200);
            }
        }
    }

    /** As it is shown, but for the token of each look. */
    private static String shelf(App app) {
        return new Http(app).get("/").body().replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
    }

    /** What the shelf showed is there after the next start, and never instead of the entries. */
    @Test
    void theShelfsLinesOutliveAStartAndNothingElse() throws Exception {
        String shown;
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            app.bean(Books.class).append(survey, remark("first"), Submission.fresh(1));
            shown = shelf(app);
        }
        try (App app = App.on(data)) {
            assertThat(shelf(app)).isEqualTo(shown);
            change(app, "update shelf_shown set line = replace(line, '\"seenAt\":\"', '\"seenAt\":\"kept ')");
        }
        try (App app = App.on(data)) {
            assertThat(shelf(app)).as("the kept line is shown, nothing is folded").contains(">kept ");
            app.bean(Books.class).append(survey, remark("second"), Submission.fresh(2));
            assertThat(shelf(app)).as("an entry more: made anew").isEqualTo(shown);
            change(app, "update shelf_shown set line = '{\"machine\":'");
        }
        try (App app = App.on(data)) {
            assertThat(shelf(app)).as("an unreadable line is made anew").isEqualTo(shown);
            change(app, "update shelf_shown set line = replace(line, '\"seenAt\":\"', '\"seenAt\":\"kept ')");
            change(app, "update shelf_line set rests_on = concat('1970', substring(rests_on, 5))");
        }
        try (App app = App.on(data)) {
            assertThat(shelf(app)).as("another build made it").isEqualTo(shown);
        }
    }

    /** A survey of which no entry is left hides no other machine from the shelf, today or after a start. */
    @Test
    void aSurveyWithoutEntriesHidesNoOtherMachine() throws Exception {
        long lost;
        try (App app = App.on(data)) {
            lost = survey(app);
            app.bean(MachineBooks.class).add(KestrelVale.farrowbyRt().description(), "Q. Tester", Submission.fresh(0));
            assertThat(shelf(app)).contains(KestrelVale.farrowbyRt().description().identity().name());
            change(app, "delete from entry where book_id = " + lost);
            change(app, "delete from shelf_line");
        }
        Files.deleteIfExists(data.resolve("heads.txt"));
        try (App app = App.on(data)) {
            for (int i = 0; i < 2; i++) {
                assertThat(app.status("/")).isEqualTo(200);
                assertThat(shelf(app)).contains(KestrelVale.farrowbyRt().description().identity().name(),
                        "cannot be shown: it cannot be read");
            }
            long machine = app.bean(LedgerMapper.class).book(lost).getMachineId();
            assertThat(app.status("/machines/" + machine)).isEqualTo(200);
            for (String page : List.of("run", "entries", "verdict", "close", "kit")) {
                assertThat(app.status("/surveys/" + lost + "/" + page)).as(page).isLessThan(500);
            }
        }
    }

    @Test
    void aLineOfARecordThatWasChangedBeforeItsEndDoesNotStand() throws Exception {
        try (App app = App.on(data)) {
            long survey = survey(app);
            app.bean(Books.class).append(survey, remark("first"), Submission.fresh(1));
            app.bean(Books.class).append(survey, remark("last"), Submission.fresh(2));
            shelf(app);
            change(app, "update entry set payload = '{\"text\":\"other\"}' where book_id = " + survey + " and sequence = 2");
        }
        try (App app = App.on(data)) {
            String shown = shelf(app);
            for (int i = 0; i < 300 && !shown.contains("Broken at entry 2"); i++) {
                Thread.sleep(100);
                shown = shelf(app);
            }
            assertThat(shown).contains("Broken at entry 2");
        }
    }

    /** An entry that fits the chain, written into the database by another hand. */
    private static void forged(App app, long book, Draft draft) throws Exception {
        Entry last = app.bean(Books.class).entries(app.bean(Books.class).book(book)).stream().reduce((a, b) -> b).orElseThrow();
        app.bean(LedgerMapper.class).insertEntry(app.bean(EntryCodec.class).row(book, Entry.following(Optional.of(last), draft), "forged"));
    }

    @Test
    void anEntryBehindTheClosingReopensNothing() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            app.bean(Closing.class).close(app.bean(SurveyLibrary.class).survey(survey), "Q", Submission.fresh(1));
            forged(app, survey, remark("all of it was fine"));
        }
        try (App app = App.on(data)) {
            StoredSurvey read = app.bean(SurveyLibrary.class).survey(survey);
            assertThat(read.broken().orElseThrow().because().code()).isEqualTo("chain.after-closed");
            assertThat(read.core().closed()).isPresent();
            assertThat(read.core().decoded().counting().map(h -> h.entry().sequence())).doesNotContain(3);
            Http http = new Http(app);
            assertThat(http.get("/surveys/" + survey + "/verdict").body()).contains("This record is not what was written",
                    "Entry 3 comes after the one that closed the survey").doesNotContain("all of it was fine");
            assertThat(http.get("/surveys/" + survey + "/run").body()).contains("This record is not what was written");
            assertThatThrownBy(() -> app.bean(Books.class).append(survey, remark("more"), Submission.fresh(3)))
                    .isInstanceOf(WriteRefusedException.class);
        }
    }

    @Test
    void aHousesBookThatWasChangedIsSaidOnEveryPage() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            app.scenes().houseSaved();
            survey = survey(app);
            assertThat(new Http(app).get("/house").body()).doesNotContain("is not what was written");
            change(app, "update entry set payload = replace(payload, '\"', ' \"') where sequence = 1 and book_id in "
                    + "(select id from book where kind = 'HOUSE')");
        }
        try (App app = App.on(data)) {
            Http http = new Http(app);
            for (String page : List.of("/", "/house", "/house/checks", "/house/gauges", "/check")) {
                assertThat(http.get(page).body()).as(page).contains("The house’s book is not what was written", "Entry 1 was changed");
            }
            for (String page : List.of("run", "verdict", "entries")) {
                assertThat(http.get("/surveys/" + survey + "/" + page).body()).as(page).contains("This record is not what was written",
                        "The house’s book, by whose rules it judges, is broken. Entry 1 was changed", "What it says rests on that");
            }
        }
    }

    @Test
    void aMachinesBookThatWasChangedIsSaidInItsSurvey() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            change(app, "update entry set author = 'another' where sequence = 1 and book_id in (select machine_id from book where id = "
                    + survey + ")");
        }
        try (App app = App.on(data)) {
            assertThat(new Http(app).get("/surveys/" + survey + "/verdict").body())
                    .contains("The book of the machine’s description it judges by is broken. Entry 1 was changed");
        }
    }

    /** What fits the chain and was not noted, a title that is another, a file of heads that is gone: said, until somebody has looked. */
    @Test
    void whatWasWrittenByAnotherHandIsSaid() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            forged(app, survey, remark("it ran like a watch"));
        }
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).missing()).isEmpty();
            assertThat(new Http(app).get("/").body()).contains("The database holds more than was noted");
            assertThat(new Http(app).get("/missing").body()).contains("1 were noted as they were written, 2 are there");
            app.bean(Books.class).append(survey, remark("work goes on"), Submission.fresh(2));
        }
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).more()).as("nobody was told yet").hasSize(1);
            Http http = new Http(app);
            http.post("/missing", http.form("/missing", "/missing"));
            assertThat(new Http(app).get("/").body()).doesNotContain("more than was noted");
            change(app, "update book set title = 'Another machine' where id = " + survey);
        }
        try (App app = App.on(data)) {
            assertThat(new Http(app).get("/missing").body()).contains("it is called “Another machine”");
            app.bean(Books.class).told();
        }
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).more()).isEmpty();
        }
        Files.delete(data.resolve("heads.txt"));
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).more()).extracting(Reason::code).containsExactly("heads.none");
        }
    }

    /** Killed between the entry and its note: it was written here, and nobody is told otherwise. */
    @Test
    void whatWasWrittenAsTheProcessWasKilledIsKnown() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            app.bean(Books.class).append(survey, remark("the last word"), Submission.fresh(1));
        }
        Path heads = data.resolve("heads.txt");
        List<String> lines = Files.readAllLines(heads);
        assertThat(lines.get(lines.size() - 2)).isEqualTo("~ " + lines.get(lines.size() - 1));
        Files.write(heads, lines.subList(0, lines.size() - 1));
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).more()).isEmpty();
            assertThat(app.bean(Heads.class).missing()).isEmpty();
        }
        // Begun and undone: nothing was lost.
        Files.write(heads, ("~ " + survey + " 3 " + "a".repeat(64) + " " + "b".repeat(16) + "\n").getBytes(), StandardOpenOption.APPEND);
        try (App app = App.on(data)) {
            assertThat(app.bean(Heads.class).more()).isEmpty();
            assertThat(app.bean(Heads.class).missing()).isEmpty();
        }
    }

    /** The file is damaged where only one book lies: said on the shelf, though nobody opened that book. */
    @Test
    void aDatabaseDamagedInItsMiddleIsSaidOnTheShelf() throws Exception {
        long survey;
        try (App app = App.on(data)) {
            survey = survey(app);
            Random random = new Random(7);
            app.bean(Books.class).together(() -> {
                for (int i = 1; i <= 900; i++) {
                    String text = (i == 450 ? "the middle one" : "")
                            + random.ints(900, 'a', 'z').mapToObj(Character::toString).collect(Collectors.joining());
                    app.bean(Books.class).append(survey, remark(text), Submission.fresh(i));
                }
                return survey;
            });
        }
        Path file = data.resolve("tall-ledger.mv.db");
        byte[] bytes = Files.readAllBytes(file);
        // Wherever one of the middle ones stands, with the page around it.
        String all = new String(bytes, StandardCharsets.ISO_8859_1);
        for (int at = all.indexOf("the middle one"); at >= 0; at = all.indexOf("the middle one", at + 1)) {
            Arrays.fill(bytes, Math.max(8_192, at - 20_000), Math.min(bytes.length - 8_192, at + 20_000), (byte) 0);
        }
        Files.write(file, bytes);
        try (App app = App.on(data)) {
            StartCheckUp checkUp = app.bean(StartCheckUp.class);
            for (int i = 0; i < 300 && checkUp.unreadable().isEmpty(); i++) {
                Thread.sleep(50);
            }
            assertThat(new Http(app).get("/").body()).contains("The database is damaged",
                    "(book " + survey + ") cannot be read from the disk");
        }
    }
}
