package tallledger.web.forms;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Optional;
import java.util.regex.Pattern;
import tallledger.core.ledger.SentLater;

/** A form that a device kept while it had no connection, and sends now: its headers say what the device's clock showed. */
public final class SentLaterRequest {

    /** Under which such a request carries the entry it wrote. */
    public static final String RECORDED = "tallledger.recorded";
    private static final String MADE = "X-Kept-Made";
    private static final String SENT = "X-Kept-Sent";
    /** What may be written without a connection; all else, such as closing, is done connected. */
    private static final Pattern ADDRESS =
            Pattern.compile("/surveys/\\d{1,18}/(run|step|start|stop|pass|later|check|camera|photos|films|sounds|kit|kit/mark)");
    private static final String MILLISECONDS = "\\d{1,15}";

    private SentLaterRequest() {
    }

    public static boolean is(HttpServletRequest request) {
        return ADDRESS.matcher(request.getServletPath()).matches() && milliseconds(request, MADE).isPresent()
                && milliseconds(request, SENT).isPresent();
    }

    /** @param opened when the record was */
    static Optional<SentLater> of(HttpServletRequest request, Instant now, Instant opened) {
        return is(request)
                ? milliseconds(request, MADE)
                        .flatMap(made -> milliseconds(request, SENT).map(sent -> SentLater.of(made, sent, now, opened)))
                : Optional.empty();
    }

    private static Optional<Instant> milliseconds(HttpServletRequest request, String header) {
        return Optional.ofNullable(request.getHeader(header)).filter(said -> said.matches(MILLISECONDS)).map(Long::parseLong)
                .map(Instant::ofEpochMilli);
    }
}
