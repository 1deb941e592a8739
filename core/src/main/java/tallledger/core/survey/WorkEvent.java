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
import tallledger.core.family.MachinePart;
import tallledger.core.family.Need;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;
import tallledger.core.safety.Mounted;
import tallledger.core.unit.LengthUnit;

/** What is done at the machine: started and stopped, run, tried, measured, put off, repaired. */
public sealed interface WorkEvent extends Event {

    /**
     * The start checks were made.
     *
     * @param items   names of the checks
     * @param despite entries of what stops use, named at this start
     * @param mounted what is on the spindle; as typed, since an old record does not name its unit
     */
    record StartConfirmed(List<String> items, Optional<Payload> mounted, Optional<Basis> basis,
            List<Integer> despite) implements WorkEvent {
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
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.startConfirmed(this, entry);
        }
    }

    /** Stopped for good: the start checks are due again. */
    record Stopped() implements WorkEvent {
        @Override
        public Map<String, Object> toPayload() {
            return Map.of();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.stopped(this, entry);
        }
    }

    /** How the runs are planned from here on. */
    record PlanChosen(School school, String minutes) implements WorkEvent {
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
        public Map<String, Object> toPayload() {
            return Map.of("school", school.name(), "minutes", minutes);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.planChosen(this, entry);
        }
    }

    /** A speed was run. */
    record RunMade(RunRecord record, Optional<Basis> basis, Optional<JudgedThen> then) implements WorkEvent {
        static RunMade from(Entry entry) {
            return new RunMade(RunRecord.from(entry.payload()), Basis.from(entry.payload()), JudgedThen.from(entry.payload()));
        }

        @Override
        public String remark() {
            return record.remark();
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(record.toPayload());
            basis.ifPresent(b -> payload.put("basis", b.toPayload()));
            then.ifPresent(t -> payload.put("judged", t.toPayload()));
            return payload;
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.run(this, entry);
        }
    }

    /** A check at the spindle was made. */
    record Checked(DriveCheck check, boolean good, Optional<TypedNumber> seconds, String remark, Optional<Basis> basis,
            Optional<JudgedThen> then)
            implements
                WorkEvent {
        static Checked from(Entry entry) {
            Payload p = entry.payload();
            return new Checked(DriveCheck.valueOf(p.text("check")), p.flag("good"), CheckResult.seconds(p.text("seconds")),
                    p.text("remark"), Basis.from(p), JudgedThen.from(p));
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
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
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
            Optional<JudgedThen> then, Optional<Integer> cut, boolean byEye) implements WorkEvent {
        static StepDone from(Entry entry) {
            Payload p = entry.payload();
            Map<String, String> typed = new HashMap<>();
            p.part("values").fields().forEach((name, value) -> typed.put(name, (String) value));
            return new StepDone(p.text("step"), Map.copyOf(typed), p.flag("flagged"), p.texts("confirmed").stream().map(Need::read)
                    .toList(), p.text("remark"),
                    Basis.from(p), JudgedThen.from(p), p.has("cut") ? Optional.of(p.whole("cut")) : Optional.empty(), p.flag("byEye"));
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
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.step(this, entry);
        }
    }

    /** A step or a speed was passed over; exactly one of the two is named. */
    record PassedOver(Optional<String> step, List<String> settings, String reason) implements WorkEvent {
        static PassedOver from(Entry entry) {
            Payload p = entry.payload();
            return new PassedOver(p.optionalText("step"), p.texts("settings"), p.text("reason"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return step.<Map<String, Object>>map(id -> Map.of("step", id, "reason", reason))
                    .orElseGet(() -> Map.of("settings", settings, "reason", reason));
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.passedOver(this, entry);
        }
    }

    /** A step or speed is come back to later. */
    record PutLater(String key) implements WorkEvent {
        static PutLater from(Entry entry) {
            return new PutLater(entry.payload().text("step"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("step", key);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.later(this, entry);
        }
    }

    /** How warm machine and gauges are in this sitting. */
    record TemperaturesTaken(Temperatures temperatures) implements WorkEvent {
        static TemperaturesTaken from(Entry entry) {
            return new TemperaturesTaken(Temperatures.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return temperatures.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.temperatures(this, entry);
        }
    }

    /** A test cut was made. */
    record CutDone(CutMade cut, LengthUnit unit) implements WorkEvent {
        static CutDone from(Entry entry) {
            return new CutDone(CutMade.from(entry.payload()), LengthUnit.valueOf(entry.payload().text("unit")));
        }

        @Override
        public Map<String, Object> toPayload() {
            return cut.toPayload(unit);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.cut(this, entry);
        }
    }

    /** A part was put right. */
    record Repaired(MachinePart part, String what) implements WorkEvent {
        static Repaired from(Entry entry) {
            return new Repaired(MachinePart.from(entry.payload()), entry.payload().text("what"));
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(part.toPayload());
            payload.put("what", what);
            return payload;
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.repaired(this, entry);
        }
    }
}
