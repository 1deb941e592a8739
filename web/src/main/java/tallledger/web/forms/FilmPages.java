package tallledger.web.forms;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells every page whether it stands beside a film. */
@ControllerAdvice
public class FilmPages {

    /** Under which a page finds it. */
    public static final String FRAMED = "framed";

    @ModelAttribute(FRAMED)
    boolean framed(HttpServletRequest request) {
        return FilmForm.isFramed(request);
    }
}
