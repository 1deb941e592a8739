package tallledger.web.house;

import java.io.IOException;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tallledger.core.reason.Reason;
import tallledger.web.backup.Backups;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;
import tallledger.web.works.Download;

/** A backup of everything, taken while it runs. */
@Controller
class BackupController {

    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("'tall-ledger-'yyyy-MM-dd-HHmm'.zip'", Locale.ROOT);

    private final Backups backups;
    private final BackgroundJobs works;
    private final ShelfAnew shelf;
    private final Clock clock;

    BackupController(Backups backups, ShelfAnew shelf, BackgroundJobs works, Clock clock) {
        this.shelf = shelf;
        this.works = works;
        this.backups = backups;
        this.clock = clock;
    }

    @GetMapping("/house/backup")
    String ask(Model model) {
        model.addAttribute("going", works.going());
        return "house/backup";
    }

    /** Every line of the shelf made anew. */
    @PostMapping("/house/shelf/begin")
    String shelf() {
        return works.answer(shelf.begin());
    }

    /** As work: there at once where it is quick; else it says how far it is, and can be stopped. */
    @PostMapping("/house/backup/begin")
    String begin() {
        String name = NAME.format(clock.instant().atZone(ZoneId.systemDefault()));
        return works.answer(works.begin("backup " + clock.instant(), Reason.of(WebReason.WORK_BACKUP), "/house/backup",
                progress -> new BackgroundJobs.Output.File(backups.taken(new Backups.Watch() {
                    @Override
                    public void copies() {
                        progress.at(0.1, Reason.of(WebReason.WORK_BACKUP_COPY));
                    }

                    @Override
                    public void packs(double share) {
                        progress.at(0.5 + share / 2, Reason.of(WebReason.WORK_BACKUP_PACK));
                    }
                }), name, MediaType.parseMediaType("application/zip"))));
    }

    @PostMapping("/house/backup")
    ResponseEntity<StreamingResponseBody> take() throws IOException {
        return Download.of(backups.taken(), NAME.format(clock.instant().atZone(ZoneId.systemDefault())),
                MediaType.parseMediaType("application/zip"), true);
    }
}
