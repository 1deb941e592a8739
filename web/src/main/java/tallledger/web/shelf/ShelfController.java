package tallledger.web.shelf;

import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import tallledger.web.record.Shelves;
import tallledger.web.record.Summary;

/** The Shelf: the shortlist, tallest first by what is known. */
@Controller
class ShelfController {

    private final Shelves shelves;

    ShelfController(Shelves shelves) {
        this.shelves = shelves;
    }

    @GetMapping("/")
    String shelf(Model model) {
        List<Shelves.Place> all = shelves.shelf();
        List<Summary> lines = all.stream().flatMap(p -> p.summary().stream()).sorted(Comparator.comparing(Summary::share).reversed()
                .thenComparing(Comparator.comparing(Summary::runShare).reversed()).thenComparing(line -> line.identity().name())).toList();
        model.addAttribute("lines", lines);
        model.addAttribute("unreadable", all.stream().filter(p -> p.unreadable().isPresent()).toList());
        return "shelf/shelf";
    }
}
