package tallledger.practice;

import java.util.Optional;
import java.util.Random;
import tallledger.core.drive.Route;
import tallledger.core.family.Step;
import tallledger.core.instrument.Instrument;
import tallledger.core.instrument.InstrumentKind;
import tallledger.core.instrument.InstrumentReason;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

/**
 * An instrument on a simulated machine: it reads the hidden truth with the scatter and the last digit such an instrument has. The same
 * seed reads the same, so that the fields of one step belong together.
 *
 * @param step  it is read for; empty for a speed of the spindle
 * @param route it is read at; empty for a step
 */
public record SimulatedInstrument(SimulatedMachine machine, Optional<Step> step, Optional<Route> route, InstrumentKind kind, Rules rules,
        long seed) implements Instrument {

    @Override
    public String read(ReadingFor asked) {
        Random random = new Random(seed);
        Optional<String> speed = route.flatMap(r -> machine.run(r, random).reading()).map(SpeedReading::typed);
        return speed.or(() -> step.map(s -> machine.answer(s, rules, random).values().getOrDefault(asked.field(), ""))
                .filter(text -> !text.isEmpty()))
                .orElseThrow(() -> Refused.because(InstrumentReason.NOTHING_READ, kind));
    }
}
