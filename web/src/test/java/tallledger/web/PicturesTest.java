package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.survey.Clip;
import tallledger.core.survey.Photo;
import tallledger.core.survey.PictureMark;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** What is drawn over a photograph stands beside it; a short film is kept as it came. */
class PicturesTest {

    private final App app = App.demo();

    private long survey() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(800, 600, BufferedImage.TYPE_INT_RGB), "png", picture);
        return picture.toByteArray();
    }

    /** A film by its first bytes. */
    private static byte[] film(String brand, int bytes) {
        byte[] film = new byte[bytes];
        new Random(bytes).nextBytes(film);
        byte[] first = ("....ftyp" + brand).getBytes();
        System.arraycopy(first, 0, film, 0, first.length);
        return film;
    }

    private Page opened(long survey) {
        Page page = Browser.open().page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=castings"));
        page.evaluate("() => document.querySelectorAll('details').forEach(d => { d.open = true; })");
        return page;
    }

    private Photo photographed(Page page, long survey) throws IOException {
        page.setInputFiles("[name=photo]", new FilePayload("a.png", "image/png", picture()));
        page.click("form[data-photos=photo] button");
        PlaywrightAssertions.assertThat(page.locator("form[data-photos=photo] .sending")).containsText("is recorded");
        return now(survey).core().photos().get(0);
    }

    @Test
    void whatIsDrawnIsAnEntryOverTheUntouchedPicture() throws IOException {
        long survey = survey();
        Page page = opened(survey);
        Photo photo = photographed(page, survey);
        assertThat(photo.width()).as("no larger than the house says, and not smaller than it was").isEqualTo(800);
        assertThat(page.getAttribute("form[data-photos=photo]", "data-longest")).isEqualTo("2000");
        page.locator(".thumbs a").first().click();
        page.waitForURL("**/marks");
        BoundingBox box = page.locator(".drawn-over .over").boundingBox();
        page.fill("#says", "crack");
        page.mouse().move(box.x + box.width * 0.1, box.y + box.height * 0.2);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 0.5, box.y + box.height * 0.4);
        page.mouse().up();
        assertThat(page.inputValue("#marks")).matches("arrow (9.9|10|10.1) (19.9|20|20.1) (49.9|50|50.1) (39.9|40|40.1) crack");
        page.check("[name=with][value=ring]");
        page.fill("#says", "");
        page.mouse().move(box.x + box.width * 0.6, box.y + box.height * 0.6);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 0.9, box.y + box.height * 0.9);
        page.mouse().up();
        PlaywrightAssertions.assertThat(page.locator(".over .pending ellipse")).hasCount(1);
        page.click("text=Record it");
        Browser.settle(page);
        Photo marked = now(survey).core().photos().get(0);
        assertThat(marked.sha256()).as("untouched").isEqualTo(photo.sha256());
        assertThat(marked.marks()).extracting(m -> m.what().shape()).containsExactly(PictureMark.Drawn.ARROW, PictureMark.Drawn.RING);
        PlaywrightAssertions.assertThat(page.locator(".over path.above")).hasCount(1);
        PlaywrightAssertions.assertThat(page.locator(".over ellipse.above")).hasCount(1);
        assertThat(page.locator("aside.margin").innerText()).contains("arrow “crack”").doesNotContain("half typed");
        assertThat(ReachableTest.found(page)).isEmpty();
        page.fill("#marks", "word 20 30 new paint\ncross 1 2 3 4");
        page.click("text=Record it");
        PlaywrightAssertions.assertThat(page.locator("#wrong-marks"))
                .containsText("“cross 1 2 3 4”: write arrow or ring with four places");
        assertThat(page.inputValue("#marks")).startsWith("word 20 30 new paint");
        Http http = new Http(app);
        String entries = http.get("/surveys/" + survey + "/entries").body();
        assertThat(entries).contains("over the photograph of entry " + photo.entry() + ": arrow “crack”, ring");
        int drawn = marked.marks().get(0).entry();
        String form = http.get("/surveys/" + survey + "/entries?strike=" + drawn).body();
        String strike = form.replaceAll("(?s).*action=\"([^\"]*strike[^\"]*)\".*", "$1");
        http.post(strike, Http.formOf(form, strike), "author", "Q. Tester", "reason", "not a crack");
        assertThat(now(survey).core().photos().get(0).marks()).isEmpty();
        assertThat(http.get("/surveys/" + survey + "/photos/9999/marks").statusCode()).isEqualTo(404);
        assertThat(http.get("/surveys/" + survey + "/photos/" + photo.entry() + "/marks").statusCode()).isEqualTo(200);
    }

    @Test
    void aShortFilmIsKeptByItsHashAndPlayedFromAnyPlace() throws Exception {
        long survey = survey();
        Page page = opened(survey);
        byte[] film = film("isom", 3_400_000);
        page.setInputFiles("[name=film]", new FilePayload("film.mp4", "video/mp4", film));
        page.fill("#film-caption", "it jumps out");
        page.click("form[data-photos=film] button");
        PlaywrightAssertions.assertThat(page.locator("form[data-photos=film] .sending")).containsText("One film is recorded.");
        Clip clip = now(survey).core().clips().get(0);
        assertThat(clip.sha256()).isEqualTo(HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(film)));
        assertThat(clip.type()).isEqualTo("video/mp4");
        assertThat(clip.step()).isEqualTo("castings");
        page.navigate(app.url("/surveys/" + survey + "/run?step=castings"));
        assertThat(page.locator("aside.margin").textContent()).contains("it jumps out", "3.4 MB");
        String address = "/surveys/" + survey + "/films/" + clip.entry();
        HttpResponse<byte[]> whole = part(address, null);
        assertThat(whole.statusCode()).isEqualTo(200);
        assertThat(whole.body()).isEqualTo(film);
        HttpResponse<byte[]> part = part(address, "bytes=1000000-2999999");
        assertThat(part.statusCode()).isEqualTo(206);
        assertThat(part.headers().firstValue("Content-Range")).contains("bytes 1000000-2999999/3400000");
        assertThat(part.body()).isEqualTo(Arrays.copyOfRange(film, 1_000_000, 3_000_000));
        assertThat(part(address, "bytes=-10").body()).isEqualTo(Arrays.copyOfRange(film, 3_399_990, 3_400_000));
        assertThat(part(address, "bytes=3400000-").statusCode()).isEqualTo(416);
        assertThat(part(address, "lines=1-2").statusCode()).isEqualTo(416);
        assertThat(part("/surveys/" + survey + "/films/9999", null).statusCode()).isEqualTo(404);
        assertThat(new Http(app).get("/surveys/" + survey + "/entries").body()).contains("film: it jumps out, 3.4 MB, SHA-256");
    }

    /** Other bytes under its hash are not played for it. */
    @Test
    void aForgedFilmIsNotPlayed() throws Exception {
        long survey = survey();
        Page page = opened(survey);
        page.setInputFiles("[name=film]", new FilePayload("film.webm", "video/webm", film("isom", 5000)));
        page.click("form[data-photos=film] button");
        PlaywrightAssertions.assertThat(page.locator("form[data-photos=film] .sending")).containsText("One film is recorded.");
        Clip clip = now(survey).core().clips().get(0);
        try (Connection connection = app.bean(DataSource.class).getConnection();
                PreparedStatement forged = connection.prepareStatement("update attachment set bytes = ? where sha256 = ?")) {
            forged.setBytes(1, film("isom", 5001));
            forged.setString(2, clip.sha256());
            assertThat(forged.executeUpdate()).isEqualTo(1);
        }
        assertThat(part("/surveys/" + survey + "/films/" + clip.entry(), null).statusCode()).isEqualTo(404);
    }

    private HttpResponse<byte[]> part(String address, String range) throws IOException, InterruptedException {
        HttpRequest.Builder asked = HttpRequest.newBuilder(URI.create(app.url(address)));
        if (range != null) {
            asked.header("Range", range);
        }
        return HttpClient.newHttpClient().send(asked.build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    /** Whatever it is called, and whatever is said of it. */
    @ParameterizedTest
    @ValueSource(strings = {"", "GIF89a and more"})
    void whatIsNoFilmIsRefused(String content) {
        long survey = survey();
        int head = now(survey).head();
        Page page = opened(survey);
        page.setInputFiles("[name=film]", new FilePayload("film.mp4", "video/mp4", content.getBytes()));
        page.fill("#film-caption", "still here");
        page.click("form[data-photos=film] button");
        PlaywrightAssertions.assertThat(page.locator("form[data-photos=film] .wrong:visible"))
                .containsText(content.isEmpty() ? "Choose a film first" : "not a film in MP4");
        assertThat(page.inputValue("#film-caption")).isEqualTo("still here");
        assertThat(now(survey).head()).isEqualTo(head);
    }

    @Test
    void aFilmThatIsTooLargeIsRefusedBeforeItIsSent() throws IOException {
        long survey = survey();
        Page page = opened(survey);
        page.evaluate("() => { const all = new DataTransfer(); all.items.add(new File([new Uint8Array(60000001)], 'film.mp4',"
                + " {type: 'video/mp4'})); document.querySelector('[name=film]').files = all.files; }");
        page.click("form[data-photos=film] button");
        PlaywrightAssertions.assertThat(page.locator("form[data-photos=film] [data-large]")).isVisible();
        Http http = new Http(app);
        String form = "/surveys/" + survey + "/films";
        HttpResponse<String> answer = http.upload(form, http.form("/surveys/" + survey + "/run?step=castings", form), 70_000_000);
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("That film was too large");
        assertThat(now(survey).core().clips()).isEmpty();
    }
}
