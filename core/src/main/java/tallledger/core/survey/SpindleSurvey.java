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
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;

/**
 * A survey's entries folded: which runs count, what they prove, what is left.
 *
 * @param machine  the description judged by
 * @param table    its speeds
 * @param elements its elements
 * @param runs     every run that was not struck and whose settings the machine still has, in order
 * @param latest   the run that counts for each route
 * @param passed   routes passed over and not run since, with the entry that says why
 * @param remarks  remarks that were not struck
 * @param coverage what is proven of each speed
 * @param struck   struck entries, with the entry that strikes each
 * @param strays   runs whose settings the described machine does not have
 * @param entries  all entries
 */
public record SpindleSurvey(MachineDescription machine, SpeedTable table, Elements elements, List<Run> runs,
                            Map<Route, Run> latest, Map<Route, Entry> passed, List<Entry> remarks, Coverage coverage,
                            Map<Integer, Entry> struck, List<Entry> strays, List<Entry> entries) {

    public static SpindleSurvey fold(MachineDescription machine, List<Entry> entries) {
        SpeedTable table = machine.speeds();
        Elements elements = Elements.of(machine.train());
        Map<Integer, Entry> struck = Chain.struck(entries);
        Map<List<String>, Route> bySettings = new LinkedHashMap<>();
        table.speeds().forEach(s -> s.routes().forEach(r -> bySettings.put(machine.train().settings(r), r)));
        List<Run> runs = new ArrayList<>();
        Map<Route, Run> latest = new LinkedHashMap<>();
        Map<Route, Entry> passed = new LinkedHashMap<>();
        List<Entry> remarks = new ArrayList<>();
        List<Entry> strays = new ArrayList<>();
        for (Entry entry : entries) {
            if (struck.containsKey(entry.sequence())) {
                continue;
            }
            switch (Kind.valueOf(entry.kind())) {
                case RUN -> {
                    RunRecord record = RunRecord.from(entry.payload(), Gauge.HOUSE_TACHOMETER);
                    Route route = bySettings.get(record.settings());
                    if (route == null) {
                        strays.add(entry);
                    } else {
                        Run run = Run.of(entry.sequence(), entry.at(), entry.author(), route, record, table);
                        runs.add(run);
                        latest.remove(route);
                        latest.put(route, run);
                        passed.remove(route);
                    }
                }
                case PASSED_OVER -> Optional.ofNullable(bySettings.get(entry.payload().texts("settings")))
                        .filter(route -> !latest.containsKey(route)).ifPresent(route -> passed.put(route, entry));
                case REMARK -> remarks.add(entry);
                case OPENED, DESCRIPTION_ADOPTED, START_CONFIRMED, STOPPED, STRIKE -> { }
            }
        }
        Coverage coverage = Coverage.of(table, elements, outcomes(latest));
        return new SpindleSurvey(machine, table, elements, List.copyOf(runs), latest, passed, List.copyOf(remarks), coverage,
                struck, List.copyOf(strays), List.copyOf(entries));
    }

    private static Map<Route, Outcome> outcomes(Map<Route, Run> latest) {
        Map<Route, Outcome> outcomes = new LinkedHashMap<>();
        latest.forEach((route, run) -> outcomes.put(route, run.outcome()));
        return outcomes;
    }

    /** The version of the machine's description these entries judge by. */
    public static int machineVersion(List<Entry> entries) {
        return entries.stream().filter(e -> e.payload().has("machineVersion"))
                .mapToInt(e -> e.payload().whole("machineVersion")).reduce((a, b) -> b).orElseThrow();
    }

    /** Steps of the school "every speed", and after them every other route that was run. */
    public List<Route> steps() {
        List<Route> steps = new ArrayList<>(EverySpeed.routes(table));
        latest.keySet().stream().filter(route -> !steps.contains(route)).forEach(steps::add);
        return steps;
    }

    /** Routes still to run, neither run nor passed over, in order. */
    public List<Route> remaining() {
        return EverySpeed.routes(table).stream()
                .filter(route -> !latest.containsKey(route) && !passed.containsKey(route)).toList();
    }

    /** The next step: the first that remains and that the cold-spindle rule allows. */
    public Optional<Route> next() {
        OptionalDouble highest = highestRun();
        List<Route> remaining = remaining();
        return remaining.stream().filter(route -> table.speedOf(route).filter(s -> ColdSpindle.allows(table, highest, s)).isPresent())
                .findFirst().or(() -> remaining.stream().findFirst());
    }

    /** Highest speed run so far at which the spindle turned, min⁻¹. */
    public OptionalDouble highestRun() {
        List<Speed> turned = runs.stream()
                .filter(run -> run.record().symptoms().stream().noneMatch(s -> s.stopsDrive()))
                .flatMap(run -> table.speedOf(run.route()).stream()).toList();
        return ColdSpindle.highest(turned);
    }

    /** Whether the cold-spindle rule speaks against running a route now. */
    public boolean isTooFastYet(Route route) {
        return table.speedOf(route).filter(s -> !ColdSpindle.allows(table, highestRun(), s)).isPresent();
    }

    /** Runs that count and came to an outcome. */
    public List<Run> counting(Outcome outcome) {
        return latest.values().stream().filter(run -> run.outcome() == outcome).toList();
    }

    public Collection<Run> counting() {
        return latest.values();
    }
}
