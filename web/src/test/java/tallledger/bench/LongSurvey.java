package tallledger.bench;

import java.time.Instant;
import java.util.List;
import java.util.Random;
import tallledger.core.family.Step;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.App;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** A survey grown long by going through a universal mill's steps again and again. */
final class LongSurvey {

    private final App app;
    private final SimulatedMachine machine = KestrelVale.castervaleU2();
    private final List<Step> steps;
    private final Random random = new Random(400);
    private final long id;
    private int at;

    private LongSurvey(App app) {
        this.app = app;
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        StoredMachine described = library.machine(machineBooks.add(machine.description(), "Q. Tester", Submission.fresh(0)));
        id = surveyBooks.open(described, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
        steps = library.survey(id).steps().steps().stream().filter(s -> !(s.recording() instanceof SpindleCheck)).toList();
    }

    static LongSurvey of(App app, int entries) {
        LongSurvey survey = new LongSurvey(app);
        while (app.bean(SurveyLibrary.class).survey(survey.id).head() < entries) {
            survey.grow();
        }
        return survey;
    }

    long id() {
        return id;
    }

    /** Two steps, then a run. */
    void grow() {
        StoredSurvey survey = app.bean(SurveyLibrary.class).survey(id);
        app.bean(Books.class).append(id, next(survey, Instant.now()), Submission.fresh(survey.head()));
    }

    /** So many entries at once, each judged by the survey as it stands now. */
    void grow(int many) {
        StoredSurvey survey = app.bean(SurveyLibrary.class).survey(id);
        Books books = app.bean(Books.class);
        books.together(() -> {
            for (int i = 0; i < many; i++) {
                books.append(id, next(survey, Instant.now()), Submission.fresh(survey.head() + i));
            }
            return null;
        });
    }

    private Draft next(StoredSurvey survey, Instant now) {
        Authorship by = Authorship.of(now, "Q. Tester");
        if (at++ % 3 == 2) {
            var route = survey.folded().steps().get(at / 3 % survey.folded().steps().size());
            return SurveyEntries.run(by, survey.basis(), survey.folded(), machine.run(route, random));
        }
        StepLedger ledger = survey.steps();
        Step step = steps.get(at % steps.size());
        SimulatedMachine.Answer answer = machine.answer(step, ledger.rules(), random);
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
        return SurveyEntries.step(by, ledger, step, answer.values(), survey.basis(), answer.flagged(), confirmed, answer.remark());
    }
}
