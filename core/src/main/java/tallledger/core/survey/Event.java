package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
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

        T descriptionAdopted(DescriptionAdopted event, Entry entry);

        T rulesAdopted(RulesAdopted event, Entry entry);

        T startConfirmed(StartConfirmed event, Entry entry);

        T stopped(Stopped event, Entry entry);

        T planChosen(PlanChosen event, Entry entry);

        T run(RunMade event, Entry entry);

        T passedOver(PassedOver event, Entry entry);

        T remark(Remarked event, Entry entry);

        T check(Checked event, Entry entry);

        T step(StepDone event, Entry entry);

        T later(PutLater event, Entry entry);

        T temperatures(TemperaturesTaken event, Entry entry);

        T cut(CutDone event, Entry entry);

        T priced(Priced event, Entry entry);

        T kit(KitSeen event, Entry entry);

        T lift(LiftWeighed event, Entry entry);

        T photo(PhotoTaken event, Entry entry);

        T camera(Camera event, Entry entry);

        T closed(Closed event, Entry entry);

        T repaired(Repaired event, Entry entry);

        T regraded(Regraded event, Entry entry);

        T strike(Struck event, Entry entry);
    }

    /** @param entry that says it */
    <T> T accept(Visitor<T> visitor, Entry entry);

    /** The kind of entry that says it. */
    Kind kind();

    /** What an entry keeps of it, and what it is read from again. */
    Map<String, Object> toPayload();

    /**
     * What a person wrote of their own; it stands in a report under their name. Empty where there is none, or where it stands with its
     * step.
     */
    default String remark() {
        return "";
    }

    /** The survey begins. */
    record Opened(int version, String hash, int rules, String rulesHash, String role, Scope scope, Grade judgedAs) implements Event {
        static Opened from(Entry entry) {
            Payload p = entry.payload();
            return new Opened(p.whole("machineVersion"), p.optionalText("machineHash").orElse(""),
                    p.has("rules") ? p.whole("rules") : House.FIRST, p.optionalText("rulesHash").orElse(""),
                    p.optionalText("role").orElse(entry.by().author().role()),
                    p.optionalText("scope").map(Scope::valueOf).orElse(Scope.WHOLE), p.optionalText("judgedAs").map(Grade::valueOf)
                            .orElse(Grade.WORKABLE));
        }

        @Override
        public Kind kind() {
            return Kind.OPENED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("machineVersion", version, "machineHash", hash, "rules", rules, "rulesHash", rulesHash, "scope", scope.name(),
                    "judgedAs", judgedAs.name());
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
        public Kind kind() {
            return Kind.DESCRIPTION_ADOPTED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("machineVersion", version, "machineHash", hash);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.descriptionAdopted(this, entry);
        }
    }

    /** The machine is judged as of this grade: what is outside it is a finding. */
    record JudgedAs(Grade grade) implements Event {
        static JudgedAs from(Entry entry) {
            return new JudgedAs(Grade.valueOf(entry.payload().text("judgedAs")));
        }

        @Override
        public Kind kind() {
            return Kind.JUDGED_AS;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("judgedAs", grade.name());
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
        public Kind kind() {
            return Kind.RULES_ADOPTED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("rules", version, "rulesHash", hash);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.rulesAdopted(this, entry);
        }
    }

    /**
     * The start checks were made.
     *
     * @param items   names of the checks
     * @param despite entries of what stops use, named at this start
     * @param mounted what is on the spindle; as typed, since an old record does not name its unit
     */
    record StartConfirmed(List<String> items, Optional<Payload> mounted, Optional<Basis> basis, List<Integer> despite) implements Event {
        static StartConfirmed from(Entry entry) {
            Payload p = entry.payload();
            StartConfirmed event = new StartConfirmed(p.texts("items"), p.has("mounted") ? Optional.of(p.part("mounted"))
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
        public Kind kind() {
            return Kind.START_CONFIRMED;
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(Map.of("items", items));
            mounted.ifPresent(m -> payload.put("mounted", m.fields()));
            basis.ifPresent(b -> payload.put("basis", b.toPayload()));
            if (!despite.isEmpty()) {
                payload.put("despite", despite.stream().map(String::valueOf).toList());
            }
            return payload;
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.startConfirmed(this, entry);
        }
    }

    /** Stopped for good: the start checks are due again. */
    record Stopped() implements Event {
        @Override
        public Kind kind() {
            return Kind.STOPPED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.stopped(this, entry);
        }
    }

    /** How the runs are planned from here on. */
    record PlanChosen(School school, String minutes) implements Event {
        static PlanChosen from(Entry entry) {
            Payload p = entry.payload();
            PlanChosen event = new PlanChosen(School.valueOf(p.text("school")), p.text("minutes"));
            event.choice(entry.at());
            return event;
        }

        /** @param at when it was chosen */
        PlanChoice choice(Instant at) {
            return new PlanChoice(school, minutes.isEmpty() ? Optional.empty()
                    : Optional.of(TypedNumber.parsePositive(minutes).value()), at);
        }

        @Override
        public Kind kind() {
            return Kind.PLAN_CHOSEN;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("school", school.name(), "minutes", minutes);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.planChosen(this, entry);
        }
    }

    /** A speed was run. */
    record RunMade(RunRecord record, Optional<Basis> basis, Optional<JudgedThen> then) implements Event {
        static RunMade from(Entry entry) {
            return new RunMade(RunRecord.from(entry.payload()), Basis.from(entry.payload()), JudgedThen.from(entry.payload()));
        }

        @Override
        public String remark() {
            return record.remark();
        }

        @Override
        public Kind kind() {
            return Kind.RUN;
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(record.toPayload());
            basis.ifPresent(b -> payload.put("basis", b.toPayload()));
            then.ifPresent(t -> payload.put("judged", t.toPayload()));
            return payload;
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
        public Kind kind() {
            return Kind.PASSED_OVER;
        }

        @Override
        public Map<String, Object> toPayload() {
            return step.<Map<String, Object>>map(id -> Map.of("step", id, "reason", reason))
                    .orElseGet(() -> Map.of("settings", settings, "reason", reason));
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
        public Kind kind() {
            return Kind.REMARK;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("text", text);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.remark(this, entry);
        }
    }

    /** A check at the spindle was made. */
    record Checked(DriveCheck check, boolean good, Optional<TypedNumber> seconds, String remark, Optional<Basis> basis,
            Optional<JudgedThen> then)
            implements
                Event {
        static Checked from(Entry entry) {
            Payload p = entry.payload();
            return new Checked(DriveCheck.valueOf(p.text("check")), p.flag("good"), CheckResult.seconds(p.text("seconds")),
                    p.text("remark"), Basis.from(p), JudgedThen.from(p));
        }

        @Override
        public Kind kind() {
            return Kind.CHECK;
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(Map.of("check", check.name(), "good", good, "seconds",
                    seconds.map(TypedNumber::typed).orElse(""), "remark", remark));
            basis.ifPresent(b -> payload.put("basis", b.toPayload()));
            then.ifPresent(t -> payload.put("judged", t.toPayload()));
            return payload;
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.check(this, entry);
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
        public Kind kind() {
            return Kind.STEP;
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(Map.of("step", step, "values", typed, "flagged", flagged, "confirmed",
                    confirmed.stream().map(Need::written).toList(), "remark", remark));
            basis.ifPresent(b -> payload.put("basis", b.toPayload()));
            then.ifPresent(t -> payload.put("judged", t.toPayload()));
            cut.ifPresent(entry -> payload.put("cut", entry));
            if (byEye) {
                payload.put("byEye", true);
            }
            return payload;
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.step(this, entry);
        }
    }

    /** A step or speed is come back to later. */
    record PutLater(String key) implements Event {
        static PutLater from(Entry entry) {
            return new PutLater(entry.payload().text("step"));
        }

        @Override
        public Kind kind() {
            return Kind.LATER;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("step", key);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.later(this, entry);
        }
    }

    /** How warm machine and gauges are in this sitting. */
    record TemperaturesTaken(Temperatures temperatures) implements Event {
        static TemperaturesTaken from(Entry entry) {
            return new TemperaturesTaken(Temperatures.from(entry.payload()));
        }

        @Override
        public Kind kind() {
            return Kind.TEMPERATURES;
        }

        @Override
        public Map<String, Object> toPayload() {
            return temperatures.toPayload();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.temperatures(this, entry);
        }
    }

    /** A test cut was made. */
    record CutDone(CutMade cut, LengthUnit unit) implements Event {
        static CutDone from(Entry entry) {
            return new CutDone(CutMade.from(entry.payload()), LengthUnit.valueOf(entry.payload().text("unit")));
        }

        @Override
        public Kind kind() {
            return Kind.CUT;
        }

        @Override
        public Map<String, Object> toPayload() {
            return cut.toPayload(unit);
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
        public Kind kind() {
            return Kind.PRICED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return stakes.toPayload();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.priced(this, entry);
        }
    }

    /** Kit or a paper was looked for, promised or awaited. */
    record KitSeen(KitItem item) implements Event {
        static KitSeen from(Entry entry) {
            return new KitSeen(KitItem.from(entry.payload()));
        }

        @Override
        public Kind kind() {
            return Kind.KIT;
        }

        @Override
        public Map<String, Object> toPayload() {
            return item.toPayload();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.kit(this, entry);
        }
    }

    /** What the machine weighs and the lift is said to carry. */
    record LiftWeighed(Lift lift) implements Event {
        static LiftWeighed from(Entry entry) {
            return new LiftWeighed(Lift.from(entry.payload()));
        }

        @Override
        public Kind kind() {
            return Kind.LIFT;
        }

        @Override
        public Map<String, Object> toPayload() {
            return lift.toPayload();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.lift(this, entry);
        }
    }

    /** A photograph was taken. */
    record PhotoTaken(Photo photo) implements Event {
        static PhotoTaken from(Entry entry) {
            return new PhotoTaken(Photo.from(entry));
        }

        @Override
        public Kind kind() {
            return Kind.PHOTO;
        }

        @Override
        public Map<String, Object> toPayload() {
            return photo.toPayload();
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.photo(this, entry);
        }
    }

    /** A part was put right. */
    record Repaired(Part part, String what) implements Event {
        static Repaired from(Entry entry) {
            return new Repaired(Part.from(entry.payload()), entry.payload().text("what"));
        }

        @Override
        public Kind kind() {
            return Kind.REPAIRED;
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(part.toPayload());
            payload.put("what", what);
            return payload;
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
        public Kind kind() {
            return Kind.REGRADED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return regrade.toPayload();
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
        public Kind kind() {
            return Kind.STRIKE;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("reason", reason);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.strike(this, entry);
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
        public Kind kind() {
            return Kind.CAMERA;
        }

        @Override
        public Map<String, Object> toPayload() {
            return this.what == What.SHIFTED ? Map.of("what", what.name(), "seconds", seconds) : Map.of("what", what.name());
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
        public Kind kind() {
            return Kind.CLOSED;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("key", key);
        }

        @Override
        public <T> T accept(Visitor<T> visitor, Entry entry) {
            return visitor.closed(this, entry);
        }
    }
}
