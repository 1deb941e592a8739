package tallledger.web.verdict;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.BitSet;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.regex.Pattern;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;
import tallledger.core.ledger.PlainText;
import tallledger.web.drawings.DrawingFonts;

/** The print view made into a PDF, with the application's own fonts inside. */
@Component
public class PdfReport {

    /** What a drawing shows, in words, where who reads aloud looks for it. */
    private static final Pattern DRAWING = Pattern.compile("<svg\\b([^>]*?)aria-label=\"([^\"]*)\"");
    private static final Pattern MADE = Pattern.compile("<xmp:CreateDate>[^<]*</xmp:CreateDate>");
    /** Where the directory of a font begins, and how long a line of it is (OpenType). */
    private static final int TABLES_AT = 12;
    private static final int A_TABLE = 16;
    /** For Greek, Cyrillic and Arabic, which the others do not hold. */
    private static final String OTHER_SCRIPTS = "DejaVuSans";
    private static final String OTHER_FAMILY = "DejaVu Sans";
    private static final long WARM_AFTER_MS = 4_000;
    private static final String NOTHING = "<html lang=\"en\"><head><title>A</title><meta name=\"subject\" content=\"A\"/><meta "
            + "name=\"description\" "
            + "content=\"A\"/><style>%s</style></head><body><h1>A</h1><p><b>b</b></p><table><tr><th>c</th><td>d</td></tr></table>"
            + "<svg alt=\"A\" xmlns=\"http://www.w3.org/2000/svg\" width=\"20\" height=\"20\"><path d=\"M0 0L9 9\"/><text x=\"1\" "
            + "y=\"9\">e</text></svg></body></html>";

