package tallledger.web.drawings;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.springframework.core.io.ClassPathResource;

/**
 * The application's own letters for drawings, wherever it runs: the library that draws looks for them among those of the machine, so they
 * are put there before it looks.
 */
public final class DrawingFonts {

    static {
        for (String file : List.of("ArchivoNarrow_400Regular", "DejaVuSans")) {
            try (InputStream in = new ClassPathResource("static/fonts/" + file + ".ttf").getInputStream()) {
                GraphicsEnvironment.getLocalGraphicsEnvironment().registerFont(Font.createFont(Font.TRUETYPE_FONT, in));
            } catch (IOException | FontFormatException e) {
                throw new IllegalStateException("its fonts ship with the application", e);
            }
        }
    }

    private DrawingFonts() {
    }

    /** Once; again it does nothing. */
    public static void registered() {
        // Loading this class did it.
    }
}
