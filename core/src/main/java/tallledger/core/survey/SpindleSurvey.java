package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tallledger.core.coverage.ColdSpindle;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.EverySpeed;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/**
 * A survey's spindle drive: which runs count, what they prove, what is left.
 *
 * @param drive    the drive it is of, and what it is judged by
 * @param runs     every run that was not struck and whose settings the machine still has, in order
 * @param latest   the run that counts for each route
 * @param passed   routes passed over and not run since, with why and the entry that says so
 * @param repeats  routes that failed before a repair of a part on them and were not run since
 * @param repairs  repairs that were not struck
 * @param checks   the drive check that counts, of each kind
 * @param coverage what is proven of each speed
 * @param recordings sounds that were not struck, in order
 */
public record SpindleSurvey(SurveyDrive drive, List<Run> runs, Map<Route, Run> latest, Map<Route, NotedEntry<String>> passed,
        List<Route> repeats,
        List<RecordedRepair> repairs, Map<DriveCheck, CheckResult> checks, Coverage coverage, List<Recording> recordings) {

    /**
     * A drive and what it is judged by.
     *
     * @param machine  the description
     * @param rules    of the house
     * @param table    its speeds
     * @param elements its elements
     * @param footage  films of it
     */
    public record SurveyDrive(MachineDescription machine, Rules rules, SpeedTable table, Elements elements, Footage footage) {
    }

    public MachineDescription machine() {
        return drive.machine;
    }

    public Rules rules() {
        return drive.rules;
    }

    public SpeedTable table() {
        return drive.table;
    }

    public Elements elements() {
        return drive.elements;
    }

    /** Steps of the school "every speed", and after them every other route that was run. */
    public List<Route> steps() {
        List<Route> steps = new ArrayList<>(EverySpeed.routes(drive.table));
        latest.keySet().stream().filter(route -> !steps.contains(route)).forEach(steps::add);
        return steps;
    }

    /** Drive checks the machine calls for and nobody made. */
    public List<DriveCheck> uncheckedDrive() {
        return DriveCheck.of(drive.machine.train()).stream().filter(check -> !checks.containsKey(check)).toList();
    }

    /** Outcome of the run that counts for each route; a route to be repeated after a repair counts for nothing yet. */
    public Map<Route, Outcome> outcomes() {
        Map<Route, Outcome> outcomes = new LinkedHashMap<>();
        latest.forEach((route, run) -> outcomes.put(route, run.outcome()));
        return outcomes;
    }

    /**
     * Highest speed run so far at which the spindle turned, min⁻¹; of one whose speed nobody knew, what was read. What ran in somebody's
     * film does not warm the spindle of today.
     */
    public OptionalDouble highestRun() {
        return runs.stream().filter(run -> run.seen().isEmpty())
                .filter(run -> run.record().symptoms().stream().noneMatch(s -> s.stopsDrive()))
                .flatMap(run -> drive.table.speedOf(run.route()).flatMap(Speed::expected)
                        .or(() -> run.record().reading().map(r -> r.rpm().doubleValue())).stream())
                .mapToDouble(Double::doubleValue).max();
    }

    /** Whether something on a run's route was put right after it: then it says nothing of the machine as it is now. */
    public boolean isFromBeforeRepair(Run run) {
        return repairs.stream().anyMatch(r -> r.entry() > run.entry() && r.part().isOn(drive.machine.train(), run.route()));
    }

    /** The route the levers were last set for. */
    public Optional<Route> standing() {
        return runs.stream().filter(run -> run.seen().isEmpty()).reduce((a, b) -> b).map(Run::route);
    }

    /** Whether the cold-spindle rule speaks against running a route now. */
    public boolean isTooFastYet(Route route) {
        return drive.table.speedOf(route).filter(s -> !ColdSpindle.of(drive.table, drive.rules).allows(highestRun(), s)).isPresent();
    }

    /** Runs that count and came to an outcome. */
    public List<Run> counting(Outcome outcome) {
        return latest.values().stream().filter(run -> run.outcome() == outcome).toList();
    }

    public Collection<Run> counting() {
        return latest.values();
    }
}