    static {
        // Each font and each style sheet would be a line of log, at every report.
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    private final SpringTemplateEngine templates;
    private final ApplicationContext application;
    private final boolean warms;

    PdfReport(SpringTemplateEngine templates, ApplicationContext application, @Value("${tallledger.warm:true}") boolean warms) {
        DrawingFonts.registered();
        this.warms = warms;
        this.templates = templates;
        this.application = application;
    }

    /** Fonts and drawing are read in once the application answers, so that nobody waits for them at the first report. */
    @EventListener(ApplicationReadyEvent.class)
    void warm() {
        if (warms) {
            Thread thread = new Thread(this::warmLater, "warm report");
            thread.setDaemon(true);
            thread.start();
        }
    }

    /** Behind the first pages, which somebody waits for. */
    private void warmLater() {
        try {
            Thread.sleep(WARM_AFTER_MS);
            made(NOTHING.formatted(text("static/css/print.css")), Instant.EPOCH, Photographs.none());
        } catch (InterruptedException ends) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * A page of words alone.
     *
     * @param at     time of the last entry it is made at
     * @param letter on US paper instead of A4
     */
    public byte[] render(String template, Map<String, Object> view, Instant at, boolean letter) {
        return render(template, view, at, letter, Photographs.none());
    }

    byte[] render(Reports.Form form, Map<String, Object> view, Instant at, boolean letter, Photographs photographs) {
        return render(form.template(), view, at, letter, photographs);
    }

    /** Of which time it is stands in the file, and the time of making does not. */
    private byte[] render(String template, Map<String, Object> view, Instant at, boolean letter, Photographs photographs) {
        String style = text("static/css/print.css").replace("size: A4", letter ? "size: Letter" : "size: A4");
        // Drawings know only letters that the style names.
        Context context = context(view, face("Archivo Narrow", "ArchivoNarrow_400Regular", 400) + style);
        context.setVariable("marked", true);
        photographs.begun();
        String page = templates.process(template, context);
        if (page.codePoints().allMatch(c -> c <= ' ' || OWN.get().get(c))) {
            return made(page, at, photographs);
        }
        context.setVariable("style", face("Archivo Narrow", "ArchivoNarrow_400Regular", 400) + face(OTHER_FAMILY, OTHER_SCRIPTS, 400)
                + style);
        List<String> missing = missing(page);
        context.setVariable("missing", missing.isEmpty() ? null : missing);
        return made(templates.process(template, context), at, photographs);
    }

    /** The same as one page that needs no other: its style, its fonts and its pictures inside. */
    String page(Map<String, Object> view) {
        return templates.process(Reports.Form.WHOLE.template(),
                context(view, face("Archivo", "Archivo_400Regular", 400) + face("Archivo Narrow", "ArchivoNarrow_700Bold", 700)
                        + text("static/css/print.css")));
    }

    private static String face(String family, String file, int weight) {
        try (InputStream in = withoutLigatures("static/fonts/" + file + ".ttf")) {
            return "@font-face { font-family: \"" + family + "\"; font-weight: " + weight + "; src: url(\"data:font/ttf;base64,"
                    + Base64.getEncoder().encodeToString(in.readAllBytes()) + "\"); }\n";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Context context(Map<String, Object> view, String style) {
        Context context = new Context(Locale.ROOT, view);
        context.setVariable("style", style);
        context.setVariable(ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(application, null));
        return context;
    }

    /** Signs that no font that ships with the application holds, by their number: they are printed as #, and the report says so. */
    private static List<String> missing(String page) {
        return page.codePoints().filter(c -> c > ' ' && !OWN.get().get(c) && !OTHERS.get().get(c)).distinct().sorted().limit(MOST_MISSING)
                .mapToObj(c -> String.format(Locale.ROOT, "U+%04X", c)).toList();
    }

    private static final int MOST_MISSING = 60;

    private static final Supplier<BitSet> OWN = SingletonSupplier.of(() -> held("Archivo_400Regular"));
    private static final Supplier<BitSet> OTHERS = SingletonSupplier.of(() -> held(OTHER_SCRIPTS));

    /** Signs a font holds. */
    private static BitSet held(String file) {
        BitSet held = new BitSet();
        try (InputStream in = stream("static/fonts/" + file + ".ttf");
                TrueTypeFont font = new TTFParser()
                        .parse(new RandomAccessReadBuffer(in))) {
            CmapLookup signs = font.getUnicodeCmapLookup();
            for (int c = 0; c < MOST_SIGNS; c++) {
                held.set(c, signs.getGlyphId(c) != 0);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        // What joins, parts or turns signs is never drawn.
        held.set(0x2000, 0x2010);
        held.set(0x2028, 0x2030);
        return held;
    }

    private static final int MOST_SIGNS = 0x20000;

    private static byte[] made(String page, Instant at, Photographs photographs) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "ArchivoNarrow_400Regular", "Archivo Narrow", 400);
        font(builder, "ArchivoNarrow_700Bold", "Archivo Narrow", 700);
        font(builder, "Archivo_400Regular", "Archivo", 400);
        font(builder, "Archivo_600SemiBold", "Archivo", 600);
        font(builder, OTHER_SCRIPTS, OTHER_FAMILY, 400);
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.useProtocolsStreamImplementation(photographs, Photographs.PROTOCOL);
        // PDF/A-2 with tags (ISO 19005-2, level A): it can be read in fifty years, and aloud.
        builder.usePdfUaAccessibility(true);
        builder.usePdfAConformance(PdfRendererBuilder.PdfAConformance.PDFA_2_A);
        builder.useColorProfile(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
        builder.withHtmlContent(PlainText.xml(DRAWING.matcher(page).replaceAll("<svg alt=\"$2\"$1aria-label=\"$2\"")), null);
        builder.toStream(out);
        try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
            renderer.createPDFWithoutClosing();
            photographs.laidOut();
            PDDocument document = renderer.getPdfDocument();
            Calendar then = GregorianCalendar.from(at.atZone(ZoneOffset.UTC));
            document.getDocumentInformation().setCreationDate(then);
            document.getDocumentInformation().setModificationDate(then);
            PDMetadata metadata = document.getDocumentCatalog().getMetadata();
            if (metadata != null) {
                String xmp = new String(metadata.toByteArray(), StandardCharsets.UTF_8);
                metadata.importXMPMetadata(MADE.matcher(xmp).replaceAll("<xmp:CreateDate>" + at.truncatedTo(ChronoUnit.SECONDS)
                        + "</xmp:CreateDate>").getBytes(StandardCharsets.UTF_8));
            }
            document.setDocumentId(at.toEpochMilli());
            document.save(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> withoutLigatures("static/fonts/" + file + ".ttf"), family, weight, FontStyle.NORMAL, true);
    }

    /**
     * The font without its table of substitutions: what is drawn for "ff" as one shape has no letters behind it, so that a report could be
     * neither searched nor copied. The table is found by its name in the directory at the font's beginning; by another name nobody looks
     * at it.
     */
    private static InputStream withoutLigatures(String path) {
        try (InputStream in = stream(path)) {
            byte[] font = in.readAllBytes();
            int tables = (font[4] & 0xff) << 8 | font[5] & 0xff;
            for (int at = TABLES_AT; at < TABLES_AT + A_TABLE * tables; at += A_TABLE) {
                if (new String(font, at, 4, StandardCharsets.US_ASCII).equals("GSUB")) {
                    font[at + 3] = 'x';
                }
            }
            return new ByteArrayInputStream(font);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static InputStream stream(String path) {
        try {
            return new ClassPathResource(path).getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String text(String path) {
        try (InputStream in = stream(path)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
