package tallledger.web.forms;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import tallledger.core.ledger.FilmMoment;

/**
 * A form that is filled in from a film: the film desk, in whose frame the run sheet stands, sends with it which film and which second. A
 * form in that frame without them is refused, or what a film shows would count as seen at the machine.
 */
public final class FilmForm {

    private static final String FILM = "filmOf";
    /** A form of the desk's own, such as a cut, names its film itself. */
    private static final String OWN = "filmOwn";

    private FilmForm() {
    }

    /** Whether the page asked for stands in the desk's frame: the browser says so itself. */
    public static boolean isFramed(HttpServletRequest request) {
        return "iframe".equals(request.getHeader("Sec-Fetch-Dest"));
    }

    static boolean isMissing(FormInput typed) {
        return !typed.has(FILM);
    }

    /** Where in a film; empty at the machine. @throws tallledger.core.reason.Refused where it is none */
    public static Optional<FilmMoment> moment(FormInput typed) {
        return typed.has(FILM) ? Optional.of(FilmMoment.typed(typed.get(FILM), typed.get("filmFrom"), typed.get("filmUntil"),
                typed.get("filmSet"))) : Optional.empty();
    }

    /** Says of a form of the desk that it is its own. */
    public static void own(FormInput typed) {
        typed.set(OWN, "yes");
    }

    static boolean isOwn(FormInput typed) {
        return typed.has(OWN);
    }
}
