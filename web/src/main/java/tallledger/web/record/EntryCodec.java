package tallledger.web.record;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Entries to rows and back; the payload is stored as the canonical JSON its hash was taken of. */
@Component
class EntryCodec {

    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() { };

    private final JsonMapper json = JsonMapper.builder().build();

    EntryRow row(long bookId, Entry entry, String submission) {
        return new EntryRow(bookId, entry.sequence(), entry.at().toString(), entry.author(), entry.kind(), entry.step(),
                CanonicalJson.write(entry.draft().payload()), entry.draft().strikes().orElse(null), entry.previous(),
                entry.hash(), submission);
    }

    /** A row that cannot be read keeps its place as a damaged entry: one broken record never hides another. */
    Entry entry(EntryRow row) {
        try {
            Draft draft = new Draft(Instant.parse(row.at()), row.author(), row.kind(), row.step(), json.readValue(row.payload(), TREE),
                    Optional.ofNullable(row.strikes()));
            return new Entry(row.sequence(), draft, row.previous(), row.hash());
        } catch (DateTimeParseException badTime) {
            return damaged(row, Reason.of("stray.time"));
        } catch (JacksonException | NullPointerException badContent) {
            return damaged(row, Reason.of("stray.content"));
        } catch (RuntimeException unread) {
            return damaged(row, Reason.of("stray.unreadable"));
        }
    }

    private static Entry damaged(EntryRow row, Reason because) {
        return Entry.damaged(row.sequence(), row.kind(), row.previous(), row.hash(), because);
    }
}
