package tallledger.web.forms;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Optional;
import tallledger.core.ledger.SentLater;

/** A form that a device kept while it had no connection, and sends now: its headers say what the device's clock showed. */
public final class SentLaterRequest {

    /** Under which such a request carries the entry it wrote. */
    public static final String RECORDED = "tallledger.recorded";
    private static final String MADE = "X-Kept-Made";
    private static final String SENT = "X-Kept-Sent";
    private static final String MILLISECONDS = "\\d{1,15}";

    private SentLaterRequest() {
    }

    public static boolean is(HttpServletRequest request) {
        return milliseconds(request, MADE).isPresent() && milliseconds(request, SENT).isPresent();
    }

    /** @param opened when the record was */
    static Optional<SentLater> of(HttpServletRequest request, Instant now, Instant opened) {
        return milliseconds(request, MADE).flatMap(made -> milliseconds(request, SENT).map(sent -> SentLater.of(made, sent, now, opened)));
    }

    private static Optional<Instant> milliseconds(HttpServletRequest request, String header) {
        return Optional.ofNullable(request.getHeader(header)).filter(said -> said.matches(MILLISECONDS)).map(Long::parseLong)
                .map(Instant::ofEpochMilli);
    }
}
