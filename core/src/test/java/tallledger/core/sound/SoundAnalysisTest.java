package tallledger.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.drive.Turning;
import tallledger.core.reason.Reason;
import tallledger.core.sound.SoundAnalysis.NamedPeak;
import tallledger.core.sound.SoundAnalysis.SoundsLike;
import tallledger.core.sound.Spectrum.Peak;

/** What is known to be in a recording is found in it, and nothing else (W 3.8). */
class SoundAnalysisTest {

    /** A spindle at 900, a wheel of 60 on it driven by one of 40 on a shaft at 1 350. */
    private static final List<Turning> DRIVE = List.of(new Turning(Turning.Kind.SPINDLE, "", "", 15),
            new Turning(Turning.Kind.MESH, "range", "40:60", 900), new Turning(Turning.Kind.SHAFT_INTO, "range", "", 22.5),
            new Turning(Turning.Kind.SUPPLY_TWICE, "", "", 100));
    private static final DoubleUnaryOperator ROOM = Sounds.noise(0.002, 5);

    private static SoundAnalysis of(WavFile wav) {
        return SoundAnalysis.of(wav, DRIVE, List.of(450.0, 900.0), 0.06, Optional.empty());
    }

    private static SoundAnalysis heard(DoubleUnaryOperator... all) {
        return of(Sounds.recorded(16_000, 10, Sounds.sum(Sounds.sum(all), ROOM)));
    }

    /** Frequency within half a bin, level within half a decibel, at every rate, on a bin and off it, near the edge of what is kept. */
    @ParameterizedTest
    @CsvSource({"8000, 125, 0.5", "8000, 125.5, 0.5", "11025, 440, 0.1", "22050, 3210.3, 0.25", "44100, 997, 0.01", "48000, 60.2, 0.5",
            "48000, 3199.6, 0.9", "96000, 1234.5, 0.5", "16000, 5.9, 0.2"})
    void aSineIsFoundWhereItIsAsLoudAsItIs(int hertz, double at, double amplitude) {
        SoundAnalysis found = of(Sounds.recorded(hertz, 6, Sounds.sum(Sounds.sine(amplitude, at), Sounds.noise(1e-4, 3))));
        assertThat(found.peaks()).hasSize(1);
        Peak peak = found.peaks().get(0).peak();
        assertThat(peak.hertz()).isCloseTo(at, offset(found.spectrum().binHertz() / 2));
        assertThat(peak.level()).isCloseTo(20 * Math.log10(amplitude), offset(0.5));
    }

    @Test
    void aFullScaleSineOnABinIsNoughtDecibels() {
        SoundAnalysis found = of(Sounds.recorded(8000, 6, Sounds.sine(32767 / 32768.0, 1000)));
        assertThat(found.spectrum().levels()[1024]).isCloseTo(0, offset(0.001));
        assertThat(found.overall()).isCloseTo(0, offset(0.001));
        assertThat(found.crest()).isCloseTo(Math.sqrt(2), offset(0.001));
        assertThat(found.spectrum().band(900, 1100)).isCloseTo(0, offset(0.01));
        assertThat(found.spectrum().band(1100, 2000)).isLessThan(-80);
    }

    /** What lies above the new rate's half would fold to 1 kHz: it is 60 dB down at least. */
    @ParameterizedTest
    @CsvSource({"48000, 7000, 1000", "44100, 7820, 1000", "96000, 9000, 1000"})
    void whatIsTooHighDoesNotFoldBack(int hertz, double at, double folded) {
        SoundAnalysis found = of(Sounds.recorded(hertz, 6, Sounds.sine(0.5, at)));
        assertThat(found.spectrum().band(folded - 20, folded + 20)).isLessThan(-66);
    }

    /** White noise alone: counted over two hundred recordings of five seconds, the shortest there are. */
    @Test
    void noiseAloneGivesNoAttributedPeak() {
        int false5 = 0;
        int named = 0;
        for (int i = 0; i < 200; i++) {
            SoundAnalysis noise = of(Sounds.recorded(8000, 5, Sounds.noise(0.05, 100 + i)));
            false5 += noise.peaks().size();
            named += (int) noise.peaks().stream().filter(p -> !p.sources().isEmpty()).count();
            assertThat(noise.knocks()).isEmpty();
            assertThat(noise.comb()).isEmpty();
            assertThat(noise.sounds()).isEqualTo(SoundsLike.RUSH);
        }
        assertThat(false5).as("peaks in 200 recordings of noise").isLessThanOrEqualTo(2);
        assertThat(named).isZero();
    }

    private static String names(SoundAnalysis found) {
        return String.join(", ", found.peaks().stream().map(SoundAnalysisTest::name).toList());
    }

    private static String name(NamedPeak p) {
        return p.sources().isEmpty() ? "?"
                : p.sources().get(0).of().kind() + " " + p.sources().get(0).times()
                        + (p.sources().get(0).turns() == 0 ? ""
                                : " " + p.sources().get(0).turns() + " " + p.sources().get(0).beside().get().kind());
    }

