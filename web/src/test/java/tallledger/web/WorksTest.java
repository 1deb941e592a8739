package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.MediaType;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.reason.Reason;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.ArchiveCheck;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;

/** What takes its time says how far it is and can be stopped; then nothing of it is left. */
class WorksTest {

    private static final int PHOTOGRAPHS = 10;

    @TempDir
    static Path data;
    private static App app;
    private static BackgroundJobs works;
    private static long survey;
    private static final Reason TITLE = Reason.of(WebReason.WORK_BACKUP);

    @BeforeAll
    static void photographed() throws Exception {
        // Nobody is kept waiting here: all of it says how far it is.
        app = App.on(data.resolve("data"), "--tallledger.patience=0ms");
        works = app.bean(BackgroundJobs.class);
        survey = Scenes.readySurvey(app);
        Random random = new Random(1);
        for (int i = 0; i < PHOTOGRAPHS; i++) {
            BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < 300; y++) {
                for (int x = 0; x < 400; x++) {
                    image.setRGB(x, y, random.nextInt());
                }
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            AttachmentRow row = AttachmentRow.of("image/png", out.toByteArray());
            app.bean(Attachments.class).keep(survey, List.of(row),
                    SurveyEntries.photo(Authorship.of(Instant.now(), "Q. Tester"), "",
                            List.of(new Attachment("photograph", row.sha256(), row.type())), 400, 300, "no. " + i),
                    Submission.fresh(app.bean(SurveyLibrary.class).survey(survey).head()));
        }
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static void until(BooleanSupplier so) throws InterruptedException {
        for (int i = 0; i < 400 && !so.getAsBoolean(); i++) {
            Thread.sleep(25);
        }
        assertThat(so.getAsBoolean()).isTrue();
    }

    /** Authorship its key; told on the way; taken away whole. */
    @Test
    void aReportWithManyPhotographsSaysHowFarItIs() throws Exception {
        Page page = Browser.open().page();
        page.navigate(app.url("/surveys/" + survey + "/handover"));
        page.click("button:has-text('Make the report')");
        page.waitForURL("**/works/**");
        page.waitForSelector("text=Take it");
        assertThat(page.innerText("main")).containsPattern("It is done: survey-" + survey + "\\.pdf, [0-9]+\\.[0-9] MB\\.");
        byte[] pdf = page.request().get(app.url(page.getAttribute("a:has-text('Take it')", "href"))).body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isGreaterThan(4);
        }
        byte[] other = page.request().get(app.url("/surveys/" + survey + "/verdict.pdf")).body();
        assertThat(pdf).as("the same bytes as without waiting").isEqualTo(other);
    }

    /** Share and words go up to the end, through every photograph. */
    @Test
    void everyPhotographIsAStep() throws Exception {
        BackgroundJobs.BackgroundJob work = work("/surveys/" + survey + "/handover", "/surveys/" + survey + "/report");
        List<Double> shares = new ArrayList<>();
        while (work.stand() == BackgroundJobs.State.GOES_ON) {
            shares.add(work.progress().share());
            Thread.sleep(5);
        }
        assertThat(work.stand()).isEqualTo(BackgroundJobs.State.DONE);
        assertThat(shares).isSorted().anyMatch(s -> s > 0.1 && s < 0.9);
    }

    private static BackgroundJobs.BackgroundJob work(String page, String action) {
        Http http = new Http(app);
        String to = http.post(action, http.form(page, action), "size", "Letter").headers().firstValue("Location").orElseThrow();
        return works.work(to.replaceAll(".*/", "")).orElseThrow();
    }

