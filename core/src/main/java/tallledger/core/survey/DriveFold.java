package tallledger.core.survey;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.SpeedTable;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.MachinePart;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/** The spindle drive's part of the fold. */
final class DriveFold {

    private final MachineDescription machine;
    private final Rules rules;
    private final SpeedTable table;
    private final Map<List<String>, Route> bySettings = new LinkedHashMap<>();

    private final List<Run> runs = new ArrayList<>();
    private final Map<Route, Run> latest = new LinkedHashMap<>();
    private final Map<Route, NotedEntry<String>> passed = new LinkedHashMap<>();
    private final Set<Route> repeats = new LinkedHashSet<>();
    /** Of those the ones that failed before: until they are run again nothing is inferred of them. */
    private final Set<Route> failed = new LinkedHashSet<>();
    private final Map<DriveCheck, CheckResult> checks = new EnumMap<>(DriveCheck.class);

    private final Footage footage;

    DriveFold(MachineDescription machine, Rules rules, Footage footage) {
        this.footage = footage;
        this.rules = rules;
        this.machine = machine;
        this.table = machine.speeds();
        table.speeds().forEach(s -> s.routes().forEach(r -> bySettings.put(machine.train().settings(r), r)));
    }

    SpindleSurvey folded(List<RecordedRepair> repairs, List<Recording> recordings) {
        Elements elements = Elements.of(machine.train());
        Map<Route, Outcome> outcomes = new LinkedHashMap<>();
        latest.forEach((route, run) -> outcomes.put(route, run.outcome()));
        repeats.stream().filter(failed::contains).forEach(route -> outcomes.put(route, Outcome.UNDECIDED));
        return new SpindleSurvey(new SpindleSurvey.SurveyDrive(machine, rules, table, elements, footage), List.copyOf(runs), latest, passed,
                List.copyOf(repeats), List.copyOf(repairs), checks, Coverage.of(table, elements, outcomes),
                List.copyOf(recordings));
    }

    Optional<Reason> run(WorkEvent.RunMade event, Entry entry) {
        Route route = bySettings.get(event.record().settings());
        if (route == null) {
            return Optional.of(Reason.of(SurveyReason.STRAY_SETTINGS, String.join(" ", event.record().settings())));
        }
        Run run = Run.of(entry, route, event, table, rules, footage);
        runs.add(run);
        if (run.seen().isPresent() && Optional.ofNullable(latest.get(route)).filter(r -> r.seen().isEmpty()).isPresent()) {
            // What was run at the machine stands over what a film of it shows, whichever was looked at first.
            return Optional.empty();
        }
        latest.remove(route);
        latest.put(route, run);
        passed.remove(route);
        repeats.remove(route);
        failed.remove(route);
        return Optional.empty();
    }

    /** Key of the route that is set so; empty text for none. @param settings parted by blanks */
    String keyOf(String settings) {
        return bySettings.entrySet().stream().filter(e -> String.join(" ", e.getKey()).equals(settings)).map(e -> e.getValue().key())
                .findFirst().orElse("");
    }

    void passedOver(List<String> settings, NotedEntry<String> why) {
        Optional.ofNullable(bySettings.get(settings)).filter(route -> !latest.containsKey(route))
                .ifPresent(route -> passed.put(route, why));
    }

    void checked(CheckResult result) {
        checks.put(result.check(), result);
    }

    /**
     * Runs through the repaired part prove nothing any more. Of one position those that failed must be repeated, and only those: others
     * are inferred from them. Of a whole mechanism every one must, since none of what ran before went past it.
     */
    void repaired(MachinePart part) {
        List<Route> through = latest.keySet().stream().filter(route -> part.isOn(machine.train(), route)).toList();
        for (Route route : through) {
            if (latest.remove(route).outcome() == Outcome.FAILED) {
                failed.add(route);
                repeats.add(route);
            } else if (part.mechanism().isPresent()) {
                repeats.add(route);
            }
        }
    }
}
