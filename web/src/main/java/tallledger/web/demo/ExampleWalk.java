package tallledger.web.demo;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/**
 * A walk through a survey, page by page, each with a line on what it is for: for whoever opens the example, and wherever an address of a
 * survey ends in {@code ?walk}.
 */
@ControllerAdvice
public class ExampleWalk {

    /** Pages of a survey, in the order of the walk. */
    static final List<String> STOPS = List.of("run", "speeds", "faults", "entries", "verdict", "verdict/money", "handover");
    private static final Pattern PAGE = Pattern.compile("/surveys/(\\d{1,15})/([a-z/]{1,40})");

    /**
     * One page of it.
     *
     * @param number of it, from 1
     * @param says   key of its line
     * @param next   address of the page after it; that of a survey of one's own after the last
     */
    public record WalkStop(int number, int all, String says, String next) {

        public boolean isLast() {
            return number == all;
        }
    }

    @ModelAttribute("walk")
    WalkStop stop(HttpServletRequest request) {
        Matcher page = PAGE.matcher(request.getRequestURI());
        if (request.getParameter("walk") == null || !request.getMethod().equals("GET") || !page.matches()
                || !STOPS.contains(page.group(2))) {
            return null;
        }
        int at = STOPS.indexOf(page.group(2));
        boolean last = at == STOPS.size() - 1;
        return new WalkStop(at + 1, STOPS.size(), "walk." + page.group(2).replace('/', '-'),
                last ? "/start" : address(page.group(1), STOPS.get(at + 1)));
    }

    static String address(String survey, String page) {
        return "/surveys/" + survey + "/" + page + "?walk";
    }
}
