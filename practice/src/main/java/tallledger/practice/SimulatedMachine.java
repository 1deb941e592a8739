package tallledger.practice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Span;
import tallledger.core.family.Step;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.ChartLine;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rules;
import tallledger.core.survey.RunRecord;
import tallledger.core.unit.LengthUnit;

/**
 * A machine that can be run: true speeds, scatter, hidden faults.
 *
 * @param description what the seller's plate and papers say
 * @param trueSpeeds  true unloaded speed by plate cell, min⁻¹, where it differs from the plate's
 * @param motorFactor everything turns this much faster than the plate (slip at no load, supply)
 * @param scatter     standard deviation of a reading, as a share
 * @param faults      hidden faults
 * @param wrong       what steps show where they are not as they should be, by step id: fields as a surveyor would type them
 */
public record SimulatedMachine(MachineDescription description, Map<List<String>, Double> trueSpeeds, double motorFactor,
        double scatter, List<HiddenFault> faults, Map<String, Map<String, String>> wrong) {

    private static final String REMARK = "remark";

    public SimulatedMachine {
        wrong = Map.copyOf(wrong);
        trueSpeeds = Map.copyOf(trueSpeeds);
        faults = List.copyOf(faults);
    }

    /** Runs one route and records what a surveyor with a contact tachometer would. */
    public RunRecord run(Route route, RandomGenerator random) {
        Set<Symptom> symptoms = symptoms(route, random);
        boolean turns = symptoms.stream().noneMatch(Symptom::stopsDrive);
        boolean sweep = description.train().isSweep(route);
        Optional<SpeedReading> reading = turns && !sweep ? Optional.of(read(route, random)) : Optional.empty();
        Optional<ShiftFeel> shift = turns ? Optional.of(ShiftFeel.ENGAGES_CLEAN) : Optional.empty();
        boolean quiet = symptoms.isEmpty() && turns;
        return new RunRecord(description.train().settings(route), reading, symptoms, shift, quiet, false,
                sweep && symptoms.isEmpty(), "");
    }

    /**
     * What a surveyor records of one step.
     *
     * @param values  as typed
     * @param flagged whether they say it is not as it should be
     */
    public record Answer(Map<String, String> values, boolean flagged, String remark) {
    }

    /** A step done on this machine: its own figures where it hides a fault, else sound ones by the rules it is surveyed by. */
    public Answer answer(Step step, Rules rules, RandomGenerator random) {
        Map<String, String> values = new HashMap<>(step.recording().accept(new StepAnswers(description, rules, step.code(), random)));
        Map<String, String> own = wrong.getOrDefault(step.id().written(), Map.of());
        if (step.recording() instanceof ChartLine && own.keySet().stream().anyMatch(field -> !field.equals(REMARK))) {
            // Readings of its own stand instead of a sound machine's, whichever way they were taken.
            values.clear();
        }
        values.putAll(own);
        values.remove(REMARK);
        if (description.unit() == LengthUnit.INCH) {
            step.recording().fields().stream().filter(f -> !f.isLength()).forEach(f -> values.computeIfPresent(f.name(),
                    (name, typed) -> f.unit().retyped(typed)));
        }
        boolean looked = !step.recording().decides();
        return new Answer(values, looked && !own.isEmpty(), own.getOrDefault(REMARK, ""));
    }

    /** What the simulated tachometer shows: the true speed with scatter, to its last digit. */
    private SpeedReading read(Route route, RandomGenerator random) {
        double shown = trueSpeed(route) * (1 + scatter * random.nextGaussian());
        BigDecimal digits = BigDecimal.valueOf(shown).setScale(shown < 1000 ? 1 : 0, RoundingMode.HALF_UP);
        return SpeedReading.byTachometer(digits.toPlainString());
    }

    /** What it truly turns at, unloaded, min⁻¹. */
    public double trueSpeed(Route route) {
        DriveTrain train = description.train();
        Double hidden = trueSpeeds.get(train.plateKey(route));
        double nominal = hidden != null ? hidden
                : description.speeds().nominal(route).map(BigDecimal::doubleValue)
                        .or(() -> train.speed(route).map(Span::low)).orElseThrow();
        return nominal * motorFactor;
    }

    private Set<Symptom> symptoms(Route route, RandomGenerator random) {
        Map<String, String> standing = new HashMap<>();
        for (int s = 0; s < description.train().stages().size(); s++) {
            standing.put(description.train().stages().get(s).name(), description.train().position(route, s).label());
        }
        Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
        for (HiddenFault fault : faults) {
            if (fault.position().equals(standing.get(fault.stage())) && random.nextDouble() < fault.shows()) {
                symptoms.add(fault.symptom());
            }
        }
        return symptoms;
    }
}
