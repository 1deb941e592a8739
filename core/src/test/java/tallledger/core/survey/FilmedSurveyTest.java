package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.machine.Claim;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.FilmCoverage;

/** What a film proves, and what it does not (W 4.8). */
class FilmedSurveyTest {

    private static final String FILM = "f".repeat(64);
    private SurveyBook book = new SurveyBook(
            Machines.lathe(Machines.TWELVE, Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4")), Scope.WHOLE, 5);

    private Authorship by() {
        return Authorship.of(book.now(), SurveyBook.ME);
    }

    @BeforeEach
    void aFilmIsOpened() {
        book.write(SurveyEntries.film(by(), FilmFile.typed(Map.of("film", FILM, "name", "a.mp4", "bytes", "5", "length", "120", "times",
                "0 0.02 0.04 0.06", "from", "the seller", "made", "12 May"))));
    }

    private RunRecord counted(String range, String gear, String turns, String seconds, String rate) {
        return new RunRecord(List.of(range, gear), Optional.of(SpeedReading.byFilm(turns, seconds, rate, "0.5", "")), Set.of(),
                Optional.empty(), false, false, false, "");
    }

    private Entry seen(RunRecord record, String from, String until, String set) {
        FilmMoment moment = FilmMoment.typed(FILM, from, until, set);
        return book.write(SurveyEntries.inFilm(book.survey(), moment,
                SurveyEntries.run(by(), SurveyBook.BASIS, book.spindle(), record, Optional.of(moment))));
    }

    private Run only() {
        return book.spindle().runs().get(book.spindle().runs().size() - 1);
    }

    /** At 50 frames B3's 250 looks like 2 750 and 3 250, which this lathe has not: it stands. */
    @Test
    void whatIsCountedWithItsLeversInThePictureIsProven() {
        Entry entry = seen(counted("B", "3", "30", "7.20", "50"), "10", "17.2", "8");
        assertThat(only().outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(only().then().orElseThrow().outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(only().doubt()).isEmpty();
        List<Reason> said = ConditionStatement.of(book.survey()).sentences().stream().filter(s -> s.entries().contains(entry.sequence()))
                .map(ConditionStatement.StatementSentence::words).toList();
        assertThat(said).isNotEmpty().allMatch(r -> r.code().equals("statement.in-film"));
        assertThat(said.get(0).arguments().get(0).toString()).contains("the seller, 12 May").contains("0:10");
        assertThat(book.spindle().highestRun()).as("a film warms no spindle").isEmpty();
        assertThat(book.spindle().standing()).isEmpty();
    }

    /** At 25 frames 63 looks like 1 437: C4 is 1 400, 2.6 % off it. */
    @Test
    void aSpeedThatAnotherLooksLikeIsUndecidedAndNamesIt() {
        seen(counted("A", "3", "10", "9.52", "25"), "10", "19.52", "8");
        assertThat(only().outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(only().doubt().orElseThrow().code()).isEqualTo("film.other-speeds");
        assertThat(only().doubt().orElseThrow().arguments().get(0).toString()).contains("C4").contains("1400").doesNotContain("C3");
        assertThat(only().deviation()).isEmpty();
        assertThat(only().reading()).isEmpty();
    }

    /** The limit of 1.3: 1 500 − 90 = 1 410 and 1 500 + 16 = 1 516 are within 6 % of 1 400 and not: 1 484 is the edge. */
    @ParameterizedTest
    @CsvSource({"17, 60.0, UNDECIDED", "15, 60.0, FAILED"})
    void whatIsFurtherOffThanTheLimitDoesNotLookAlike(String turns, String seconds, Outcome outcome) {
        seen(counted("A", "1", turns, seconds, "25"), "10", "70", "8");
        assertThat(only().outcome()).isEqualTo(outcome);
    }

    /** One speed and no lever: nothing of it could only be said. */
    @Test
    void whereNothingIsSetNoLeverNeedBeInThePicture() {
        book = new SurveyBook(Machines.lathe("250"), Scope.WHOLE, 5);
        aFilmIsOpened();
        seen(new RunRecord(List.of(), Optional.of(SpeedReading.byFilm("30", "7.20", "50", "0.5", "")), Set.of(), Optional.empty(), false,
                false, false, ""), "10", "17.2", "");
        assertThat(only().doubt()).isEmpty();
        assertThat(only().outcome()).isEqualTo(Outcome.PROVEN);
    }

    @Test
    void whatIsSetAndOnlySaidDecidesNothing() {
        seen(counted("B", "3", "30", "7.20", "50"), "10", "17.2", "");
        assertThat(only().doubt().orElseThrow().code()).isEqualTo("film.setting-said");
        assertThat(only().outcome()).isEqualTo(Outcome.UNDECIDED);
    }

    /** A cut between the lever and the count breaks it, whenever it is found; struck, it mends; on the edge it is none. */
    @ParameterizedTest
    @CsvSource({"9, film.setting-cut", "12, film.cut-within", "7.9, ''", "8, ''", "17.2, ''", "18, ''"})
    void aCutBreaksTheLink(String second, String code) {
        seen(counted("B", "3", "30", "7.20", "50"), "10", "17.2", "8");
        Entry cut = book.write(SurveyEntries.filmCut(by(), book.survey(), FILM, second));
        assertThat(only().doubt().map(Reason::code).orElse("")).isEqualTo(code == null ? "" : code);
        assertThat(only().outcome()).isEqualTo(code.isEmpty() ? Outcome.PROVEN : Outcome.UNDECIDED);
        book.write(SurveyEntries.strike(by(), book.entries(), cut.sequence(), "none"));
        assertThat(only().outcome()).isEqualTo(Outcome.PROVEN);
    }

    @Test
    void aSpeedShownAndNotReadIsUndecided() {
        seen(new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(), Optional.empty(), false, false, false, ""), "3", "9", "2");
        assertThat(only().outcome()).isEqualTo(Outcome.UNDECIDED);
        FilmCoverage film = FilmCoverage.of(book.survey(), FILM).orElseThrow();
        assertThat(film.speeds().undecided()).isEqualTo(1);
        assertThat(film.speeds().proven()).isZero();
        assertThat(film.provingSeconds()).isZero();
    }

    @Test
    void aFaultThatIsHeardStaysOneWhateverWasSet() {
        seen(new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(Symptom.GROWLS), Optional.empty(), false, false, false, ""), "3",
                "9",
                "");
        assertThat(only().outcome()).isEqualTo(Outcome.FAILED);
    }

    private void refused(RunRecord record, String code) {
        assertThatThrownBy(() -> seen(record, "3", "9", "2")).isInstanceOfSatisfying(Refused.class,
                r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void whatAFilmCannotBearIsRefused() {
        refused(new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(), Optional.empty(), true, false, false, ""), "film.quiet");
        refused(new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(Symptom.HOT), Optional.empty(), false, false, false, ""),
                "film.felt");
        refused(new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(), Optional.of(ShiftFeel.ENGAGES_CLEAN), false, false, false, ""),
                "film.felt");
        refused(new RunRecord(List.of("A", "1"), Optional.of(SpeedReading.byTaps("10", "19.05")), Set.of(), Optional.empty(), false, false,
                false, ""), "film.wall-clock");
        refused(new RunRecord(List.of("A", "1"), Optional.of(SpeedReading.byTachometer("31.4")), Set.of(), Optional.empty(), false, false,
                false, ""), "film.still-missing");
        assertThatThrownBy(() -> SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "119", "122", ""),
                SurveyEntries.remark(by(), "late"))).hasMessageContaining("film.past-end");
        assertThatThrownBy(() -> SurveyEntries.inFilm(book.survey(), FilmMoment.typed("e".repeat(64), "1", "", ""),
                SurveyEntries.remark(by(), "which?"))).hasMessageContaining("film.unknown");
        assertThatThrownBy(() -> SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "1", "", ""),
                SurveyEntries.temperatures(by(), "20", "20", LengthUnit.MM))).hasMessageContaining("film.at-machine");
    }

    /** A tachometer in the picture counts with a still of it kept at the speed. */
    @Test
    void aFigureReadOffADialNeedsAStillOfIt() {
        String key = book.machine().train().routeOf(List.of("A", "1")).orElseThrow().key();
        book.write(SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "4", "", ""), SurveyEntries.photo(by(), key,
                List.of(new Attachment(Photo.PICTURE, "a".repeat(64), "image/png")), 640, 480, "dial")));
        seen(new RunRecord(List.of("A", "1"), Optional.of(SpeedReading.byTachometer("31.4")), Set.of(), Optional.empty(), false, false,
                false,
                ""), "3", "9", "2");
        assertThat(only().outcome()).isEqualTo(Outcome.PROVEN);
    }

    /** What was written past the gate, by hand or by another program, counts as nothing and says why. */
    @Test
    void aForgedMomentCountsAsNothing() {
        Draft quiet = SurveyEntries.run(by(), SurveyBook.BASIS, book.spindle(), new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(),
                Optional.empty(), true, false, false, ""));
        Entry said = book.write(FilmMoment.typed(FILM, "3", "9", "2").on(quiet));
        Entry bent = book.write(new Draft(by(), quiet.kind(), "", Map.of("settings", List.of("A", "1"), "inFilm", "yes"), List.of(),
                Optional.empty()));
        Map<Integer, String> strays = book.survey().strays().stream()
                .collect(Collectors.toMap(s -> s.entry().sequence(), s -> s.because().code(), (a, b) -> a));
        assertThat(strays).containsEntry(said.sequence(), "film.quiet").containsKey(bent.sequence());
        assertThat(book.spindle().runs()).isEmpty();
    }

    @Test
    void aCountOfAFilmWithoutAFilmDecidesNothing() {
        book.write(SurveyEntries.run(by(), SurveyBook.BASIS, book.spindle(), counted("B", "3", "30", "7.20", "50")));
        assertThat(only().outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(only().doubt().orElseThrow().code()).isEqualTo("film.unknown");
    }

    /** By hand: of every step of every family, how many a film bears, bears with a still, bears not. Nothing measured on a dial is free. */
    @Test
    void noRunoutNoTemperatureNoFinishFromAFilm() {
        for (Family family : Family.values()) {
            Survey survey = Survey.fold(CatalogueTest.machine(family, family.traits().usual()), SurveyBook.HOUSE, List.of());
            Map<FilmBears.Bears, Set<String>> by = new EnumMap<>(FilmBears.Bears.class);
            survey.steps().steps().forEach(s -> by.computeIfAbsent(FilmBears.of(s), b -> new java.util.TreeSet<>()).add(s.code()));
            assertThat(by.get(FilmBears.Bears.NO)).as(family.name()).anyMatch(code -> code.contains("run") || code.contains("true")
                    || code.contains("spindle") || code.contains("round"));
            assertThat(by.get(FilmBears.Bears.YES)).as(family.name()).noneMatch(code -> code.matches(
                    ".*(runout|roughness|finish|straight|parallel|square|flat|rise|float|backlash|taper|level|hot).*")
                    && !code.equals(
                            "oil-levels"))
                    .contains("travel");
            if (by.containsKey(FilmBears.Bears.WITH_STILL)) {
                assertThat(by.get(FilmBears.Bears.WITH_STILL)).isSubsetOf("backlash", "play", "trip-repeat", "supply", "thread-cut",
                        "lead-screw-wear", "trip");
            }
        }
    }

    @Test
    void aStepSeenInAFilmAsksForNoConfirmation() {
        Step travel = book.ledger().steps().stream().filter(s -> s.code().equals("travel")).findFirst().orElseThrow();
        Draft draft = SurveyEntries.stepInFilm(by(), book.ledger(), travel, Map.of("value", "900 mm"), SurveyBook.BASIS, false, "");
        book.write(SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "40", "60", ""), draft));
        assertThat(book.ledger().latest()).containsKey(travel.id());
        assertThat(book.ledger().sitting().standing()).isEmpty();
        book.write(SurveyEntries.filmCut(by(), book.survey(), FILM, "50"));
        assertThat(book.ledger().latest()).as("a cut within what was shown").doesNotContainKey(travel.id());
        assertThat(book.survey().strays()).anyMatch(s -> s.because().code().equals("film.cut-within"));
    }

    @Test
    void whatWasHeardIsAClaimWithItsSecond() {
        Claim claim = new Claim(Claim.Attribute.SPEED, "250", Claim.Source.SELLER, "this is two fifty");
        book.write(SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "33", "36", ""), SurveyEntries.heard(by(),
                new FilmEvent.Heard(FilmEvent.Heard.Answer.CLAIM, "the seller", "this is two fifty", "k", "", Optional.of(claim)))));
        ClaimVerdict before = ClaimVerdict.of(book.survey()).stream().filter(v -> v.heard().isPresent()).findFirst().orElseThrow();
        assertThat(before.standing()).isEqualTo(ClaimVerdict.Standing.UNTESTED);
        assertThat(before.heard().orElseThrow().moment().orElseThrow().shown()).isEqualTo("0:33");
        assertThat(FilmCoverage.of(book.survey(), FILM).orElseThrow().unshown()).hasSize(1);
        seen(counted("B", "3", "30", "7.20", "50"), "10", "17.2", "8");
        ClaimVerdict after = ClaimVerdict.of(book.survey()).stream().filter(v -> v.heard().isPresent()).findFirst().orElseThrow();
        assertThat(after.standing()).isEqualTo(ClaimVerdict.Standing.UPHELD);
        assertThat(after.because().code()).isEqualTo("statement.in-film");
        FilmCoverage film = FilmCoverage.of(book.survey(), FILM).orElseThrow();
        assertThat(film.unshown()).isEmpty();
        assertThat(film.provingSeconds()).isEqualTo(7);
        assertThat(film.percent()).contains(6L);
    }

    /** A film looked at after the visit takes nothing of it back; struck, the film counts. */
    @Test
    void whatWasDoneAtTheMachineStandsOverTheFilm() {
        Entry run = book.run(List.of("B", "3"), "251", false);
        Entry travel = book.step("lamp", false);
        seen(new RunRecord(List.of("B", "3"), Optional.empty(), Set.of(), Optional.empty(), false, false, false, ""), "3", "9", "2");
        Step lamp = book.ledger().step("lamp").orElseThrow();
        book.write(SurveyEntries.inFilm(book.survey(), FilmMoment.typed(FILM, "40", "41", ""), SurveyEntries.stepInFilm(by(), book.ledger(),
                lamp, Map.of(), SurveyBook.BASIS, true, "dark")));
        assertThat(book.spindle().latest().values()).extracting(Run::entry).containsExactly(run.sequence());
        assertThat(book.ledger().latest().get(lamp.id()).entry()).isEqualTo(travel.sequence());
        assertThat(book.spindle().runs()).hasSize(2);
        book.write(SurveyEntries.strike(by(), book.entries(), run.sequence(), "wrong"));
        book.write(SurveyEntries.strike(by(), book.entries(), travel.sequence(), "wrong"));
        assertThat(book.spindle().latest().values()).extracting(Run::outcome).containsExactly(Outcome.UNDECIDED);
        assertThat(book.ledger().latest().get(lamp.id()).isBad()).isTrue();
    }

    @Test
    void theSameFilmOpenedAgainIsOneFilm() {
        book.write(SurveyEntries.film(by(), FilmFile.typed(Map.of("film", FILM, "name", "renamed.mp4", "bytes", "5", "from", "a friend"))));
        assertThat(book.survey().footage().films()).hasSize(1);
        assertThat(book.survey().footage().film(FILM).orElseThrow().name()).isEqualTo("renamed.mp4");
    }
}
