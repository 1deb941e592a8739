package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.store.Submission;
import tallledger.web.works.BackgroundJobs;

/** The shelf's lines made anew from the books: told on the way, stopped where it is, and what was not reached stands as it did. */
class ShelfAnewTest {

    /** More than are read in one go, fewer than a page. */
    private static final int MACHINES = 45;

    @TempDir
    Path data;

    /** What the lines say is not what the books say. */
    private static void falsify(App app) throws Exception {
        try (Connection connection = app.bean(HikariDataSource.class).getConnection(); Statement s = connection.createStatement()) {
            assertThat(s.executeUpdate("update shelf_shown set line = replace(line, '\"seenAt\":\"', '\"seenAt\":\"false ')"))
                    .isEqualTo(MACHINES);
        }
    }

    private static long falseLines(App app) {
        return app.bean(ShelfIndex.class).page(ShelfQuery.ALL).lines().stream()
                .filter(line -> line.identity().seenAt().startsWith("false "))
                .count();
    }

    private static void awaited(App app) throws InterruptedException {
        while (!app.bean(BackgroundJobs.class).going().isEmpty()) {
            Thread.sleep(10);
        }
    }

    @Test
    void everyLineIsReadFromTheBooksAgain() throws Exception {
        try (App app = App.on(data)) {
            for (int i = 0; i < MACHINES; i++) {
                app.bean(MachineBooks.class).add(KestrelVale.shortlist().get(0).description(), "Q. Tester", Submission.fresh(0));
            }
            while (app.bean(ShelfIndex.class).page(ShelfQuery.ALL).waiting() > 0) {
                Thread.sleep(10);
            }
            falsify(app);
            assertThat(falseLines(app)).isEqualTo(MACHINES);
            assertThatThrownBy(() -> app.bean(ShelfIndex.class).makeAnew((done, all) -> {
                assertThat(all).isEqualTo(MACHINES);
                if (done > 0) {
                    throw new IllegalStateException("stopped at " + done);
                }
            })).hasMessage("stopped at 40");
            assertThat(falseLines(app)).as("not reached: as they were").isEqualTo(MACHINES - 40);
            Page page = Browser.open().page();
            page.navigate(app.url("/house/backup"));
            page.click("button:has-text('Make the shelf anew')");
            page.waitForURL(app.url("/"));
            assertThat(falseLines(app)).isZero();
            falsify(app);
        }
        try (App app = App.on(data, "--tallledger.rebuild-shelf=true")) {
            awaited(app);
            assertThat(falseLines(app)).as("asked for at the start").isZero();
        }
    }
}
