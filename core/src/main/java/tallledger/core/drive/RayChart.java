package tallledger.core.drive;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.plate.LeverFactors;

/**
 * The ray chart of a drive: shafts from motor to spindle, speeds on a log scale, one ray a transmission.
 *
 * <p>Where every factor is known, shaft k turns at n_motor · Π r over the stages before it. Where one is not, the plate speaks:
 * ln n = m + Σ a(lever, position) gives every lever's factors up to a constant, and each lever's factors are centred on their
 * geometric mean; then the steps between rays of one lever are true and the height of the shafts between is not.
 *
 * @param shafts   names of the gaps, one a stage
 * @param rays     from the motor on
 * @param absolute whether the shafts between are at their true speeds
 * @param low      lowest speed drawn, min⁻¹
 * @param high     highest speed drawn, min⁻¹
 */
public record RayChart(List<String> shafts, List<Ray> rays, boolean absolute, double low, double high) {

    /**
     * One transmission at one incoming speed.
     *
     * @param stage  index among the drawn stages
     * @param label  position
     * @param from   incoming speed, min⁻¹, low and high end
     * @param to     outgoing speed, min⁻¹
     * @param routes routes that use it
     */
    public record Ray(int stage, String label, Span from, Span to, List<Route> routes) {
    }

    /** Speeds this near are one point of the chart. */
    private static final double SAME_POINT = 1e-3;

    public static Optional<RayChart> of(SpeedTable table) {
        DriveTrain train = table.train();
        List<Integer> drawn = new ArrayList<>();
        for (int s = 0; s < train.stages().size(); s++) {
            Stage stage = train.stages().get(s);
            if (stage.kind() != StageKind.DIRECTION && (stage.isOnPlate() || stage.kind() != StageKind.MOTOR)) {
                drawn.add(s);
            }
        }
        if (drawn.isEmpty()) {
            return Optional.empty();
        }
        List<Route> routes = table.speeds().stream().flatMap(speed -> speed.routes().stream())
                .filter(route -> !train.isReverse(route)).toList();
        boolean absolute = routes.stream().allMatch(route -> train.speed(route).isPresent());
        Optional<Map<Integer, List<Span>>> factors = absolute
                ? Optional.of(knownFactors(train, drawn))
                : plateFactors(table, drawn);
        return factors.map(f -> build(table, drawn, routes, f, absolute));
    }

    private static RayChart build(SpeedTable table, List<Integer> drawn, List<Route> routes,
            Map<Integer, List<Span>> factors, boolean absolute) {
        Map<String, Ray> rays = new LinkedHashMap<>();
        // Where the levers do not multiply the last rays end at the plate's own values, not at a fit's.
        LeverFactors.Outcome fit = table.factors().outcome();
        boolean byPlate = !absolute && fit != LeverFactors.Outcome.FITS && fit != LeverFactors.Outcome.SUSPECTS;
        double anchor = absolute ? 1 : anchor(table, drawn, routes, factors);
        double low = lowestPlate(table);
        double high = table.counted().stream().flatMap(s -> s.nominal().stream()).mapToDouble(n -> n.doubleValue()).max().orElse(0);
        for (Route route : routes) {
            Span speed = start(table, route, absolute, anchor);
            for (int d = 0; d < drawn.size(); d++) {
                boolean last = d == drawn.size() - 1;
                Span reckoned = speed.times(factors.get(drawn.get(d)).get(route.at(drawn.get(d))));
                Span next = last && byPlate ? plateSpan(table, route).orElse(reckoned) : reckoned;
                low = Math.min(low, Math.min(speed.low(), next.low()));
                high = Math.max(high, Math.max(speed.high(), next.high()));
                String label = table.train().position(route, drawn.get(d)).label();
                String key = d + "|" + label + "|" + Math.round(Math.log(speed.low()) / SAME_POINT)
                        + "|" + Math.round(Math.log(speed.high()) / SAME_POINT);
                Ray ray = rays.computeIfAbsent(key, fresh(d, label, speed, next));
                ray.routes().add(route);
                speed = next;
            }
        }
        List<String> names = drawn.stream().map(s -> table.train().stages().get(s).name()).toList();
        return new RayChart(names, List.copyOf(rays.values()), absolute, low, high);
    }

