package tallledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.reading.Method;
import tallledger.core.survey.FilmEvent.Heard;
import tallledger.core.survey.Run;
import tallledger.core.survey.Scope;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** A film is surveyed as the machine itself is: counted in its own time, its words taken for what they are, its gaps asked for. */
class FilmDeskTest {

    private static final Path FILM = Path.of("src/main/resources/static/film/aldwark-410.webm");
    private static final Path TRUTH = Path.of("src/test/resources/film/aldwark-410-truth.csv");
    /** A film is read, and played for a moment, before anything is said of it. */
    private static final LocatorAssertions.ContainsTextOptions PATIENT = new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);
    private final App app = App.demo();
    private final Browser browser = Browser.open();
    private final Page page = browser.page();

    private long survey() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private void open(long survey, String name) {
        page.navigate(app.url("/surveys/" + survey + "/desk"));
        page.setInputFiles("#film-file", FILM);
        page.waitForSelector(".film-stage:not([hidden])");
        assertThat(page.locator(".film-known")).containsText(name, PATIENT);
    }

    private void noted(long survey) {
        open(survey, "not noted yet");
        page.fill(".film-keep [name=from]", "the pattern shop");
        page.click(".film-keep button");
        assertThat(page.locator(".film-known")).containsText("this film is noted, from the pattern shop");
    }

    private Frame beside(String path) {
        page.waitForCondition(() -> page.frame("film-frame") != null && page.frame("film-frame").url().contains(path));
        Frame frame = page.frame("film-frame");
        frame.waitForLoadState();
        return frame;
    }

    /**
     * Taps at the truth's turns, each at the frame that shows it, as at a playing speed: a slow computer tells the same. What a hand
     * scatters while it plays is measured apart.
     */
    private void tap(double from, int turns, double rpm, double speed) {
        page.evaluate("async ([from, turns, rpm, speed]) => { const v = document.querySelector('video'); v.playbackRate = speed;"
                + " for (let n = 0; n <= turns; n += 1) {"
                + " await new Promise((r) => { v.addEventListener('seeked', r, { once: true }); v.currentTime = from + n * 60 / rpm; });"
                + " document.querySelector('[data-film=tap]').click(); } }",
                List.of(from, turns, rpm, speed));
    }

    @Test
    void aFilmIsKnownByItsBytesWhateverItIsCalled() throws Exception {
        long survey = survey();
        noted(survey);
        String hash = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(FILM)));
        var film = now(survey).core().footage().film(hash).orElseThrow();
        assertThat(film.seconds().orElseThrow().doubleValue()).isBetween(57.9, 58.1);
        assertThat(film.rate().orElseThrow().perSecond().doubleValue()).isBetween(29.0, 31.0);
        assertThat(film.width()).isEqualTo(480);
        page.navigate(app.url("/surveys/" + survey + "/desk"));
        page.setInputFiles("#film-file", new FilePayload("quite another name.webm", "video/webm", Files.readAllBytes(FILM)));
        assertThat(page.locator(".film-known")).containsText("this film is noted", PATIENT);
        page.setInputFiles("#film-file", new FilePayload("aldwark-410.webm", "video/webm", "no film at all".getBytes()));
        assertThat(page.locator(".film-wrong")).containsText("cannot play this film", PATIENT);
        assertThat(page.locator(".film-known")).containsText("not noted yet", PATIENT);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aSpeedCountedInTheFilmIsAReadingWithItsSecond() throws IOException {
        long survey = survey();
        noted(survey);
        String[] truth = Files.readAllLines(TRUTH).get(1).split(",");
        double rpm = Double.parseDouble(truth[4]);
        page.evaluate("() => new Promise((r) => { const v = document.querySelector('video'); v.currentTime = 4.5;"
                + " v.addEventListener('seeked', () => setTimeout(r, 200), { once: true }); })");
        page.click("[data-film=levers]");
        page.frame("film-frame").navigate(app.url("/surveys/" + survey + "/run?step=0-0-0-0"));
        tap(6, 6, rpm, 0.5);
        page.click("[data-film=take-count]");
        Frame sheet = beside("/run");
        assertThat(sheet.locator(".weigh")).containsText("rpm");
        assertThat(sheet.locator("main")).not().containsText("Machine stopped and left");
        assertThat(sheet.locator("button:text-is('Photo')")).hasCount(0);
        sheet.click(".thumb button:has-text('Record')");
        assertThat(sheet.locator(".done")).containsText("A1");
        Run run = now(survey).folded().runs().get(0);
        assertThat(run.record().reading().orElseThrow().method()).isEqualTo(Method.FILM_TAPS);
        double off = Math.abs(run.record().reading().get().rpm().doubleValue() - rpm);
        assertThat(off).isLessThan(run.record().reading().get().expanded(now(survey).rules()));
        assertThat(run.outcome()).as("%s %s", run.record(), run.doubt()).isEqualTo(Outcome.PROVEN);
        assertThat(run.seen().orElseThrow().from().doubleValue()).isBetween(6.0, 6.5);
        page.navigate(app.url("/surveys/" + survey + "/verdict/statement"));
        assertThat(page.locator("main")).containsText("In the film from the pattern shop, at 0:06");
        page.click(".statement a[data-film-at]:has-text('play 0:06')");
        page.waitForURL("**/desk?film=*");
        String hash = run.seen().get().film();
        Map<String, String> zip = zip(survey);
        assertThat(zip.get("films/" + hash + ".vtt")).startsWith("WEBVTT\n\nNOTE Film aldwark-410.webm, SHA-256 " + hash)
                .contains("00:00:06.", " --> 00:00:58.", run.entry() + " A 1");
        page.navigate(app.url("/surveys/" + survey + "/entries"));
        page.click("a[data-film-at]");
        page.waitForURL("**/desk?film=*");
        assertThat(browser.complaints()).isEmpty();
    }

    /** B1 runs from 21 to 30 s; a piece of two seconds is too short. */
    @Test
    void theSoundOfAPieceIsARecordingOfTheOpenSpeed() {
        long survey = survey();
        noted(survey);
        page.frame("film-frame").navigate(app.url("/surveys/" + survey + "/run?step=0-1-0-0"));
        String at =
                "(s) => new Promise((r) => { const v = document.querySelector('video'); v.addEventListener('seeked', r, { once: true });"
                        + " v.currentTime = s; })";
        page.evaluate(at, 22);
        page.click("[data-film=loop-from]");
        page.evaluate(at, 24);
        page.click("[data-film=loop-until]");
        page.click("[data-film=sound]");
        assertThat(page.locator(".film-says")).containsText("Mark a piece of 5 to 60 s first");
        page.evaluate(at, 29);
        page.click("[data-film=loop-until]");
        page.click("[data-film=sound]");
        Frame sound = beside("/sound");
        assertThat(sound.locator("main")).containsText("not known: the sound of a film");
        var kept = now(survey).core().recordings().get(0);
        assertThat(kept.seconds()).isEqualByComparingTo("7");
        assertThat(kept.task()).isEqualTo("0-1-0-0");
        assertThat(now(survey).core().footage().moments().get(kept.entry()).shown()).isEqualTo("0:22");
        assertThat(browser.complaints()).isEmpty();
    }

    private Map<String, String> zip(long survey) throws IOException {
        Map<String, String> files = new HashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(
                page.request().get(app.url("/surveys/" + survey + "/survey.zip")).body()))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }

    @Test
    void whatIsSaidIsOfferedAndAPersonSaysWhatItIs() throws IOException {
        long survey = survey();
        noted(survey);
        page.click(".film-tabs a[data-tab=said]");
        Frame said = beside("/desk/said");
        said.fill("#text", Files.readString(FILM.resolveSibling("aldwark-410.vtt")));
        said.fill("#narration-speaker", "the seller");
        said.click("text=Read it");
        assertThat(said.locator(".film-offer blockquote")).containsText("twelve speeds");
        assertThat(now(survey).core().footage().heard()).as("nothing becomes an entry by itself").isEmpty();
        page.locator("#film-name").click();
        page.keyboard().press("1");
        assertThat(said.locator(".film-offer .sub").first()).containsText("2 of");
        var heard = now(survey).core().footage().heard().get(0);
        assertThat(heard.heard().answer()).isEqualTo(Heard.Answer.CLAIM);
        assertThat(heard.moment().map(FilmMoment::shown)).contains("0:03");
        assertThat(ClaimVerdict.of(now(survey).core())).anyMatch(v -> v.heard().isPresent());
        String text = now(survey).core().footage().narrations().get(0).what().text().sha256();
        assertThat(zip(survey).get("narrations/" + text + ".txt"))
                .isEqualToNormalizingNewlines(Files.readString(FILM.resolveSibling("aldwark-410.vtt")));
        said.click("[data-answer='4']");
        assertThat(said.locator(".film-offer .sub").first()).containsText("3 of");
        page.click(".film-tabs a[data-tab=film]");
        Frame notes = beside("/desk/film");
        assertThat(notes.locator("main")).containsText("Said and not shown");
        assertThat(notes.locator("tr:has-text('Nobody speaks')")).containsText("nowhere for 3 s");
        assertThat(notes.locator("tr:has-text('Nothing noted yet')")).containsText("0:07 to 0:58");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void badNarrationsAreRefusedWhereTheyWereTyped() throws Exception {
        long survey = survey();
        noted(survey);
        page.click(".film-tabs a[data-tab=said]");
        Frame said = beside("/desk/said");
        said.fill("#text", "this is bottom and that is all");
        said.fill("#narration-speaker", "the seller");
        said.click("text=Read it");
        assertThat(said.locator("#wrong-text")).containsText("There is no time in it");
        assertThat(said.locator("#text")).hasValue("this is bottom and that is all");
        said.fill("#text", "0:09 This is bottom.\n4:58 That's all.");
        said.click("text=Read it");
        assertThat(said.locator("#wrong-text")).containsText("It still speaks at 4:58, and the film ends at 0:58");
        said.fill("#text", "0:09 <b onclick=alert(1)>Here is</b> <script>alert(2)</script> five hundred.\n0:03 Das ist der erste Gang.");
        said.click("text=Read it");
        assertThat(said.locator(".film-heard")).containsText("time before that of the line before");
        page.click(".film-tabs a[data-tab=film]");
        Frame notes = beside("/desk/film");
        assertThat(notes.locator("tr:has-text('Nobody speaks') a")).hasText(new String[] {"0:00 to 0:03", "0:13 to 0:58"});
        assertThat(notes.locator(".film-silent")).hasCount(2);
        assertThat(said.locator(".film-heard script").count()).isZero();
        assertThat(browser.complaints()).isEmpty();
    }

    /** A form in the desk's frame that says no film is refused: it would count as seen at the machine. */
    @Test
    void nothingIsRecordedBesideAFilmWithoutOne() throws Exception {
        long survey = survey();
        Http http = new Http(app);
        Map<String, String> form = new HashMap<>(http.form("/surveys/" + survey + "/entries",
                "/surveys/" + survey + "/entries/remark"));
        form.putAll(Map.of("step", "0-0-0-0", "reading", "31.5", "do", "record", "author", "Q. Tester"));
        HttpResponse<String> answer = http.postFrom(Map.of("Sec-Fetch-Dest", "iframe"), "/surveys/" + survey + "/run", form);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("No film is open on the desk");
        assertThat(now(survey).folded().runs()).isEmpty();
        assertThat(http.get("/surveys/" + survey + "/desk").headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("media-src blob:").doesNotContain("media-src 'self'");
        assertThat(http.get("/surveys/" + survey + "/run").headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("media-src 'self'").doesNotContain("blob:").contains("frame-ancestors 'self'");
    }

    @Test
    void theLetterAsksAndTheTelephoneAnswers() throws Exception {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/letter"));
        assertThat(page.locator(".shots li").count()).isGreaterThan(3);
        page.fill("#to", "the pattern shop");
        page.click("text=Note that it was sent");
        assertThat(page.locator(".asked-before li").first()).containsText("not looked at yet");
        page.fill("#value-WEIGHT", "about two");
        page.fill("#speaker-WEIGHT", "the keeper");
        page.click("form:has(#value-WEIGHT) button");
        assertThat(page.locator("#wrong-value-WEIGHT")).isVisible();
        page.fill("#value-WEIGHT", "2 t");
        page.click("form:has(#value-WEIGHT) button");
        assertThat(page.locator("#value-WEIGHT")).hasCount(0);
        assertThat(ClaimVerdict.of(now(survey).core())).anyMatch(v -> v.heard().filter(h -> h.heard().speaker().equals("the keeper"))
                .isPresent());
        Http http = new Http(app);
        assertThat(http.get("/surveys/" + survey + "/letter.txt").body()).contains("1. ").doesNotContain("??");
        assertThat(http.get("/surveys/" + survey + "/letter.pdf").body()).startsWith("%PDF");
        assertThat(http.get("/surveys/" + survey + "/shots.pdf").body()).startsWith("%PDF");
        page.navigate(app.url("/surveys/" + survey + "/shots?minutes=20"));
        page.click("a[aria-label='Slate of shot 1']");
        assertThat(page.locator(".slate-clock")).containsText(":");
        assertThat(browser.complaints()).isEmpty();
    }
}
