package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Step;
import tallledger.core.film.FilmFile;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.SheetPlan;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.sound.SoundFindings;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Finding;

/** A fold never throws: whatever stands in an entry, the rest is read, and what could not be is set aside with its reason. */
class StraysTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:00:00Z");
    private static final String ME = "Q. Tester";
    private static final List<Object> NONSENSE = List.of("", "?", "no such thing", "99999999999999999999", 7, -1, true, List.of(),
            List.of("x", 3), Map.of(), Map.of("kind", "DANCE"));

    private final MachineDescription machine = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());
    private final List<Draft> drafts = new ArrayList<>();

    @BeforeEach
    void oneEntryOfEveryKind() {
        write(SurveyEntries.opened(Authorship.of(AT, ME), 1, "h", SurveyBook.HOUSE, "buyer", Scope.WHOLE, Grade.WORKABLE));
        write(SurveyEntries.planChosen(Authorship.of(AT, ME), School.MY_MINUTES, "40"));
        write(SurveyEntries.startConfirmed(Authorship.of(AT, ME), SurveyBook.BASIS, machine.family().traits().startChecks(machine),
                Mounted.parse(Mounted.Kind.CHUCK, "200", "300", "", "", LengthUnit.MM)));
        write(SurveyEntries.run(Authorship.of(AT, ME), SurveyBook.BASIS, Survey.fold(machine, SurveyBook.HOUSE, List.of()).drive(),
                new RunRecord(List.of("A", "forward"), Optional.of(SpeedReading.byTachometer("101")), Set.of(Symptom.GROWLS),
                        Optional.empty(), false, false, false, "")));
        write(SurveyEntries.check(Authorship.of(AT, ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "4.2", ""));
        write(SurveyEntries.repaired(Authorship.of(AT, ME), new MachinePart.Position("range", "A"), "new pinion"));
        write(SurveyEntries.passedOver(Authorship.of(AT, ME), List.of("B", "reverse"), "no time"));
        step("travel.table", "value", "903 mm");
        step("lamp");
        step("table-parallel", "value", "0.01", "over", "300");
        write(SurveyEntries.later(Authorship.of(AT, ME), "coolant"));
        write(SurveyEntries.stepPassedOver(Authorship.of(AT, ME), ledger().step("oilers").orElseThrow(), "dry"));
        write(SurveyEntries.repaired(Authorship.of(AT, ME), MachinePart.System.of("lamp"), "new bulb"));
        write(SurveyEntries.kit(Authorship.of(AT, ME),
                KitItem.parse("vice", KitItem.State.MISSING, "the seller", "", "260", "2026-06-15", "")));
        write(SurveyEntries.lift(Authorship.of(AT, ME), Lift.parse("1850", "120", "90", "2000", "the keeper")));
        write(SurveyEntries.photo(Authorship.of(AT, ME), "lamp", List.of(new Attachment(Photo.PICTURE, "a".repeat(64), "image/png"),
                new Attachment(Photo.SMALL, "b".repeat(64), "image/jpeg")), 640, 480, "bulb"));
        int taken = drafts.size();
        write(SurveyEntries.photoMarked(Authorship.of(AT, ME), Survey.fold(machine, House.shipped(List.of()), chained()), taken,
                "arrow 10 20 30 40 crack\nword 1 2 paint"));
        write(SurveyEntries.sound(Authorship.of(AT, ME), Survey.fold(machine, House.shipped(List.of()), chained()), "",
                new Attachment(Recording.SOUND, "d".repeat(64), Recording.TYPE), 9, new java.math.BigDecimal("5.0"), "near",
                Recording.Treated.YES,
                new SoundFindings(java.math.BigDecimal.ZERO, false, new java.math.BigDecimal("-50"), java.math.BigDecimal.ZERO, List.of(),
                        List.of(), List.of())));
        write(SurveyEntries.clip(Authorship.of(AT, ME), "lamp", new Attachment(Clip.FILM, "c".repeat(64), "video/mp4"), 5, "flickers"));
        filmed();
        write(SurveyEntries.remark(Authorship.of(AT, ME), "clean shop"));
        write(SurveyEntries.stopped(Authorship.of(AT, ME)));
        write(SurveyEntries.strike(Authorship.of(AT, ME), chained(), 5, "wrong key"));
    }

    private void filmed() {
        String film = "d".repeat(64);
        write(SurveyEntries.film(Authorship.of(AT, ME),
                FilmFile.typed(Map.of("film", film, "name", "a.mp4", "bytes", "4000", "length", "60",
                        "times", "0 0.04 0.08 0.12", "from", "the seller"))));
        Survey survey = Survey.fold(machine, House.shipped(List.of()), chained());
        write(SurveyEntries.filmCut(Authorship.of(AT, ME), survey, film, "50"));
        write(SurveyEntries.narration(Authorship.of(AT, ME), survey, film, "the seller", 3,
                new Attachment(FilmEvent.NarrationKept.TEXT, "e".repeat(64), "text/plain")));
        write(SurveyEntries.inFilm(survey, FilmMoment.typed(film, "3", "6", ""), SurveyEntries.heard(Authorship.of(AT, ME),
                new FilmEvent.Heard(FilmEvent.Heard.Answer.CLAIM, "the seller", "24 speeds", "k", "",
                        Optional.of(new Claim(Claim.Attribute.SPEED_COUNT, "24", Claim.Source.SELLER, "24 speeds"))))));
        write(SurveyEntries.inFilm(survey, FilmMoment.typed(film, "10", "20", "8"), SurveyEntries.run(Authorship.of(AT, ME),
                SurveyBook.BASIS, survey.drive(), new RunRecord(List.of("A", "forward"), Optional.of(SpeedReading.byFilm("16", "9.5", "25",
                        "1", "")), Set.of(), Optional.empty(), false, false, false, ""),
                Optional.of(FilmMoment.typed(film, "10", "20", "8")))));
        write(SurveyEntries.letter(Authorship.of(AT, ME), "the seller", List.of("coolant")));
    }

    private void write(Draft draft) {
        drafts.add(draft);
    }

    private void step(String id, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = ledger();
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
        write(SurveyEntries.step(Authorship.of(AT, ME), ledger, step, typed, Basis.of(LengthUnit.MM, 1, 1), false, confirmed, ""));
    }

    private List<Entry> chained() {
        List<Entry> entries = new ArrayList<>();
        drafts.forEach(d -> entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)),
                d)));
        return entries;
    }

    private StepLedger ledger() {
        return Survey.fold(machine, House.shipped(List.of()), chained()).steps();
    }

    /** Everything that is made of a survey's entries. */
    private Map<Integer, Reason> everything(MachineDescription described, List<Entry> entries) {
        Survey survey = Survey.fold(described, House.shipped(List.of()), entries);
        ConditionStatement.of(survey);
        Finding.of(survey);
        ClaimVerdict.of(survey);
        SheetPlan.of(survey, AT);
        PlateDoubt.of(survey.drive());
        StartCheck.isDue(entries, Rules.shipped(), AT);
        Map<Integer, Reason> strays = new HashMap<>();
        survey.strays().forEach(s -> strays.put(s.entry().sequence(), s.because()));
        return strays;
    }

    @Test
    void nothingThatFitsIsSetAside() {
        assertThat(everything(machine, chained())).isEmpty();
    }

    /** Each field of each entry in turn left out, and put to each kind of nonsense; one bent entry takes few with it. */
    @Test
    void whateverStandsInAnEntryTheRestIsRead() {
        List<Draft> whole = List.copyOf(drafts);
        int books = 0;
        int setAside = 0;
        for (int i = 0; i < whole.size(); i++) {
            Draft good = whole.get(i);
            for (String key : good.payload().keySet()) {
                for (int n = -1; n < NONSENSE.size(); n++) {
                    Map<String, Object> bent = new HashMap<>(good.payload());
                    bent.remove(key);
                    if (n >= 0) {
                        bent.put(key, NONSENSE.get(n));
                    }
                    drafts.set(i, new Draft(good.by(), good.kind(), good.step(), bent, good.attachments(), good.strikes()));
                    List<Entry> entries = chained();
                    String what = good.kind() + " " + key + " = " + (n < 0 ? "nothing" : NONSENSE.get(n));
                    int[] strays = new int[1];
                    assertThatCode(() -> strays[0] = everything(machine, entries).size()).as(what).doesNotThrowAnyException();
                    assertThat(strays[0]).as(what).isLessThan(4);
                    setAside += strays[0];
                    books++;
                }
            }
            drafts.set(i, good);
        }
        assertThat(books).isGreaterThan(400);
        assertThat(setAside).isGreaterThan(100);
    }

    @Test
    void anUnknownKindAndAnUnknownStepAreSetAsideAlone() {
        drafts.add(Draft.of(Authorship.of(AT, ME), "DANCED", "", Map.of()));
        assertThat(everything(machine, chained()).keySet()).containsExactly(drafts.size());
        Map<String, Object> elsewhere = new HashMap<>(drafts.get(8).payload());
        elsewhere.put("step", "no-such-step");
        drafts.set(drafts.size() - 1, Draft.of(Authorship.of(AT, ME), "STEP", "no-such-step", elsewhere));
        assertThat(everything(machine, chained()).keySet()).containsExactly(drafts.size());
    }

    /** Another machine altogether: what does not fit it is set aside, nothing throws. */
    @Test
    void aDescriptionThatNoLongerFitsSetsAsideAndNeverThrows() {
        for (Family family : Family.values()) {
            MachineDescription other = CatalogueTest.machine(family,
                    new FitOut(List.of(), Set.of(), machine.fitOut().supply(), Optional.empty()));
            assertThatCode(() -> everything(other, chained())).as(family.name()).doesNotThrowAnyException();
            assertThat(everything(other, chained())).as(family.name()).containsKey(8);
        }
    }
}
