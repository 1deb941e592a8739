package tallledger.web.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import tallledger.core.coverage.School;
import tallledger.core.family.Phase;
import tallledger.core.house.HouseChange;
import tallledger.core.house.HouseGauge;
import tallledger.core.kit.KitItem.State;
import tallledger.core.price.Background;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted.Kind;
import tallledger.core.survey.BookEvent.Camera.What;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.backup.Backups;
import tallledger.web.housebook.Houses;
import tallledger.web.imported.ImportedSurveys;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.ArchiveWriter;
import tallledger.web.sealed.Closing;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.sound.SoundAnalyses;
import tallledger.web.store.Attachments;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** Fills an empty store with the Kestrel Vale shortlist; readings come from the simulated machines, so they carry real scatter. */
@Component
@ConditionalOnProperty("tallledger.demo")
class DemoData implements SmartInitializingSingleton {

    private static final String SURVEYOR = "R. Ashdown, workshop";
    private static final Instant MORNING = Instant.parse("2026-05-09T08:30:00Z");

    private final ShelfIndex shelf;
    private final SurveyLibrary library;
    private final MachineBooks machineBooks;
    private final SurveyBooks surveyBooks;
    private final Books books;
    private final Houses houses;
    private final Closing closing;
    private final Attachments attachments;
    private final SoundAnalyses analyses;
    private final ArchiveWriter handover;
    private final ImportedSurveys handed;
    private final Backups backups;
    private final String made;

    DemoData(ShelfIndex shelf, SurveyLibrary library, MachineBooks machineBooks, SurveyBooks surveyBooks, Books books, Houses houses,
            Closing closing, Attachments attachments, SoundAnalyses analyses, ArchiveWriter handover, ImportedSurveys handed,
            Backups backups,
            @Value("${tallledger.demo-to:}") String made) {
        this.backups = backups;
        this.made = made;
        this.closing = closing;
        this.attachments = attachments;
        this.analyses = analyses;
        this.handover = handover;
        this.handed = handed;
        this.shelf = shelf;
        this.library = library;
        this.machineBooks = machineBooks;
        this.surveyBooks = surveyBooks;
        this.books = books;
        this.houses = houses;
    }

    /** Before the first page can be asked for, so that nobody sees an empty shelf. */
    @Override
    public void afterSingletonsInstantiated() {
        if (!books.all().isEmpty()) {
            return;
        }
        books.together(() -> {
            fill(KestrelVale.shortlist());
            return true;
        });
        takeIn();
        if (!made.isBlank()) {
            keep();
        }
    }

