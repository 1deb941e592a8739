package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.Claim;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.SoundFindings.DrivePeak;
import tallledger.core.sound.SoundFindings.ShaftSound;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;

/** Quiet by a recording: no knock, no peak over 12 dB above the median of its order at two other speeds at least. */
class HeardSoundTest {

    private final SurveyBook book = new SurveyBook(Machines.lathe(Machines.TWELVE,
            List.of(new Claim(Claim.Attribute.CONDITION, "quiet", Claim.Source.SELLER, "")), List.of(), Machines.lever("range", "A B C"),
            Machines.lever("gear", "1 2 3 4")), Scope.SPINDLE_DRIVE, 60);

    private Route route(String name) {
        return book.machine().train().routes().stream().filter(r -> book.machine().train().name(r).equals(name)).findFirst().orElseThrow();
    }

    /** @param levels of every band, dB */
    private void sound(String name, boolean read, Recording.Treated treated, String peak, int levels, List<ShaftSound> shafts) {
        BigDecimal rpm = BigDecimal.valueOf(HeardSound.speed(book.spindle(), route(name)).orElseThrow());
        SoundFindings found = new SoundFindings(rpm, read, new BigDecimal("-20"), BigDecimal.ZERO, shafts,
                peak.isEmpty() ? List.of()
                        : List.of(new DrivePeak(rpm.multiply(new BigDecimal("30")).movePointLeft(2),
                                new BigDecimal(peak))),
                new ArrayList<>(Collections.nCopies(276, levels)));
        book.write(SurveyEntries.sound(Authorship.of(book.now(), SurveyBook.ME), book.survey(), route(name).key(),
                new Attachment(Recording.SOUND, "1".repeat(64), Recording.TYPE), 9, BigDecimal.TEN, "near", treated, found));
    }

    private Optional<Boolean> quiet(String name) {
        List<HeardSound> all = HeardSound.of(book.spindle());
        return all.stream().filter(h -> h.route().equals(route(name))).findFirst().orElseThrow().isQuiet(all, book.spindle());
    }

    /** The others stand at -62 and -58: their median is -60. */
    @ParameterizedTest
    @CsvSource({"-48.0, true", "-47.9, false"})
    void aPeakMayStandTwelveDecibelsOverTheMedian(String peak, boolean isQuiet) {
        sound("B2", true, Recording.Treated.NOT, peak, -60, List.of());
        sound("B3", true, Recording.Treated.NOT, "", -62, List.of());
        assertThat(quiet("B2")).as("one other speed").isEmpty();
        sound("B4", true, Recording.Treated.NOT, "", -58, List.of());
        assertThat(quiet("B2")).contains(isQuiet);
        List<ConditionStatement.StatementSentence> said = ConditionStatement.of(book.survey()).sentences().stream()
                .filter(s -> s.words().code().equals("statement.quiet-recorded")).toList();
        assertThat(said).hasSize(1);
        assertThat(said.get(0).entries()).hasSize(3);
    }

    /** Recorded at every speed and quiet at each, a claim of quiet holds; one that knocks contradicts it, and the statement says so. */
    @Test
    void aClaimOfQuietRestsOnRecordingsToo() {
        List<String> names = book.machine().train().routes().stream().map(book.machine().train()::name).toList();
        assertThat(claim()).isEqualTo("UNTESTED 0 0 12 0");
        names.subList(1, names.size()).forEach(name -> sound(name, true, Recording.Treated.NOT, "", -60, List.of()));
        assertThat(claim()).isEqualTo("UNTESTED 11 0 12 11");
        sound(names.get(0), true, Recording.Treated.NOT, "", -60, List.of());
        assertThat(claim()).isEqualTo("UPHELD 12 0 12 12");
        assertThat(said("statement.knock-recorded")).isEmpty();
    }

    @Test
    void aRecordedKnockContradictsQuiet() {
        List<BigDecimal> knock = List.of(new BigDecimal("0.5"), new BigDecimal("0.1"), new BigDecimal("0.5"), new BigDecimal("0.1"));
        sound("A3", true, Recording.Treated.NOT, "", -60, List.of(new ShaftSound(BigDecimal.ONE, Optional.of(knock), Optional.empty())));
        assertThat(claim()).isEqualTo("CONTRADICTED 0 1 12 1");
        assertThat(said("statement.knock-recorded")).hasSize(1);
    }

    private List<ConditionStatement.StatementSentence> said(String code) {
        return ConditionStatement.of(book.survey()).sentences().stream().filter(s -> s.words().code().equals(code)).toList();
    }

    private String claim() {
        ClaimVerdict verdict =
                ClaimVerdict.of(book.survey()).stream().filter(c -> c.claim().value().equals("quiet")).findFirst().orElseThrow();
        return verdict.standing() + verdict.because().arguments().stream().map(a -> " " + a).collect(Collectors.joining());
    }

    @Test
    void neitherATreatedRecordingNorAKnockIsQuiet() {
        sound("B3", true, Recording.Treated.NOT, "", -60, List.of());
        sound("B4", true, Recording.Treated.NOT, "", -60, List.of());
        sound("B2", true, Recording.Treated.NOT_KNOWN, "", -60, List.of());
        assertThat(quiet("B2")).isEmpty();
        sound("A2", false, Recording.Treated.NOT, "", -60, List.of());
        assertThat(quiet("A2")).as("nobody read its speed").isEmpty();
        List<BigDecimal> knock = List.of(new BigDecimal("0.5"), new BigDecimal("0.1"), new BigDecimal("0.5"), new BigDecimal("0.1"));
        sound("A3", true, Recording.Treated.NOT, "", -60, List.of(new ShaftSound(BigDecimal.ONE, Optional.of(knock), Optional.empty())));
        assertThat(quiet("A3")).contains(false);
    }

    @Test
    void whatIsClippedTreatedOrOfAnotherSpeedProvesNothing() {
        sound("B2", true, Recording.Treated.YES, "", -60, List.of());
        assertThat(HeardSound.of(book.spindle())).isEmpty();
        assertThat(HeardSound.unfit(book.spindle(), book.survey().recordings().get(0))).extracting(r -> r.code())
                .containsExactly("sound.treated");
        sound("B3", false, Recording.Treated.NOT, "", -60, List.of());
        assertThat(HeardSound.of(book.spindle())).hasSize(1);
        double plate = HeardSound.speed(book.spindle(), route("B3")).orElseThrow();
        book.run(List.of("B", "3"), BigDecimal.valueOf(Math.round(plate * 1.02)).toPlainString(), false);
        assertThat(HeardSound.unfit(book.spindle(), book.survey().recordings().get(1))).extracting(r -> r.code())
                .containsExactly("sound.other-speed");
    }
}
