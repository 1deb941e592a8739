package tallledger.web.verdict;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.logging.Level;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import tallledger.core.ledger.PlainText;
import org.springframework.context.ApplicationContext;

/** The print view made into a PDF, with the application's own fonts inside. */
@Component
class PdfReport {

    static final String TEMPLATE = "verdict/print";

    static {
        // Each font and each style sheet would be a line of log, at every report.
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    private final SpringTemplateEngine templates;
    private final ApplicationContext application;

    PdfReport(SpringTemplateEngine templates, ApplicationContext application) {
        this.templates = templates;
        this.application = application;
    }

    byte[] render(Map<String, Object> view) {
        Context context = new Context(Locale.ROOT, view);
        context.setVariable("style", text("static/css/print.css"));
        context.setVariable(ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(application, null));
        String page = templates.process(TEMPLATE, context);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "ArchivoNarrow_400Regular", "Archivo Narrow", 400);
        font(builder, "ArchivoNarrow_700Bold", "Archivo Narrow", 700);
        font(builder, "Archivo_400Regular", "Archivo", 400);
        font(builder, "Archivo_600SemiBold", "Archivo", 600);
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.withHtmlContent(PlainText.xml(page), null);
        builder.toStream(out);
        try {
            builder.run();
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
