package tallledger.web.house;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tallledger.web.record.Backups;

/** A backup of everything, taken while it runs. */
@Controller
class BackupController {

    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("'tall-ledger-'yyyy-MM-dd-HHmm'.zip'", Locale.ROOT);

    private final Backups backups;
    private final Clock clock;

    BackupController(Backups backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    @GetMapping("/house/backup")
    String ask() {
        return "house/backup";
    }

    @PostMapping("/house/backup")
    ResponseEntity<StreamingResponseBody> take() throws IOException {
        Path taken = backups.taken();
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.parseMediaType("application/zip"));
        headers.setContentLength(Files.size(taken));
        headers.setContentDisposition(ContentDisposition.attachment().filename(NAME.format(clock.instant().atZone(ZoneId.systemDefault()))).build());
        return new ResponseEntity<>(out -> {
            try (InputStream in = Files.newInputStream(taken)) {
                in.transferTo(out);
            } finally {
                Files.deleteIfExists(taken);
            }
        }, headers, HttpStatus.OK);
    }
}
