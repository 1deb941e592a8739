package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.web.forms.Typed;
import tallledger.web.forms.Writer;
import tallledger.web.record.Books;
import tallledger.web.record.MovedOn;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;
import tallledger.web.record.Survey;

/** Appends what a form of the run sheet says; whatever goes wrong, the sheet comes back with all that was typed. */
@Component
class SheetWriter {

    private final Shelves shelves;
    private final Books books;
    private final Writer writer;
    private final SheetPage page;

    SheetWriter(Shelves shelves, Books books, Writer writer, SheetPage page) {
        this.shelves = shelves;
        this.books = books;
        this.writer = writer;
        this.page = page;
    }

    String write(Survey survey, Typed typed, Model model, HttpServletResponse response, Supplier<Optional<Draft>> read) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Optional<Entry> already = books.written(survey.id(), submission);
        if (already.isPresent()) {
            return next(survey, already.get(), typed);
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of("author.missing"));
        }
        Optional<Draft> draft = typed.attempt("author", read).flatMap(d -> d);
        if (draft.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page.show(survey, Optional.of(typed.get("step")), Optional.empty(), typed, submission, model);
        }
        try {
            Entry entry = books.append(survey.id(), draft.get(), submission);
            writer.remember(response, typed.get("author"));
            return next(survey, entry, typed);
        } catch (MovedOn moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of("survey.moved-on", moved.seen() + 1, moved.head()));
            Survey now = shelves.survey(survey.id());
            return page.show(now, Optional.of(typed.get("step")), Optional.empty(), typed, new Submission(submission.key(), now.head()), model);
        }
    }

    /** On to the next step; back to the same one after what belongs to it and does not finish it. */
    private static String next(Survey survey, Entry entry, Typed typed) {
        String stay = typed.get("stay").equals("yes") ? "step=" + java.net.URLEncoder.encode(typed.get("step"), java.nio.charset.StandardCharsets.UTF_8) + "&" : "";
        return "redirect:/surveys/" + survey.id() + "/run?" + stay + "done=" + entry.sequence();
    }
}
