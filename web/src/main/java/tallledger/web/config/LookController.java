package tallledger.web.config;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** How this screen looks: as the system says, or light, dark, or for sunlight; remembered by its browser. */
@Controller
@ControllerAdvice
class LookController {

    private static final String COOKIE = "look";
    private static final List<String> CHOSEN = List.of("light", "dark", "strong");

    /** Null where the system says. */
    @ModelAttribute("look")
    String look(@CookieValue(name = COOKIE, required = false) String look) {
        return CHOSEN.contains(String.valueOf(look)) ? look : null;
    }

    /** Back to the page it was asked for on. */
    @PostMapping("/screen")
    String choose(@RequestParam(name = COOKIE, defaultValue = "") String look,
            @RequestHeader(name = HttpHeaders.REFERER, defaultValue = "/") String from, HttpServletResponse response) {
        Cookie cookie = new Cookie(COOKIE, CHOSEN.contains(look) ? look : "");
        cookie.setPath("/");
        cookie.setHttpOnly(true);
        cookie.setMaxAge(CHOSEN.contains(look) ? (int) Duration.ofDays(365).toSeconds() : 0);
        cookie.setAttribute("SameSite", "Strict");
        response.addCookie(cookie);
        return "redirect:" + page(from);
    }

    /** Of this application, whatever address the browser says it came from. */
    static String page(String from) {
        try {
            URI uri = URI.create(from);
            String path = uri.getRawPath() == null ? "/" : uri.getRawPath().replaceFirst("^/*", "/");
            return uri.getRawQuery() == null ? path : path + "?" + uri.getRawQuery();
        } catch (IllegalArgumentException bent) {
            return "/";
        }
    }
}
