package tallledger.web.instruments;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tallledger.core.drive.Route;
import tallledger.core.evidence.RecordField;
import tallledger.core.family.Step;
import tallledger.core.instrument.Instrument;
import tallledger.core.instrument.InstrumentKind;
import tallledger.core.survey.Task;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedInstrument;
import tallledger.practice.SimulatedMachine;
import tallledger.web.library.StoredSurvey;

/**
 * Instruments there are for a task: with the demo data those on its simulated machines; for any other machine the one at the other end of
 * a line of text, where the settings name it ({@code tallledger.instrument}).
 */
@Component
public class Instruments {

    /** The field of a run's speed. */
    public static final String SPEED = "reading";

    private final List<SimulatedMachine> simulated;
    private final Optional<LineInstrument> line;

    Instruments(@Value("${tallledger.demo}") boolean demo, @Value("${tallledger.instrument}") String line) {
        this.simulated = demo ? KestrelVale.shortlist() : List.of();
        this.line = LineInstrument.at(line);
    }

    /** Fields of a task that an instrument can fill; none where there is no instrument. */
    public Set<String> fields(StoredSurvey survey, Task task) {
        if (simulated.isEmpty() && line.isEmpty()) {
            return Set.of();
        }
        if (task.route().isPresent()) {
            return Set.of(SPEED);
        }
        return task.step().map(step -> step.recording().fields().stream().filter(f -> kind(step, f).isPresent()).map(RecordField::name)
                .filter(name -> with(survey, task, name).isPresent()).collect(Collectors.toSet())).orElse(Set.of());
    }

    /** The one that reads a field. */
    public Optional<Instrument> with(StoredSurvey survey, Task task, String field) {
        Optional<InstrumentKind> kind = task.route().isPresent() ? Optional.of(InstrumentKind.TACHOMETER)
                : task.step().flatMap(step -> step.recording().fields().stream().filter(f -> f.name().equals(field)).findFirst()
                        .flatMap(f -> kind(step, f)));
        if (kind.isEmpty()) {
            return Optional.empty();
        }
        String name = survey.core().machine().identity().name();
        Optional<SimulatedMachine> machine = simulated.stream().filter(m -> m.description().identity().name().equals(name)).findFirst();
        if (machine.isPresent()) {
            SimulatedInstrument instrument = new SimulatedInstrument(machine.get(), task.step(), route(task, machine.get()), kind.get(),
                    survey.rules(), seed(survey, task));
            return task.route().isPresent() || machine.get()
                    .answer(task.step().orElseThrow(), survey.rules(), new java.util.Random(instrument.seed())).values().containsKey(field)
                            ? Optional.of(instrument)
                            : Optional.empty();
        }
        return line.map(l -> l.reading(kind.get()));
    }

    /** The simulated machine's own route of that name: it has the truth of its own description. */
    private static Optional<Route> route(Task task, SimulatedMachine machine) {
        return task.route().flatMap(r -> machine.description().train().routeByKey(task.key()));
    }

    /** Other readings at the next go, the same within one. */
    private static long seed(StoredSurvey survey, Task task) {
        return survey.id() * 1_000_003L + survey.head() * 7_919L + task.key().hashCode();
    }

    /** By what is read with, and the unit; what is chosen or written in words no instrument fills. */
    private static Optional<InstrumentKind> kind(Step step, RecordField field) {
        return switch (field.input()) {
            case CHOICE, TEXT, LOG -> Optional.empty();
            case LENGTH, NUMBER, SERIES, LONG_TEXT -> switch (field.unit()) {
                case VOLTS -> Optional.of(InstrumentKind.VOLTMETER);
                case TEMPERATURE, MINUTES_AND_TEMPERATURE -> Optional.of(InstrumentKind.THERMOMETER);
                case SPEED -> Optional.of(InstrumentKind.TACHOMETER);
                default -> step.recording().usualGauge().flatMap(InstrumentKind::of);
            };
        };
    }
}
