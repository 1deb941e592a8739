package tallledger.web.forms;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.PlainText;
import tallledger.web.store.Submission;

/** Who is writing: remembered by this browser only, offered again in the next form, never trusted as an identity. */
@Component
public class AuthorCookie {

    /** Under which a request carries its author, where that is not for the form to say: a device's that was let in. */
    public static final String GIVEN = "tallledger.author";
    private static final String NAME = "writer";
    private static final String RECORDED = "recorded";
    private static final int A_DAY = 24 * 3600;
    private static final int A_YEAR = 365 * 24 * 3600;

    public Optional<String> known(HttpServletRequest request) {
        return Optional.ofNullable((String) request.getAttribute(GIVEN)).or(() -> remembered(request));
    }

    private static Optional<String> remembered(HttpServletRequest request) {
        return Arrays.stream(Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]))
                .filter(cookie -> cookie.getName().equals(NAME)).map(Cookie::getValue)
                .flatMap(value -> decoded(value).stream()).findFirst();
    }

    /** A cookie somebody bent is no name. */
    private static Optional<String> decoded(String value) {
        try {
            return Optional.of(URLDecoder.decode(value, StandardCharsets.UTF_8)).filter(name -> PlainText.fault(name).isEmpty());
        } catch (IllegalArgumentException bent) {
            return Optional.empty();
        }
    }

    /** Also names the form that is recorded now, so that the page drops what it kept of it. */
    public void remember(HttpServletResponse response, String author, Submission recorded) {
        recorded(response, recorded);
        Cookie cookie = new Cookie(NAME, URLEncoder.encode(author.strip(), StandardCharsets.UTF_8));
        cookie.setPath("/");
        cookie.setHttpOnly(true);
        cookie.setMaxAge(A_YEAR);
        cookie.setAttribute("SameSite", "Strict");
        response.addCookie(cookie);
    }

    /** Names the form that is done, so that the page drops what it kept of it. */
    public void recorded(HttpServletResponse response, Submission recorded) {
        Cookie form = new Cookie(RECORDED, recorded.key());
        form.setPath("/");
        form.setMaxAge(A_DAY);
        form.setAttribute("SameSite", "Strict");
        response.addCookie(form);
    }
}
