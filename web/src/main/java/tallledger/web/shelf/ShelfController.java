package tallledger.web.shelf;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.Family;
import tallledger.web.record.Shelves;
import tallledger.web.record.Summary;

/** The Shelf: the shortlist, tallest first by what is known, or as its reader asks. */
@Controller
class ShelfController {

    private final Shelves shelves;

    ShelfController(Shelves shelves) {
        this.shelves = shelves;
    }

    @GetMapping("/")
    String shelf(@RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String family, @RequestParam(defaultValue = "") String state,
                 @RequestParam(defaultValue = "") String sort, @RequestParam(defaultValue = "") String page, Model model) {
        List<Shelves.Place> all = shelves.shelf();
        ShelfQuery query = ShelfQuery.of(q, family, state, sort, page);
        List<Summary> found = query.of(all.stream().flatMap(p -> p.summary().stream()));
        int pages = Math.max(1, (found.size() + ShelfQuery.A_PAGE - 1) / ShelfQuery.A_PAGE);
        int here = Math.min(query.page(), pages);
        model.addAttribute("lines", found.subList((here - 1) * ShelfQuery.A_PAGE, Math.min(found.size(), here * ShelfQuery.A_PAGE)));
        model.addAttribute("q", q);
        model.addAttribute("query", query);
        model.addAttribute("found", found.size());
        model.addAttribute("pageShown", here);
        model.addAttribute("pages", pages);
        model.addAttribute("empty", all.isEmpty());
        model.addAttribute("families", Family.values());
        model.addAttribute("states", ShelfQuery.State.values());
        model.addAttribute("sorts", ShelfQuery.Sort.values());
        model.addAttribute("unreadable", all.stream().filter(p -> p.unreadable().isPresent()).toList());
        return "shelf/shelf";
    }
}
