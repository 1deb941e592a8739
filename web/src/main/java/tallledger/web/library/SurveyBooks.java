package tallledger.web.library;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import tallledger.core.drive.Numbering;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.ToldRatio;
import tallledger.web.housebook.Houses;
import tallledger.web.store.BookKind;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;
/** Opens surveys, and writes what goes into a survey's book and its machine's at once. */
@Component
public class SurveyBooks {

    private final Books books;
    private final MachineBooks machineBooks;
    private final SurveyLibrary library;
    private final Houses houses;
    private final Clock clock;

    SurveyBooks(Books books, MachineBooks machineBooks, SurveyLibrary library, Houses houses, Clock clock) {
        this.books = books;
        this.machineBooks = machineBooks;
        this.library = library;
        this.houses = houses;
        this.clock = clock;
    }

    /** The same from within a survey, which judges by it from here on: two entries, one in each book, or neither. */
    public void acceptReadingIn(StoredSurvey survey, List<String> at, String means, String author, Submission submission) {
        inBoth(survey, author, submission, under -> machineBooks.acceptReading(survey.machine(), at, means, author, under));
    }

    /** The levers labelled as they were found to be, from within a survey, which judges by it from here on. */
    public void renumberIn(StoredSurvey survey, Numbering numbering, String author, Submission submission) {
        inBoth(survey, author, submission,
                under -> machineBooks.describeAnew(survey.machine().id(), survey.machine().description().with(numbering), author, under));
    }

    /** Describes the machine anew from within a survey, which judges by it from here on. */
    public void describeIn(StoredSurvey survey, MachineDescription described, String author, Submission submission) {
        inBoth(survey, author, submission, under -> machineBooks.describeAnew(survey.machine().id(), described, author, under));
    }

    /** Describes a ratio that readings told, and lets the survey judge by it. */
    public void takeRatioIn(StoredSurvey survey, ToldRatio told, BigDecimal slower, String author, Submission submission) {
        inBoth(survey, author, submission, under -> machineBooks.describeAnew(survey.machine().id(), survey.machine().description()
                .with(told.stage(), told.position(), told.against(), slower), author, under));
    }

    private void inBoth(StoredSurvey survey, String author, Submission submission, Consumer<Submission> describe) {
        if (books.acknowledged(survey.id(), submission).isPresent()) {
            return;
        }
        Supplier<Entry> both = () -> {
            describe.accept(new Submission(submission.key(), survey.machine().head()));
            StoredMachine now = library.machine(survey.machine().id());
            return books.append(survey.id(), SurveyEntries.adopted(survey.by(clock, author), now.version(), now.hash()), submission);
        };
        books.together(both);
    }

    public long open(StoredMachine machine, String author, String role, Scope scope, Submission submission) {
        return open(machine, author, role, scope, Grade.WORKABLE, submission);
    }

    public long open(StoredMachine machine, String author, String role, Scope scope, Grade judgedAs, Submission submission) {
        return open(machine, Authorship.of(clock.instant(), clock.getZone(), author), role, scope, judgedAs, submission);
    }

    /** At a time of its own. */
    public long open(StoredMachine machine, Authorship by, String role, Scope scope, Grade judgedAs, Submission submission) {
        return books.open(BookKind.SURVEY, Optional.of(machine.id()), machine.name(),
                SurveyEntries.opened(by, machine.version(), machine.hash(), houses.issued(), role, scope, judgedAs), submission);
    }

    /** Goes on with a closed survey: a new book, whose first entry names the last hash of the one before. */
    public long nextVolume(StoredSurvey closed, String author, Submission submission) {
        Draft opened = SurveyEntries.opened(Authorship.of(clock.instant(), clock.getZone(), author), closed.machine().version(),
                closed.machine().hash(), houses.issued(), "", closed.steps().scope(), closed.rules().judgedAs());
        Map<String, Object> payload = new HashMap<>(opened.payload());
        payload.put("after", Map.of("survey", closed.id(), "hash", closed.entries().get(closed.entries().size() - 1).hash()));
        return books.open(BookKind.SURVEY, Optional.of(closed.machine().id()), closed.machine().name(),
                Draft.of(opened.by(), opened.kind(), opened.step(), payload), submission);
    }
}
