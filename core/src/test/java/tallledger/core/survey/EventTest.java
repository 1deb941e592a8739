package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.cutting.CutMade;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Family;
import tallledger.core.family.MachinePart;
import tallledger.core.family.StartItem;
import tallledger.core.family.Step;
import tallledger.core.film.FilmFile;
import tallledger.core.gauge.Grade;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Claim;
import tallledger.core.price.Background;
import tallledger.core.price.Stakes;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.sound.SoundFindings;
import tallledger.core.unit.LengthUnit;

/** What an event writes is what it was read from: of each kind, with everything that may stand in it and without. */
class EventTest {

    private final SurveyBook book = new SurveyBook(CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual()),
            Scope.WHOLE, 30);

    private Authorship by() {
        return Authorship.of(book.now(), SurveyBook.ME);
    }

    private void oneOfEach() {
        List<String> levers = book.machine().train().settings(book.spindle().steps().get(0));
        Step covers = book.ledger().step("covers").orElseThrow();
        book.write(SurveyEntries.adopted(by(), 2, "abc"));
        book.write(SurveyEntries.adopted(by(), SurveyBook.HOUSE));
        book.write(SurveyEntries.judgedAs(by(), Grade.SOUND));
        book.write(SurveyEntries.startConfirmed(by(), List.of(StartItem.CHUCK_KEY_OUT)));
        book.write(SurveyEntries.startConfirmed(by(), SurveyBook.BASIS, List.of(),
                Mounted.parse(Mounted.Kind.CHUCK, "200", "900", "", "the owner", LengthUnit.MM), List.of(3, 4)));
        book.write(SurveyEntries.planChosen(by(), School.MY_MINUTES, "45"));
        book.write(SurveyEntries.planChosen(by(), School.EVERY_GEAR, ""));
        book.run(levers, "100.5", true, ShiftFeel.NEEDS_ROCKING, false, Symptom.GROWLS);
        book.run(levers, "", false, Symptom.WHINES);
        book.write(SurveyEntries.stepPassedOver(by(), covers, "locked"));
        book.write(SurveyEntries.passedOver(by(), levers, "no time"));
        book.write(SurveyEntries.remark(by(), " damp shed "));
        book.write(SurveyEntries.check(by(), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, " 4.10 ", "squeals"));
        book.step("axial-float", false, "value", "0.008 mm");
        book.step("axial-float", true);
        book.step("feed.table.plus", false, "distance", "100", "seconds", "7.50");
        book.write(SurveyEntries.later(by(), "covers"));
        book.write(SurveyEntries.temperatures(by(), "20.5", "19", LengthUnit.MM));
        book.write(SurveyEntries.cut(by(), CutMade.typed(Map.of("kind", "FACE_MILLING", "material", "STEEL", "tool", "an end mill",
                "diameter", "20 mm", "feed", "0.1 mm", "depth", "1 mm", "width", "10 mm", "rpm", "500"), LengthUnit.MM), LengthUnit.MM));
        book.write(SurveyEntries.priced(by(), Stakes.typed("4000", "6000", "£", Background.AUCTION_UNSEEN.name())));
        book.write(SurveyEntries.kit(by(), KitItem.parse("vice", KitItem.State.MISSING, "the seller", "", "250", "", "")));
        book.write(SurveyEntries.lift(by(), Lift.parse("1850", "", "", "4000", "weighed by the crane scale")));
        Entry taken = book.write(
                SurveyEntries.photo(by(), "covers", List.of(new Attachment(Photo.PICTURE, "0".repeat(64), "image/png")), 640, 480, "open"));
        book.write(SurveyEntries.photoMarked(by(), book.survey(), taken.sequence(), "arrow 10 20 30 40 crack\nring 1 2 3 4"));
        book.write(SurveyEntries.sound(by(), book.survey(), "", new Attachment(Recording.SOUND, "2".repeat(64), Recording.TYPE), 5_000,
                new java.math.BigDecimal("12.0"), Recording.usualPlace(LengthUnit.MM), Recording.Treated.NOT,
                new SoundFindings(new java.math.BigDecimal("250.10"), true, new java.math.BigDecimal("-22.5"), java.math.BigDecimal.ZERO,
                        List.of(new SoundFindings.ShaftSound(new java.math.BigDecimal("1.66667"), Optional.of(List.of(
                                new java.math.BigDecimal("0.512"), new java.math.BigDecimal("0.1"), new java.math.BigDecimal("0.500"),
                                java.math.BigDecimal.ZERO)),
                                Optional.of(new java.math.BigDecimal("-7.5"))),
                                new SoundFindings.ShaftSound(java.math.BigDecimal.ONE, Optional.empty(), Optional.empty())),
                        List.of(new SoundFindings.DrivePeak(new java.math.BigDecimal("120.5"), new java.math.BigDecimal("-30.1"))),
                        List.of(-80, -79))));
        book.write(SurveyEntries.clip(by(), "covers", new Attachment(Clip.FILM, "1".repeat(64), "video/mp4"), 3_400_000, "jumps out"));
        book.write(SurveyEntries.camera(by(), BookEvent.Camera.What.STARTED));
        book.write(SurveyEntries.cameraShifted(by(), "-12"));
        book.write(SurveyEntries.repaired(by(), MachinePart.System.of("coolant"), "pump"));
        Entry growl = book.run(levers, "", false, Symptom.GROWLS);
        book.write(SurveyEntries.regraded(by(), Regrade.parse(growl.sequence(), Severity.BEFORE_USE, "a bearing", Regrade.Whose.FAULT,
                "100/200/600", "", ""), Severity.SOON));
        String film = "a".repeat(64);
        book.write(SurveyEntries.film(by(), FilmFile.typed(Map.of("film", film, "name", "a.mp4", "bytes", "4000000000", "length", "61.5",
                "times", "0 0.04 0.08 0.12 0.2", "width", "640", "height", "360", "sound", "yes", "from", "the seller", "made", "May"))));
        book.write(SurveyEntries.film(by(), FilmFile.typed(Map.of("film", "b".repeat(64), "name", "b.mp4", "bytes", "1", "from", "me"))));
        book.write(SurveyEntries.filmCut(by(), book.survey(), film, "12.5"));
        book.write(SurveyEntries.narration(by(), book.survey(), film, "the seller", 12,
                new Attachment(FilmEvent.NarrationKept.TEXT, "2".repeat(64), "text/plain")));
        book.write(SurveyEntries.heard(by(), new FilmEvent.Heard(FilmEvent.Heard.Answer.CLAIM, "the seller", "24 speeds", "k", "",
                Optional.of(new Claim(Claim.Attribute.SPEED_COUNT, "24", Claim.Source.SELLER, "24 speeds")))));
        book.write(SurveyEntries.heard(by(), new FilmEvent.Heard(FilmEvent.Heard.Answer.NEITHER, "the seller", "nice", "", "2 May",
                Optional.empty())));
        book.write(SurveyEntries.letter(by(), "the seller", List.of("0-1-0", "coolant")));
        book.write(SurveyEntries.strike(by(), book.entries(), growl.sequence(), "not that one"));
        book.write(SurveyEntries.stopped(by()));
        book.write(SurveyEntries.closed(by(), "f00d"));
    }

    @Test
    void whatAnEventWritesIsWhatItWasReadFrom() {
        oneOfEach();
        Set<Kind> met = EnumSet.noneOf(Kind.class);
        for (Entry entry : book.entries()) {
            Kind kind = Kind.named(entry.kind()).orElseThrow();
            Event event = kind.read(entry);
            assertThat(event.kind()).isEqualTo(kind);
            assertThat(CanonicalJson.write(new HashMap<>(event.toPayload()))).as(entry.kind() + " " + entry.sequence())
                    .isEqualTo(CanonicalJson.write(entry.draft().payload()));
            met.add(kind);
        }
        assertThat(met).as("each kind once").containsExactlyInAnyOrder(Kind.values());
    }
}
