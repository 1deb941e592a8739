package tallledger.web.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Draft;
import tallledger.core.survey.StartCheck;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.SurveyPlan;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.record.Books;
import tallledger.web.record.Machine;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;

/** Fills an empty store with the Kestrel Vale shortlist; readings come from the simulated machines, so they carry real scatter. */
@Component
@ConditionalOnProperty("tallledger.demo")
class DemoData implements SmartInitializingSingleton {

    private static final String SURVEYOR = "R. Ashdown, workshop";
    private static final Instant MORNING = Instant.parse("2026-05-09T08:30:00Z");
    private static final Duration A_RUN = Duration.ofSeconds(52);

    private final Shelves shelves;
    private final Books books;

    DemoData(Shelves shelves, Books books) {
        this.shelves = shelves;
        this.books = books;
    }

    /** Before the first page can be asked for, so that nobody sees an empty shelf. */
    @Override
    public void afterSingletonsInstantiated() {
        if (!books.all().isEmpty()) {
            return;
        }
        List<SimulatedMachine> shortlist = KestrelVale.shortlist();
        // The lathe: two ranges run, the growl heard, then the afternoon was gone. The drill whole. The rest begun, or only described.
        survey(shortlist.get(0), School.EVERY_SPEED, 10, 410);
        survey(shortlist.get(1), School.EVERY_SPEED, Integer.MAX_VALUE, 20);
        long horizontal = add(shortlist.get(2));
        survey(shortlist.get(3), School.EVERY_GEAR, 4, 1800);
        survey(shortlist.get(4), School.EVERY_GEAR, 5, 1);
        shortlist.subList(5, shortlist.size()).forEach(this::add);
        begin(shortlist.get(2), horizontal, 5, School.EVERY_GEAR, 11);
    }

    private long add(SimulatedMachine machine) {
        return shelves.addMachine(machine.description(), SURVEYOR, fresh(0));
    }

    private void survey(SimulatedMachine simulated, School school, int runs, long seed) {
        begin(simulated, add(simulated), runs, school, seed);
    }

    private void begin(SimulatedMachine simulated, long machineId, int runs, School school, long seed) {
        Random random = new Random(seed);
        Machine machine = shelves.machine(machineId);
        Instant at = MORNING;
        long survey = books.open("SURVEY", Optional.of(machine.id()), machine.name(), SurveyEntries.opened(at, SURVEYOR,
                machine.version(), Shelves.hash(machine), "buyer"), fresh(0));
        List<StartCheck.Item> items = StartCheck.items(simulated.description().identity().family());
        write(survey, SurveyEntries.planChosen(at.plusSeconds(200), SURVEYOR, school, ""));
        write(survey, SurveyEntries.startConfirmed(at.plusSeconds(240), SURVEYOR, items));
        at = at.plusSeconds(300);
        for (int i = 0; i < runs; i++) {
            Optional<Route> next = SurveyPlan.of(shelves.survey(survey).folded(), at).next();
            if (next.isEmpty()) {
                break;
            }
            write(survey, SurveyEntries.run(at, SURVEYOR, simulated.run(next.get(), random)));
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