    private static double lowestPlate(SpeedTable table) {
        return table.counted().stream().flatMap(s -> s.nominal().stream()).mapToDouble(n -> n.doubleValue()).min().orElse(Double.MAX_VALUE);
    }

    /** A route's plate value; of a sweep, from its low end to its high end. */
    private static Optional<Span> plateSpan(SpeedTable table, Route route) {
        if (!table.train().isSweep(route)) {
            return table.nominal(route).map(n -> Span.fixed(n.doubleValue()));
        }
        return Ranges.of(table).ranges().stream().filter(r -> r.sweep().equals(route)).map(Ranges.Range::speeds).findFirst();
    }

    private static java.util.function.Function<String, Ray> fresh(int d, String label, Span from, Span to) {
        return key -> new Ray(d, label, from, to, new ArrayList<>());
    }

    /** The motor where the drive is known (its windings fan out from their mean), else an anchor reckoned from the plate. */
    private static Span start(SpeedTable table, Route route, boolean absolute, double anchor) {
        if (absolute) {
            Stage motor = table.train().stages().get(0);
            return motor.isOnPlate() ? Span.fixed(mean(motor.positions().stream()
                    .map(p -> p.transmission().factor().orElseThrow()).toList()))
                    : table.train().position(route, 0).transmission().factor().orElseThrow();
        }
        return Span.fixed(anchor);
    }

    /** Where the rays begin when only the plate speaks: so that the first determined route ends at what its cells say. */
    private static double anchor(SpeedTable table, List<Integer> drawn, List<Route> routes, Map<Integer, List<Span>> factors) {
        LeverFactors plate = table.factors();
        for (Route route : routes) {
            Optional<Double> end = table.train().isSweep(route) ? Optional.empty() : plate.predict(table.train().plateKey(route));
            if (end.isPresent()) {
                return end.get() / drawn.stream().mapToDouble(s -> factors.get(s).get(route.at(s)).low()).reduce(1, (a, b) -> a * b);
            }
        }
        return 1;
    }

    private static Map<Integer, List<Span>> knownFactors(DriveTrain train, List<Integer> drawn) {
        Map<Integer, List<Span>> factors = new LinkedHashMap<>();
        for (int s : drawn) {
            List<Span> known = train.stages().get(s).positions().stream()
                    .map(p -> p.transmission().factor().orElse(Span.fixed(1))).toList();
            factors.put(s, s == 0 ? centred(known) : known);
        }
        return factors;
    }

    /** Centres a stage's factors on their geometric mean, so that windings fan out from one point. */
    private static List<Span> centred(List<Span> factors) {
        double mean = mean(factors);
        return factors.stream().map(f -> new Span(f.low() / mean, f.high() / mean)).toList();
    }

    private static double mean(List<Span> factors) {
        return Math.exp(factors.stream().mapToDouble(f -> Math.log(f.low() * f.high()) / 2).average().orElse(0));
    }

    private static Optional<Map<Integer, List<Span>>> plateFactors(SpeedTable table, List<Integer> drawn) {
        LeverFactors plate = table.factors();
        Map<Integer, List<Span>> factors = new LinkedHashMap<>();
        int lever = 0;
        for (int s : drawn) {
            Stage stage = table.train().stages().get(s);
            if (!stage.isOnPlate()) {
                factors.put(s, List.of(Span.fixed(1)));
                continue;
            }
            List<Optional<Double>> raw = plate.factors(lever);
            if (raw.stream().anyMatch(Optional::isEmpty)) {
                return Optional.empty();
            }
            factors.put(s, centred(positions(stage, plate.levers().get(lever).positions(), raw)));
            lever++;
        }
        return Optional.of(factors);
    }

    /** Spreads a lever's factors over the stage's positions; a sweep spans its two ends, a neutral is never drawn. */
    private static List<Span> positions(Stage stage, List<String> labels, List<Optional<Double>> raw) {
        double lowest = raw.stream().mapToDouble(Optional::orElseThrow).min().orElse(1);
        double highest = raw.stream().mapToDouble(Optional::orElseThrow).max().orElse(1);
        return stage.positions().stream().map(p -> {
            int at = labels.indexOf(p.label());
            return at >= 0 ? Span.fixed(raw.get(at).orElseThrow()) : new Span(lowest, highest);
        }).toList();
    }
}
