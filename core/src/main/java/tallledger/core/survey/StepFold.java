package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.cutting.CutMade;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Catalogue;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Need;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.KitList;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.unit.LengthUnit;

/** The steps' part of the fold. */
final class StepFold {

    private final Rules rules;
    /** Of lengths in records that do not name their unit. */
    private final LengthUnit unit;
    private final Map<StepId, Step> steps = new LinkedHashMap<>();
    /** Steps of axes by what they were called before an axis had an identity. */
    private final Map<String, Step> former = new HashMap<>();
    private final Map<Integer, StepResult> judged = new LinkedHashMap<>();
    private final Map<List<String>, Task> routes = new HashMap<>();
    private final Map<StepId, StepResult> latest = new LinkedHashMap<>();
    private final List<StepResult> all = new ArrayList<>();
    private final Map<StepId, NotedEntry<String>> passed = new LinkedHashMap<>();
    private final Set<Task> later = new LinkedHashSet<>();
    private final Set<StepId> repeats = new LinkedHashSet<>();
    private final Map<String, Need> standing = new HashMap<>();
    private Scope scope = Scope.WHOLE;
    private Optional<Mounted> mounted = Optional.empty();
    private Optional<Mounted> wheelMark = Optional.empty();
    /** Entries of what stops use and was named at this start. */
    private Set<Integer> despite = Set.of();
    private int left;
    private Optional<Temperatures> temperatures = Optional.empty();
    private Optional<NotedEntry<CutMade>> cut = Optional.empty();
    private Optional<NotedEntry<Lift>> lift = Optional.empty();
    private KitList kit = KitList.EMPTY;
    private Optional<Task> lastTask = Optional.empty();
    private Instant last = Instant.MIN;

    private final Set<Integer> seenInFilms = new HashSet<>();
    private final Map<Integer, Severity> severities = new HashMap<>();

    /**
     * @param catalogue the machine's steps
     * @param before    results judged earlier by the same description
     */
    StepFold(MachineDescription machine, Rules rules, List<Step> catalogue, List<StepResult> before) {
        this.rules = rules;
        this.unit = machine.identity().unit();
        before.forEach(result -> judged.put(result.entry(), result));
        catalogue.forEach(step -> steps.put(step.id(), step));
        catalogue.stream().filter(step -> step.axis().isPresent()).forEach(step -> former.putIfAbsent(step.formerId(), step));
        machine.train().routes().forEach(route -> routes.put(machine.train().settings(route), Task.of(route)));
    }

    StepLedger folded() {
        StepLedger.Results results = new StepLedger.Results(latest, List.copyOf(all), passed, List.copyOf(repeats),
                List.copyOf(judged.values()), Map.copyOf(severities));
        StepLedger.Sitting sitting = new StepLedger.Sitting(lastTask, List.copyOf(later), Map.copyOf(standing), mounted, wheelMark,
                temperatures, cut, last, despite, left);
        return new StepLedger(rules, scope, List.copyOf(steps.values()), results, sitting, new StepLedger.Goods(kit, lift));
    }

    /** The time of the entry to come: after a long pause nothing that was confirmed stands any more. */
    void at(Instant now) {
        if (!last.equals(Instant.MIN) && Duration.between(last, now).compareTo(rules.time(Rule.CONFIRMED_FOR)) > 0) {
            stopped();
        }
        last = now;
    }

    void regraded(Regrade regrade) {
        severities.put(regrade.target(), regrade.severity());
    }

    void opened(Scope chosen) {
        scope = chosen;
    }

    void started(WorkEvent.StartConfirmed event) {
        confirm(Need.of(Need.Kind.POWER_ON));
        event.mounted(unit).ifPresent(m -> mounted = Optional.of(m));
        despite = Set.copyOf(event.despite());
    }

    /** A sitting ends: nothing that was confirmed stands, and nobody knows how warm it is by then. */
    void stopped() {
        standing.clear();
        despite = Set.of();
        temperatures = Optional.empty();
    }

