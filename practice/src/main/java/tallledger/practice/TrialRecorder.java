package tallledger.practice;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.drive.Turning;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.rules.Rule;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

/**
 * Records runs of a machine with a hidden fault: its simulated sound, looked at as the application does. The fault is in the sound as often
 * as the house believes that it is; recordings of one state are made twice and drawn from, since each takes a tenth of a second.
 */
public final class TrialRecorder {

    private static final double SUPPLY = 50;
    private static final int EACH = 2;

    private final SimulatedMachine sound;
    private final Symptom symptom;
    private final Map<String, SoundFindings> made = new HashMap<>();

    /** @param symptom how the fault sounds: a knock, or a growl with sidebands */
    public TrialRecorder(SimulatedMachine sound, Symptom symptom) {
        this.sound = sound;
        this.symptom = symptom;
    }

    Draft recorded(Survey survey, Route route, Optional<Elements.Element> fault, RandomGenerator random, Authorship by) {
        Optional<Elements.Element> on = fault.filter(f -> route.at(f.stage()) == f.position());
        SimulatedSound.Shows shows = on.isEmpty() ? new SimulatedSound.Shows(false, false)
                : new SimulatedSound.Shows(random.nextDouble() < survey.drive().rules().value(Rule.KNOCK_FAULTY),
                        random.nextDouble() < survey.drive().rules().value(Rule.SIDEBANDS_FAULTY));
        int seed = random.nextInt(EACH);
        SoundFindings found = made.computeIfAbsent(route.key() + " " + on + " " + shows + " " + seed, key -> found(route, on, shows, seed));
        return SurveyEntries.sound(by, survey, route.key(), new Attachment(Recording.SOUND, "0".repeat(64), Recording.TYPE), 1,
                BigDecimal.TEN, Recording.usualPlace(LengthUnit.MM), Recording.Treated.NOT, found);
    }

    private SoundFindings found(Route route, Optional<Elements.Element> fault, SimulatedSound.Shows shows, int seed) {
        List<HiddenFault> faults = fault.map(f -> new HiddenFault(f.stageName(), f.label(), symptom, 1)).stream().toList();
        SimulatedMachine machine = new SimulatedMachine(sound.description(), Map.of(), 1, 0, faults, Map.of());
        double rpm = machine.trueSpeed(route);
        WavFile wav = WavFile.parse(SimulatedSound.usual().of(machine, route, rpm, shows, seed));
        List<Turning> turning = Turning.of(machine.description().train(), route, rpm, Optional.of(SUPPLY));
        SoundAnalysis analysis = SoundAnalysis.of(wav, turning, List.of(), 0, Optional.empty());
        return SoundFindings.of(analysis, machine.description().train(), route, turning, rpm, true);
    }
}
