package tallledger.core.survey;

import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import tallledger.core.ledger.Entry;

/** Kinds of entry in a survey's ledger. */
public enum Kind {
    /** The survey begins: which machine, which version of its description, who surveys. */
    OPENED(Event.Opened::from),
    /** A newer version of the machine's description is judged by from here on. */
    DESCRIPTION_ADOPTED(Event.DescriptionAdopted::from),
    /** A newer version of the house's rules is judged by from here on. */
    RULES_ADOPTED(Event.RulesAdopted::from),
    /** As which grade the machine is judged from here on. */
    JUDGED_AS(Event.JudgedAs::from),
    /** The start checks were made. */
    START_CONFIRMED(Event.StartConfirmed::from),
    /** The machine was stopped for good: the start checks are due again. */
    STOPPED(entry -> new Event.Stopped()),
    /** Which school the runs are planned by, and in how many minutes. */
    PLAN_CHOSEN(Event.PlanChosen::from),
    /** A speed was run. */
    RUN(Event.RunMade::from),
    /** A step or a speed was passed over, and why. */
    PASSED_OVER(Event.PassedOver::from),
    REMARK(Event.Remarked::from),
    /** Neutral, jog, brake or a commanded shift was tried. */
    CHECK(Event.Checked::from),
    /** A step of the catalogue was done. */
    STEP(Event.StepDone::from),
    /** A step or speed is put off: come back later. */
    LATER(Event.PutLater::from),
    /** How warm machine and gauges are in this sitting. */
    TEMPERATURES(Event.TemperaturesTaken::from),
    /** A test cut was made: with which tool, in what, how fast. */
    CUT(Event.CutDone::from),
    /** What is asked, what a sound one is worth, where the machine comes from. */
    PRICED(Event.Priced::from),
    /** Kit or a paper was looked for, promised or awaited. */
    KIT(Event.KitSeen::from),
    /** What the machine weighs and the lift is said to carry. */
    LIFT(Event.LiftWeighed::from),
    /** A photograph, by the hash of its bytes. */
    PHOTO(Event.PhotoTaken::from),
    /** An element or a step's system was put right: runs through it prove nothing any more, and those that failed must be repeated. */
    REPAIRED(Event.Repaired::from),
    /** A person judges a finding otherwise than the rules: how bad, what it costs, whether it is by design. */
    REGRADED(Event.Regraded::from),
    /** The camera was started or stopped, or its clock put right. */
    CAMERA(Event.Camera::from),
    /** The survey is closed: nothing is written after it. */
    CLOSED(Event.Closed::from),
    /** Strikes an earlier entry; the struck one stays readable. */
    STRIKE(Event.Struck::from);

    private final Function<Entry, Event> decoder;

    Kind(Function<Entry, Event> decoder) {
        this.decoder = decoder;
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
