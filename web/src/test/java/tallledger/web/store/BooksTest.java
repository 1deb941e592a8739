package tallledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.App;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;

/** The store: repeats, races, and what a changed character does. */
class BooksTest {

    private static Draft remark(String text) {
        return SurveyEntries.remark(Authorship.of(Instant.parse("2026-05-09T08:30:00Z"), "Q"), text);
    }

    private static long survey(App app) {
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        StoredMachine machine = library.machine(machineBooks.add(KestrelVale.dunmarshP20().description(), "Q", Submission.fresh(0)));
        return surveyBooks.open(machine, "Q", "buyer", tallledger.core.survey.Scope.SPINDLE_DRIVE, Submission.fresh(0));
    }

    @Test
    void theSameSubmissionWritesOnceAndAnOldPageIsToldSo() {
        Books books = App.demo().bean(Books.class);
        long survey = survey(App.demo());
        Submission first = Submission.fresh(1);
        Entry written = books.append(survey, remark("one"), first);
        assertThat(books.append(survey, remark("one"), first)).isEqualTo(written);
        assertThatThrownBy(() -> books.append(survey, remark("two"), Submission.fresh(1))).isInstanceOfSatisfying(StaleFormException.class,
                moved -> {
                    assertThat(moved.seen()).isEqualTo(1);
                    assertThat(moved.head()).isEqualTo(2);
                });
        assertThat(books.entries(books.book(survey))).hasSize(2);
    }

    /** Who said once in which role they stand there stands in it until they say another. */
    @Test
    void theRoleThatWasSaidLastStands() {
        App app = App.demo();
        long survey = survey(app);
        Books books = app.bean(Books.class);
        for (String who : List.of("Q, seller", "R, rebuilder", "Q, owner", "Q")) {
            StoredSurvey now = app.bean(SurveyLibrary.class).survey(survey);
            books.append(survey, SurveyEntries.remark(Authorship.of(Instant.parse("2026-05-09T08:30:00Z"), who), "one"),
                    Submission.fresh(now.head()));
        }
        StoredSurvey now = app.bean(SurveyLibrary.class).survey(survey);
        assertThat(now.by(Clock.systemUTC(), "Q").author().role()).isEqualTo("owner");
        assertThat(now.by(Clock.systemUTC(), "R").author().role()).isEqualTo("rebuilder");
        assertThat(now.by(Clock.systemUTC(), "Q, inspector").author().role()).isEqualTo("inspector");
        assertThat(now.by(Clock.systemUTC(), "S").author().role()).isEmpty();
    }

    @Test
    void openingTwiceOpensOnce() {
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        Submission once = Submission.fresh(0);
        long machine = machineBooks.add(KestrelVale.farrowbyRt().description(), "Q", once);
        assertThat(machineBooks.add(KestrelVale.farrowbyRt().description(), "Q", once)).isEqualTo(machine);
    }

    /** Eight at once, all having seen the same entry: one writes, seven are told, and the chain holds. */
    @Test
    void ofManyAtOnceOneWrites() throws Exception {
        Books books = App.demo().bean(Books.class);
        long survey = survey(App.demo());
        assertThat(atOnce(8, i -> books.append(survey, remark("no. " + i), Submission.fresh(1)))).isEqualTo(1);
        assertThat(Chain.firstBreak(books.entries(books.book(survey)))).isEmpty();
        assertThat(books.entries(books.book(survey))).hasSize(2);
    }

    /** The same form pressed eight times at once: one entry, and nobody is told of a conflict. */
    @Test
    void oneFormPressedManyTimesAtOnceIsNoConflict() throws Exception {
        Books books = App.demo().bean(Books.class);
        long survey = survey(App.demo());
        Submission same = Submission.fresh(1);
        assertThat(atOnce(8, i -> books.append(survey, remark("same"), same))).isEqualTo(8);
        assertThat(books.entries(books.book(survey))).hasSize(2);
    }

    private interface Attempt {
        void run(int i);
    }

    /** How many of {@code count} attempts made together succeeded; the others must have been told the book moved on. */
    private static int atOnce(int count, Attempt attempt) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(count);
        try {
            List<Callable<Boolean>> tasks = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                int number = i;
                tasks.add(() -> {
                    try {
                        attempt.run(number);
                        return true;
                    } catch (StaleFormException told) {
                        return false;
                    }
                });
            }
            int succeeded = 0;
            for (Future<Boolean> result : pool.invokeAll(tasks)) {
                succeeded += result.get() ? 1 : 0;
            }
            return succeeded;
        } finally {
            pool.shutdown();
        }
    }

    /** One character changed behind the application's back: the entries page says which entry. */
    @Test
    void aCharacterChangedInTheStoreIsFound() throws Exception {
        try (App app = App.empty()) {
            Books books = app.bean(Books.class);
            long survey = survey(app);
            for (int i = 1; i <= 4; i++) {
                books.append(survey, remark("figure 31." + i), Submission.fresh(i));
            }
            try (Connection connection = app.bean(DataSource.class).getConnection(); Statement change = connection.createStatement()) {
                change.executeUpdate("update entry set payload = replace(payload, '31.2', '31.8') where book_id = " + survey
                        + " and sequence = 3");
            }
            List<Entry> read = app.bean(LedgerMapper.class).entries(survey, 0).stream().map(app.bean(EntryCodec.class)::entry).toList();
            assertThat(Chain.firstBreak(read)).get().satisfies(b -> {
                assertThat(b.sequence()).isEqualTo(3);
                assertThat(b.because().code()).isEqualTo("chain.changed");
            });
        }
    }

    /** However long a book is: its newest entry is one row read, and its entries come in the order they lie in. */
    @ParameterizedTest
    @ValueSource(strings = {"book", "books", "booksOfMachine", "booksOfMachines", "heads", "entries", "some"})
    void noQuestionGoesThroughAWholeBook(String question) throws Exception {
        App app = App.demo();
        String sql = app.bean(SqlSessionFactory.class).getConfiguration().getMappedStatement(LedgerMapper.class.getName() + "." + question)
                .getBoundSql(Map.of("id", 3, "machineId", 3, "machines", List.of(3, 4), "bookId", 3, "after", 0, "most", 500)).getSql();
        try (Connection connection = app.bean(DataSource.class).getConnection();
                Statement explain = connection.createStatement();
                ResultSet plan = explain.executeQuery("explain " + sql.replace("?", "3"))) {
            assertThat(plan.next()).isTrue();
            assertThat(plan.getString(1)).contains("index sorted").doesNotContain("MAX(", "ENTRY.tableScan");
        }
    }

    @Test
    void aFormWithoutItsKeyIsRefused() {
        assertThatThrownBy(() -> new Submission("short", 1)).isInstanceOf(tallledger.core.reason.Refused.class);
        assertThatThrownBy(() -> new Submission(null, 1)).isInstanceOf(tallledger.core.reason.Refused.class);
    }

    @Test
    void aBookOfTheWrongKindIsNotFound() {
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        assertThatThrownBy(() -> library.survey(1)).isInstanceOf(UnknownBookException.class);
        assertThatThrownBy(() -> library.machine(3)).isInstanceOf(UnknownBookException.class);
        assertThat(Optional.of(library.machine(1).name())).contains("Aldwark 410");
    }
}
