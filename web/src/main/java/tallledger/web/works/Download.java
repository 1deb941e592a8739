package tallledger.web.works;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A file on the disk, sent with its length: what comes cut short is seen to be, however long it took. */
public final class Download {

    private Download() {
    }

    /**
     * @param ends whether the file is deleted once it is sent, or cannot be
     * @throws IOException where it is not there any more
     */
    public static ResponseEntity<StreamingResponseBody> of(Path file, String name, MediaType type, boolean ends) throws IOException {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(type);
        headers.setContentLength(Files.size(file));
        // Read in the window it was asked from, as a report; anything else is put away.
        headers.setContentDisposition((type.equals(MediaType.APPLICATION_PDF) ? ContentDisposition.inline()
                : ContentDisposition.attachment())
                .filename(name).build());
        return new ResponseEntity<>(out -> {
            try (InputStream in = Files.newInputStream(file)) {
                in.transferTo(out);
            } finally {
                if (ends) {
                    Files.deleteIfExists(file);
                }
            }
        }, headers, HttpStatus.OK);
    }
}
