package tallledger.web.store;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Author;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Entries to rows and back; the payload is stored as the canonical JSON its hash was taken of. */
@Component
class EntryCodec {

    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() {
    };

    private final JsonMapper json = JsonMapper.builder().build();

    EntryRow row(long bookId, Entry entry, String submission) {
        return new EntryRow(bookId, entry.format(), entry.sequence(), entry.at().toString(), entry.by().zone().getId(), entry.author(),
                entry.by().author().role(), entry.kind(), entry.step(), CanonicalJson.write(entry.draft().payload()), attachments(entry),
                entry.draft().strikes().orElse(null), entry.previous(), entry.hash(), submission);
    }

    /** A row that cannot be read keeps its place as a damaged entry: one broken record never hides another. */
    Entry entry(EntryRow row) {
        try {
            if (row.format() < Entry.OLDEST_FORMAT || row.format() > Entry.FORMAT) {
                return damaged(row, Reason.of(WebReason.STRAY_FORMAT, row.format(), Entry.FORMAT));
            }
            Authorship by = new Authorship(Instant.parse(row.at()), row.format() == 1 ? ZoneOffset.UTC : ZoneId.of(row.zone()),
                    new Author(row.author(), row.role()));
            Draft draft = new Draft(by, row.kind(), row.step(), json.readValue(row.payload(), TREE),
                    List.of(json.readValue(row.attachments(), Attachment[].class)), Optional.ofNullable(row.strikes()));
            return new Entry(row.format(), row.sequence(), draft, row.previous(), row.hash());
        } catch (DateTimeException badTime) {
            return damaged(row, Reason.of(WebReason.STRAY_TIME));
        } catch (JacksonException | NullPointerException badContent) {
            return damaged(row, Reason.of(WebReason.STRAY_CONTENT));
        } catch (RuntimeException unread) {
            return damaged(row, Reason.of(CommonReason.STRAY_UNREADABLE));
        }
    }

    private static String attachments(Entry entry) {
        return CanonicalJson.write(entry.draft().attachments().stream()
                .map(a -> Map.of("use", a.use(), "sha256", a.sha256(), "type", a.type())).toList());
    }

    private static Entry damaged(EntryRow row, Reason because) {
        return Entry.damaged(row.sequence(), row.kind(), row.previous(), row.hash(), because);
    }
}
