package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.microsoft.playwright.Page;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.measuring.PlateText;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.TaskStatus;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.drawings.Drawings;
import tallledger.web.drawings.ExportedDrawing;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * The report is worth its paper: a cover of one page, drawings, photographs beside what they show, a code a telephone reads, a
 * certificate.
 */
class ReportTest {

    /** A finished knee mill, of the rebuilder. */
    private static final long FINISHED = 20;
    /** Enough for a telephone, and for what stands in for one here. */
    private static final float DOTS = 220;

    @TempDir
    static Path data;
    private static App app;
    private static long survey;

    @BeforeAll
    static void photographed() throws Exception {
        app = App.on(data.resolve("data"));
        survey = Scenes.wholeSurvey(app);
        Authorship by = Authorship.of(Instant.now(), "Q. Tester");
        photograph("", 900, 1400, Color.DARK_GRAY, "as it stood");
        photograph("castings", 400, 300, Color.RED, "the crack");
        photograph("serial", 300, 300, Color.BLUE, "the plate");
        StoredSurvey now = now();
        app.bean(Books.class).append(survey, SurveyEntries.step(by, now.steps(), now.steps().step("castings").orElseThrow(), Map.of(),
                now.basis(), true, now.steps().asked(now.steps().step("castings").orElseThrow()).stream().map(a -> a.need().written())
                        .toList(),
                "cracked from the foot up"), Submission.fresh(now.head()));
    }

    private static void photograph(String step, int width, int height, Color colour, String caption) throws Exception {
        photograph(survey, step, width, height, colour, caption);
    }

