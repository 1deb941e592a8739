package tallledger.web.forms;

import tallledger.web.record.MovedOn;
import tallledger.web.record.Survey;

/** Somebody wrote in a survey after a form was shown: nothing was recorded, and all that was typed is still here. */
public class Meanwhile extends RuntimeException {

    private final transient Survey survey;
    private final transient Typed typed;
    private final transient MovedOn moved;

    Meanwhile(Survey survey, Typed typed, MovedOn moved) {
        super("entries " + moved.seen() + " to " + moved.head());
        this.survey = survey;
        this.typed = typed;
        this.moved = moved;
    }

    /** As it is now. */
    public Survey survey() {
        return survey;
    }

    public Typed typed() {
        return typed;
    }

    public MovedOn moved() {
        return moved;
    }
}
