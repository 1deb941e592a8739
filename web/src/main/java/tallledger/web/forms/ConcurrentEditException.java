package tallledger.web.forms;

import tallledger.web.library.StoredSurvey;
import tallledger.web.store.StaleFormException;

/** Somebody wrote in a survey after a form was shown: nothing was recorded, and all that was typed is still here. */
public class ConcurrentEditException extends RuntimeException {

    private final transient StoredSurvey survey;
    private final transient FormInput typed;
    private final transient StaleFormException moved;
    private final String step;

    ConcurrentEditException(StoredSurvey survey, FormInput typed, StaleFormException moved, String step) {
        super("entries " + moved.seen() + " to " + moved.head());
        this.survey = survey;
        this.typed = typed;
        this.moved = moved;
        this.step = step;
    }

    /** The step that the form is of, as entries name it. */
    public String step() {
        return step;
    }

    /** As it is now. */
    public StoredSurvey survey() {
        return survey;
    }

    public FormInput typed() {
        return typed;
    }

    public StaleFormException moved() {
        return moved;
    }
}
