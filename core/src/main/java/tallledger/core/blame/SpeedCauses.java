package tallledger.core.blame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.blame.SpeedCause.Kind;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Span;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.plate.LeverFactors;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What explains wrong readings: the whole set first, then one position, then single readings. Each cause is tested; those that fit
 * within 1.5 % (each of these numbers is a rule of the house) are offered, best first; where two fit, both are.
 *
 * <p>δ = ln(n_read/n_plate). The whole set is off by one factor if its median is beyond 2 % and no reading is further than
 * 1.5 % from it. A position or a single reading is judged against the median of the others, since an unloaded motor turns all
 * speeds 2 to 6 % high together.
 */
public final class SpeedCauses {

    /**
     * One reading.
     *
     * @param read   min⁻¹
     * @param plate  min⁻¹, what the plate says
     * @param loaded whether it was taken under load
     */
    public record SpeedDeviation(Route route, double read, double plate, boolean loaded) {
        double off() {
            return Math.log(read / plate);
        }
    }

    private static final int LEAST_OFF = 3;

    private final SpeedTable table;
    private final DriveTrain train;
    private final List<SpeedDeviation> readings;
    /** Whether one factor explains the most: then what is left over is judged against it. */
    private boolean common;

    private final Bounds bounds;

    /** The rules' figures, in ln or shares. */
    private record Bounds(double fits, double off, double slipLeast, double slipMost, double unloadedMost) {
        static Bounds of(Rules rules) {
            return new Bounds(rules.share(Rule.CAUSE_FITS).doubleValue(), rules.share(Rule.READING_OFF).doubleValue(),
                    rules.share(Rule.SLIP).doubleValue(),
                    rules.share(Rule.SLIP, 1).doubleValue(), rules.share(Rule.UNLOADED_HIGH).doubleValue());
        }
    }

    private SpeedCauses(SpeedTable table, List<SpeedDeviation> readings, Bounds bounds) {
        this.bounds = bounds;
        this.table = table;
        this.train = table.train();
        this.readings = readings;
    }

    /** Causes that fit, best first; none when every reading agrees with its plate within 2 %. */
    public static List<SpeedCause> of(SpeedTable table, List<SpeedDeviation> all, Rules rules) {
        Bounds bounds = Bounds.of(rules);
        List<SpeedDeviation> unloaded = all.stream().filter(r -> !r.loaded()).toList();
        List<SpeedCause> causes = new ArrayList<>(slip(table, all, bounds));
        if (!unloaded.isEmpty()) {
            SpeedCauses search = new SpeedCauses(table, unloaded, bounds);
            List<SpeedCause> whole = search.whole();
            search.common = !whole.isEmpty();
            causes.addAll(whole);
            causes.addAll(search.positions());
            causes.addAll(search.singles());
            search.numbered(causes).ifPresent(causes::add);
        }
        causes.sort(Comparator.comparingDouble(SpeedCause::misfit));
        return causes;
    }

    private double base() {
        return median(readings);
    }

    /** Levers numbered another way: where three readings are off at least, more than exchanges, and nothing else explains them all. */
    private Optional<SpeedCause> numbered(List<SpeedCause> others) {
        List<Route> off = readings.stream().filter(r -> Math.abs(r.off()) > bounds.off()).map(SpeedDeviation::route).toList();
        if (off.size() < LEAST_OFF || others.stream().anyMatch(c -> c.routes().containsAll(off))) {
            return Optional.empty();
        }
        return NumberingSearch.of(table, readings, bounds.off()).filter(found -> off.size() > found.exchanges())
                .map(found -> new SpeedCause(Kind.NUMBERED, found.misfit(), off, NumberingSearch.says(train, found.numbering()),
                        Optional.of(found.numbering())));
    }

    private static double median(List<SpeedDeviation> some) {
        double[] off = some.stream().mapToDouble(SpeedDeviation::off).sorted().toArray();
        int middle = off.length / 2;
        return off.length == 0 ? 0 : off.length % 2 == 1 ? off[middle] : (off[middle - 1] + off[middle]) / 2;
    }

