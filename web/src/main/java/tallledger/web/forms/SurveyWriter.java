package tallledger.web.forms;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.ledger.SentLater;
import tallledger.core.reason.Reason;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * Writes what a form says into a survey's book, the same way for every form: pressed twice it writes once; nonsense and a missing
 * name come back beside their fields (422); where somebody wrote meanwhile a small page says what
 * ({@link ConcurrentEditException}, 409). Whatever
 * goes wrong, all that was typed is still there.
 */
@Component
public class SurveyWriter {

    /** The page a form stands on. */
    public interface SurveyPage {
        String show(StoredSurvey survey, FormInput typed, Submission submission);
    }

    /** How an entry gets into the book. */
    public interface Appending {
        Entry append(long book, Draft draft, Submission submission);
    }

    /** Room is left for the number behind it. */
    private static final int LONGEST_KEY = 34;
    private static final int TRIES = 5;

    private final SurveyLibrary library;
    private final Books books;
    private final AuthorCookie writer;

    private final Clock clock;
    /** The one being answered. */
    private final HttpServletRequest request;

    SurveyWriter(SurveyLibrary library, Books books, AuthorCookie writer, Clock clock, HttpServletRequest request) {
        this.clock = clock;
        this.request = request;
        this.library = library;
        this.books = books;
        this.writer = writer;
    }

    /**
     * @param read the form, read; empty where it was refused at a field
     * @param page shown again where nothing was written
     * @param next where to go on from the entry written
     */
    public String write(StoredSurvey survey, FormInput typed, HttpServletResponse response, Supplier<Optional<Draft>> read, SurveyPage page,
            Function<Entry, String> next) {
        return write(survey, typed, response, read, page, next, books::append, true);
    }

    public String write(StoredSurvey survey, FormInput typed, HttpServletResponse response, Supplier<Optional<Draft>> read, SurveyPage page,
            Function<Entry, String> next, Appending appending) {
        return write(survey, typed, response, read, page, next, appending, false);
    }

    /** @param again whether the form can be sent again from another page: one with a file cannot */
    private String write(StoredSurvey survey, FormInput typed, HttpServletResponse response, Supplier<Optional<Draft>> read,
            SurveyPage page,
            Function<Entry, String> next, Appending appending, boolean again) {
        typed.in(survey.core().machine().unit());
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Optional<Entry> already = books.acknowledged(survey.id(), submission);
        if (already.isPresent()) {
            // Its answer was lost on the way: what the browser kept of it can go now.
            writer.remember(response, typed.get("author"), submission);
            request.setAttribute(SentLaterRequest.RECORDED, already.get());
            return next.apply(already.get());
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (FilmForm.isFramed(request) && FilmForm.isMissing(typed) && !FilmForm.isOwn(typed)) {
            typed.refuse("form", Reason.of(WebReason.FILM_NOT_OPEN));
        }
        Optional<Draft> draft = typed.attempt("author", read).flatMap(d -> d)
                .flatMap(d -> FilmForm.isMissing(typed) ? Optional.of(d)
                        : typed.attempt("form", () -> SurveyEntries.inFilm(survey.core(), FilmForm.moment(typed).orElseThrow(), d)));
        if (draft.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page.show(survey, typed, submission);
        }
        try {
            Optional<SentLater> later = SentLaterRequest.of(request, clock.instant(), survey.entries().get(0).at());
            Entry entry = later.isEmpty() ? appending.append(survey.id(), draft.get(), submission)
                    : append(survey.id(), later.get().on(draft.get()), submission, appending, again);
            writer.remember(response, typed.get("author"), submission);
            request.setAttribute(SentLaterRequest.RECORDED, entry);
            return next.apply(entry);
        } catch (StaleFormException moved) {
            if (again && !typed.get("whole").equals("yes")) {
                throw new ConcurrentEditException(library.survey(survey.id()), typed, moved, draft.get().step());
            }
            response.setStatus(409);
            typed.refuse("form", Reason.of(WebReason.SURVEY_MOVED_ON, moved.seen() + 1, moved.head(), moved.head() - moved.seen()));
            StoredSurvey now = library.survey(survey.id());
            return page.show(now, typed, new Submission(submission.key(), now.head()));
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page.show(survey, typed, submission);
        }
    }

    /**
     * What a device kept goes onto whatever has been written meanwhile, but for what another wrote at the same step: that a person has to
     * see.
     *
     * @throws StaleFormException where another wrote at the same step
     */
    private Entry append(long survey, Draft draft, Submission submission, Appending appending, boolean rests) {
        for (int tries = 1;; tries++) {
            int head = library.survey(survey).head();
            if (rests && !draft.step().isEmpty() && books.isWrittenByOthers(survey, draft.step(), submission)) {
                throw new StaleFormException(submission.seen(), head);
            }
            try {
                return appending.append(survey, draft, new Submission(submission.key(), head));
            } catch (StaleFormException moved) {
                if (tries == TRIES) {
                    throw moved;
                }
            }
        }
    }

    /**
     * Several entries of one form: all of them, or none.
     *
     * @param read the form, read; what is wrong is said at its fields
     */
    public String writeAll(StoredSurvey survey, FormInput typed, HttpServletResponse response, Supplier<List<Draft>> read, SurveyPage page,
            String next) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (books.acknowledged(survey.id(), part(submission, 0)).isPresent()) {
            writer.remember(response, typed.get("author"), submission);
            return next;
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (FilmForm.isFramed(request)) {
            typed.refuse("form", Reason.of(WebReason.FILM_ELSEWHERE));
        }
        List<Draft> drafts = read.get();
        if (!typed.isClean()) {
            response.setStatus(422);
            return page.show(survey, typed, submission);
        }
        try {
            books.together(() -> {
                for (int i = 0; i < drafts.size(); i++) {
                    books.append(survey.id(), drafts.get(i), part(submission, i));
                }
                return true;
            });
        } catch (StaleFormException moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of(WebReason.MACHINE_MOVED_ON, moved.head()));
            return page.show(library.survey(survey.id()), typed, new Submission(submission.key(), moved.head()));
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page.show(survey, typed, submission);
        }
        writer.remember(response, typed.get("author"), submission);
        return next;
    }

    /** Each entry has a key of its own, made of the form's, and has seen the one before it. */
    private static Submission part(Submission form, int entry) {
        return new Submission((form.key().length() > LONGEST_KEY ? form.key().substring(0, LONGEST_KEY) : form.key()) + "-" + entry,
                form.seen() + entry);
    }
}
