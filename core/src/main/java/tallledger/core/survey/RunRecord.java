package tallledger.core.survey;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.Values;
import tallledger.core.ledger.Payload;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * What a person records of one run.
 *
 * @param settings labels of everything set, in the drive's order, direction included
 * @param reading  the speed read; empty when it was run but not read
 * @param symptoms what was seen, heard or felt
 * @param shift    how the levers went in
 * @param quiet    the surveyor listened and heard nothing but the drive; the only ground for the word in a statement
 * @param loaded   whether it was under load
 * @param swept    a sliding stage was taken through its range and no dead spot was found
 * @param remark   anything else
 */
public record RunRecord(List<String> settings, Optional<SpeedReading> reading, Set<Symptom> symptoms,
        Optional<ShiftFeel> shift, boolean quiet, boolean loaded, boolean swept, String remark) {

    public static final int LONGEST_REMARK = 500;
    /** Reads the figures; what they are held against is the route's. */
    private static final SpeedRead READ = new SpeedRead(Optional.empty(), Optional.empty());

    public RunRecord {
        settings = List.copyOf(settings);
        EnumSet<Symptom> all = EnumSet.noneOf(Symptom.class);
        all.addAll(symptoms);
        shift.flatMap(ShiftFeel::symptom).ifPresent(all::add);
        symptoms = java.util.Collections.unmodifiableSet(all);
        remark = remark.strip();
        if (remark.length() > LONGEST_REMARK) {
            throw Refused.because(CommonReason.TEXT_LONG, remark.length(), LONGEST_REMARK);
        }
        if (quiet && symptoms.stream().anyMatch(Symptom::isNoise)) {
            throw Refused.because(SurveyReason.RUN_QUIET_AND_NOISY);
        }
        if (reading.isPresent() && symptoms.stream().anyMatch(Symptom::stopsDrive)) {
            throw Refused.because(SurveyReason.RUN_READ_WITHOUT_DRIVE, reading.get().typed());
        }
        if (shift.filter(ShiftFeel.ENGAGES_CLEAN::equals).isPresent() && symptoms.contains(Symptom.WILL_NOT_ENGAGE)) {
            throw Refused.because(SurveyReason.RUN_ENGAGES_AND_NOT);
        }
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>();
        fields.put("settings", settings);
        reading.ifPresent(r -> {
            fields.put("method", r.method().name());
            fields.putAll(r.asTyped());
        });
        fields.put("symptoms", symptoms.stream().map(Enum::name).toList());
        shift.ifPresent(s -> fields.put("shift", s.name()));
        fields.put("quiet", quiet);
        fields.put("loaded", loaded);
        fields.put("swept", swept);
        fields.put("remark", remark);
        return fields;
    }

    static RunRecord from(Payload p) {
        Map<String, String> typed = new HashMap<>();
        SpeedRead.FIELDS.forEach(f -> p.optionalText(f.name()).ifPresent(text -> typed.put(f.name(), text)));
        Values values = new Values(typed, LengthUnit.MM, Basis.from(p).flatMap(Basis::gauge));
        Optional<SpeedReading> reading = p.has("method") ? Optional.of(READ.read(values)) : Optional.empty();
        Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
        p.texts("symptoms").forEach(name -> symptoms.add(Symptom.valueOf(name)));
        return new RunRecord(p.texts("settings"), reading, symptoms, p.optionalText("shift").map(ShiftFeel::valueOf),
                p.flag("quiet"), p.flag("loaded"), p.flag("swept"), p.text("remark"));
    }
}
