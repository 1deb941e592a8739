package tallledger.web.record;

import java.util.UUID;
import tallledger.core.reason.Refused;

/**
 * What a form says of itself, so that posting it twice is safe and posting it late is noticed.
 *
 * @param key  made fresh for every form shown
 * @param seen sequence of the last entry when the form was shown
 */
public record Submission(String key, int seen) {

    public Submission {
        if (key == null || !key.matches("[0-9a-f-]{36}")) {
            throw Refused.because("form.no-key");
        }
    }

    public static Submission fresh(int seen) {
        return new Submission(UUID.randomUUID().toString(), seen);
    }
}
