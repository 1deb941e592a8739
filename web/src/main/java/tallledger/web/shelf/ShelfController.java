package tallledger.web.shelf;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.Family;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;

/** The Shelf: the shortlist, tallest first by what is known, or as its reader asks. */
@Controller
class ShelfController {

    private final ShelfIndex shelf;

    ShelfController(ShelfIndex shelf) {
        this.shelf = shelf;
    }

    @GetMapping("/")
    String shelf(@RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String family,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(defaultValue = "") String state, @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String page, Model model) {
        ShelfQuery query = ShelfQuery.of(q, family, place, state, sort, page);
        model.addAttribute("shelf", shelf.page(query));
        model.addAttribute("q", q);
        model.addAttribute("place", place);
        model.addAttribute("query", query);
        model.addAttribute("families", Family.values());
        model.addAttribute("states", ShelfQuery.State.values());
        model.addAttribute("sorts", ShelfQuery.Sort.values());
        return "shelf/shelf";
    }
}
