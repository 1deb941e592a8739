package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.sound.SoundFindings;
import tallledger.core.unit.LengthUnit;

/**
 * A sound recording as the ledger names it; its bytes lie in the store under their hash (W 3.8).
 *
 * @param task    key of the speed that ran; empty for the room with the machine off
 * @param sha256  hash of the bytes
 * @param bytes   how many
 * @param seconds how long
 * @param stood   where and how the microphone stood
 * @param found   what it showed; empty where nobody looked at it
 * @param treated whether what recorded it changed the level or took noise away by itself
 */
public record Recording(int entry, String author, String task, String sha256, int bytes, BigDecimal seconds, String stood,
        Treated treated, Optional<SoundFindings> found) {

    /** Whether the recorder had its own ideas. */
    public enum Treated {
        /** No gain control, no echo and no noise suppression. */
        NOT,
        /** Some of it was on: it proves nothing. */
        YES,
        /** Nobody knows. */
        NOT_KNOWN
    }

    /** What the recording is to its entry. */
    public static final String SOUND = "sound";
    public static final String TYPE = "audio/wav";

    /** Where it stands unless somebody says otherwise. */
    public static String usualPlace(LengthUnit unit) {
        return (unit == LengthUnit.INCH ? "20 in" : "half a metre")
                + " from the spindle head, at the height of the spindle, pointing at it";
    }

    private static final int LONGEST = 200;
    private static final int A_MEGABYTE = 6;

    public Recording {
        if (stood.isBlank()) {
            throw Refused.because(SurveyReason.SOUND_STOOD).at("stood");
        }
        if (stood.length() > LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, stood.length(), LONGEST).at("stood");
        }
    }

    static Recording from(Entry entry) {
        Payload p = entry.payload();
        Attachment sound = entry.draft().attachments().stream().filter(a -> a.use().equals(SOUND)).findFirst().orElseThrow();
        return new Recording(entry.sequence(), entry.by().author().written(), entry.step(), sound.sha256(), p.whole("bytes"),
                p.decimal("seconds"), p.text("stood"), Treated.valueOf(p.text("treated")),
                p.has("found") ? Optional.of(SoundFindings.from(p.part("found"))) : Optional.empty());
    }

    public boolean isOfRoom() {
        return task.isEmpty();
    }

    /** Megabytes, with a tenth. */
    public BigDecimal megabytes() {
        return BigDecimal.valueOf(bytes, A_MEGABYTE).setScale(1, RoundingMode.HALF_UP);
    }

    Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("bytes", bytes, "seconds", seconds.toPlainString(), "stood", stood, "treated",
                treated.name()));
        found.ifPresent(f -> fields.put("found", f.toPayload()));
        return fields;
    }
}
