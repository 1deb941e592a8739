package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.drive.Turning;
import tallledger.core.reason.Reason;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundAnalysis.SoundsLike;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.WavFile;

/** What a simulated machine sounds like is what it hides. */
class SimulatedSoundTest {

    private static final SimulatedMachine MILL = KestrelVale.shortlist().get(2);

    private static Route route(String name) {
        return MILL.description().train().routes().stream().filter(r -> MILL.description().train().name(r).equals(name)).findFirst()
                .orElseThrow();
    }

    private static SoundAnalysis heard(HiddenFault... faults) {
        SimulatedMachine machine = new SimulatedMachine(MILL.description(), MILL.trueSpeeds(), MILL.motorFactor(), MILL.scatter(),
                List.of(faults), Map.of());
        Route route = route("3·in·high");
        byte[] wav = SimulatedSound.usual().of(machine, route, machine.trueSpeed(route), 3);
        assertThat(SimulatedSound.usual().of(machine, route, machine.trueSpeed(route), 3)).as("the same seed").isEqualTo(wav);
        SoundAnalysis room =
                SoundAnalysis.of(WavFile.parse(SimulatedSound.usual().ofRoom(3)), List.of(), List.of(), 0.06, Optional.empty());
        assertThat(room.peaks()).isEmpty();
        return SoundAnalysis.of(WavFile.parse(wav), Turning.of(MILL.description().train(), route, machine.trueSpeed(route),
                Optional.of(50.0)), List.of(355.0), 0.06, Optional.of(room));
    }

    private static List<String> sides(SoundAnalysis sound) {
        return sound.peaks().stream().flatMap(p -> p.sources().stream().limit(1)).filter(s -> s.turns() != 0).map(s -> s.of().stage())
                .distinct().toList();
    }

    @Test
    void aSoundMachineHasItsMeshesAndNothingElse() {
        SoundAnalysis sound = heard();
        assertThat(sound.unfit()).isEmpty();
        assertThat(sound.sounds()).isEqualTo(SoundsLike.TONES);
        assertThat(sound.knocks()).isEmpty();
        assertThat(sides(sound)).isEmpty();
        assertThat(sound.peaks()).allMatch(p -> !p.sources().isEmpty());
    }

    @Test
    void aWheelThatKnocksIsFoundOnItsShaft() {
        SoundAnalysis sound = heard(new HiddenFault("left lever", "in", Symptom.KNOCKS_ONCE_A_TURN, 1));
        assertThat(sound.knocks()).extracting(k -> k.shaft().stage()).containsExactly("left lever");
        assertThat(sound.says(Optional.empty())).extracting(Reason::code).contains("sound.knocks");
    }

    /** Struck again and again, and at no whole number of turns of a shaft: neither bearing nor belt is put down to one. */
    @ParameterizedTest
    @CsvSource({"left lever, in, RUNS_ROUGH", "right lever, high, RUNS_ROUGH", "belt, 3, RATTLES"})
    void aBadBearingOrBeltIsNoKnockOfAShaft(String stage, String position, Symptom symptom) {
        SoundAnalysis sound = heard(new HiddenFault(stage, position, symptom, 1));
        assertThat(sound.crest()).as("struck").isGreaterThan(heard().crest() * 1.5);
        assertThat(sound.knocks()).isEmpty();
        Route route = route("3·in·high");
        double rpm = MILL.trueSpeed(route);
        assertThat(SoundFindings.of(sound, MILL.description().train(), route, Turning.of(MILL.description().train(), route, rpm,
                Optional.of(50.0)), rpm, true).shafts()).as("evidence against a shaft's wheels")
                .noneMatch(s -> s.hasSidebands().orElse(false));
    }

    @Test
    void aWheelThatGrowlsHasSidebandsAndDoesNotKnock() {
        SoundAnalysis sound = heard(new HiddenFault("left lever", "in", Symptom.GROWLS, 1));
        assertThat(sound.knocks()).isEmpty();
        assertThat(sides(sound)).contains("left lever");
    }
}