    @Test
    void stoppedNothingOfItIsLeft() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        Path made = data.resolve("half.zip");
        BackgroundJobs.BackgroundJob work = works.begin("slow", TITLE, "/house/backup", progress -> {
            Files.writeString(made, "half");
            try {
                for (int i = 0;; i++) {
                    progress.at(i / 1e6, TITLE);
                    begun.countDown();
                    Thread.onSpinWait();
                }
            } finally {
                Files.delete(made);
            }
        });
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        assertThat(works.begin("slow", TITLE, "/", progress -> null)).as("the same is not done twice at a time").isSameAs(work);
        Page page = Browser.open().page();
        page.navigate(app.url("/works/" + work.id()));
        assertThat(page.locator("progress").count()).isEqualTo(1);
        page.click("text=Stop");
        page.waitForSelector("text=It was stopped, and nothing of it is kept.");
        assertThat(work.stand()).isEqualTo(BackgroundJobs.State.STOPPED);
        assertThat(made).doesNotExist();
        assertThat(page.request().get(app.url("/works/" + work.id() + "/made")).status()).isEqualTo(404);
    }

    /** Asked to stop when all was made and nothing told yet: it is stopped, and what was made is gone. */
    @Test
    void stoppedInTheLastMomentNothingIsKept() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch asked = new CountDownLatch(1);
        Path made = data.resolve("whole.pdf");
        BackgroundJobs.BackgroundJob work = works.begin("last moment", TITLE, "/", progress -> {
            Files.writeString(made, "whole");
            begun.countDown();
            try {
                asked.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return new BackgroundJobs.Output.File(made, "whole.pdf", MediaType.APPLICATION_PDF);
        });
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        works.stop(work);
        asked.countDown();
        until(() -> work.stand() != BackgroundJobs.State.GOES_ON);
        assertThat(work.stand()).isEqualTo(BackgroundJobs.State.STOPPED);
        assertThat(work.made()).isEmpty();
        assertThat(made).doesNotExist();
    }

    private static byte[] made(String page, String action, String... chosen) throws Exception {
        Http http = new Http(app);
        String to = http.post(action, http.form(page, action), chosen).headers().firstValue("Location").orElseThrow();
        BackgroundJobs.BackgroundJob work = works.work(to.replaceAll(".*/works/|/made", "")).orElseThrow();
        until(() -> work.stand() != BackgroundJobs.State.GOES_ON);
        return page(app.url("/works/" + work.id() + "/made"));
    }

    /** Whatever can be made of a survey is made so, each the same bytes as at its own address. */
    @Test
    void everyFormOfTheReportIsMadeSo() throws Exception {
        String at = "/surveys/" + survey + "/verdict";
        String page = "/surveys/" + survey + "/handover";
        for (String form : List.of("short", "certificate")) {
            assertThat(made(page, "/surveys/" + survey + "/report", "form", form)).as(form)
                    .isEqualTo(page(app.url(at + ".pdf?form=" + form)));
        }
        assertThat(made(page, "/surveys/" + survey + "/report", "size", "Letter", "money", "yes"))
                .isEqualTo(page(app.url(at + ".pdf?size=Letter&money=yes")));
        String html = new String(made(page, "/surveys/" + survey + "/report", "form", "page"), StandardCharsets.UTF_8);
        assertThat(html).isEqualTo(new String(page(app.url("/surveys/" + survey + "/report.html")), StandardCharsets.UTF_8))
                .contains("data:image/png;base64,", "no. 9");
    }

    /** Handed over with pictures: each drawing once as lines and once as a picture, and the check holds. */
    @Test
    void drawingsAreHandedOverAsPicturesWhereThatIsAsked() throws Exception {
        byte[] zip = made("/surveys/" + survey + "/handover", "/surveys/" + survey + "/survey.zip", "pictures", "yes");
        Map<String, byte[]> files = Zipped.files(zip);
        List<String> lines = files.keySet().stream().filter(n -> n.endsWith(".svg")).toList();
        assertThat(lines).isNotEmpty();
        for (String name : lines) {
            BufferedImage picture = ImageIO.read(new ByteArrayInputStream(files.get(name.replace(".svg", ".png"))));
            assertThat(picture.getWidth()).as(name).isGreaterThan(300);
        }
        assertThat(ArchiveCheck.check(Files.write(data.resolve("pictures.zip"), zip), share -> {}).holds()).isTrue();
        byte[] without = made("/surveys/" + survey + "/handover", "/surveys/" + survey + "/survey.zip");
        assertThat(Zipped.files(without).keySet()).containsAll(lines).noneMatch(n -> n.startsWith("drawings/") && n.endsWith(".png"));
    }

    /** Of a report, a zip and a backup, stopped wherever they are, no file is left. */
    @Test
    void whateverIsStoppedLeavesNoFile() throws Exception {
        Http http = new Http(app);
        Set<Path> before = unfinished();
        Set<Path> taken = new HashSet<>();
        for (int pause : new int[] {0, 5, 40, 120, 300}) {
            for (String[] at : new String[][] {{"/surveys/" + survey + "/handover", "/surveys/" + survey + "/report"},
                    {"/house/backup", "/house/backup/begin"}}) {
                Map<String, String> form = http.form(at[0], at[1]);
                String to = http.post(at[1], form, "form", "p" + pause).headers().firstValue("Location").orElseThrow();
                BackgroundJobs.BackgroundJob work = works.work(to.replaceAll(".*/", "")).orElseThrow();
                Thread.sleep(pause);
                assertThat(http.post("/works/" + work.id() + "/stop", form).statusCode()).isEqualTo(302);
                until(() -> work.stand() != BackgroundJobs.State.GOES_ON);
                assertThat(work.failure()).isEmpty();
                // One that was done before it was asked to stop waits to be taken.
                work.made().ifPresent(m -> taken.add(((BackgroundJobs.Output.File) m).path()));
                assertThat(work.made().isPresent()).isEqualTo(work.stand() == BackgroundJobs.State.DONE);
            }
        }
        // What other tests were given waits to be taken, too.
        Set<Path> left = unfinished();
        left.removeAll(taken);
        left.removeAll(before);
        assertThat(left).isEmpty();
    }

    @Test
    void whatFailsSaysSo() throws Exception {
        BackgroundJobs.BackgroundJob work = works.begin("fails", TITLE, "/house/backup", progress -> {
            throw new IOException("No space left on device");
        });
        until(() -> work.stand() == BackgroundJobs.State.FAILED);
        assertThat(new Http(app).get("/works/" + work.id()).body()).contains("is there room on the disk?", "role=\"alert\"");
        assertThat(new Http(app).get("/works/nothing").statusCode()).isEqualTo(404);
    }

    /** The disk is full in the middle of it. */
    @Test
    void nothingIsLeftOfAFileHalfWritten() throws Exception {
        Set<Path> before = unfinished();
        assertThatThrownBy(() -> works.file("x.pdf", MediaType.APPLICATION_PDF, out -> {
            out.write(1);
            assertThat(unfinished()).as("while it is written").hasSize(before.size() + 1);
            throw new IOException("No space left on device");
        })).isInstanceOf(IOException.class);
        assertThat(unfinished()).isEqualTo(before);
    }

    private static Set<Path> unfinished() throws IOException {
        try (var left = Files.list(data.resolve("data"))) {
            return left.filter(f -> f.getFileName().toString().startsWith("unfinished")).collect(Collectors.toSet());
        }
    }

    @Test
    void onlySoManyGoOnAtOnce() throws Exception {
        CountDownLatch over = new CountDownLatch(1);
        List<BackgroundJobs.BackgroundJob> some = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            some.add(works.begin("waits " + i, TITLE, "/", progress -> {
                try {
                    over.await();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
                return new BackgroundJobs.Output.Page("/check");
            }));
        }
        assertThatThrownBy(() -> works.begin("one more", TITLE, "/", progress -> null)).isInstanceOf(WriteRefusedException.class);
        Http http = new Http(app);
        assertThat(http.post("/house/backup/begin", http.form("/house/backup", "/house/backup/begin"))
                .body()).as("said on a page, not thrown").contains("are running already");
        over.countDown();
        until(() -> some.stream().allMatch(w -> w.stand() == BackgroundJobs.State.DONE));
        assertThat(new Http(app).get("/works/" + some.get(0).id()).statusCode()).isEqualTo(302);
    }

    /** A large zip is checked while it says how far it is; what it came to is told, and it is kept where that was asked for. */
    @Test
    void aLargeFileIsCheckedAsWork() throws Exception {
        byte[] zip = page(app.url("/surveys/" + survey + "/survey.zip"));
        assertThat(zip.length).isGreaterThan(2_000_000);
        Path whole = Files.write(data.resolve("large.zip"), zip);
        assertThat(ArchiveCheck.check(whole, share -> {}).holds()).isTrue();
        Path tampered = data.resolve("tampered.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(tampered))) {
            for (Map.Entry<String, byte[]> file : Zipped.files(zip).entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getKey().equals("ledger.json") ? new String(file.getValue(), StandardCharsets.UTF_8).replace("no. 3",
                        "no. 9").getBytes(StandardCharsets.UTF_8) : file.getValue());
                out.closeEntry();
            }
        }
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/check"));
        page.setInputFiles("#file", tampered);
        page.click("text=Check it >> nth=0");
        page.waitForURL("**/check?of=**");
        assertThat(browser.text()).contains("This is not what was handed over");
        page.navigate(app.url("/check"));
        page.setInputFiles("#file", whole);
        page.click("summary:has-text('Keep it here')");
        page.fill("#author", "Q. Buyer");
        page.click("text=Check it and keep it");
        page.waitForURL("**/handed/**");
        assertThat(page.innerText("body")).contains("Handed over from elsewhere, not closed");
    }

    private static byte[] page(String url) throws Exception {
        return new java.net.URI(url).toURL().openStream().readAllBytes();
    }

    /** What was made waits to be taken, and goes with the application. */
    @Test
    void nothingOutlivesTheApplication() throws Exception {
        Path made;
        try (App other = App.empty()) {
            made = Files.writeString(Files.createTempFile(data, "made", ".pdf"), "made");
            BackgroundJobs.BackgroundJob work = other.bean(BackgroundJobs.class).begin("made", TITLE, "/",
                    progress -> new BackgroundJobs.Output.File(made, "made.pdf", MediaType.APPLICATION_PDF));
            until(() -> work.stand() == BackgroundJobs.State.DONE);
            assertThat(new Http(other).get("/works/" + work.id() + "/made").body()).isEqualTo("made");
        }
        assertThat(made).doesNotExist();
    }
}
