package tallledger.core.survey;

import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import tallledger.core.ledger.Entry;

/** Kinds of entry in a survey's ledger. */
public enum Kind {
    /** The survey begins: which machine, which version of its description, who surveys. */
    OPENED(BookEvent.Opened.class, BookEvent.Opened::from),
    /** A newer version of the machine's description is judged by from here on. */
    DESCRIPTION_ADOPTED(BookEvent.DescriptionAdopted.class, BookEvent.DescriptionAdopted::from),
    /** A newer version of the house's rules is judged by from here on. */
    RULES_ADOPTED(BookEvent.RulesAdopted.class, BookEvent.RulesAdopted::from),
    /** As which grade the machine is judged from here on. */
    JUDGED_AS(BookEvent.JudgedAs.class, BookEvent.JudgedAs::from),
    /** The start checks were made. */
    START_CONFIRMED(WorkEvent.StartConfirmed.class, WorkEvent.StartConfirmed::from),
    /** The machine was stopped for good: the start checks are due again. */
    STOPPED(WorkEvent.Stopped.class, entry -> new WorkEvent.Stopped()),
    /** Which school the runs are planned by, and in how many minutes. */
    PLAN_CHOSEN(WorkEvent.PlanChosen.class, WorkEvent.PlanChosen::from),
    /** A speed was run. */
    RUN(WorkEvent.RunMade.class, WorkEvent.RunMade::from),
    /** A step or a speed was passed over, and why. */
    PASSED_OVER(WorkEvent.PassedOver.class, WorkEvent.PassedOver::from),
    REMARK(BookEvent.Remarked.class, BookEvent.Remarked::from),
    /** Neutral, jog, brake or a commanded shift was tried. */
    CHECK(WorkEvent.Checked.class, WorkEvent.Checked::from),
    /** A step of the catalogue was done. */
    STEP(WorkEvent.StepDone.class, WorkEvent.StepDone::from),
    /** A step or speed is put off: come back later. */
    LATER(WorkEvent.PutLater.class, WorkEvent.PutLater::from),
    /** How warm machine and gauges are in this sitting. */
    TEMPERATURES(WorkEvent.TemperaturesTaken.class, WorkEvent.TemperaturesTaken::from),
    /** A test cut was made: with which tool, in what, how fast. */
    CUT(WorkEvent.CutDone.class, WorkEvent.CutDone::from),
    /** What is asked, what a sound one is worth, where the machine comes from. */
    PRICED(AppraisalEvent.Priced.class, AppraisalEvent.Priced::from),
    /** Kit or a paper was looked for, promised or awaited. */
    KIT(AppraisalEvent.KitSeen.class, AppraisalEvent.KitSeen::from),
    /** What the machine weighs and the lift is said to carry. */
    LIFT(AppraisalEvent.LiftWeighed.class, AppraisalEvent.LiftWeighed::from),
    /** A photograph, by the hash of its bytes. */
    PHOTO(BookEvent.PhotoTaken.class, BookEvent.PhotoTaken::from),
    /** A short film, by the hash of its bytes. */
    CLIP(BookEvent.ClipTaken.class, BookEvent.ClipTaken::from),
    SOUND(BookEvent.SoundTaken.class, BookEvent.SoundTaken::from),
    /** Something is drawn over a photograph. */
    PHOTO_MARKED(BookEvent.PhotoMarked.class, BookEvent.PhotoMarked::from),
    /** An element or a step's system was put right: runs through it prove nothing any more, and those that failed must be repeated. */
    REPAIRED(WorkEvent.Repaired.class, WorkEvent.Repaired::from),
    /** A person judges a finding otherwise than the rules: how bad, what it costs, whether it is by design. */
    REGRADED(AppraisalEvent.Regraded.class, AppraisalEvent.Regraded::from),
    /** The camera was started or stopped, or its clock put right. */
    CAMERA(BookEvent.Camera.class, BookEvent.Camera::from),
    /** A film that somebody made of the machine is looked at, by the hash of its bytes. */
    FILM(FilmEvent.FilmOpened.class, FilmEvent.FilmOpened::from),
    /** A film is cut there. */
    FILM_CUT(FilmEvent.FilmCut.class, FilmEvent.FilmCut::from),
    /** What is said in a film, with times. */
    NARRATION(FilmEvent.NarrationKept.class, FilmEvent.NarrationKept::from),
    /** What a person makes of something said: a claim, shown, both, neither. */
    HEARD(FilmEvent.Heard.class, FilmEvent.Heard::from),
    /** Somebody was asked to film something. */
    LETTER(FilmEvent.LetterSent.class, FilmEvent.LetterSent::from),
    /** The survey is closed: nothing is written after it. */
    CLOSED(BookEvent.Closed.class, BookEvent.Closed::from),
    /** Strikes an earlier entry; the struck one stays readable. */
    STRIKE(BookEvent.Struck.class, BookEvent.Struck::from);

    private final Class<? extends Event> says;
    private final Function<Entry, Event> decoder;

    <E extends Event> Kind(Class<E> says, Function<Entry, E> decoder) {
        this.says = says;
        this.decoder = decoder::apply;
    }

    /** The kind of entry that says such an event. */
    static Kind of(Event event) {
        return Stream.of(values()).filter(k -> k.says.isInstance(event)).findFirst().orElseThrow();
    }

    /** What an entry of this kind says; throws for one that cannot be read. */
    Event read(Entry entry) {
        return decoder.apply(entry);
    }

    /** The kind of that name; empty for one this version does not know. */
    public static Optional<Kind> named(String name) {
        return Stream.of(values()).filter(k -> k.name().equals(name)).findFirst();
    }

    /** Whether a person may strike an entry of this kind. */
    public boolean canBeStruck() {
        return this != OPENED && this != STOPPED && this != PLAN_CHOSEN && this != STRIKE && this != CLOSED;
    }
}