    @Test
    void eachPeakIsNamedByWhatLiesNearest() {
        assertThat(names(heard(Sounds.sine(0.1, 15), Sounds.sine(0.05, 45), Sounds.sine(0.1, 100), Sounds.sine(0.2, 900),
                Sounds.sine(0.05, 885), Sounds.sine(0.05, 922.5), Sounds.sine(0.04, 1800), Sounds.sine(0.04, 2345.6))))
                .isEqualTo("SPINDLE 1, SHAFT_INTO 2, SUPPLY_TWICE 1, MESH 1 -1 SPINDLE, MESH 1, MESH 1 1 SHAFT_INTO, MESH 2, ?");
    }

    @ParameterizedTest
    @CsvSource({"908.9, true", "909.2, false", "15.9, true", "16.1, false"})
    void aPeakIsWithinABinOrAHundredth(double hertz, boolean named) {
        List<Source> all = Source.all(DRIVE.subList(0, 2), 0.9765625);
        assertThat(Source.near(all, hertz, 0.9765625).stream().anyMatch(s -> s.turns() == 0)).isEqualTo(named);
    }

    /** Orders of a shaft slower than four bins would cover everything. */
    @Test
    void aSlowShaftExplainsNothing() {
        List<Source> all = Source.all(List.of(new Turning(Turning.Kind.SPINDLE, "", "", 3.9)), 0.9765625);
        assertThat(all).isEmpty();
        assertThat(Source.all(List.of(new Turning(Turning.Kind.SPINDLE, "", "", 3.92)), 0.9765625)).hasSize(10);
    }

    @Test
    void whatStrikesOnceATurnKnocksOnThatShaft() {
        SoundAnalysis found = heard(Sounds.strikes(0.5, 15));
        assertThat(found.knocks()).extracting(k -> k.shaft().kind()).containsExactly(Turning.Kind.SPINDLE);
        assertThat(found.knocks().get(0).all().likeness()).isGreaterThan(0.8);
        assertThat(found.sounds()).isEqualTo(SoundsLike.KNOCK);
        assertThat(heard(Sounds.strikes(0.5, 22.5)).knocks()).extracting(k -> k.shaft().kind())
                .containsExactly(Turning.Kind.SHAFT_INTO);
        assertThat(heard(Sounds.strikes(0.5, 17.3)).knocks()).as("of no shaft").isEmpty();
    }

    /** What only swells once a turn is no knock; nor is one of a shaft that turns half as fast, where the faster one knocks. */
    @Test
    void swellingIsNoKnockAndASlowerShaftIsNotBlamedForAFasterOne() {
        assertThat(heard(t -> 0.2 * (1 + 0.9 * Math.sin(2 * Math.PI * 15 * t)) * Math.sin(2 * Math.PI * 900 * t)).knocks()).isEmpty();
        List<Turning> two = List.of(new Turning(Turning.Kind.SPINDLE, "", "", 7.5), new Turning(Turning.Kind.SHAFT_INTO, "gear", "", 15));
        SoundAnalysis found = SoundAnalysis.of(Sounds.recorded(16_000, 10, Sounds.sum(Sounds.strikes(0.5, 15), ROOM)), two, List.of(),
                0.06, Optional.empty());
        assertThat(found.knocks()).extracting(k -> k.shaft().kind()).containsExactly(Turning.Kind.SHAFT_INTO);
    }

    @Test
    void strikesWithoutOrderRattle() {
        java.util.Random random = new java.util.Random(8);
        double[] at = random.doubles(90, 0, 10).sorted().toArray();
        SoundAnalysis found = heard(t -> {
            int i = java.util.Arrays.binarySearch(at, t);
            int last = i >= 0 ? i : -i - 2;
            return last < 0 ? 0 : Sounds.strikes(0.5, 1e-9).applyAsDouble(t - at[last]);
        });
        assertThat(found.knocks()).isEmpty();
        assertThat(found.sounds()).isEqualTo(SoundsLike.RATTLE);
        assertThat(heard(Sounds.sine(0.2, 900)).sounds()).isEqualTo(SoundsLike.TONES);
    }

    /** f = (1·4.99 + 2·10.02 + 3·15.01)/14. */
    @Test
    void theCombGivesTheSpeed() {
        CombSpeed comb = CombSpeed.of(List.of(new Peak(4.99, 0, 0), new Peak(10.02, 0, 0), new Peak(15.01, 0, 0)), List.of(300.0), 0.06,
                0.9765625).orElseThrow();
        assertThat(comb.rpm()).isCloseTo(60 * 70.06 / 14, offset(0.001));
        assertThat(comb.orders()).containsExactly(1, 2, 3);
        assertThat(comb.u()).isBetween(0.1, 0.5);
    }

