package tallledger.web.config;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import tallledger.core.reason.Refused;
import tallledger.web.connections.Connections;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Store;
import tallledger.web.store.UnknownBookException;
import tallledger.web.store.UnreadableBookException;
import tallledger.web.store.WriteRefusedException;

/** What is shown when a page cannot be: what happened, and what to do. */
@Controller
@ControllerAdvice
class ErrorPageController implements ErrorController {

    private static final String PAGE = "sorry";

    private final Store store;

    ErrorPageController(Store store) {
        this.store = store;
    }

    /** Whether a page is the answer to a form that was sent: what stands in it then is newer than what the browser kept of it. */
    @ModelAttribute("answers")
    String answers(HttpServletRequest request) {
        return request.getMethod().equals("POST") ? "yes" : null;
    }

    @RequestMapping("/sorry/form-expired")
    String formExpired(Model model) {
        return sorry(model, "sorry.form-expired");
    }

    /** What was refused before it was read. */
    @RequestMapping("/sorry/unread")
    String refusedUnread(@RequestAttribute(name = Connections.WHY, required = false) String code, Model model) {
        return sorry(model, code == null ? "sorry.bad-request" : code);
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(Model model, HttpServletRequest request) {
        return sorry(model, Arriving.tooLarge(request.getRequestURI()));
    }

    @RequestMapping("/error")
    String error(HttpServletRequest request, Model model) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int code = status instanceof Integer number ? number : 500;
        return sorry(model, code == 404 ? "sorry.not-found"
                : code == 413
                        ? Arriving.tooLarge(String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI)))
                        : code < 500 ? "sorry.bad-request" : "sorry.fault");
    }

    @ExceptionHandler({UnknownBookException.class, MethodArgumentTypeMismatchException.class})
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notFound(Model model) {
        return sorry(model, "sorry.not-found");
    }

    /** A key pressed on a page that had gone stale: nothing was typed, so nothing needs keeping. */
    @ExceptionHandler(StaleFormException.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String movedOn(Model model) {
        return sorry(model, "sorry.moved-on");
    }

    /** Letters that are none, such as %ff in an address. */
    @ExceptionHandler(InvalidParameterException.class)
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String notLetters(Model model) {
        return sorry(model, "sorry.bad-request");
    }

    /** Nothing was written, and why. */
    @ExceptionHandler(WriteRefusedException.class)
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    String notKept(WriteRefusedException not, Model model) {
        model.addAttribute("because", not.reason());
        return sorry(model, "sorry.not-kept");
    }

    /** The store does not answer: it may have closed itself. The next request opens it again. */
    @ExceptionHandler(DataAccessException.class)
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    String storeFails(DataAccessException failed, Model model) {
        store.reopen(failed);
        return sorry(model, "sorry.store");
    }

    @ExceptionHandler(UnreadableBookException.class)
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    String unreadable(UnreadableBookException lost, Model model) {
        model.addAttribute("because", lost.reason());
        return sorry(model, "sorry.unreadable");
    }

    /** A form so broken that it names no field: forged, or cut short on its way. */
    @ExceptionHandler(Refused.class)
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    String refused(Refused refused, Model model) {
        model.addAttribute("because", refused.reason());
        return sorry(model, "sorry.bad-request");
    }

    private static String sorry(Model model, String code) {
        model.addAttribute("code", code);
        return PAGE;
    }
}
