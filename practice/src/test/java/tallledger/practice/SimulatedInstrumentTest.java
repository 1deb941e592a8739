package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.drive.Route;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.instrument.Instrument;
import tallledger.core.instrument.InstrumentKind;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

class SimulatedInstrumentTest {

    private static final Rules RULES = Rules.shipped();

    private static SimulatedInstrument at(SimulatedMachine machine, Step step, long seed) {
        return new SimulatedInstrument(machine, Optional.of(step), Optional.empty(), InstrumentKind.INDICATOR, RULES, seed);
    }

    private static Step step(SimulatedMachine machine, String id) {
        return Catalogue.of(machine.description(), RULES).stream().filter(s -> s.id().written().equals(id)).findFirst().orElseThrow();
    }

    /** One seed reads the same, others scatter; the 410's plate says 280 where the gears give 250, and the instrument reads the gears. */
    @Test
    void itReadsTheTruthWithScatter() {
        SimulatedMachine lathe = KestrelVale.aldwark410();
        Route b3 = lathe.description().train().routes().stream()
                .filter(r -> lathe.description().train().plateKey(r).equals(java.util.List.of("B", "3"))).findFirst().orElseThrow();
        Set<String> read = new HashSet<>();
        for (long seed = 0; seed < 20; seed++) {
            SimulatedInstrument tachometer = new SimulatedInstrument(lathe, Optional.empty(), Optional.of(b3), InstrumentKind.TACHOMETER,
                    RULES, seed);
            String one = tachometer.read(new Instrument.ReadingFor("", "reading"));
            assertThat(tachometer.read(new Instrument.ReadingFor("", "reading"))).isEqualTo(one);
            assertThat(Double.parseDouble(one)).isBetween(245.0, 266.0);
            read.add(one);
        }
        assertThat(read).hasSizeGreaterThan(8);
    }

    /** Every reading of every chart line of the demo's machines can be taken and is judged. */
    @Test
    void whatItReadsIsAReading() {
        for (SimulatedMachine machine : KestrelVale.shortlist()) {
            Catalogue.of(machine.description(), RULES).stream().filter(s -> s.recording().usualGauge().isPresent()).forEach(step -> {
                SimulatedMachine.Answer answer = machine.answer(step, RULES, new java.util.Random(3));
                answer.values().forEach((field, text) -> {
                    if (!text.isEmpty()) {
                        assertThat(at(machine, step, 3).read(new Instrument.ReadingFor(step.id().written(), field))).isEqualTo(text);
                    }
                });
            });
        }
    }

    @Test
    void whereThereIsNothingToReadItSaysSo() {
        SimulatedMachine lathe = KestrelVale.aldwark410();
        assertThatThrownBy(() -> at(lathe, step(lathe, "nose-camming"), 1).read(new Instrument.ReadingFor("nose-camming", "remark")))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("instrument.nothing"));
    }
}
