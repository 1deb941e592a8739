package tallledger.web.forms;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.web.words.WebReason;

/** Text that comes in a file, or was pasted. */
public final class Uploaded {

    private Uploaded() {
    }

    /**
     * @param pasted what stands in the field; the file goes before it
     * @throws Refused where it is too long, or no text in UTF-8
     */
    public static String text(Optional<MultipartFile> file, String pasted, int longest) {
        Optional<MultipartFile> chosen = file.filter(f -> !f.isEmpty());
        if (chosen.isEmpty()) {
            return checked(pasted, longest);
        }
        if (chosen.get().getSize() > 4L * longest) {
            throw Refused.because(CommonReason.TEXT_LONG, chosen.get().getSize(), longest);
        }
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(chosen.get().getBytes())).toString();
            return checked(text.startsWith("\ufeff") ? text.substring(1) : text, longest);
        } catch (CharacterCodingException notText) {
            throw Refused.because(WebReason.TEXT_NOT_UTF8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String checked(String text, int longest) {
        if (text.length() > longest) {
            throw Refused.because(CommonReason.TEXT_LONG, text.length(), longest);
        }
        if (text.indexOf('\0') >= 0) {
            throw Refused.because(WebReason.TEXT_NOT_UTF8);
        }
        return text;
    }
}
