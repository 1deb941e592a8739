package tallledger.web.drawings;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.batik.transcoder.TranscoderException;
import org.apache.batik.transcoder.TranscoderInput;
import org.apache.batik.transcoder.TranscoderOutput;
import org.apache.batik.transcoder.image.PNGTranscoder;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import tallledger.core.ledger.PlainText;

/** A drawing as a file of its own: SVG, and PNG twice as large as on screen. */
@Component
public class DrawingFiles {

    private static final Pattern SVG = Pattern.compile("<svg\\b.*</svg>", Pattern.DOTALL);
    private static final Pattern WIDTH = Pattern.compile("<svg\\b[^>]*?\\bwidth=\"(\\d+)\"");
    private static final float ENLARGED = 2;

    private final SpringTemplateEngine templates;

    DrawingFiles(SpringTemplateEngine templates) {
        DrawingFonts.registered();
        this.templates = templates;
    }

    /** As a file of its own; what it shows stands in it as its title. */
    public String svg(ExportedDrawing drawing) {
        Context context = new Context(Locale.ROOT);
        context.setVariable("template", drawing.template());
        context.setVariable("view", drawing.view());
        Matcher found = SVG.matcher(templates.process("drawings/one", context));
        if (!found.find()) {
            throw new IllegalStateException("no drawing in " + drawing.template());
        }
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + PlainText.xml(found.group()) + "\n";
    }

    public byte[] png(ExportedDrawing drawing) {
        String svg = svg(drawing);
        PNGTranscoder transcoder = new PNGTranscoder();
        transcoder.addTranscodingHint(PNGTranscoder.KEY_BACKGROUND_COLOR, Color.WHITE);
        Matcher width = WIDTH.matcher(svg);
        if (width.find()) {
            transcoder.addTranscodingHint(PNGTranscoder.KEY_WIDTH, ENLARGED * Float.parseFloat(width.group(1)));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            transcoder.transcode(new TranscoderInput(new StringReader(svg)), new TranscoderOutput(out));
        } catch (TranscoderException e) {
            throw new UncheckedIOException(new IOException(e));
        }
        return out.toByteArray();
    }
}
