package tallledger.core.ledger;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * One line of the ledger, in its place in the chain.
 *
 * @param sequence 1 for the first
 * @param draft    what was written
 * @param previous hash of the entry before, 64 zeros for the first
 * @param hash     SHA-256 of {@link #canonical}, lower-case hex
 * @param damage   why the stored line cannot be read; empty for a whole one. A damaged line keeps its place and says nothing
 */
public record Entry(int sequence, Draft draft, String previous, String hash, Optional<Reason> damage) {

    public static final String BEFORE_FIRST = "0".repeat(64);

    public Entry(int sequence, Draft draft, String previous, String hash) {
        this(sequence, draft, previous, hash, Optional.empty());
    }

    /** A line of the store that cannot be read: it keeps its place in the chain, and no one takes it for anything. */
    public static Entry damaged(int sequence, String kind, String previous, String hash, Reason because) {
        Draft nothing = new Draft(Instant.EPOCH, "?", kind == null ? "?" : kind, "", Map.of(), Optional.empty());
        return new Entry(sequence, nothing, previous == null ? "" : previous, hash == null ? "" : hash, Optional.of(because));
    }

    /**
     * The next entry of a chain.
     *
     * @throws Refused for text that not every reader of the record could show, see {@link PlainText}
     */
    public static Entry following(Optional<Entry> last, Draft draft) {
        PlainText.fault(draft.author()).or(() -> PlainText.fault(draft.step())).or(() -> PlainText.faultIn(draft.payload())).ifPresent(fault -> {
            throw new Refused(fault);
        });
        int sequence = last.map(e -> e.sequence + 1).orElse(1);
        String previous = last.map(Entry::hash).orElse(BEFORE_FIRST);
        return new Entry(sequence, draft, previous, hashOf(sequence, draft, previous));
    }

    /** What the hash is taken of. */
    public String canonical() {
        return canonical(sequence, draft, previous);
    }

    /** Whether the hash is that of the content; never for what cannot be read or has no canonical form. */
    public boolean isWhole() {
        try {
            return damage.isEmpty() && hash.equals(hashOf(sequence, draft, previous));
        } catch (IllegalArgumentException noCanonicalForm) {
            return false;
        }
    }

    public Instant at() {
        return draft.at();
    }

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

    private static String canonical(int sequence, Draft draft, String previous) {
        Map<String, Object> whole = new TreeMap<>();
        whole.put("sequence", sequence);
        whole.put("at", draft.at().toString());
        whole.put("author", draft.author());
        whole.put("kind", draft.kind());
        whole.put("step", draft.step());
        whole.put("payload", draft.payload());
        draft.strikes().ifPresent(struck -> whole.put("strikes", struck));
        whole.put("previous", previous);
        return CanonicalJson.write(whole);
    }

    private static String hashOf(int sequence, Draft draft, String previous) {
        try {
            byte[] bytes = canonical(sequence, draft, previous).getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
