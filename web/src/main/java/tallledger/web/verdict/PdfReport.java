package tallledger.web.verdict;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.Locale;
import java.util.Map;
import java.util.logging.Level;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import tallledger.core.ledger.PlainText;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationContext;
import org.springframework.context.event.EventListener;

/** The print view made into a PDF, with the application's own fonts inside. */
@Component
class PdfReport {

    static final String TEMPLATE = "verdict/print";
    private static final String NOTHING = "<html><head><style>%s</style></head><body><h1>A</h1><p><b>b</b></p><table><tr><th>c</th><td>d</td></tr></table>"
            + "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"20\" height=\"20\"><path d=\"M0 0L9 9\"/><text x=\"1\" y=\"9\">e</text></svg></body></html>";

    static {
        // Each font and each style sheet would be a line of log, at every report.
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    private final SpringTemplateEngine templates;
    private final ApplicationContext application;
    private final boolean warms;

    PdfReport(SpringTemplateEngine templates, ApplicationContext application, @Value("${tallledger.warm:true}") boolean warms) {
        this.warms = warms;
        this.templates = templates;
        this.application = application;
    }

    /** Fonts and drawing are read in once the application answers, so that nobody waits for them at the first report. */
    @EventListener(ApplicationReadyEvent.class)
    void warm() {
        if (warms) {
            Thread thread = new Thread(() -> made(NOTHING.formatted(text("static/css/print.css")), Instant.EPOCH), "warm report");
            thread.setDaemon(true);
            thread.start();
        }
    }

    /** @param at time of the last entry it is made at: it stands in the file, and the time of making does not */
    byte[] render(Map<String, Object> view, Instant at) {
        Context context = new Context(Locale.ROOT, view);
        context.setVariable("style", text("static/css/print.css"));
        context.setVariable(ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(application, null));
        return made(templates.process(TEMPLATE, context), at);
    }

    private static byte[] made(String page, Instant at) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "ArchivoNarrow_400Regular", "Archivo Narrow", 400);
        font(builder, "ArchivoNarrow_700Bold", "Archivo Narrow", 700);
        font(builder, "Archivo_400Regular", "Archivo", 400);
        font(builder, "Archivo_600SemiBold", "Archivo", 600);
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.withHtmlContent(PlainText.xml(page), null);
        builder.toStream(out);
        try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
            renderer.createPDFWithoutClosing();
            PDDocument document = renderer.getPdfDocument();
            Calendar then = GregorianCalendar.from(at.atZone(ZoneOffset.UTC));
            document.getDocumentInformation().setCreationDate(then);
            document.getDocumentInformation().setModificationDate(then);
            document.setDocumentId(at.toEpochMilli());
            document.save(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> stream("static/fonts/" + file + ".ttf"), family, weight, FontStyle.NORMAL, true);
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
