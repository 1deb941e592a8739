package tallledger.core.drive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.plate.Lever;
import tallledger.core.reason.Refused;

/**
 * The whole drive, motor to spindle. n = n_motor · Π r over the positions of a route, min⁻¹.
 *
 * <p>Worked: motor 1 440, belt 125/250, gear 24/48 or 36/36, gear 20/80 or 50/50 gives 90, 180, 360, 720.
 *
 * @param stages     the row, motor first
 * @param exclusions combinations that interlocks forbid
 */
public record DriveTrain(List<Stage> stages, List<Exclusion> exclusions) {

    public static final int MOST_STAGES = 10;
    /** Most lever combinations, direction and sweeps left out; a plate with more is a slip, not a machine (house rule). */
    public static final int MOST_COMBINATIONS = 128;
    /** Elements are held in the bits of a long. */
    public static final int MOST_ELEMENTS = 62;

    public DriveTrain {
        stages = List.copyOf(stages);
        exclusions = List.copyOf(exclusions);
        if (stages.isEmpty()) {
            throw Refused.because(DriveReason.TRAIN_EMPTY);
        }
        if (stages.size() > MOST_STAGES) {
            throw Refused.because(DriveReason.TRAIN_LONG, stages.size(), MOST_STAGES);
        }
        checkNames(stages);
        checkExclusions(stages, exclusions);
        checkSize(stages);
        if (routesOf(stages, exclusions).isEmpty()) {
            throw Refused.because(DriveReason.TRAIN_NO_SPEED);
        }
    }

    /** Every route that gives drive: no neutral on it, no interlock against it; in the order of the levers. */
    public List<Route> routes() {
        return routesOf(stages, exclusions);
    }

    /** Speed or range of a route, min⁻¹; empty when a factor on it is unknown. */
    public Optional<Span> speed(Route route) {
        Span speed = Span.fixed(1);
        for (int s = 0; s < stages.size(); s++) {
            Optional<Span> factor = position(route, s).transmission().factor();
            if (factor.isEmpty()) {
                return Optional.empty();
            }
            speed = speed.times(factor.get());
        }
        return stages.get(0).kind() == StageKind.MOTOR ? Optional.of(speed) : Optional.empty();
    }

    public Position position(Route route, int stage) {
        return stages.get(stage).positions().get(route.at(stage));
    }

    /** Stages that have a lever on the plate, in their order. */
    public List<Stage> plateStages() {
        return stages.stream().filter(Stage::isOnPlate).toList();
    }

    /** Labels of the plate's levers on a route: the plate's own cell for it. */
    public List<String> plateKey(Route route) {
        return labels(route, Stage::isOnPlate);
    }

    /** Labels of everything a person sets for a route, direction included. */
    public List<String> settings(Route route) {
        return labels(route, Stage::isChoice);
    }

    /** The route that has these settings; empty when the machine no longer has it. */
    public Optional<Route> routeOf(List<String> settings) {
        return routes().stream().filter(route -> settings(route).equals(settings)).findFirst();
    }

    public Optional<Route> routeByKey(String key) {
        return routes().stream().filter(route -> route.key().equals(key)).findFirst();
    }

    /** Whether a route runs a sliding stage through its range instead of standing at one speed. */
    public boolean isSweep(Route route) {
        return IntStream.range(0, stages.size())
                .anyMatch(s -> position(route, s).transmission() instanceof Transmission.Sweep);
    }

    public boolean isReverse(Route route) {
        return directionStage().stream().anyMatch(s -> position(route, s).label().equals(Stage.REVERSE));
    }

    /** Index of the direction stage, where the machine reverses. */
    public Optional<Integer> directionStage() {
        return IntStream.range(0, stages.size()).filter(s -> stages.get(s).kind() == StageKind.DIRECTION).boxed().findFirst();
    }

    /** How people call a route at the machine: "B3", "Low·high end", "B3 reverse". */
    public String name(Route route) {
        List<String> labels = plateKey(route);
        List<Lever> levers = plateStages().stream().map(stage -> new Lever(stage.name(),
                stage.positions().stream().map(Position::label).toList())).toList();
        String joined = labels.isEmpty() ? "the one speed" : Lever.nameOf(labels, levers);
        return isReverse(route) ? joined + " " + Stage.REVERSE : joined;
    }

    private List<String> labels(Route route, java.util.function.Predicate<Stage> which) {
        return IntStream.range(0, stages.size()).filter(s -> which.test(stages.get(s)))
                .mapToObj(s -> position(route, s).label()).toList();
    }

    private static List<Route> routesOf(List<Stage> stages, List<Exclusion> exclusions) {
        List<List<Integer>> partial = List.of(List.of());
        for (Stage stage : stages) {
            List<List<Integer>> longer = new ArrayList<>();
            for (List<Integer> start : partial) {
                for (int p = 0; p < stage.positions().size(); p++) {
                    if (!(stage.positions().get(p).transmission() instanceof Transmission.Neutral)) {
                        List<Integer> next = new ArrayList<>(start);
                        next.add(p);
                        longer.add(next);
                    }
                }
            }
            partial = longer;
        }
        return partial.stream().map(Route::new).filter(route -> isAllowed(route, stages, exclusions)).toList();
    }

    private static boolean isAllowed(Route route, List<Stage> stages, List<Exclusion> exclusions) {
        if (exclusions.isEmpty()) {
            return true;
        }
        Map<String, String> standing = IntStream.range(0, stages.size()).boxed().collect(Collectors.toMap(
                s -> stages.get(s).name(), s -> stages.get(s).positions().get(route.at(s)).label()));
        return exclusions.stream().noneMatch(x -> standing.entrySet().containsAll(x.positions().entrySet()));
    }

    private static void checkNames(List<Stage> stages) {
        Set<String> names = new HashSet<>();
        for (Stage stage : stages) {
            if (!names.add(stage.name())) {
                throw Refused.because(DriveReason.TRAIN_REPEATED, stage.name());
            }
        }
        for (int s = 1; s < stages.size(); s++) {
            if (stages.get(s).kind() == StageKind.MOTOR) {
                throw Refused.because(DriveReason.TRAIN_MOTOR_FIRST, stages.get(s).name());
            }
        }
    }

    private static void checkExclusions(List<Stage> stages, List<Exclusion> exclusions) {
        Map<String, Stage> byName = stages.stream().collect(Collectors.toMap(Stage::name, stage -> stage));
        for (Exclusion exclusion : exclusions) {
            exclusion.positions().forEach((name, label) -> {
                Stage stage = byName.get(name);
                if (stage == null) {
                    throw Refused.because(DriveReason.EXCLUSION_NO_STAGE, name);
                }
                stage.indexOf(label);
            });
        }
    }

    private static void checkSize(List<Stage> stages) {
        long combinations = 1;
        int elements = 0;
        for (Stage stage : stages) {
            elements += stage.positions().size();
            if (stage.kind() != StageKind.DIRECTION) {
                combinations *= stage.kind().slides() ? stage.positions().size() - 1 : stage.positions().size();
            }
        }
        if (combinations > MOST_COMBINATIONS) {
            throw Refused.because(DriveReason.TRAIN_TOO_MANY, combinations, MOST_COMBINATIONS);
        }
        if (elements > MOST_ELEMENTS) {
            throw Refused.because(DriveReason.TRAIN_TOO_MANY_ELEMENTS, elements, MOST_ELEMENTS);
        }
    }
}