    private static void photograph(long survey, String step, int width, int height, Color colour, String caption) throws Exception {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        image.createGraphics().setColor(colour);
        image.setRGB(1, 1, colour.getRGB());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        AttachmentRow row = AttachmentRow.of("image/png", out.toByteArray());
        app.bean(Attachments.class).keep(survey, List.of(row), SurveyEntries.photo(Authorship.of(Instant.now(), "Q. Tester"), step,
                List.of(new Attachment("photograph", row.sha256(), row.type())), width, height, caption),
                Submission.fresh(app.bean(SurveyLibrary.class).survey(survey).head()));
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static StoredSurvey now() {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static PDDocument pdf(App of, long survey, String how) throws Exception {
        return Loader.loadPDF(new URI(of.url("/surveys/" + survey + "/verdict.pdf" + how)).toURL().openStream().readAllBytes());
    }

    private static String text(PDDocument pdf, int from, int to) throws Exception {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(from);
        stripper.setEndPage(to);
        return stripper.getText(pdf).replace('\u00a0', ' ').replaceAll("\\s+", " ");
    }

    /** Whatever stands on it: the photograph is tall, the paper short, the money asked for. */
    /** It was kept and stood in the record, but the speed it was taken at did not show it. */
    @Test
    void aPhotographStandsAtTheSpeedItWasTakenAt() throws Exception {
        long other = Scenes.wholeSurvey(app);
        String speed = app.bean(SurveyLibrary.class).survey(other).core().machine().train().routes().get(0).key();
        photograph(other, speed, 300, 300, Color.GREEN, "the lever at low");
        Http http = new Http(app);
        assertThat(http.get("/surveys/" + other + "/run?step=" + speed).body()).contains("alt=\"the lever at low\"");
        assertThat(http.get("/surveys/" + other + "/run?step=lamp").body()).doesNotContain("the lever at low");
    }

    @Test
    void theCoverIsOnePage() throws Exception {
        for (String how : List.of("", "?size=Letter", "?size=Letter&money=yes")) {
            try (PDDocument pdf = pdf(app, survey, how)) {
                assertThat(text(pdf, 1, 1)).as(how).contains("At a glance", "as it stood (entry", "not good", "steps and speeds",
                        "Made at entry " + now().head());
                assertThat(text(pdf, 2, 2)).as(how).contains("Condition", "In all").doesNotContain("Made at entry " + now().head() + ".");
                assertThat(text(pdf, 1, 1).contains("To repair")).as(how).isEqualTo(how.contains("money"));
            }
        }
    }

    @Test
    void photographsStandBesideWhatTheyShow() {
        Page page = Browser.open().page();
        page.navigate(app.url("/surveys/" + survey + "/verdict/print"));
        assertThat(page.locator(".cover img").getAttribute("alt")).isEqualTo("as it stood");
        assertThat(page.locator("tr:has-text('cracked from the foot up') .beside img").getAttribute("alt")).isEqualTo("the crack");
        assertThat(page.locator(".photos img").count()).isEqualTo(1);
        assertThat(page.locator(".photos img").getAttribute("alt")).isEqualTo("the plate");
    }

    /** What a telephone makes of the paper is the last hash, and no key where nobody sealed it. */
    @Test
    void theCodeIsReadFromThePaper() throws Exception {
        try (PDDocument pdf = pdf(app, survey, "")) {
            BufferedImage cover = new PDFRenderer(pdf).renderImageWithDPI(0, DOTS, ImageType.RGB);
            int[] dots = cover.getRGB(0, 0, cover.getWidth(), cover.getHeight(), null, 0, cover.getWidth());
            String read = new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(cover.getWidth(),
                    cover.getHeight(), dots)))).getText();
            assertThat(read).isEqualTo("not sealed\nentry " + now().head() + "\nhash " + now().entries().get(now().head() - 1).hash());
        }
    }

    /** Every task is in the report: good, bad or undecided with its entry, or named as not tested. */
    @Test
    void whatWasNotTestedIsNamed() throws Exception {
        StoredSurvey finished = App.demo().bean(SurveyLibrary.class).survey(FINISHED);
        TaskStatus.Tally tally = TaskStatus.tally(TaskStatus.byPhase(finished.core()));
        List<String> untested = TaskStatus.byPhase(finished.core()).values().stream().flatMap(List::stream).filter(TaskStatus::isUntested)
                .map(s -> App.demo().bean(Words.class).name(s.task(), finished.folded().machine().train())).toList();
        assertThat(untested).hasSize(tally.open() + tally.passed()).hasSizeGreaterThan(5);
        try (PDDocument pdf = pdf(App.demo(), FINISHED, "")) {
            String text = text(pdf, 1, pdf.getNumberOfPages());
            String part = text.substring(text.indexOf("Of these nothing is known"),
                    text.indexOf("Cautions", text.indexOf("Of these nothing is known")));
            assertThat(untested).allSatisfy(name -> assertThat(part).contains(name));
            assertThat(text).contains("Time lines", "Axes and feeds", "Acceptance chart", "guards in place and shut");
        }
    }

    /** What stood on the plates is on the first page as it was read, with its entry; who promised a piece is named, or nobody. */
    @Test
    void thePlatesStandOnTheFirstPageAsRead() {
        StoredSurvey finished = App.demo().bean(SurveyLibrary.class).survey(FINISHED);
        String print = new Http(App.demo()).get("/surveys/" + FINISHED + "/verdict/print").body();
        assertThat(finished.steps().platesRead()).isNotEmpty().allSatisfy(plate -> assertThat(print)
                .contains(plate.as(PlateText.class).orElseThrow().whole() + " (entry " + plate.entry() + ")"));
        int at = print.indexOf("id=\"part-kit\"");
        String kit = print.substring(at, print.indexOf("</table>", at));
        assertThat(kit).doesNotContain("<td>true</td>", "<td>false</td>");
        finished.steps().kit().items().stream().map(KitItem::promised).filter(who -> !who.isEmpty())
                .forEach(who -> assertThat(kit).contains("<td>" + who + "</td>"));
    }

    /** Contents, bookmarks and headings name the same parts. */
    @Test
    void everyPartIsWhereTheContentsSay() throws Exception {
        String print = new Http(App.demo()).get("/surveys/" + FINISHED + "/verdict/print?money=yes").body();
        List<String> named = Pattern.compile("href=\"#(part-[a-z]+)\"").matcher(print).results().map(m -> m.group(1)).toList();
        assertThat(named).hasSizeGreaterThan(12).allSatisfy(part -> assertThat(print.split("id=\"" + part + "\"", -1)).as(part).hasSize(2));
        try (PDDocument pdf = pdf(App.demo(), FINISHED, "?money=yes")) {
            assertThat(pdf.getDocumentCatalog().getDocumentOutline().getOpenCount()).isEqualTo(named.size() + 1);
        }
    }

    /** "ff" and "fi" drawn as one sign have no letters behind them. */
    @Test
    void everySignHasItsLetter() throws Exception {
        List<String> signs = new ArrayList<>();
        try (PDDocument pdf = pdf(App.demo(), FINISHED, "?money=yes")) {
            new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition text) {
                    signs.add(String.valueOf(text.getUnicode()));
                }
            }.getText(pdf);
        }
        assertThat(signs).hasSizeGreaterThan(5_000).noneMatch(sign -> sign.isEmpty() || sign.equals("null")
                || sign.matches("[\ufb00-\ufb06]"));
    }

    /** Each characteristic with what was found, and what was left where it was measured again; what was not measured certifies nothing. */
    @Test
    void theCertificateGoesCharacteristicByCharacteristic() throws Exception {
        StoredSurvey finished = App.demo().bean(SurveyLibrary.class).survey(FINISHED);
        AccuracyView chart = AccuracyView.of(finished.core(), App.demo().bean(Words.class), new Marks());
        try (PDDocument pdf = pdf(App.demo(), FINISHED, "?form=certificate")) {
            String text = text(pdf, 1, pdf.getNumberOfPages());
            assertThat(text).contains("Acceptance certificate", chart.measured() + " of " + chart.rows().size() + " lines measured",
                    "Rebuilt by", "Accepted by", "Measured by");
            assertThat(chart.rows()).isNotEmpty().allSatisfy(r -> assertThat(text.replace(" ", "")).contains(r.found().isEmpty()
                    ? "notmeasured"
                    : r.found().replaceAll("[\\s\u00a0]", "")));
        }
        try (PDDocument pdf = pdf(App.demo(), 25, "?form=certificate")) {
            assertThat(text(pdf, 1, 1)).contains("0 of ", "not measured").doesNotContain("none proven");
        }
    }

    /** As lines that any reader of XML takes, and as a picture twice as large; of every machine of the demo. */
    @Test
    void everyDrawingIsAFileOfItsOwn() throws Exception {
        Http http = new Http(App.demo());
        for (long of : new long[] {3, 8, 18, FINISHED}) {
            List<ExportedDrawing> drawings = App.demo().bean(Drawings.class).of(App.demo().bean(SurveyLibrary.class).survey(of));
            assertThat(drawings).extracting(ExportedDrawing::name).doesNotHaveDuplicates().allMatch(n -> n.matches("[a-z0-9-]+"));
            for (ExportedDrawing drawing : drawings) {
                String svg = http.get("/surveys/" + of + "/drawings/" + drawing.name() + ".svg").body();
                Element root = DocumentBuilderFactory.newDefaultInstance().newDocumentBuilder()
                        .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8))).getDocumentElement();
                assertThat(root.getTagName()).isEqualTo("svg");
                assertThat(root.getAttribute("aria-label")).as(drawing.name()).isNotEmpty();
                assertThat(svg).doesNotContain("style=", "<script", "null");
            }
            assertThat(http.get("/surveys/" + of + "/drawings").body().split("class=\"drawing\"", -1)).hasSize(drawings.size() + 1);
        }
        BufferedImage picture = ImageIO.read(new URI(App.demo().url("/surveys/3/drawings/ray-chart.png")).toURL());
        assertThat(picture.getWidth()).isEqualTo(1120);
        assertThat(Stream.of(0, 1119).map(x -> picture.getRGB(x, 0))).as("on white").containsOnly(Color.WHITE.getRGB());
        assertThat(http.get("/surveys/3/drawings/nothing.svg").statusCode()).isEqualTo(404);
    }
}
