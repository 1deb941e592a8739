package tallledger.web.demo;

import java.time.Clock;
import java.time.Duration;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import tallledger.core.coverage.School;
import tallledger.core.family.Phase;
import tallledger.core.kit.KitItem.State;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.price.Background;
import tallledger.core.safety.Mounted.Kind;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/**
 * An example to walk through, put on an empty shelf by one key: a lathe whose survey is half done. It is called an example wherever it
 * stands, and is put away like any other machine.
 */
@Controller
class ExampleController {

    private static final String AUTHOR = "Example, invented";
    private static final Duration SINCE = Duration.ofHours(3);
    private static final long SEED = 410;

    private final Books books;
    private final ShelfIndex shelf;
    private final MachineBooks machines;
    private final SurveyBooks surveys;
    private final SurveyLibrary library;
    private final Clock clock;

    ExampleController(Books books, ShelfIndex shelf, MachineBooks machines, SurveyBooks surveys, SurveyLibrary library, Clock clock) {
        this.books = books;
        this.shelf = shelf;
        this.machines = machines;
        this.surveys = surveys;
        this.library = library;
        this.clock = clock;
    }

    /** Pressed twice, or by somebody whose page was older than the shelf, it puts nothing there a second time. */
    @PostMapping("/example")
    String put() {
        SimulatedMachine lathe = KestrelVale.shortlist().get(0);
        long survey = books.together(() -> shelf.page(ShelfQuery.of("", "", "", "", "", "")).all() > 0 ? 0L : write(lathe));
        return survey == 0 ? "redirect:/" : "redirect:" + ExampleWalk.address(String.valueOf(survey), ExampleWalk.STOPS.get(0));
    }

    @GetMapping("/example")
    String again() {
        return "redirect:/";
    }

    private long write(SimulatedMachine lathe) {
        long machine = machines.add(called(lathe.description()), AUTHOR, Submission.fresh(0));
        return new DemoSurvey(library, surveys, books, lathe, AUTHOR, SEED).open(machine, clock.instant().minus(SINCE), "buyer")
                .prices("4200", "", Background.IN_DAILY_USE).plan(School.EVERY_SPEED, "")
                .steps(Phase.DESK, Phase.STANDING, Phase.ELECTRICS).start(Kind.CHUCK, "250", "1600", "").steps(Phase.FIRST_START).runs(9)
                .kit("three-jaw chuck", State.SEEN, "the seller", "", "", "", "")
                .kit("four-jaw chuck", State.MISSING, "the seller", "", "260", "", "").id();
    }

    private static MachineDescription called(MachineDescription d) {
        Identity i = d.identity();
        return new MachineDescription(new Identity("Example: " + i.name(), i.maker(), i.model(), i.family(), i.serial(), i.year(),
                i.seenAt(), i.offeredBy(), i.unit()), d.claims(), d.train(), d.plate(), d.motor(), d.feeds(), d.threads(), d.fitOut());
    }
}