    /** Every speed off by one factor; two readings at least, or nothing is known of the whole. */
    private List<SpeedCause> whole() {
        double median = base();
        List<SpeedDeviation> with = readings.stream().filter(r -> Math.abs(r.off() - median) <= bounds.fits()).toList();
        boolean all = with.size() == readings.size();
        boolean most = with.size() >= 3 && with.size() * 3 >= readings.size() * 2;
        if (readings.size() < 2 || Math.abs(median) <= bounds.off() || !all && !most) {
            return List.of();
        }
        List<Route> routes = with.stream().map(SpeedDeviation::route).toList();
        double factor = Math.exp(median);
        List<SpeedCause> causes = new ArrayList<>();
        supply(median, factor, routes).ifPresent(causes::add);
        inverter(factor, routes).ifPresent(causes::add);
        causes.addAll(grooves(median, factor, routes));
        if (median > 0 && factor <= 1 + bounds.unloadedMost()) {
            causes.add(new SpeedCause(Kind.UNLOADED, 0, routes, Reason.of(BlameReason.CAUSE_UNLOADED, (factor - 1) * 100)));
        }
        if (median < 0 && median >= -bounds.slipMost()) {
            causes.add(new SpeedCause(Kind.SLIP, bounds.fits(), routes, Reason.of(BlameReason.CAUSE_LOW_UNLOADED, (1 - factor) * 100)));
        }
        if (causes.isEmpty()) {
            causes.add(new SpeedCause(Kind.COMMON, bounds.fits(), routes, Reason.of(BlameReason.CAUSE_COMMON, factor)));
        }
        return causes;
    }

    private Optional<SpeedCause> supply(double median, double factor, List<Route> routes) {
        double high = Math.abs(median - Math.log(60.0 / 50));
        double low = Math.abs(median - Math.log(50.0 / 60));
        if (high <= bounds.fits()) {
            return Optional.of(new SpeedCause(Kind.SUPPLY, high, routes, Reason.of(BlameReason.CAUSE_SUPPLY_HIGH, factor)));
        }
        return low <= bounds.fits() ? Optional.of(new SpeedCause(Kind.SUPPLY, low, routes, Reason.of(BlameReason.CAUSE_SUPPLY_LOW, factor)))
                : Optional.empty();
    }

    private Optional<SpeedCause> inverter(double factor, List<Route> routes) {
        return train.stages().stream().filter(s -> s.kind() == StageKind.INVERTER).findFirst()
                .map(s -> new SpeedCause(Kind.INVERTER, bounds.fits() / 2, routes,
                        Reason.of(BlameReason.CAUSE_INVERTER, s.name(), factor)));
    }

    /** Any ratio of a step pulley's steps, from its diameters where known, else from the plate's own factors. */
    private List<SpeedCause> grooves(double median, double factor, List<Route> routes) {
        List<SpeedCause> causes = new ArrayList<>();
        for (int s = 0; s < train.stages().size(); s++) {
            Stage stage = train.stages().get(s);
            if (stage.kind() != StageKind.BELT || !stage.isChoice()) {
                continue;
            }
            List<Optional<Double>> steps = steps(stage);
            for (int i = 0; i < steps.size(); i++) {
                for (int j = 0; j < steps.size(); j++) {
                    if (i != j && steps.get(i).isPresent() && steps.get(j).isPresent()) {
                        double misfit = Math.abs(median - Math.log(steps.get(j).get() / steps.get(i).get()));
                        if (misfit <= bounds.fits()) {
                            causes.add(new SpeedCause(Kind.BELT_GROOVE, misfit, routes, Reason.of(BlameReason.CAUSE_GROOVE, stage.name(),
                                    stage.positions().get(j).label(), stage.positions().get(i).label(), factor)));
                        }
                    }
                }
            }
        }
        return causes;
    }

    private List<Optional<Double>> steps(Stage stage) {
        if (stage.positions().stream().allMatch(p -> p.transmission().factor().isPresent())) {
            return stage.positions().stream().map(p -> p.transmission().factor().map(Span::low)).toList();
        }
        return table.factors().factors(train.plateStages().indexOf(stage));
    }

    /** One lever position off by one factor, the rest right. */
    private List<SpeedCause> positions() {
        List<SpeedCause> causes = new ArrayList<>();
        for (int s = 0; s < train.stages().size(); s++) {
            if (!train.stages().get(s).isOnPlate()) {
                continue;
            }
            for (int p = 0; p < train.stages().get(s).positions().size(); p++) {
                int stage = s;
                int position = p;
                Map<Boolean, List<SpeedDeviation>> split = readings.stream()
                        .collect(Collectors.partitioningBy(r -> r.route().at(stage) == position));
                position(stage, position, split.get(true), split.get(false)).ifPresent(causes::add);
            }
        }
        return causes;
    }

