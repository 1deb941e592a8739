package tallledger.web.house;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.house.HouseChange;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.reason.Reason;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * Writes a change of the house, the same way for each of its forms. What it would do is looked at first: what is saved is what was
 * looked at.
 */
@Component
class HouseWriter {

    /** The page a form stands on, with what a look at the change found. */
    interface HousePage {
        String show(FormInput typed, Submission submission, Optional<Preview.PreviewResult> found);
    }

    private final Houses houses;
    private final AuthorCookie writer;
    private final Preview preview;

    HouseWriter(Houses houses, AuthorCookie writer, Preview preview) {
        this.houses = houses;
        this.writer = writer;
        this.preview = preview;
    }

    /**
     * @param what   the fields that make the change, as one text: what was looked at must be what is saved
     * @param looks  whether what the change does to surveys is to be looked at first
     * @param change the form, read; a field that makes no sense is refused where it was typed
     * @param to     address to go on to
     */
    String write(FormInput typed, HttpServletResponse response, String what, boolean looks, Supplier<HouseChange> change, HousePage page,
            String to) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Optional<Entry> already = houses.acknowledged(submission);
        if (already.isPresent()) {
            return "redirect:" + to;
        }
        Optional<HouseChange> read = typed.attempt("form", change);
        boolean saves = !typed.get("act").equals("look");
        if (saves && !typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        Optional<House> then = read.flatMap(c -> typed.attempt("form", () -> houses.book().with(c)));
        Optional<Preview.PreviewResult> found = then.filter(h -> looks).map(h -> preview.of(h, typed.wholeOr("from", 0)));
        if (then.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page.show(typed, submission, found);
        }
        if (looks && !(saves && typed.get("looked").equals(what))) {
            typed.set("looked", what);
            return page.show(typed, submission, found);
        }
        try {
            houses.change(read.get(), typed.get("author"), submission);
            writer.remember(response, typed.get("author"), submission);
            return "redirect:" + to;
        } catch (StaleFormException moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of(WebReason.HOUSE_MOVED_ON, moved.head() - moved.seen()));
            return page.show(typed, new Submission(submission.key(), moved.head()), found);
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page.show(typed, submission, found);
        }
    }
}
