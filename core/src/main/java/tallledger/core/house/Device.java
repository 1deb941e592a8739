package tallledger.core.house;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Author;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * A telephone, a tablet or another computer that the house let in.
 *
 * @param id     its identity, whatever it is called
 * @param name   what it is called: {@code phone of R. Ashdown}
 * @param author who writes with it
 * @param survey number of the only survey it may open; empty for all
 * @param writes whether it may record, or only read
 * @param until  from then on it is let in no more
 * @param proof  SHA-256, hex, of a secret that the device alone holds: whoever reads the book cannot come in with it
 */
public record Device(String id, String name, Author author, Optional<Long> survey, boolean writes, Instant until, String proof) {

    public static final int LONGEST_NAME = 60;
    private static final int DIGITS = 64;

    public Device {
        name = name.strip();
        if (name.isEmpty()) {
            throw Refused.because(HouseReason.DEVICE_NAME).at("name");
        }
        if (name.length() > LONGEST_NAME) {
            throw Refused.because(CommonReason.TEXT_LONG, name.length(), LONGEST_NAME).at("name");
        }
        if (id.isEmpty() || proof.length() != DIGITS) {
            throw Refused.because(HouseReason.DEVICE_GONE);
        }
    }

    /** Whether its time is over. */
    public boolean isOver(Instant now) {
        return !now.isBefore(until);
    }

    Map<String, Object> toPayload() {
        return Map.of("id", id, "name", name, "author", author.written(), "survey", survey.map(String::valueOf).orElse(""), "writes",
                writes,
                "until", until.toString(), "proof", proof);
    }

    /** @throws RuntimeException where it cannot be read */
    static Device from(Payload p) {
        String survey = p.text("survey");
        return new Device(p.text("id"), p.text("name"), Author.parse(p.text("author")),
                survey.isEmpty() ? Optional.empty() : Optional.of(Long.parseLong(survey)), p.flag("writes"), Instant.parse(p.text("until")),
                p.text("proof"));
    }
}
