package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.evidence.WatchedCycle;
import tallledger.core.evidence.Severity;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.machine.FeedPlate;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The steps of a survey of one machine, made from its own axes and features, in the order people work: desk, standing,
 * electrics, first start, speeds, movement, travels, accuracy, test cut, hot check, kit, close. Spindle speeds themselves are
 * runs of the drive and are planned apart ({@link SurveyPlan}).
 */
public final class Catalogue {

    private static final List<Template> ALL = Stream.of(GeneralSteps.BEFORE, LatheSteps.STEPS, MillSteps.STEPS, DrillSteps.STEPS, GrinderSteps.STEPS,
            GeneralSteps.AFTER_STANDING, GeneralSteps.STARTED, GeneralSteps.SPEEDS, AxisSteps.MOVEMENT_STEPS, AxisSteps.TRAVEL_STEPS,
            AxisSteps.ACCURACY_STEPS, GeneralSteps.AFTER).flatMap(List::stream).toList();

    private Catalogue() {
    }

    public static List<Step> of(MachineDescription machine, Rules rules) {
        List<Step> steps = new ArrayList<>();
        for (Phase phase : Phase.values()) {
            List<Template> here = ALL.stream().filter(t -> t.phase() == phase).toList();
            if (phase == Phase.FIRST_START) {
                here = inOrder(here);
            }
            if (phase == Phase.MOVEMENT || phase == Phase.TRAVELS) {
                steps.addAll(axisSteps(machine, here, rules));
                steps.addAll(phase == Phase.MOVEMENT ? feedPlate(machine, rules) : List.of());
                here.stream().filter(t -> !t.isAboutAxes()).forEach(t -> steps.addAll(t.forMachine(machine, rules)));
            } else {
                here.stream().filter(t -> !t.isAboutAxes()).forEach(t -> steps.addAll(t.forMachine(machine, rules)));
                steps.addAll(axisSteps(machine, here, rules));
            }
        }
        return List.copyOf(steps);
    }

    /** At the first start the stop and the direction come before everything of the family's own. */
    private static List<Template> inOrder(List<Template> steps) {
        List<Template> sorted = new ArrayList<>(steps);
        sorted.sort(Comparator.comparing(t -> GeneralSteps.AFTER_STANDING.contains(t) ? 0 : GeneralSteps.STARTED.contains(t) ? 2 : 1));
        return sorted;
    }

    /** Everything of one axis together, so that a lock is opened once. */
    private static List<Step> axisSteps(MachineDescription machine, List<Template> templates, Rules rules) {
        List<Step> steps = new ArrayList<>();
        for (Axis axis : machine.fitOut().axes()) {
            templates.stream().filter(Template::isAboutAxes).forEach(t -> steps.addAll(t.forAxis(machine, axis, rules)));
        }
        return steps;
    }

    /**
     * One step for each feed of the feed plate. Those that together use every position of every lever come first (as many as the
     * longest lever has), slow to fast; the rest can then be inferred.
     */
    private static List<Step> feedPlate(MachineDescription machine, Rules rules) {
        if (machine.feeds().isEmpty()) {
            return List.of();
        }
        FeedPlate feeds = machine.feeds().get();
        SpeedPlate plate = feeds.plate();
        List<List<String>> keys = new ArrayList<>(SpeedPlate.keysOf(plate.levers()).stream().filter(k -> plate.cell(k).value().isPresent()).toList());
        int longest = plate.levers().stream().mapToInt(l -> l.positions().size()).max().orElse(0);
        keys.sort(Comparator.comparing((List<String> k) -> isOnDiagonal(plate, k, longest) ? 0 : 1).thenComparing(k -> plate.cell(k).value().orElseThrow()));
        return keys.stream().map(key -> feedStep(feeds, key, rules)).toList();
    }

    private static boolean isOnDiagonal(SpeedPlate plate, List<String> key, int longest) {
        for (int i = 0; i < longest; i++) {
            boolean here = true;
            for (int l = 0; l < key.size(); l++) {
                List<String> positions = plate.levers().get(l).positions();
                here &= positions.get(i % positions.size()).equals(key.get(l));
            }
            if (here) {
                return true;
            }
        }
        return false;
    }

    private static Step feedStep(FeedPlate feeds, List<String> key, Rules rules) {
        String shows = feeds.plate().cell(key).value().orElseThrow().toPlainString() + " " + feeds.written();
        return new Step("feed-plate." + String.join(".", key).replaceAll("[^\\p{L}\\d.]+", "-"), "feed-plate", List.of(String.join(" · ", key), shows),
                Phase.MOVEMENT, new MotionRecordings.Feed(feeds.per(), feeds.promised(key), MotionRecordings.Feed.Rate.OF_PLATE), Severity.SOON, rules.whole(Rule.ONE_FEED),
                List.of(Need.of(Need.Kind.POWER_ON)), Part.System.of("feed box"), "", true, Set.of());
    }

    /**
     * A cycle watched besides the catalogue's steps: {@code own-cycle.N} for a person's own script, {@code cycle.CODE} for one of
     * the house's that this machine's features did not call for.
     */
    public static Optional<Step> extra(String id, Rules rules) {
        if (id.matches("own-cycle\\.\\d{1,3}")) {
            return Optional.of(extra(id, "own-cycle", CycleScript.OWN, rules));
        }
        String code = id.startsWith("cycle.") ? id.substring("cycle.".length()) : "";
        return CycleScripts.codes().contains(code) ? Optional.of(extra(id, "cycle", code, rules)) : Optional.empty();
    }

    private static Step extra(String id, String code, String script, Rules rules) {
        return new Step(id, code, List.of(id.substring(id.indexOf('.') + 1)), Phase.MOVEMENT, new WatchedCycle(script), Severity.SOON, rules.whole(Rule.ONE_FEED),
                List.of(Need.of(Need.Kind.POWER_ON)), Part.System.of(id), "", true, Set.of());
    }

    /** What a step of the catalogue takes as it ships, s. */
    public record Usual(String code, Phase phase, int seconds) {
    }

    /** Every step there is, whatever the machine, in the order people work; each code once. */
    public static List<Usual> usual() {
        Map<String, Usual> all = new LinkedHashMap<>();
        for (Phase phase : Phase.values()) {
            ALL.stream().filter(t -> t.phase() == phase).forEach(t -> all.putIfAbsent(t.code(), new Usual(t.code(), phase, t.seconds())));
        }
        return List.copyOf(all.values());
    }

    /** Every system a step can name, for the house's table of checks. */
    public static Set<String> systems() {
        return ALL.stream().map(Template::systemName).collect(java.util.stream.Collectors.toCollection(java.util.TreeSet::new));
    }
}
