package tallledger.core.survey;

import java.util.Map;
import tallledger.core.ledger.Entry;

/**
 * What an entry says, decoded once. What cannot be decoded is no event but a {@link Stray}. Whoever makes something of events is a
 * {@link EventVisitor}, so that a new kind of event is met by the compiler wherever it must be.
 */
public sealed interface Event permits BookEvent, WorkEvent, AppraisalEvent, FilmEvent {

    /** What is made of an event of each kind. */
    interface EventVisitor<T> {

        T opened(BookEvent.Opened event, Entry entry);

        T judgedAs(BookEvent.JudgedAs event, Entry entry);

        T descriptionAdopted(BookEvent.DescriptionAdopted event, Entry entry);

        T rulesAdopted(BookEvent.RulesAdopted event, Entry entry);

        T startConfirmed(WorkEvent.StartConfirmed event, Entry entry);

        T stopped(WorkEvent.Stopped event, Entry entry);

        T planChosen(WorkEvent.PlanChosen event, Entry entry);

        T run(WorkEvent.RunMade event, Entry entry);

        T passedOver(WorkEvent.PassedOver event, Entry entry);

        T remark(BookEvent.Remarked event, Entry entry);

        T check(WorkEvent.Checked event, Entry entry);

        T step(WorkEvent.StepDone event, Entry entry);

        T later(WorkEvent.PutLater event, Entry entry);

        T temperatures(WorkEvent.TemperaturesTaken event, Entry entry);

        T cut(WorkEvent.CutDone event, Entry entry);

        T priced(AppraisalEvent.Priced event, Entry entry);

        T kit(AppraisalEvent.KitSeen event, Entry entry);

        T lift(AppraisalEvent.LiftWeighed event, Entry entry);

        T photo(BookEvent.PhotoTaken event, Entry entry);

        T clip(BookEvent.ClipTaken event, Entry entry);

        T sound(BookEvent.SoundTaken event, Entry entry);

        T photoMarked(BookEvent.PhotoMarked event, Entry entry);

        T camera(BookEvent.Camera event, Entry entry);

        T closed(BookEvent.Closed event, Entry entry);

        T repaired(WorkEvent.Repaired event, Entry entry);

        T regraded(AppraisalEvent.Regraded event, Entry entry);

        T filmOpened(FilmEvent.FilmOpened event, Entry entry);

        T filmCut(FilmEvent.FilmCut event, Entry entry);

        T narration(FilmEvent.NarrationKept event, Entry entry);

        T heard(FilmEvent.Heard event, Entry entry);

        T letterSent(FilmEvent.LetterSent event, Entry entry);

        T strike(BookEvent.Struck event, Entry entry);
    }

    /** @param entry that says it */
    <T> T accept(EventVisitor<T> visitor, Entry entry);

    /** The kind of entry that says it. */
    default Kind kind() {
        return Kind.of(this);
    }

    /** What an entry keeps of it, and what it is read from again. */
    Map<String, Object> toPayload();

    /**
     * What a person wrote of their own; it stands in a report under their name. Empty where there is none, or where it stands with its
     * step.
     */
    default String remark() {
        return "";
    }

}
