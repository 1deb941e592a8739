package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.School;
import tallledger.core.cutting.CutMade;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Need;
import tallledger.core.family.Part;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.price.Stakes;
import tallledger.core.reading.TypedNumber;
import tallledger.core.safety.Mounted;
import tallledger.core.unit.LengthUnit;

/**
 * What an entry says, decoded once. What cannot be decoded is no event but a {@link Stray}. Whoever makes something of events is a
 * {@link Visitor}, so that a new kind of event is met by the compiler wherever it must be.
 */
public sealed interface Event {

    /** What is made of an event of each kind. */
    interface Visitor<T> {

        T opened(Opened event, Entry entry);

        T judgedAs(JudgedAs event, Entry entry);

        T adopted(DescriptionAdopted event, Entry entry);

        T adopted(RulesAdopted event, Entry entry);

        T started(StartConfirmed event, Entry entry);

        T stopped(Stopped event, Entry entry);

        T planned(PlanChosen event, Entry entry);

        T run(RunMade event, Entry entry);

        T passedOver(PassedOver event, Entry entry);

        T remarked(Remarked event, Entry entry);

        T checked(Checked event, Entry entry);

        T step(StepDone event, Entry entry);

        T putOff(PutOff event, Entry entry);

        T temperatures(Warm event, Entry entry);

        T cut(CutDone event, Entry entry);

        T stakes(Priced event, Entry entry);

        T kit(KitSeen event, Entry entry);

        T weighed(Weighed event, Entry entry);

        T photographed(Photographed event, Entry entry);

        T camera(Camera event, Entry entry);

        T closed(Closed event, Entry entry);

        T repaired(Repaired event, Entry entry);

        T regraded(Regraded event, Entry entry);

        T struck(Struck event, Entry entry);
    }

    /** @param entry that says it */
    <T> T accept(Visitor<T> visitor, Entry entry);

    /**
     * What a person wrote of their own; it stands in a report under their name. Empty where there is none, or where it stands with its
     * step.
     */
    default String remark() {
        return "";
    }

    /** The survey begins. */
    record Opened(int version, String hash, int rules, String role, Scope scope, Grade judgedAs) implements Event {
        static Opened from(Entry entry) {
            Payload p = entry.payload();
            return new Opened(p.whole("machineVersion"), p.optionalText("machineHash").orElse(""),
                    p.has("rules") ? p.whole("rules") : House.FIRST, p.optionalText("role").orElse(entry.by().author().role()),
                    p.optionalText("scope").map(Scope::valueOf).orElse(Scope.WHOLE), p.optionalText("judgedAs").map(Grade::valueOf)
                            .orElse(Grade.WORKABLE));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.opened(this, entry);
        }
    }

    /** A newer version of the description is judged by from here on. */
    record DescriptionAdopted(int version, String hash) implements Event {
        static DescriptionAdopted from(Entry entry) {
            return new DescriptionAdopted(entry.payload().whole("machineVersion"), entry.payload().optionalText("machineHash").orElse(""));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.adopted(this, entry);
        }
    }

    /** The machine is judged as of this grade: what is outside it is a finding. */
    record JudgedAs(Grade grade) implements Event {
        static JudgedAs from(Entry entry) {
            return new JudgedAs(Grade.valueOf(entry.payload().text("judgedAs")));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.judgedAs(this, entry);
        }
    }

    /** A newer version of the house's rules is judged by from here on. */
    record RulesAdopted(int version, String hash) implements Event {
        static RulesAdopted from(Entry entry) {
            return new RulesAdopted(entry.payload().whole("rules"), entry.payload().optionalText("rulesHash").orElse(""));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.adopted(this, entry);
        }
    }

    /**
     * The start checks were made.
     *
     * @param items   how many
     * @param mounted what is on the spindle; as typed, since an old record does not name its unit
     */
    record StartConfirmed(int items, Optional<Payload> mounted, Optional<Basis> basis, List<Integer> despite) implements Event {
        static StartConfirmed from(Entry entry) {
            Payload p = entry.payload();
            StartConfirmed event = new StartConfirmed(p.texts("items").size(), p.has("mounted") ? Optional.of(p.part("mounted"))
                    : Optional.empty(), Basis.from(p),
                    p.decimals("despite").stream().map(BigDecimal::intValueExact).toList());
            event.mounted(LengthUnit.MM);
            return event;
        }

        /** @param otherwise unit of a record that does not name its own */
        public Optional<Mounted> mounted(LengthUnit otherwise) {
            return mounted.map(m -> Mounted.from(m, basis.map(Basis::unit).orElse(otherwise),
                    basis.map(Basis::bare).orElse(LengthUnit.MM)));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.started(this, entry);
        }
    }

