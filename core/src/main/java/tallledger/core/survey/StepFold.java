package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.KitList;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Noted;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Reason;
import tallledger.core.machine.MachineDescription;
import tallledger.core.safety.Mounted;

/** The fold of a survey's steps, one entry after the other. */
final class StepFold {

    private final MachineDescription machine;
    private final List<Entry> entries;
    private final Map<String, Step> steps = new LinkedHashMap<>();
    /** Steps of axes by what they were called before an axis had an identity. */
    private final Map<String, Step> former = new HashMap<>();
    private final Map<Integer, StepResult> judged = new LinkedHashMap<>();
    private final Map<List<String>, String> routeKeys = new HashMap<>();
    private final Map<String, StepResult> latest = new LinkedHashMap<>();
    private final List<StepResult> all = new ArrayList<>();
    private final Map<String, Entry> passed = new LinkedHashMap<>();
    private final Set<String> later = new LinkedHashSet<>();
    private final Set<String> repeats = new LinkedHashSet<>();
    private final List<Entry> repairs = new ArrayList<>();
    private final Map<String, Need> standing = new HashMap<>();
    private final List<Photo> photos = new ArrayList<>();
    private final List<Stray> strays = new ArrayList<>();
    /** For records of before they named what they were written by. */
    private final Basis basis;
    private Scope scope = Scope.WHOLE;
    private Optional<Mounted> mounted = Optional.empty();
    private Optional<Mounted> wheelMark = Optional.empty();
    private Optional<Noted<Lift>> lift = Optional.empty();
    private KitList kit = KitList.EMPTY;
    private String lastKey = "";
    private Instant last = Instant.MIN;

    /**
     * @param catalogue the machine's steps
     * @param before    results judged earlier by the same description
     */
    StepFold(MachineDescription machine, List<Step> catalogue, List<Entry> entries, List<StepResult> before) {
        this.machine = machine;
        this.basis = Basis.of(machine.identity().unit(), 0);
        before.forEach(result -> judged.put(result.entry(), result));
        this.entries = entries;
        catalogue.forEach(step -> steps.put(step.id(), step));
        catalogue.stream().filter(step -> !step.axis().isEmpty()).forEach(step -> former.putIfAbsent(step.formerId(), step));
        machine.train().routes().forEach(route -> routeKeys.put(machine.train().settings(route), route.key()));
    }

    StepLedger fold() {
        Map<Integer, Entry> struck = Chain.struck(entries);
        entries.stream().filter(e -> !struck.containsKey(e.sequence())).forEach(e -> Stray.guard(e, strays, this::take));
        return new StepLedger(scope, List.copyOf(steps.values()), latest, List.copyOf(all), passed, List.copyOf(later), List.copyOf(repeats), List.copyOf(repairs),
                mounted, wheelMark, Map.copyOf(standing), kit, lift, List.copyOf(photos), List.copyOf(strays), lastKey, List.copyOf(judged.values()));
    }

    private void take(Kind kind, Entry entry) {
        if (!last.equals(Instant.MIN) && Duration.between(last, entry.at()).compareTo(StartCheck.GOOD_FOR) > 0) {
            standing.clear();
        }
        last = entry.at();
        Payload p = entry.payload();
        switch (kind) {
            case OPENED -> scope = p.optionalText("scope").map(Scope::valueOf).orElse(Scope.WHOLE);
            case START_CONFIRMED -> {
                confirm(Need.of(Need.Kind.POWER_ON));
                if (p.has("mounted")) {
                    mounted = Optional.of(Mounted.from(p.part("mounted"), Basis.from(p, basis).unit()));
                }
            }
            case STOPPED -> standing.clear();
            case STEP -> step(entry, p);
            case CHECK -> check(entry);
            case RUN -> {
                lastKey = routeKeys.getOrDefault(p.texts("settings"), lastKey);
                later.remove(lastKey);
            }
            case PASSED_OVER -> p.optionalText("step").filter(steps::containsKey).ifPresent(id -> {
                p.text("reason");
                passed.put(id, entry);
                lastKey = id;
            });
            case LATER -> putOff(p.text("step"));
            case REPAIRED -> p.optionalText("system").ifPresent(system -> repaired(entry, system));
            case KIT -> kit = kit.with(KitItem.from(p), entry.sequence());
            case LIFT -> lift = Optional.of(new Noted<>(Lift.from(p), entry.sequence()));
            case PHOTO -> photos.add(Photo.from(entry));
            case DESCRIPTION_ADOPTED, PLAN_CHOSEN, REMARK, STRIKE -> { }
        }
    }

    private void step(Entry entry, Payload p) {
        Step step = Optional.ofNullable(steps.get(p.text("step"))).or(() -> Optional.ofNullable(former.get(p.text("step")))).or(() -> Catalogue.extra(p.text("step"))).orElse(null);
        if (step == null) {
            strays.add(new Stray(entry, Reason.of("stray.step", p.text("step"))));
            return;
        }
        List<Need> confirmed = p.texts("confirmed").stream().map(SurveyEntries::need).toList();
        StepResult result = judged.computeIfAbsent(entry.sequence(), s -> StepResult.from(entry, step, basis));
        confirmed.forEach(this::confirm);
        record(result);
        if (step.recording() instanceof GrinderRecordings.WheelMark mark && !result.isBad()) {
            wheelMark = Optional.of(mark.wheel(result.values()));
        }
    }

    private void check(Entry entry) {
        CheckResult result = CheckResult.from(entry);
        Optional.ofNullable(steps.get(SpindleCheck.id(result.check()))).ifPresent(step -> record(StepResult.from(result, step, basis)));
    }

    private void record(StepResult result) {
        String id = result.step().id();
        all.add(result);
        latest.remove(id);
        latest.put(id, result);
        passed.remove(id);
        later.remove(id);
        repeats.remove(id);
        lastKey = id;
    }

    /** Confirmed at a reversal only counts for that reversal. */
    private void confirm(Need need) {
        if (need.kind() != Need.Kind.AT_REST) {
            standing.put(need.subject(), need);
        }
    }

    private void putOff(String key) {
        later.remove(key);
        later.add(key);
        lastKey = key;
    }

    /** What was recorded of the system proves nothing any more: every step of it is to be done again. */
    private void repaired(Entry entry, String system) {
        entry.payload().text("what");
        repairs.add(entry);
        List<Step> all = new ArrayList<>(steps.values());
        latest.values().stream().map(StepResult::step).filter(s -> !steps.containsKey(s.id())).forEach(all::add);
        for (Step step : all) {
            if (step.system().equals(system) && latest.remove(step.id()) != null) {
                repeats.add(step.id());
            }
        }
    }
}
