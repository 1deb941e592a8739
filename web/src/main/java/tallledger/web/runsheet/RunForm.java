package tallledger.web.runsheet;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.house.House;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunRecord;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/** The run form, read into a {@link RunRecord}. */
final class RunForm {

    private RunForm() {
    }

    static Optional<RunRecord> read(FormInput typed, MachineDescription machine, House house, Route route) {
        Optional<SpeedReading> reading = reading(typed, Run.recording(machine.speeds(), route), house);
        Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
        for (String name : typed.all("symptom")) {
            List.of(Symptom.values()).stream().filter(s -> s.name().equals(name)).forEach(symptoms::add);
        }
        Optional<ShiftFeel> shift = typed.has("shift") ? typed.choice("shift", ShiftFeel.class) : Optional.empty();
        boolean quiet = typed.holds("quiet", "yes");
        boolean swept = machine.train().isSweep(route) && typed.get("do").equals("swept");
        boolean nothing = reading.isEmpty() && symptoms.isEmpty() && shift.flatMap(ShiftFeel::symptom).isEmpty() && !swept;
        if (nothing && typed.isClean() && !typed.get("do").equals("unread")) {
            typed.refuse("reading", Reason.of(WebReason.RUN_NOTHING));
        }
        return typed.isClean() ? typed.attempt("form", () -> new RunRecord(machine.train().settings(route), reading, symptoms,
                shift, quiet, typed.holds("loaded", "yes"), swept, typed.get("remark"))) : Optional.empty();
    }

    /**
     * The speed as read at a route; none where nothing of it was typed. A method may have one of the house's own gauges behind it,
     * {@code OPTICAL:g3}.
     */
    static Optional<SpeedReading> reading(FormInput typed, SpeedRead recording, House house) {
        Map<String, String> figures = new HashMap<>();
        recording.fields().forEach(f -> figures.put(f.name(), typed.get(f.name())));
        String[] by = typed.get("method").split(":", 2);
        figures.put("method", by[0]);
        Optional<Rule> kind = Stream.of(Method.values()).filter(m -> m.name().equals(by[0])).findFirst().flatMap(SpeedReading::usual);
        Optional<Optional<Gauge>> own = typed.attempt("method", () -> house.gauge(by.length < 2 ? "" : by[1], kind));
        Values values = new Values(figures, LengthUnit.MM, own.flatMap(g -> g));
        return own.isPresent() && SpeedRead.isThere(values) ? typed.attempt("reading", () -> recording.read(values)) : Optional.empty();
    }
}
