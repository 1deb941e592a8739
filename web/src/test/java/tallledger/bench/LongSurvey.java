package tallledger.bench;

import java.time.Instant;
import java.util.List;
import java.util.Random;
import tallledger.core.ledger.By;
import tallledger.core.survey.Scope;
import tallledger.core.evidence.SpindleCheck;
import tallledger.core.family.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.App;
import tallledger.web.record.Books;
import tallledger.web.record.Machine;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;

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
        Shelves shelves = app.bean(Shelves.class);
        Machine described = shelves.machine(shelves.addMachine(machine.description(), "Q. Tester", Submission.fresh(0)));
        id = shelves.openSurvey(described, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
        steps = shelves.survey(id).steps().steps().stream().filter(s -> !(s.recording() instanceof SpindleCheck)).toList();
    }

    static LongSurvey of(App app, int entries) {
        LongSurvey survey = new LongSurvey(app);
        while (app.bean(Shelves.class).survey(survey.id).head() < entries) {
            survey.grow();
        }
        return survey;
    }

    long id() {
        return id;
    }

    /** Two steps, then a run. */
    void grow() {
        var survey = app.bean(Shelves.class).survey(id);
        Submission submission = Submission.fresh(survey.head());
        if (at++ % 3 == 2) {
            var route = survey.folded().steps().get(at / 3 % survey.folded().steps().size());
            app.bean(Books.class).append(id, SurveyEntries.run(By.of(Instant.now(), "Q. Tester"), survey.basis(), survey.folded(), machine.run(route, random)), submission);
            return;
        }
        StepLedger ledger = survey.steps();
        Step step = steps.get(at % steps.size());
        SimulatedMachine.Answer answer = machine.answer(step, ledger.rules(), random);
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.Asked::changed).map(a -> a.need().written()).toList();
        app.bean(Books.class).append(id, SurveyEntries.step(By.of(Instant.now(), "Q. Tester"), ledger, step, answer.values(), survey.basis(), answer.flagged(), confirmed,
                answer.remark()), submission);
    }
}