    /** As a backup, so that a start need only unpack it. */
    private void keep() {
        try {
            Files.move(backups.taken(), Path.of(made), StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The sealed survey as its buyer received it: kept to be read, beside our own. */
    private void takeIn() {
        try {
            ByteArrayOutputStream zip = new ByteArrayOutputStream();
            StoredSurvey sealed = shelf.page(ShelfQuery.of("p20, pattern", "", "", "SURVEYED", "NAME", "")).lines().stream()
                    .flatMap(l -> l.survey().stream()).map(library::survey).findFirst().orElseThrow();
            handover.write(sealed, zip);
            handed.keep(zip.toByteArray(), sealed.machine().name(), SURVEYOR);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The workshop's own gauges; the level's calibration ran out in the spring. */
    private HouseGauge gauge(Rule kind, String name, String resolution, String calibration, String repeatability, String certificate,
            String due) {
        HouseGauge gauge = HouseGauge.typed(houses.book().nextGauge(), kind,
                Map.of("name", name, "resolution", resolution, "calibration", calibration, "repeatability", repeatability,
                        "certificate", certificate, "due", due));
        houses.change(new HouseChange.GaugeListed(gauge, "in the workshop’s bag"), SURVEYOR, Submission.fresh(houses.head()));
        return gauge;
    }

    private void fill(List<SimulatedMachine> all) {
        long lathe = add(all, 0);
        HouseGauge indicator = gauge(Rule.INDICATOR, "Lever indicator 7", "0.001", "0.0004", "0.0001", "W-0207", "2027-02-28");
        HouseGauge level = gauge(Rule.LEVEL, "Block level 2", "0.01", "2 %", "", "W-0142", "2026-03-31");
        gauge(Rule.MICROMETER, "Micrometer 25-50", "0.001", "0.002", "0.0006", "W-0188", "2026-12-15");
        gauge(Rule.TACHOMETER, "Contact tachometer 1", "0.1", "0.5 %", "", "W-0211", "2027-04-30");
        // The lathe by its spindle, feeds and half its travels: then the afternoon was gone. The pedestal drill whole.
        survey(all, 0, lathe, 410, "buyer").prices("4200", "", Background.IN_DAILY_USE).plan(School.EVERY_SPEED, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS)
                .start(Kind.CHUCK, "250", "1600", "").steps(Phase.FIRST_START).runs(10).steps(Phase.MOVEMENT).carrying(level)
                .step("bed-straight").carrying()
                .cut("kind", "TURNING", "material", "STEEL", "tool", "carbide, r 0.8", "diameter", "40 mm", "feed", "0.2 mm", "depth",
                        "0.5 mm", "rpm", "500")
                .step("turn-parallel").kit("three-jaw chuck", State.SEEN, "the pattern shop", "", "", "", "")
                .kit("four-jaw chuck", State.MISSING, "the pattern shop", "", "260", "", "")
                .kit("travelling steady", State.AWAITED, "the pattern shop", "", "120", "2026-06-15", "lies in the other shed")
                .kit("faceplate 300", State.MISSING, "", "faceplate", "140", "", "").kit("faceplate 400", State.SEEN, "", "faceplate", "",
                        "", "")
                .lift("1850", "120", "90", "2000", "the shed’s keeper");
        survey(all, 1, add(all, 1), 20, "buyer").prices("650", "", Background.STOOD_IDLE).plan(School.EVERY_SPEED, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.NOTHING, "", "", "")
                .steps(Phase.FIRST_START).runs(20).steps(Phase.MOVEMENT, Phase.TRAVELS, Phase.ACCURACY, Phase.TEST_CUT, Phase.HOT_CHECK,
                        Phase.KIT, Phase.CLOSE)
                .kit("drill chuck", State.SEEN, "a private owner", "", "", "", "").kit("manual", State.MISSING, "", "", "25", "", "")
                .lift("280", "", "", "1000", "our own");
        long horizontal = add(all, 2);
        survey(all, 3, add(all, 3), 1800, "buyer").prices("21500", "24000", Background.IN_DAILY_USE).plan(School.EVERY_GEAR, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.NOTHING, "", "", "")
                .steps(Phase.FIRST_START).runs(4).steps(Phase.SPINDLE).step("circle-test");
        survey(all, 4, add(all, 4), 1, "buyer").prices("3900", "", Background.REBUILT_WITH_PAPERS).plan(School.EVERY_GEAR, "")
                .steps(Phase.STANDING, Phase.ELECTRICS).start(Kind.CHUCK, "160", "2500", "").steps(Phase.FIRST_START).runs(5)
                .carrying(indicator).temperatures("24.0", "20.0").step("readout.cross-slide");
        long[] rest = IntStream.range(5, all.size()).mapToLong(i -> add(all, i)).toArray();
        survey(all, 2, horizontal, 11, "buyer").prices("1200", "1800", Background.STOOD_IDLE).plan(School.EVERY_GEAR, "")
                .steps(Phase.STANDING).start(Kind.NOTHING, "", "", "").runs(5).steps(Phase.TRAVELS).step("mill-cut")
                .cut("kind", "FACE_MILLING", "material", "STEEL", "tool", "slab cutter", "diameter", "80 mm", "feed", "4.293 mm", "depth",
                        "1 mm", "width", "60 mm", "rpm", "71")
                .step("milled-roughness").sounds(attachments, analyses);
        survey(all, 5, rest[0], 90, "buyer").prices("900", "", Background.STOOD_IDLE).steps(Phase.DESK, Phase.STANDING);
        survey(all, 6, rest[1], 3, "rebuilder").prices("7800", "8000", Background.REBUILT_WITH_PAPERS).plan(School.EVERY_GEAR, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.NOTHING, "", "", "").steps(Phase.FIRST_START).runs(12)
                .carrying(indicator).temperatures("20.5", "21.0").steps(Phase.SPINDLE, Phase.MOVEMENT, Phase.TRAVELS, Phase.ACCURACY,
                        Phase.TEST_CUT)
                .kit("warranty", State.SEEN, "the rebuilder", "", "", "2027-05-31", "parts and labour");
        survey(all, 7, rest[2], 45, "buyer").prices("6500", "", Background.IN_DAILY_USE).plan(School.MY_MINUTES, "45").steps(Phase.STANDING)
                .start(Kind.NOTHING, "", "", "").runs(6).steps(Phase.ACCURACY).pass("mill-cut", "no time left");
        survey(all, 8, rest[3], 50, "buyer").prices("5200", "6000", Background.STOOD_IDLE).plan(School.EVERY_GEAR, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.NOTHING, "", "", "").steps(Phase.FIRST_START).runs(9)
                .steps(Phase.MOVEMENT, Phase.TRAVELS);
        survey(all, 9, rest[4], 300, "inspector").prices("9800", "", Background.IN_DAILY_USE)
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.WHEEL, "400", "", "35").steps(Phase.FIRST_START).runs(2)
                .steps(Phase.MOVEMENT).step("ground-round");
        survey(all, 10, rest[5], 71, "buyer").prices("8400", "9000", Background.IN_DAILY_USE).steps(Phase.STANDING, Phase.ELECTRICS)
                .start(Kind.WHEEL, "350", "", "33").steps(Phase.FIRST_START).runs(1).steps(Phase.MOVEMENT);
        survey(all, 11, rest[6], 80, "buyer").prices("7600", "", Background.AUCTION_UNSEEN).steps(Phase.STANDING);
        // A sister of the pedestal drill, to be laid beside it; its test cut was not made.
        List<SimulatedMachine> sisters = List.of(KestrelVale.dunmarshP20Sister());
        long sister = add(sisters, 0);
        survey(sisters, 0, sister, 21, "buyer").prices("780", "", Background.IN_DAILY_USE).plan(School.EVERY_SPEED, "")
                .steps(Phase.STANDING, Phase.ELECTRICS).start(Kind.NOTHING, "", "", "")
                .camera(What.STARTED).steps(Phase.FIRST_START).runs(6).camera(What.STOPPED).steps(Phase.MOVEMENT, Phase.TRAVELS)
                .camera(What.STARTED).steps(Phase.ACCURACY).camera(What.STOPPED);
        // Closed and sealed: it can be handed over and checked.
        StoredSurvey closed = library.surveysOf(library.machine(sister)).get(0);
        closing.close(closed, SURVEYOR, Submission.fresh(closed.head()));
    }

    private DemoSurvey survey(List<SimulatedMachine> all, int which, long machine, long seed, String role) {
        return new DemoSurvey(library, surveyBooks, books, all.get(which), SURVEYOR, seed).open(machine, MORNING, role);
    }

    private long add(List<SimulatedMachine> all, int which) {
        return machineBooks.add(all.get(which).description(), SURVEYOR, Submission.fresh(0));
    }
}
