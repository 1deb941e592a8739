package tallledger.core.ledger;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * One line of the ledger, in its place in the chain.
 *
 * <p>Its canonical form is versioned. Format 1 had the author's name alone, no zone and no attachments; format 2 is written today.
 * What is written stays in the format it was written in.
 *
 * @param format   of its canonical form
 * @param sequence 1 for the first
 * @param draft    what was written
 * @param previous hash of the entry before, 64 zeros for the first
 * @param hash     SHA-256 of {@link #canonical}, lower-case hex
 * @param damage   why the stored line cannot be read; empty for a whole one. A damaged line keeps its place and says nothing
 */
public record Entry(int format, int sequence, Draft draft, String previous, String hash, Optional<Reason> damage) {

    public static final String BEFORE_FIRST = "0".repeat(64);

    /** The format entries are written in. */
    public static final int FORMAT = 2;
    /** The oldest that can be read: all between are. */
    public static final int OLDEST_FORMAT = 1;

    private static final Authorship NOBODY = Authorship.of(Instant.EPOCH, "?");

    public Entry(int format, int sequence, Draft draft, String previous, String hash) {
        this(format, sequence, draft, previous, hash, Optional.empty());
    }

    /** A line of the store that cannot be read: it keeps its place in the chain, and no one takes it for anything. */
    public static Entry damaged(int sequence, String kind, String previous, String hash, Reason because) {
        Draft nothing = Draft.of(NOBODY, kind == null ? "?" : kind, "", Map.of());
        return new Entry(FORMAT, sequence, nothing, previous == null ? "" : previous, hash == null ? "" : hash, Optional.of(because));
    }

    /**
     * The next entry of a chain.
     *
     * @throws Refused for text that not every reader of the record could show, see {@link PlainText}
     */
    public static Entry following(Optional<Entry> last, Draft draft) {
        PlainText.fault(draft.by().author().written()).or(() -> PlainText.fault(draft.step())).or(() -> PlainText.faultIn(draft.payload()))
                .ifPresent(fault -> {
                    throw new Refused(fault);
                });
        int sequence = last.map(e -> e.sequence + 1).orElse(1);
        String previous = last.map(Entry::hash).orElse(BEFORE_FIRST);
        return new Entry(FORMAT, sequence, draft, previous, hashOf(FORMAT, sequence, draft, previous));
    }

    /** What the hash is taken of. */
    public String canonical() {
        return canonical(format, sequence, draft, previous);
    }

    /** Whether the hash is that of the content; never for what cannot be read or has no canonical form. */
    public boolean isWhole() {
        try {
            return damage.isEmpty() && hash.equals(hashOf(format, sequence, draft, previous));
        } catch (IllegalArgumentException noCanonicalForm) {
            return false;
        }
    }

    public Instant at() {
        return draft.at();
    }

    public Authorship by() {
        return draft.by();
    }

    /** Name of who wrote it. */
    public String author() {
        return draft.author();
    }

    public String kind() {
        return draft.kind();
    }

    public String step() {
        return draft.step();
    }

    public Payload payload() {
        return new Payload(draft.payload());
    }

    /** As it is handed over: what the hash is taken of, and the hash. */
    public Map<String, Object> handedOver() {
        Map<String, Object> whole = fields(format, sequence, draft, previous);
        whole.put("hash", hash);
        return whole;
    }

    /**
     * Reads what was handed over; what makes no sense keeps its place as a damaged entry.
     *
     * @param fields of one entry, with its hash
     * @param place  its number by its place in the file
     */
    public static Entry handedOver(Map<String, Object> fields, int place) {
        try {
            int format = fields.get("format") instanceof Integer f ? f : OLDEST_FORMAT;
            Object author = fields.get("author");
            Author who = author instanceof Map<?, ?> a ? new Author((String) a.get("name"), (String) a.get("role"))
                    : new Author((String) author, "");
            ZoneId zone = format == OLDEST_FORMAT ? ZoneOffset.UTC : ZoneId.of((String) fields.get("zone"));
            List<Attachment> attachments = fields.get("attachments") instanceof List<?> list ? list.stream().map(a -> (Map<?, ?>) a)
                    .map(a -> new Attachment((String) a.get("use"), (String) a.get("sha256"), (String) a.get("type"))).toList() : List.of();
            @SuppressWarnings("unchecked")
            Map<String, Object> payload = (Map<String, Object>) fields.get("payload");
            Draft draft = new Draft(new Authorship(Instant.parse((String) fields.get("at")), zone, who), (String) fields.get("kind"),
                    (String) fields.get("step"), payload, attachments, Optional.ofNullable((Integer) fields.get("strikes")));
            return new Entry(format, (Integer) fields.get("sequence"), draft, (String) fields.get("previous"), (String) fields.get("hash"));
        } catch (RuntimeException nonsense) {
            return damaged(place, String.valueOf(fields.get("kind")), "", "", Reason.of(CommonReason.STRAY_UNREADABLE));
        }
    }

    private static String canonical(int format, int sequence, Draft draft, String previous) {
        return CanonicalJson.write(fields(format, sequence, draft, previous));
    }

    private static Map<String, Object> fields(int format, int sequence, Draft draft, String previous) {
        Map<String, Object> whole = new TreeMap<>();
        whole.put("sequence", sequence);
        whole.put("at", draft.at().toString());
        if (format == 1) {
            whole.put("author", draft.author());
        } else {
            whole.put("format", format);
            whole.put("zone", draft.by().zone().getId());
            whole.put("author", Map.of("name", draft.author(), "role", draft.by().author().role()));
            whole.put("attachments", draft.attachments().stream().map(a -> Map.of("use", a.use(), "sha256", a.sha256(), "type", a.type()))
                    .toList());
        }
        whole.put("kind", draft.kind());
        whole.put("step", draft.step());
        whole.put("payload", draft.payload());
        draft.strikes().ifPresent(struck -> whole.put("strikes", struck));
        whole.put("previous", previous);
        return whole;
    }

    private static String hashOf(int format, int sequence, Draft draft, String previous) {
        try {
            byte[] bytes = canonical(format, sequence, draft, previous).getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