    /** Somebody stopped the machine and left it. @param entry that says so */
    void left(int entry) {
        stopped();
        left = entry;
    }

    void cut(NotedEntry<CutMade> made) {
        cut = Optional.of(made);
    }

    void warm(Temperatures now) {
        temperatures = Optional.of(now);
    }

    void run(List<String> settings) {
        Optional.ofNullable(routes.get(settings)).ifPresent(task -> {
            lastTask = Optional.of(task);
            later.remove(task);
        });
    }

    void passedOver(String written, NotedEntry<String> why) {
        Optional.ofNullable(steps.get(StepId.read(written))).ifPresent(step -> {
            passed.put(step.id(), why);
            lastTask = Optional.of(Task.of(step));
        });
    }

    void kit(KitItem item, int entry) {
        kit = kit.with(item, entry);
    }

    void weighed(NotedEntry<Lift> weight) {
        lift = Optional.of(weight);
    }

    /** A step by how an entry names it. */
    Optional<Step> known(String written) {
        return Optional.ofNullable(steps.get(StepId.read(written))).or(() -> Optional.ofNullable(former.get(written)))
                .or(() -> Catalogue.extra(StepId.read(written), rules));
    }

    Optional<Reason> step(WorkEvent.StepDone event, Entry entry) {
        Step step = known(event.step()).orElse(null);
        if (step == null) {
            return Optional.of(Reason.of(SurveyReason.STRAY_STEP, event.step()));
        }
        StepResult result = judged.computeIfAbsent(entry.sequence(), s -> StepResult.of(entry, event, step, unit, rules));
        event.confirmed().forEach(this::confirm);
        boolean filmed = FilmMoment.isSaid(entry);
        if (filmed) {
            seenInFilms.add(entry.sequence());
        }
        if (filmed && Optional.ofNullable(latest.get(step.id())).filter(r -> !seenInFilms.contains(r.entry())).isPresent()) {
            // What was done at the machine stands over what a film of it shows.
            all.add(result);
            return Optional.empty();
        }
        record(result);
        if (!result.isBad()) {
            result.as(Mounted.class).ifPresent(wheel -> wheelMark = Optional.of(wheel));
        }
        return Optional.empty();
    }

    void checked(CheckResult result) {
        Optional.ofNullable(steps.get(StepId.of(SpindleCheck.id(result.check()))))
                .ifPresent(step -> record(StepResult.of(result, step, unit)));
    }

    private void record(StepResult result) {
        StepId id = result.step().id();
        all.add(result);
        latest.remove(id);
        latest.put(id, result);
        passed.remove(id);
        later.remove(Task.of(result.step()));
        repeats.remove(id);
        lastTask = Optional.of(Task.of(result.step()));
    }

    /** Confirmed at a reversal only counts for that reversal. */
    private void confirm(Need need) {
        if (need.kind() != Need.Kind.AT_REST) {
            standing.put(need.subject(), need);
        }
    }

    /** @param key of a step or a route; one that is not there any more puts nothing off */
    void putOff(String key) {
        task(key).ifPresent(task -> {
            later.remove(task);
            later.add(task);
            lastTask = Optional.of(task);
        });
    }

    private Optional<Task> task(String key) {
        return routes.values().stream().filter(t -> t.key().equals(key)).findFirst()
                .or(() -> Optional.ofNullable(steps.get(StepId.read(key))).or(() -> Catalogue.extra(StepId.read(key), rules))
                        .map(Task::of));
    }

    /** What was recorded of the system proves nothing any more: every step of it is to be done again. */
    void repaired(MachinePart.System system) {
        List<Step> all = new ArrayList<>(steps.values());
        latest.values().stream().map(StepResult::step).filter(s -> !steps.containsKey(s.id())).forEach(all::add);
        for (Step step : all) {
            if (step.system().equals(system) && latest.remove(step.id()) != null) {
                repeats.add(step.id());
            }
        }
    }
}
