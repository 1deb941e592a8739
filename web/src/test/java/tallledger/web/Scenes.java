package tallledger.web;

import java.time.Instant;
import java.util.List;
import tallledger.core.family.StartItem;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.record.Books;
import tallledger.web.record.Shelves;
import tallledger.web.record.StoredMachine;
import tallledger.web.record.Submission;

/** Ready-made machines and surveys for tests that begin in the middle. */
final class Scenes {

    private Scenes() {
    }

    /** A fresh survey of the demo's lathe, start checks confirmed just now. */
    static long readySurvey(App app) {
        return readySurvey(app, KestrelVale.aldwark410().description());
    }

    static long readySurvey(App app, MachineDescription description) {
        return readySurvey(app, description, Scope.SPINDLE_DRIVE);
    }

    /** Of the whole machine. */
    static long wholeSurvey(App app) {
        return readySurvey(app, KestrelVale.aldwark410().description(), Scope.WHOLE);
    }

    private static long readySurvey(App app, MachineDescription description, Scope scope) {
        Shelves shelves = app.bean(Shelves.class);
        long id = shelves.addMachine(description, "Q. Tester", Submission.fresh(0));
        StoredMachine machine = shelves.machine(id);
        long survey = shelves.openSurvey(machine, "Q. Tester", "buyer", scope, Submission.fresh(0));
        List<StartItem> items = description.family().traits().startChecks(description);
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q. Tester"), items),
                Submission.fresh(1));
        return survey;
    }

}
