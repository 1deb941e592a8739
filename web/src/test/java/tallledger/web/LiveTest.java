package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.live.Watchers;
import tallledger.web.live.Whose;
import tallledger.web.store.Submission;

/** What one writes appears on the others' open pages, and nothing that is being typed moves. */
class LiveTest {

    private static final Whose NOBODY = new Whose("nobody", "", true);

    private final App app = App.demo();
    private final Http http = new Http(app);

    private long survey() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private void write(long survey, String step, String text) {
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=" + step, "/surveys/" + survey + "/step");
        assertThat(http.post("/surveys/" + survey + "/step", form, "author", "J. Rowe", "do", "good", "text", text).statusCode())
                .isEqualTo(302);
    }

    /** Reads on to an event of a name, and gives what it says. */
    private static String event(BufferedReader lines, String name) throws IOException {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.equals("event:" + name)) {
                return lines.readLine();
            }
        }
        throw new AssertionError("the line ended before " + name);
    }

    @Test
    void anEntryIsToldInItsWords() throws Exception {
        long survey = survey();
        HttpResponse<InputStream> line = HttpClient.newHttpClient().send(HttpRequest.newBuilder(URI.create(app.url("/surveys/" + survey
                + "/live?step=serial"))).build(), HttpResponse.BodyHandlers.ofInputStream());
        assertThat(line.headers().firstValue("Content-Type").orElse("")).startsWith("text/event-stream");
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(line.body(), StandardCharsets.UTF_8))) {
            assertThat(event(lines, "head")).isEqualTo("data:{\"head\":1}");
            assertThat(event(lines, "there")).as("nobody else").isEqualTo("data:{\"there\":[]}");
            assertThat(app.bean(Watchers.class).isWatched(survey)).isTrue();
            write(survey, "serial", "A-410 <b>7</b>");
            String told = event(lines, "entry");
            assertThat(told).contains("\"head\":2", "\"by\":\"J. Rowe\"", "Serial number and year", "A-410 <b>7</b>");
        }
        assertThat(http.get("/surveys/99999/live").statusCode()).isEqualTo(404);
    }

    @Test
    void whatAnotherWritesAppears() {
        long survey = survey();
        Browser typing = Browser.open();
        Page page = typing.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=castings"));
        page.fill("[name=remark]", "a weld at the");
        Page looking = Browser.open().page();
        looking.navigate(app.url("/surveys/" + survey + "/entries"));
        Page board = Browser.open().page();
        board.navigate(app.url("/surveys/" + survey + "/board"));
        awaitWatchers(survey);
        write(survey, "serial", "A-410<i>x</i>");
        PlaywrightAssertions.assertThat(page.locator(".others")).containsText("J. Rowe: Serial number and year");
        PlaywrightAssertions.assertThat(page.locator(".others")).containsText("A-410<i>x</i>");
        assertThat(page.inputValue("[name=remark]")).as("what is being typed").isEqualTo("a weld at the");
        PlaywrightAssertions.assertThat(page.locator("nav.steps a[href$='step=serial'] .mark.is-proven")).hasCount(1);
        PlaywrightAssertions.assertThat(page.locator("nav.steps a[aria-current]")).hasAttribute("href", "/surveys/" + survey
                + "/run?step=castings");
        PlaywrightAssertions.assertThat(looking.locator("#entry-2")).hasCount(1);
        PlaywrightAssertions.assertThat(board.locator(".came .newest")).containsText("A-410");
        assertThat(typing.complaints()).isEmpty();
    }

    private void awaitWatchers(long survey) {
        long until = System.nanoTime() + 5_000_000_000L;
        while (app.bean(Watchers.class).others(survey, NOBODY).isEmpty() && System.nanoTime() < until) {
            Thread.onSpinWait();
        }
        assertThat(app.bean(Watchers.class).others(survey, NOBODY)).extracting(Watchers.Watcher::step).contains("castings");
    }
}
