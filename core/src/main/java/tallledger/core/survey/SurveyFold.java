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
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Reason;
import tallledger.core.machine.MachineDescription;

/** The fold of a survey's entries, one entry after the other. */
final class SurveyFold {

    private final MachineDescription machine;
    private final List<Entry> entries;
    private final SpeedTable table;
    private final Map<Integer, Entry> struck;
    private final Map<List<String>, Route> bySettings = new LinkedHashMap<>();

    private final List<Run> runs = new ArrayList<>();
    private final Map<Route, Run> latest = new LinkedHashMap<>();
    private final Map<Route, Entry> passed = new LinkedHashMap<>();
    private final Set<Route> repeats = new LinkedHashSet<>();
    private final List<Entry> repairs = new ArrayList<>();
    private final Map<DriveCheck, CheckResult> checks = new EnumMap<>(DriveCheck.class);
    private final List<Entry> remarks = new ArrayList<>();
    private final List<Stray> strays = new ArrayList<>();

    SurveyFold(MachineDescription machine, List<Entry> entries) {
        this.machine = machine;
        this.entries = List.copyOf(entries);
        this.table = machine.speeds();
        this.struck = Chain.struck(entries);
        table.speeds().forEach(s -> s.routes().forEach(r -> bySettings.put(machine.train().settings(r), r)));
    }

    SpindleSurvey fold() {
        entries.stream().filter(e -> !struck.containsKey(e.sequence())).forEach(e -> Stray.guard(e, strays, this::take));
        Elements elements = Elements.of(machine.train());
        Map<Route, Outcome> outcomes = new LinkedHashMap<>();
        latest.forEach((route, run) -> outcomes.put(route, run.outcome()));
        repeats.forEach(route -> outcomes.put(route, Outcome.UNDECIDED));
        return new SpindleSurvey(machine, table, elements, List.copyOf(runs), latest, passed, List.copyOf(repeats), List.copyOf(repairs),
                checks, List.copyOf(remarks), Coverage.of(table, elements, outcomes), struck, List.copyOf(strays), entries);
    }

    private void take(Kind kind, Entry entry) {
        switch (kind) {
            case RUN -> run(entry);
            case PASSED_OVER -> passed(entry);
            case REPAIRED -> {
                if (entry.payload().has("stage")) {
                    repaired(entry);
                }
            }
            case CHECK -> {
                CheckResult result = CheckResult.from(entry);
                checks.put(result.check(), result);
            }
            case REMARK -> {
                entry.payload().text("text");
                remarks.add(entry);
            }
            case PLAN_CHOSEN -> PlanChoice.from(entry);
            case OPENED, DESCRIPTION_ADOPTED, START_CONFIRMED, STOPPED, STRIKE, STEP, LATER, KIT, LIFT, PHOTO -> { }
        }
    }

    private void passed(Entry entry) {
        entry.payload().text("reason");
        Optional.ofNullable(bySettings.get(entry.payload().texts("settings"))).filter(route -> !latest.containsKey(route)).ifPresent(route -> passed.put(route, entry));
    }

    private void run(Entry entry) {
        RunRecord record = RunRecord.from(entry.payload());
        Route route = bySettings.get(record.settings());
        if (route == null) {
            strays.add(new Stray(entry, Reason.of("stray.settings", String.join(" ", record.settings()))));
            return;
        }
        Run run = Run.of(entry, route, record, table);
        runs.add(run);
        latest.remove(route);
        latest.put(route, run);
        passed.remove(route);
        repeats.remove(route);
    }

    /** Runs through the repaired part prove nothing any more; those that failed must be repeated, and only those. */
    private void repaired(Entry entry) {
        List.of("what", "stage", "label").forEach(entry.payload()::text);
        repairs.add(entry);
        List<Route> through = latest.keySet().stream().filter(route -> isOn(route, entry.payload())).toList();
        for (Route route : through) {
            if (latest.remove(route).outcome() == Outcome.FAILED) {
                repeats.add(route);
            }
        }
    }

    private boolean isOn(Route route, Payload repair) {
        return isOn(machine, route, repair);
    }

    /** Whether a route goes through the part a repair names. */
    static boolean isOn(MachineDescription machine, Route route, Payload repair) {
        for (int s = 0; s < machine.train().stages().size(); s++) {
            if (machine.train().stages().get(s).name().equals(repair.text("stage"))) {
                return machine.train().position(route, s).label().equals(repair.text("label"));
            }
        }
        return false;
    }
}
