package tallledger.web.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Draft;
import tallledger.core.survey.StartCheck;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.record.Books;
import tallledger.web.record.Machine;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;

/** Fills an empty store with the Kestrel Vale shortlist; readings come from the simulated machines, so they carry real scatter. */
@Component
@ConditionalOnProperty("tallledger.demo")
class DemoData implements ApplicationRunner {

    private static final String SURVEYOR = "R. Ashdown, workshop";
    private static final Instant MORNING = Instant.parse("2026-05-09T08:30:00Z");
    private static final Duration A_RUN = Duration.ofSeconds(52);

    private final Shelves shelves;
    private final Books books;

    DemoData(Shelves shelves, Books books) {
        this.shelves = shelves;
        this.books = books;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!books.all().isEmpty()) {
            return;
        }
        half(KestrelVale.aldwark410());
        whole(KestrelVale.dunmarshP20());
        add(KestrelVale.castervaleH1());
    }

    private long add(SimulatedMachine machine) {
        return shelves.addMachine(machine.description(), SURVEYOR, fresh(0));
    }

    /** The lathe: two ranges run, the growl heard, one speed passed over, then the afternoon was gone. */
    private void half(SimulatedMachine machine) {
        survey(machine, 8, new Random(410));
    }

    private void whole(SimulatedMachine machine) {
        survey(machine, Integer.MAX_VALUE, new Random(20));
    }

    private void survey(SimulatedMachine simulated, int runs, Random random) {
        Machine machine = shelves.machine(add(simulated));
        Instant at = MORNING;
        long survey = books.open("SURVEY", Optional.of(machine.id()), machine.name(), SurveyEntries.opened(at, SURVEYOR,
                machine.version(), Shelves.hash(machine), "buyer"), fresh(0));
        List<StartCheck.Item> items = StartCheck.items(simulated.description().identity().family());
        write(survey, SurveyEntries.startConfirmed(at.plusSeconds(240), SURVEYOR, items));
        at = at.plusSeconds(300);
        for (Route route : shelves.survey(survey).folded().steps().stream().limit(runs).toList()) {
            write(survey, SurveyEntries.run(at, SURVEYOR, simulated.run(route, random)));
            at = at.plus(A_RUN);
        }
    }

    private void write(long survey, Draft draft) {
        books.append(survey, draft, fresh(shelves.survey(survey).head()));
    }

    private static Submission fresh(int seen) {
        return new Submission(UUID.randomUUID().toString(), seen);
    }
}
