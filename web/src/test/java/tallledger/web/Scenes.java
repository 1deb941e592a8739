package tallledger.web;

import java.time.Instant;
import java.util.List;
import tallledger.core.family.StartItem;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

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
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        long id = machineBooks.add(description, "Q. Tester", Submission.fresh(0));
        StoredMachine machine = library.machine(id);
        long survey = surveyBooks.open(machine, "Q. Tester", "buyer", scope, Submission.fresh(0));
        List<StartItem> items = description.family().traits().startChecks(description);
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q. Tester"), items),
                Submission.fresh(1));
        return survey;
    }

}
