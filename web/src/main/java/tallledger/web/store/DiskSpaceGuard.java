package tallledger.web.store;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;

/**
 * Room left on the disk. H2 closes itself when a write finds none, so it is looked for before: what is to be written, three times
 * over (the store copies before it replaces), and a margin (house rule, {@code tallledger.room}).
 */
@Component
class DiskSpaceGuard {

    private static final long COPIES = 3;
    private static final long MEGABYTE = 1024 * 1024;

    private final Path data;
    private final long margin;

    DiskSpaceGuard(@Value("${tallledger.data}") Path data, @Value("${tallledger.room}") DataSize margin) {
        this.data = data;
        this.margin = margin.toBytes();
    }

    /** @throws WriteRefusedException where too little is left */
    void check(long bytes) {
        long left = data.toFile().getUsableSpace();
        if (left < margin + COPIES * bytes) {
            throw new WriteRefusedException(Reason.of(WebReason.STORE_ROOM, left / MEGABYTE, (margin + COPIES * bytes) / MEGABYTE));
        }
    }
}
