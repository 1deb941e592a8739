package tallledger.core.family;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.drive.OtherSpeed;
import tallledger.core.evidence.Severity;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.PieceCount;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedLength;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The steps of a survey of one machine, made from its own axes and features, in the order people work: desk, standing,
 * electrics, first start, speeds, movement, travels, accuracy, test cut, hot check, kit, close. Spindle speeds themselves are
 * runs of the drive and are planned apart.
 */
public final class Catalogue {

    /** Every line there is, of every family. */
    private static final List<Template> ALL = Stream.of(Family.values()).flatMap(f -> f.traits().lines().stream())
            .flatMap(CatalogueLine::templates).distinct().toList();

    /** Code of the steps of a feed plate. */
    public static final String FEED_PLATE = "feed-plate";
    /** Code of the steps of a thread plate. */
    public static final String THREAD_PLATE = "thread-plate";
    /** Code of the steps that count what is claimed. */
    public static final String CLAIMED_COUNT = "claimed-count";
    /** Code of the steps that look at what a former owner made anew. */
    public static final String REDONE = "redone";
    private static final String OTHER_DRIVE = "other drive";
    private static final String FEED_BOX = "feed box";
    /** Code of the steps that read a speed besides the spindle's. */
    public static final String OTHER_SPEED = "other-speed";
    /** Code of a person's own cycle. */
    public static final String OWN_CYCLE = "own-cycle";
    private static final String CYCLE = "cycle";
    private static final Set<String> CODES = ALL.stream().map(Template::code).collect(Collectors.collectingAndThen(
            Collectors.toCollection(TreeSet::new), Collections::unmodifiableSet));
    private static final Set<String> SYSTEMS = Stream.concat(ALL.stream().map(Template::systemName), Stream.of(REDONE, OTHER_DRIVE,
            FEED_BOX))
            .collect(Collectors.collectingAndThen(Collectors.toCollection(TreeSet::new), Collections::unmodifiableSet));

    private Catalogue() {
    }

    public static List<Step> of(Described machine, Rules rules) {
        List<Step> steps = new ArrayList<>(machine.family().traits().lines().stream().flatMap(line -> line.on(machine, rules).stream())
                .toList());
        int movement = (int) steps.stream().filter(s -> s.phase().compareTo(Phase.MOVEMENT) < 0).count();
        steps.addAll(movement, machine.fitOut().speeds().stream().map(s -> otherSpeed(s, rules)).toList());
        int standing = (int) steps.stream().filter(s -> s.phase().compareTo(Phase.STANDING) <= 0).count();
        steps.addAll(standing, machine.redone().stream().map(what -> redone(what, rules)).toList());
        int travels = (int) steps.stream().filter(s -> s.phase().compareTo(Phase.TRAVELS) <= 0).count();
        steps.addAll(travels, machine.claimedSizes().entrySet().stream().map(s -> size(s.getKey(), s.getValue(), rules)).toList());
        int kit = (int) steps.stream().filter(s -> s.phase().compareTo(Phase.KIT) <= 0).count();
        steps.addAll(kit, machine.counted().stream().map(c -> counted(c, rules)).toList());
        return List.copyOf(steps);
    }

    /** Something besides the spindle turns at a speed of its own. */
    private static Step otherSpeed(OtherSpeed speed, Rules rules) {
        return new Step(StepId.of(OTHER_SPEED, slug(speed.what()) + "-" + slug(speed.rpm().toPlainString())),
                List.of(speed.what(), speed.rpm().toPlainString()), Phase.MOVEMENT,
                new SpeedRead(Optional.of(speed.rpm()), speed.tolerance()), Severity.SOON, rules.whole(Rule.ONE_FEED),
                List.of(Need.of(Need.Kind.POWER_ON)), MachinePart.System.of(OTHER_DRIVE), Optional.empty(), true, Set.of());
    }

    /** A size that somebody claims is measured. */
    private static Step size(String code, TypedLength claimed, Rules rules) {
        return new Step(StepId.of(code), List.of(), Phase.TRAVELS, new AxisTravel(Optional.of(claimed)), Severity.NOTE,
                rules.whole(Rule.ONE_COUNT), List.of(), MachinePart.System.of("size"), Optional.empty(), false, Set.of());
    }

    /** What a former owner did is looked at for itself, whatever it is. */
    private static Step redone(String what, Rules rules) {
        return new Step(StepId.of(REDONE, slug(what)), List.of(what), Phase.STANDING, new Inspection(), Severity.BEFORE_USE,
                rules.whole(Rule.ONE_COUNT),
                List.of(Need.of(Need.Kind.POWER_ISOLATED)), MachinePart.System.of(REDONE), Optional.empty(), false, Set.of());
    }

