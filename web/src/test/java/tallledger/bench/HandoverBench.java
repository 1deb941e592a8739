package tallledger.bench;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.App;
import tallledger.web.Browser;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.ArchiveCheck;
import tallledger.web.sealed.ArchiveWriter;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;
import tallledger.web.verdict.Reports;

/** A book of 100 000 entries checked in Java and in the browser; the zip and the report of a survey of 400 entries. */
public final class HandoverBench {

    private static final int MANY = 100_000;
    private static final int PHOTOGRAPHS = 40;

    private HandoverBench() {
    }

    /** The report with photographs as a telephone takes them. */
    private static void report(App app, LongSurvey survey) throws Exception {
        Random random = new Random(40);
        long bytes = 0;
        for (int i = 0; i < PHOTOGRAPHS; i++) {
            BufferedImage image = new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < 1200; y++) {
                for (int x = 0; x < 1600; x++) {
                    int grey = (x / 7 + y / 5 + random.nextInt(24)) & 0xff;
                    image.setRGB(x, y, grey << 16 | grey << 8 | grey);
                }
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "jpg", out);
            bytes += out.size();
            AttachmentRow row = AttachmentRow.of("image/jpeg", out.toByteArray());
            app.bean(Attachments.class)
                    .keep(survey.id(), List.of(row),
                            SurveyEntries.photo(Authorship.of(Instant.now(), "Q. Tester"), i % 2 == 0 ? "" : "castings",
                                    List.of(new Attachment("photograph", row.sha256(), row.type())), 1600, 1200,
                                    "photograph no. " + i),
                            Submission.fresh(app.bean(SurveyLibrary.class).survey(survey.id()).head()));
        }
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            byte[] pdf = app.bean(Reports.class).pdf(app.bean(SurveyLibrary.class).survey(survey.id()));
            double took = (System.nanoTime() - start) / 1e9;
            try (PDDocument document = Loader.loadPDF(pdf)) {
                System.out.printf("report of %d entries and %d photographs (%.1f MB together): %.2f s, %d pages, %.1f MB%n",
                        app.bean(SurveyLibrary.class).survey(survey.id()).head(), PHOTOGRAPHS, bytes / 1e6, took,
                        document.getNumberOfPages(), pdf.length / 1e6);
            }
        }
    }

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("handover-bench");
        Path zip = folder.resolve("many.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            out.putNextEntry(new ZipEntry("ledger.json"));
            out.write("{\"books\":[{\"entries\":[".getBytes(StandardCharsets.UTF_8));
            Optional<Entry> last = Optional.empty();
            for (int i = 0; i < MANY; i++) {
                Entry e = Entry.following(last,
                        SurveyEntries.remark(Authorship.of(Instant.ofEpochSecond(1_700_000_000L + i), "Q. Tester, buyer"),
                                "remark no. " + i + " of a long survey, with some words to it"));
                out.write(((i == 0 ? "" : ",") + CanonicalJson.write(e.handedOver())).getBytes(StandardCharsets.UTF_8));
                last = Optional.of(e);
            }
            out.write("],\"kind\":\"SURVEY\"}],\"format\":1,\"title\":\"many\"}".getBytes(StandardCharsets.UTF_8));
            out.closeEntry();
        }
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            boolean holds = ArchiveCheck.check(zip, share -> {}).holds();
            System.out.printf("%d entries (%.1f MB zip) checked in Java: %s in %.2f s%n", MANY, Files.size(zip) / 1e6, holds,
                    (System.nanoTime() - start) / 1e9);
        }
        App app = App.demo();
        LongSurvey survey = LongSurvey.of(app, 400);
        ArchiveWriter handover = app.bean(ArchiveWriter.class);
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            long[] size = new long[1];
            handover.write(app.bean(SurveyLibrary.class).survey(survey.id()), new OutputStream() {
                @Override
                public void write(int b) {
                    size[0]++;
                }

                @Override
                public void write(byte[] b, int from, int length) {
                    size[0] += length;
                }
            });
            System.out.printf("survey of 400 entries handed over, report and all: %.2f s, %.0f kB%n", (System.nanoTime() - start) / 1e9,
                    size[0] / 1e3);
        }
        report(app, survey);
        Path page = folder.resolve("verify.html");
        Path one = folder.resolve("one.zip");
        try (OutputStream out = Files.newOutputStream(one)) {
            handover.write(app.bean(SurveyLibrary.class).survey(survey.id()), out);
        }
        try (var in = new java.util.zip.ZipFile(one.toFile())) {
            Files.write(page, in.getInputStream(in.getEntry("verify.html")).readAllBytes());
        }
        Page browser = Browser.open().page();
        browser.setDefaultTimeout(120_000);
        browser.navigate(page.toUri().toString());
        long start = System.nanoTime();
        browser.setInputFiles("#file", zip);
        browser.waitForFunction("() => document.body.dataset.done === 'yes'");
        System.out.printf("%d entries checked in the browser: '%s' in %.2f s%n", MANY,
                browser.evaluate("() => document.body.dataset.found"), (System.nanoTime() - start) / 1e9);
        System.exit(0);
    }
}
