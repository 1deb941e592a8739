package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.rules.Rules;

/** A recording beside the ear, worked out by hand: f = 0.10, s = 0.9, knock 0.7 and 0.05, sidebands 0.6 and 0.1. */
class RecordedTest {

    private static final DriveTrain LEVERS = new DriveTrain(List.of(Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4")),
            List.of());
    private static final Elements ELEMENTS = Elements.of(LEVERS);
    private static final Chances CHANCES = Chances.of(Rules.shipped());
    private static final Route B3 =
            LEVERS.routes().stream().filter(r -> LEVERS.name(r).equals("B3")).findFirst().orElseThrow();
    private static final long RANGE_B = 1L << 1;
    private static final long GEAR_3 = 1L << 5;

    private static Recorded knock(boolean gear, boolean range) {
        return new Recorded(List.of(new Recorded.OfShaft(GEAR_3, Optional.of(gear), Optional.empty()),
                new Recorded.OfShaft(RANGE_B, Optional.of(range), Optional.empty())));
    }

    private static Trial counting(Set<Symptom> heard, Recorded recorded) {
        return new Trial(B3, Optional.of(heard), Optional.of(recorded)).counting(ELEMENTS.mask(B3), ELEMENTS.mask(B3), CHANCES);
    }

    /** 0.7 · 0.95 with gear 3 faulty, 0.05 · 0.95 with nothing, 0.05 · 0.3 with range B. */
    @Test
    void aKnockIsOfItsShaft() {
        assertThat(knock(true, false).likelihood(GEAR_3, CHANCES)).isCloseTo(0.665, offset(1e-9));
        assertThat(knock(true, false).likelihood(0, CHANCES)).isCloseTo(0.0475, offset(1e-9));
        assertThat(knock(true, false).likelihood(RANGE_B, CHANCES)).isCloseTo(0.015, offset(1e-9));
    }

    /** A wheel pair is on two shafts, its fault on one of them: (0.7 · 0.95 + 0.05 · 0.3) / 2. */
    @Test
    void aFaultIsOnOneOfTheShaftsOfItsPart() {
        Recorded both = new Recorded(List.of(new Recorded.OfShaft(GEAR_3, Optional.of(true), Optional.empty()),
                new Recorded.OfShaft(GEAR_3 | RANGE_B, Optional.of(false), Optional.empty())));
        assertThat(both.likelihood(GEAR_3, CHANCES)).isCloseTo(0.34, offset(1e-9));
    }

    /** No knock but sidebands: of the two signs the one that tells more, 0.6 and 0.1. */
    @Test
    void whatGrowlsNeedNotKnock() {
        Recorded growls = new Recorded(List.of(new Recorded.OfShaft(GEAR_3, Optional.of(false), Optional.of(true))));
        assertThat(growls.likelihood(GEAR_3, CHANCES)).isCloseTo(0.6, offset(1e-9));
        assertThat(growls.likelihood(0, CHANCES)).isCloseTo(0.1, offset(1e-9));
    }

    @Test
    void ofEarAndRecordingTheOneThatTellsMoreCounts() {
        Set<Symptom> knocks = Set.of(Symptom.KNOCKS_ONCE_A_TURN);
        assertThat(counting(knocks, knock(true, false)).heard()).as("ln 14 over ln 9.1").isEmpty();
        assertThat(counting(Set.of(), knock(false, false)).recorded()).as("ln 10 over ln 3.2, and they agree").isEmpty();
        assertThat(counting(Set.of(), knock(true, false)).heard()).as("they contradict").isEmpty();
        assertThat(counting(knocks, knock(false, false)).heard()).as("they contradict").isEmpty();
        assertThat(counting(Set.of(Symptom.GROWLS), knock(false, false)).recorded()).as("no growl was looked for").isEmpty();
        assertThat(counting(Set.of(Symptom.NO_DRIVE), knock(true, false)).recorded()).as("felt or seen").isEmpty();
    }

    /** One knock alone, without an ear: 0.03/0.97 · 14 to 1 for gear 3, 0.03/0.97 · 0.316 for the six that nothing was looked for on. */
    @Test
    void aRecordingAloneMovesThePosterior() {
        Blame blame = Blame.of(ELEMENTS, List.of(new Trial(B3, Optional.empty(), Optional.of(knock(true, false)))), List.of(), r -> 0,
                Rules.shipped());
        double gear = blame.suspects().stream().filter(s -> s.element().label().equals("3")).findFirst().orElseThrow().probability();
        double range = blame.suspects().stream().filter(s -> s.element().label().equals("B")).findFirst().orElseThrow().probability();
        assertThat(gear).isBetween(0.27, 0.33);
        assertThat(range).isLessThan(0.03);
    }
}