    private static String slug(String what) {
        return what.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-");
    }

    /** Something is there so many times, somebody says. */
    private static Step counted(Described.CountedPieces claimed, Rules rules) {
        return new Step(StepId.of(CLAIMED_COUNT, slug(claimed.what())), List.of(claimed.what(), String.valueOf(claimed.count())),
                Phase.KIT, new PieceCount(Optional.of(claimed.count())), Severity.NOTE, rules.whole(Rule.ONE_COUNT), List.of(),
                MachinePart.System.of("kit"), Optional.empty(), false, Set.of());
    }

    /**
     * One step for each feed of the feed plate. Those that together use every position of every lever come first (as many as the
     * longest lever has), slow to fast; the rest can then be inferred.
     */
    static List<Step> feedPlate(Described machine, Rules rules) {
        if (machine.feeds().isEmpty()) {
            return List.of();
        }
        FeedPlate feeds = machine.feeds().get();
        return proving(feeds.plate()).stream().map(key -> feedStep(feeds, key, rules)).toList();
    }

    /** One step for each thread of the thread plate, in the same order. */
    static List<Step> threadPlate(Described machine, Rules rules) {
        return machine.threads().map(threads -> proving(threads.plate()).stream().map(key -> threadStep(threads, key, rules)).toList())
                .orElse(List.of());
    }

    private static Step threadStep(ThreadPlate threads, List<String> key, Rules rules) {
        String shows = threads.written(key).orElseThrow();
        return new Step(StepId.of(THREAD_PLATE, String.join(".", key).replaceAll("[^\\p{L}\\d.]+", "-")),
                List.of(String.join(" · ", key), shows), Phase.MOVEMENT,
                new ThreadLead(shows, key), Severity.SOON, rules.whole(Rule.ONE_FEED), List.of(Need.of(Need.Kind.POWER_ON)),
                MachinePart.System.of(FEED_BOX), Optional.empty(), true, Set.of());
    }

    /** The readable positions of a plate: those first that together use every position of every lever, then the rest, each slow to fast. */
    private static List<List<String>> proving(SpeedPlate plate) {
        List<List<String>> keys = new ArrayList<>(SpeedPlate.keysOf(plate.levers()).stream().filter(k -> plate.cell(k).value()
                .isPresent()).toList());
        int longest = plate.levers().stream().mapToInt(l -> l.positions().size()).max().orElse(0);
        keys.sort(Comparator.comparing((List<String> k) -> isOnDiagonal(plate, k, longest) ? 0 : 1).thenComparing(k -> plate.cell(k)
                .value().orElseThrow()));
        return keys;
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
        return new Step(StepId.of(FEED_PLATE, String.join(".", key).replaceAll("[^\\p{L}\\d.]+", "-")),
                List.of(String.join(" · ", key), shows),
                Phase.MOVEMENT, new FeedRate(feeds.per(), feeds.promised(key), FeedRate.Rate.OF_PLATE, key),
                Severity.SOON, rules.whole(Rule.ONE_FEED),
                List.of(Need.of(Need.Kind.POWER_ON)), MachinePart.System.of(FEED_BOX), Optional.empty(), true, Set.of());
    }

    /**
     * A cycle watched besides the catalogue's steps: {@code own-cycle.N} for a person's own script, {@code cycle.CODE} for one of
     * the house's that this machine's features did not call for.
     */
    public static Optional<Step> extra(StepId id, Rules rules) {
        if (id.code().equals(OWN_CYCLE) && id.of().matches("\\d{1,3}")) {
            return Optional.of(extra(id, CycleScript.OWN, rules));
        }
        return id.code().equals(CYCLE) && CycleScripts.codes().contains(id.of()) ? Optional.of(extra(id, id.of(), rules))
                : Optional.empty();
    }

    private static Step extra(StepId id, String script, Rules rules) {
        return new Step(id, List.of(id.of()), Phase.MOVEMENT, new WatchedCycle(script), Severity.SOON, rules.whole(Rule.ONE_FEED),
                List.of(Need.of(Need.Kind.POWER_ON)), MachinePart.System.of(id.written()), Optional.empty(), true, Set.of());
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
    public static Set<String> codes() {
        return CODES;
    }

    /** Names of what is put right when steps fail. */
    public static Set<String> systems() {
        return SYSTEMS;
    }
}
