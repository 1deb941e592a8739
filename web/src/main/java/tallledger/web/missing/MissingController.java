package tallledger.web.missing;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import tallledger.web.store.Books;

/** What the database lacks of what it had: shown once, read, and then it counts as it is. */
@Controller
class MissingController {

    private final Books books;

    MissingController(Books books) {
        this.books = books;
    }

    @GetMapping("/missing")
    String show(Model model) {
        model.addAttribute("missing", books.heads().missing());
        model.addAttribute("more", books.heads().more());
        return "missing/missing";
    }

    @PostMapping("/missing")
    String read() {
        books.told();
        return "redirect:/";
    }
}
