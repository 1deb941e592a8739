package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.DriveTrain;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Step;
import tallledger.core.ledger.Entry;

/**
 * Something that failed and what became of it: open, then repaired, then re-tested good; or open again. One that simply comes
 * out good the next time, with no repair between, is not closed but said not to have shown again.
 *
 * @param task    what failed
 * @param state   where it stands
 * @param history entries it went through, first the failure
 */
public record Fault(Task task, State state, List<Integer> history) {

    public enum State {
        OPEN, REPAIRED, RETESTED_GOOD,
        /** It came out good later with nothing put right between: nobody knows why. */
        DID_NOT_RECUR
    }

    public Fault {
        history = List.copyOf(history);
    }

    /** What must be put right, as a repair names it: the step's system. */
    public Optional<MachinePart.System> system() {
        return task.step().map(Step::system);
    }

    private Fault went(State to, int entry) {
        List<Integer> longer = new ArrayList<>(history);
        longer.add(entry);
        return new Fault(task, to, longer);
    }

    /** Every fault of a survey in the order first seen. */
    public static List<Fault> of(Survey survey) {
        Map<Task, Fault> faults = new LinkedHashMap<>();
        Map<Integer, TaskResult> made = survey.made().stream().collect(Collectors.toMap(TaskResult::entry, Function.identity()));
        Map<Integer, MachinePart> repairs = new HashMap<>();
        survey.repairs().forEach(r -> repairs.put(r.entry(), r.part()));
        for (Entry entry : survey.entries()) {
            int at = entry.sequence();
            if (made.containsKey(at)) {
                take(faults, new Fault(made.get(at).task(), State.OPEN, List.of(at)), made.get(at).outcome(), at);
            } else if (repairs.containsKey(at)) {
                faults.replaceAll((key, fault) -> fault.state != State.RETESTED_GOOD
                        && fault.isOf(repairs.get(at), survey.machine().train()) ? fault.went(State.REPAIRED, at) : fault);
            }
        }
        return List.copyOf(faults.values());
    }

    private static void take(Map<Task, Fault> faults, Fault fresh, Outcome outcome, int at) {
        Fault known = faults.get(fresh.task);
        if (outcome == Outcome.FAILED) {
            faults.put(fresh.task, known == null ? fresh : known.went(State.OPEN, at));
        } else if (known != null && outcome == Outcome.PROVEN && known.state != State.RETESTED_GOOD) {
            faults.put(fresh.task, known.went(known.state == State.REPAIRED ? State.RETESTED_GOOD : State.DID_NOT_RECUR, at));
        }
    }

    private boolean isOf(MachinePart part, DriveTrain train) {
        return part.system().isPresent() ? system().equals(part.system()) : task.route().filter(r -> part.isOn(train, r)).isPresent();
    }
}
