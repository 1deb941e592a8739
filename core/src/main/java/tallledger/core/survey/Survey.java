package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.family.Catalogue;
import tallledger.core.house.House;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.price.Stakes;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/**
 * A survey: its entries folded by a description of its machine.
 *
 * @param machine the description judged by
 * @param house   the house's rules and checks, at the version judged by
 * @param decoded the entries, each decoded once
 * @param drive   what its runs come to
 * @param steps   what its steps come to
 * @param remarks remarks that were not struck, with their entries
 * @param repairs repairs that were not struck
 * @param photos  photographs that were not struck
 * @param clips   short films that were not struck
 * @param recordings sounds that were not struck
 * @param regrades how persons judge findings, by the entry each rests on
 * @param plan    how the runs are planned, where somebody chose
 * @param stakes  what is asked and what a sound one is worth, where somebody says
 * @param strays  entries that say nothing: they cannot be read, or do not fit the machine as described now
 * @param footage films that somebody else made of the machine
 */
public record Survey(MachineDescription machine, House house, Decoded decoded, SpindleSurvey drive, StepLedger steps,
        List<NotedEntry<String>> remarks, List<RecordedRepair> repairs,
        List<Photo> photos, List<Clip> clips, List<Recording> recordings, Map<Integer, NotedEntry<Regrade>> regrades,
        Optional<PlanChoice> plan,
        Optional<Stakes> stakes,
        List<Stray> strays, Footage footage) {

    public static Survey fold(MachineDescription machine, House house, List<Entry> entries) {
        House as = house.judging(machine.unit(), JudgedBy.grade(entries));
        return new SurveyFold(machine, as, Catalogue.of(machine, as.rules()), Decoded.of(entries), List.of()).fold();
    }

    /** The same survey with newer entries: nothing is decoded or judged twice, unless they say to judge it as of another grade. */
    public Survey grown(List<Entry> all) {
        if (JudgedBy.grade(all) != rules().judgedAs()) {
            return by(machine, house, all);
        }
        return new SurveyFold(machine, house, steps.steps(), decoded.grown(all), steps.judged()).fold();
    }

    /** The same entries by another description or other rules: nothing is decoded twice, and every step is judged by them. */
    public Survey by(MachineDescription other, House others, List<Entry> all) {
        House as = others.judging(other.unit(), JudgedBy.grade(all));
        return new SurveyFold(other, as, Catalogue.of(other, as.rules()), decoded.grown(all), List.of()).fold();
    }

    /** The entry that closes it; empty while it takes entries. */
    public Optional<Entry> closed() {
        return decoded.entries().stream().filter(e -> e.damage().isEmpty() && e.kind().equals(Kind.CLOSED.name())).findFirst();
    }

    public Rules rules() {
        return house.rules();
    }

    public List<Entry> entries() {
        return decoded.entries();
    }

    /** A speed or a step by its key; empty where there is none. */
    public Optional<Task> task(String key) {
        return machine.train().routeByKey(key).filter(r -> drive.table().speedOf(r).isPresent()).map(Task::of)
                .or(() -> steps.step(key).map(Task::of));
    }

    /** What was made of its tasks, in order; a check at the spindle that is a step is there as that. */
    public List<TaskResult> made() {
        return Stream.concat(drive.runs().stream(), steps.all().stream()).map(TaskResult.class::cast)
                .sorted(Comparator.comparingInt(TaskResult::entry))
                .toList();
    }

    /** Readings taken with a gauge whose calibration had run out, by what is said of it. */
    public Map<Reason, List<Integer>> overdue() {
        Map<Reason, List<Integer>> byGauge = new LinkedHashMap<>();
        made().forEach(m -> m.because().stream().filter(b -> b.is(SurveyReason.GAUGE_OVERDUE))
                .forEach(b -> byGauge.computeIfAbsent(b, x -> new ArrayList<>()).add(m.entry())));
        return byGauge;
    }

    /** Struck entries, with the entry that strikes each. */
    public Map<Integer, Entry> struck() {
        return decoded.struck();
    }

    public List<Clip> clipsOf(String step) {
        return clips.stream().filter(c -> c.step().equals(step)).toList();
    }

    public List<Photo> photosOf(String step) {
        return photos.stream().filter(p -> p.step().equals(step)).toList();
    }
}
