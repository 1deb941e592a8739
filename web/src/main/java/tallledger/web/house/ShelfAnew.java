package tallledger.web.house;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;

/**
 * What the shelf shows of each machine, made anew from the books as work that says how far it is: asked for on a page, or at the start
 * ({@code --rebuild-shelf}).
 */
@Component
class ShelfAnew {

    private final ShelfIndex shelf;
    private final BackgroundJobs works;
    private final boolean atStart;

    ShelfAnew(ShelfIndex shelf, BackgroundJobs works, @Value("${tallledger.rebuild-shelf:false}") boolean atStart) {
        this.shelf = shelf;
        this.works = works;
        this.atStart = atStart;
    }

    /** Begins it, or gives the one that goes on. */
    BackgroundJobs.BackgroundJob begin() {
        return works.begin("shelf", Reason.of(WebReason.WORK_SHELF), "/house/backup", progress -> {
            shelf.makeAnew((done, all) -> progress.at(done / (double) all, Reason.of(WebReason.WORK_SHELF_LINES, done, all)));
            return new BackgroundJobs.Output.Page("/");
        });
    }

    @EventListener(ApplicationReadyEvent.class)
    void asked() {
        if (atStart) {
            begin();
        }
    }
}
