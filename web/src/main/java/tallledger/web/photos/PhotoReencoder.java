package tallledger.web.photos;

import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.reason.Refused;
import tallledger.web.words.WebReason;

/** Makes photographs afresh, one at a time: a decoded picture is many times its file, and eight at once were more than the memory. */
@Component
class PhotoReencoder {

    /** A photograph of a tablet has under 15 MB. */
    private static final long MOST = 15L * 1024 * 1024;

    private final Semaphore one = new Semaphore(1, true);

    /**
     * @param longest side of it as it is kept, px
     * @throws Refused for what is no JPEG or PNG whatever it is called, too large, or broken
     */
    PhotoFile develop(Optional<MultipartFile> sent, int longest) {
        if (sent.filter(s -> s.getSize() > MOST).isPresent()) {
            throw new MaxUploadSizeExceededException(MOST);
        }
        one.acquireUninterruptibly();
        try {
            return PhotoFile.of(sent.isPresent() ? sent.get().getBytes() : new byte[0], longest);
        } catch (IOException broken) {
            throw Refused.because(WebReason.PHOTO_BROKEN);
        } finally {
            one.release();
        }
    }
}