    /** Stopped for good: the start checks are due again. */
    record Stopped() implements Event {
        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.stopped(this, entry);
        }
    }

    /** How the runs are planned from here on. */
    record PlanChosen(School school, String minutes, PlanChoice choice) implements Event {
        static PlanChosen from(Entry entry) {
            Payload p = entry.payload();
            School school = School.valueOf(p.text("school"));
            String minutes = p.text("minutes");
            return new PlanChosen(school, minutes, new PlanChoice(school,
                    minutes.isEmpty() ? Optional.empty() : Optional.of(TypedNumber.parsePositive(minutes).value()), entry.at()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.planned(this, entry);
        }
    }

    /** A speed was run. */
    record RunMade(RunRecord record, Optional<JudgedThen> then) implements Event {
        static RunMade from(Entry entry) {
            return new RunMade(RunRecord.from(entry.payload()), JudgedThen.from(entry.payload()));
        }

        @Override
        public String remark() {
            return record.remark();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.run(this, entry);
        }
    }

    /** A step or a speed was passed over; exactly one of the two is named. */
    record PassedOver(Optional<String> step, List<String> settings, String reason) implements Event {
        static PassedOver from(Entry entry) {
            Payload p = entry.payload();
            return new PassedOver(p.optionalText("step"), p.texts("settings"), p.text("reason"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.passedOver(this, entry);
        }
    }

    /** Somebody remarked something. */
    record Remarked(String text) implements Event {
        static Remarked from(Entry entry) {
            return new Remarked(entry.payload().text("text"));
        }

        @Override
        public String remark() {
            return text;
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.remarked(this, entry);
        }
    }

    /** A check at the spindle was made. */
    record Checked(DriveCheck check, boolean good, Optional<TypedNumber> seconds, String remark, Optional<JudgedThen> then)
            implements
                Event {
        static Checked from(Entry entry) {
            Payload p = entry.payload();
            return new Checked(DriveCheck.valueOf(p.text("check")), p.flag("good"), CheckResult.seconds(p.text("seconds")),
                    p.text("remark"), JudgedThen.from(p));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.checked(this, entry);
        }
    }

    /**
     * A step was done.
     *
     * @param typed     field by field as typed
     * @param flagged   the surveyor says it is not as it should be
     * @param confirmed what was confirmed to be so first
     * @param cut       entry of the test cut it was measured on, where it was one
     * @param byEye     nothing was measured
     */
    record StepDone(String step, Map<String, String> typed, boolean flagged, List<Need> confirmed, String remark, Optional<Basis> basis,
            Optional<JudgedThen> then, Optional<Integer> cut, boolean byEye) implements Event {
        static StepDone from(Entry entry) {
            Payload p = entry.payload();
            Map<String, String> typed = new HashMap<>();
            p.part("values").fields().forEach((name, value) -> typed.put(name, (String) value));
            return new StepDone(p.text("step"), Map.copyOf(typed), p.flag("flagged"), p.texts("confirmed").stream().map(Need::read)
                    .toList(), p.text("remark"),
                    Basis.from(p), JudgedThen.from(p), p.has("cut") ? Optional.of(p.whole("cut")) : Optional.empty(), p.flag("byEye"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.step(this, entry);
        }
    }

    /** A step or speed is come back to later. */
    record PutOff(String key) implements Event {
        static PutOff from(Entry entry) {
            return new PutOff(entry.payload().text("step"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.putOff(this, entry);
        }
    }

    /** How warm machine and gauges are in this sitting. */
    record Warm(Temperatures temperatures) implements Event {
        static Warm from(Entry entry) {
            return new Warm(Temperatures.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.temperatures(this, entry);
        }
    }

    /** A test cut was made. */
    record CutDone(CutMade cut) implements Event {
        static CutDone from(Entry entry) {
            return new CutDone(CutMade.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.cut(this, entry);
        }
    }

    /** What is asked, what a sound one is worth, where the machine comes from. */
    record Priced(Stakes stakes) implements Event {
        static Priced from(Entry entry) {
            return new Priced(Stakes.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.stakes(this, entry);
        }
    }

    /** Kit or a paper was looked for, promised or awaited. */
    record KitSeen(KitItem item) implements Event {
        static KitSeen from(Entry entry) {
            return new KitSeen(KitItem.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.kit(this, entry);
        }
    }

    /** What the machine weighs and the lift is said to carry. */
    record Weighed(Lift lift) implements Event {
        static Weighed from(Entry entry) {
            return new Weighed(Lift.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.weighed(this, entry);
        }
    }

    /** A photograph was taken. */
    record Photographed(Photo photo) implements Event {
        static Photographed from(Entry entry) {
            return new Photographed(Photo.from(entry));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.photographed(this, entry);
        }
    }

    /** A part was put right. */
    record Repaired(Part part, String what) implements Event {
        static Repaired from(Entry entry) {
            return new Repaired(Part.from(entry.payload()), entry.payload().text("what"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.repaired(this, entry);
        }
    }

    /** A finding is judged by a person. */
    record Regraded(Regrade regrade) implements Event {
        static Regraded from(Entry entry) {
            return new Regraded(Regrade.from(entry.payload()));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.regraded(this, entry);
        }
    }

    /** An earlier entry does not count. */
    record Struck(int target, String reason) implements Event {
        static Struck from(Entry entry) {
            return new Struck(entry.draft().strikes().orElseThrow(), entry.payload().text("reason"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.struck(this, entry);
        }
    }

    /**
     * The camera was started or stopped, or is found to run ahead.
     *
     * @param seconds how much earlier than its entry it was started, for a shift
     */
    record Camera(What what, int seconds) implements Event {

        /** What was done. */
        public enum What { STARTED, STOPPED, SHIFTED }

        static Camera from(Entry entry) {
            Payload p = entry.payload();
            return new Camera(What.valueOf(p.text("what")), p.has("seconds") ? p.whole("seconds") : 0);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.camera(this, entry);
        }
    }

    /** The survey is closed. @param key fingerprint of the key it is sealed with */
    record Closed(String key) implements Event {
        static Closed from(Entry entry) {
            return new Closed(entry.payload().text("key"));
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.closed(this, entry);
        }
    }
}
