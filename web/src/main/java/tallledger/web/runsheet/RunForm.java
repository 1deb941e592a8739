package tallledger.web.runsheet;

import tallledger.web.words.WebReason;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.evidence.SpeedRead;
import tallledger.core.evidence.Values;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunRecord;
import tallledger.web.forms.Typed;

/** The run form, read into a {@link RunRecord}. */
final class RunForm {

    private RunForm() {
    }

    static Optional<RunRecord> read(Typed typed, MachineDescription machine, Route route) {
        Optional<SpeedReading> reading = reading(typed, Run.recording(machine.speeds(), route));
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

    /** The speed as read at a route; none where nothing of it was typed. */
    static Optional<SpeedReading> reading(Typed typed, SpeedRead recording) {
        Map<String, String> figures = new HashMap<>();
        recording.fields().forEach(f -> figures.put(f.name(), typed.get(f.name())));
        Values values = new Values(figures, LengthUnit.MM);
        return SpeedRead.isThere(values) ? typed.attempt("reading", () -> recording.read(values)) : Optional.empty();
    }
}