    private Optional<SpeedCause> position(int stage, int position, List<SpeedDeviation> here, List<SpeedDeviation> rest) {
        double base = median(rest);
        double off = median(here) - base;
        double scatter = here.stream().mapToDouble(r -> Math.abs(r.off() - base - off)).max().orElse(0);
        boolean restRight = rest.stream().allMatch(r -> Math.abs(r.off() - base) <= bounds.off())
                && (common || base > -bounds.off() && base <= bounds.unloadedMost());
        boolean allRight = here.stream().allMatch(r -> Math.abs(r.off()) <= bounds.off());
        if (here.size() < 2 || rest.size() < 2 || Math.abs(off) <= bounds.off() || scatter > bounds.fits() || !restRight || allRight) {
            return Optional.empty();
        }
        Stage lever = train.stages().get(stage);
        return Optional.of(new SpeedCause(Kind.POSITION, scatter, here.stream().map(SpeedDeviation::route).toList(),
                Reason.of(BlameReason.CAUSE_POSITION, lever.name(), lever.positions().get(position).label(), Math.exp(off))));
    }

    /** One reading off: the plate misread there, another lever position, or marks miscounted. */
    private List<SpeedCause> singles() {
        List<SpeedCause> causes = new ArrayList<>();
        LeverFactors factors = table.factors();
        for (int i = 0; i < readings.size(); i++) {
            SpeedDeviation reading = readings.get(i);
            List<SpeedDeviation> rest = new ArrayList<>(readings);
            rest.remove(i);
            double base = rest.isEmpty() ? 0 : common ? base() : Math.min(Math.max(median(rest), 0), bounds.unloadedMost());
            if (Math.abs(reading.off() - base) <= bounds.off() || Math.abs(reading.off()) <= bounds.off()) {
                continue;
            }
            double read = reading.read() / Math.exp(base);
            String name = train.name(reading.route());
            factors.predict(train.plateKey(reading.route())).map(p -> Math.abs(Math.log(read / p))).filter(m -> m <= bounds.fits())
                    .ifPresent(
                            m -> causes.add(new SpeedCause(Kind.PLATE, m, List.of(reading.route()), Reason.of(BlameReason.CAUSE_PLATE, name,
                                    factors.predict(train.plateKey(reading.route())).orElseThrow()))));
            causes.addAll(elsewhere(reading, read, name));
            for (int k = 2; k <= 4; k++) {
                multiple(reading, read, name, k, k).ifPresent(causes::add);
                multiple(reading, read, name, k, 1.0 / k).ifPresent(causes::add);
            }
        }
        return causes;
    }

    private List<SpeedCause> elsewhere(SpeedDeviation reading, double read, String name) {
        return table.counted().stream().filter(s -> s.nominal().isPresent() && !s.routes().contains(reading.route())).flatMap(s -> {
            double misfit = Math.abs(Math.log(read / s.nominal().orElseThrow().doubleValue()));
            Route other = s.routes().get(0);
            return misfit > bounds.fits() ? java.util.stream.Stream.<SpeedCause>empty()
                    : java.util.stream.Stream.of(new SpeedCause(Kind.OTHER_POSITION,
                            misfit, List.of(reading.route()),
                            Reason.of(BlameReason.CAUSE_ELSEWHERE, name, train.name(other), s.nominal().get())));
        }).toList();
    }

    private Optional<SpeedCause> multiple(SpeedDeviation reading, double read, String name, int k, double times) {
        double misfit = Math.abs(Math.log(read / reading.plate() / times));
        return misfit > bounds.fits() ? Optional.empty()
                : Optional.of(new SpeedCause(Kind.MULTIPLE, misfit, List.of(reading.route()),
                        Reason.of(times > 1 ? BlameReason.CAUSE_MULTIPLE : BlameReason.CAUSE_FRACTION, name, k)));
    }

    /** The same route read unloaded and under load: low, and falling further. */
    private static List<SpeedCause> slip(SpeedTable table, List<SpeedDeviation> all, Bounds bounds) {
        List<SpeedCause> causes = new ArrayList<>();
        for (SpeedDeviation loaded : all) {
            if (!loaded.loaded()) {
                continue;
            }
            all.stream().filter(r -> !r.loaded() && r.route().equals(loaded.route())).findFirst().ifPresent(free -> {
                double fall = free.off() - loaded.off();
                if (fall > bounds.slipLeast() && loaded.off() < -bounds.slipLeast()) {
                    causes.add(new SpeedCause(Kind.SLIP, Math.max(0, fall - bounds.slipMost()), List.of(loaded.route()),
                            Reason.of(BlameReason.CAUSE_SLIP, table.train().name(loaded.route()), (1 - Math.exp(-fall)) * 100)));
                }
            });
        }
        return causes;
    }
}