    @ParameterizedTest
    @CsvSource({"15.2, 912", "7.5, 450", "26, 1560"})
    void theSpeedIsHeardFromItsOrders(double hertz, double rpm) {
        SoundAnalysis found = heard(Sounds.sine(0.1, hertz), Sounds.sine(0.1, 2 * hertz), Sounds.sine(0.1, 3 * hertz),
                Sounds.sine(0.1, 4 * hertz), Sounds.sine(0.2, 100));
        assertThat(found.comb().orElseThrow().rpm()).isCloseTo(rpm, offset(2.0));
        assertThat(found.comb().get().u()).isLessThan(2);
    }

    /** Orders 1, 2 and what would be the fourth, were it not the motor's. */
    @Test
    void theMotorsOwnTurnIsNoOrderOfTheSpindle() {
        List<Turning> driven = List.of(new Turning(Turning.Kind.SPINDLE, "", "", 6.07), new Turning(Turning.Kind.MOTOR, "", "", 24));
        DoubleUnaryOperator sound = Sounds.sum(Sounds.sine(0.1, 6.07), Sounds.sine(0.1, 12.14), Sounds.sine(0.1, 23.75), ROOM);
        WavFile wav = Sounds.recorded(16_000, 10, sound);
        assertThat(SoundAnalysis.of(wav, driven, List.of(355.0), 0.06, Optional.empty()).comb()).isEmpty();
        assertThat(SoundAnalysis.of(wav, driven.subList(0, 1), List.of(355.0), 0.06, Optional.empty()).comb()).isPresent();
    }

    @Test
    void twoOrdersGiveNoSpeed() {
        assertThat(heard(Sounds.sine(0.1, 15), Sounds.sine(0.1, 30)).comb()).isEmpty();
    }

    private static Recurring.AtSpeed at(double rpm, double... hertz) {
        DoubleUnaryOperator[] tones = java.util.Arrays.stream(hertz).mapToObj(h -> Sounds.sine(0.1, h)).toArray(DoubleUnaryOperator[]::new);
        return new Recurring.AtSpeed(heard(tones), rpm);
    }

    private static List<String> recurring(Recurring.AtSpeed... all) {
        return Recurring.in(List.of(all)).stream().map(r -> (r.turns() ? "order " : "hertz ") + Math.round(r.at()) + " " + r.in()).toList();
    }

    /** At 300, 600 and 900: order 11, and 130 Hz, which is order 26, 13 and 8.67; in two of three is by chance. */
    @Test
    void whatTurnsWithTheSpindleIsToldFromWhatDoesNot() {
        assertThat(recurring(at(300, 55, 130, 700), at(600, 110.6, 130.5, 333), at(900, 165, 131, 700)))
                .containsExactly("order 11 [0, 1, 2]", "hertz 131 [0, 1, 2]");
        assertThat(recurring(at(300, 255), at(600, 510), at(900, 765))).as("order 51").isEmpty();
        assertThat(recurring(at(300, 245), at(600, 490), at(900, 735))).containsExactly("order 49 [0, 1, 2]");
        assertThat(recurring(at(300, 50, 100), at(600, 100, 200), at(900, 150, 100))).as("the supply's is no order")
                .containsExactly("hertz 100 [0, 1, 2]");
        assertThat(recurring(at(300, 50), at(600, 100))).as("two agree by chance").isEmpty();
        assertThat(recurring(at(300, 50), at(300, 50), at(329, 54.8))).as("speeds too near tell nothing").isEmpty();
        assertThat(recurring(at(300, 50), at(310, 51.7), at(331, 55.2))).containsExactly("order 10 [0, 1, 2]");
        assertThat(recurring()).isEmpty();
    }

    private static List<String> unfit(DoubleUnaryOperator at, DoubleUnaryOperator room) {
        Optional<SoundAnalysis> off = Optional.ofNullable(room)
                .map(r -> SoundAnalysis.of(Sounds.recorded(8000, 5, r), List.of(), List.of(), 0.06, Optional.empty()));
        return SoundAnalysis.of(Sounds.recorded(8000, 5, at), DRIVE, List.of(), 0.06, off).unfit().stream().map(Reason::code).toList();
    }

    @Test
    void whatProvesNothingSaysWhy() {
        assertThat(unfit(t -> 0, null)).containsExactly(SoundReason.SILENT.code());
        assertThat(unfit(Sounds.sine(1.5, 300), null)).containsExactly(SoundReason.CLIPPED.code());
        assertThat(unfit(Sounds.sine(0.0004, 300), null)).containsExactly(SoundReason.QUIET.code());
        assertThat(unfit(Sounds.sine(0.01, 300), Sounds.sine(0.0051, 300))).containsExactly(SoundReason.OVER_ROOM.code());
        assertThat(unfit(Sounds.sine(0.01, 300), Sounds.sine(0.0049, 300))).isEmpty();
    }
}
