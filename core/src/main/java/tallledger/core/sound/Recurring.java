package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import tallledger.core.drive.Turning;

/**
 * Something that stands out in recordings at several speeds: always at the same order it turns with the spindle; always at the same
 * frequency it does not, and is of the supply, of the room, or what the machine rings at (W 3.8). Orders are the same within 1 %, since
 * the speed is no better known; frequencies within two bins. It must recur in three recordings at least, of speeds a tenth apart: where
 * many peaks stand, two agree by chance (house). Above order 50 a hundredth is half an order, and one is not told from the next; what is
 * the supply's is no order.
 *
 * <p>Worked: peaks at 50, 100 and 150 Hz with the spindle at 300, 600 and 900 min⁻¹ are order 10 each time; at 100 Hz every time they are
 * of no order.
 *
 * @param turns whether it turns with the spindle
 * @param at    mean order, or mean frequency in Hz
 * @param in    numbers of the recordings, from 0, ascending
 */
public record Recurring(boolean turns, double at, List<Integer> in) {

    private static final double SAME = 0.01;
    private static final int BINS = 2;
    private static final int FEWEST = 3;
    private static final double HIGHEST_ORDER = 50;
    private static final double SPEEDS_APART = 1.1;
    private static final double MINUTE = 60;

    /** A recording with the spindle's speed, min⁻¹. */
    public record AtSpeed(SoundAnalysis sound, double rpm) {
    }

    private record Place(int recording, double hertz, double rpm, boolean supply) {

        double order() {
            return hertz * MINUTE / rpm;
        }
    }

    /** What recurs, that in most recordings first, orders before frequencies; a peak that is both counts where it recurs more often. */
    public static List<Recurring> in(List<AtSpeed> recordings) {
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < recordings.size(); i++) {
            for (SoundAnalysis.NamedPeak peak : recordings.get(i).sound.peaks()) {
                places.add(new Place(i, peak.peak().hertz(), recordings.get(i).rpm, isSupply(peak)));
            }
        }
        record Group(boolean turns, List<Place> places) {
            long recordings() {
                return places.stream().mapToInt(Place::recording).distinct().count();
            }
        }
        List<Group> groups = new ArrayList<>();
        double bin = recordings.stream().mapToDouble(r -> r.sound.spectrum().binHertz()).max().orElse(0);
        List<Place> orders = places.stream().filter(p -> !p.supply && p.order() <= HIGHEST_ORDER).toList();
        groups(orders, Place::order, o -> o * SAME).forEach(g -> groups.add(new Group(true, g)));
        groups(places, Place::hertz, h -> BINS * bin).forEach(g -> groups.add(new Group(false, g)));
        groups.sort(Comparator.comparingLong(Group::recordings).reversed().thenComparing(g -> !g.turns));
        List<Place> taken = new ArrayList<>();
        List<Recurring> all = new ArrayList<>();
        for (Group group : groups) {
            List<Place> left = group.places.stream().filter(p -> !taken.contains(p)).toList();
            if (isRecurring(left)) {
                taken.addAll(left);
                all.add(new Recurring(group.turns,
                        left.stream().mapToDouble(p -> group.turns ? p.order() : p.hertz).average().orElseThrow(),
                        left.stream().map(Place::recording).distinct().sorted().toList()));
            }
        }
        return List.copyOf(all);
    }

    private static boolean isSupply(SoundAnalysis.NamedPeak peak) {
        return peak.sources().stream().limit(1).anyMatch(s -> s.of().kind() == Turning.Kind.SUPPLY_TWICE);
    }

    /** Places that are the same as the first of them. */
    private static List<List<Place>> groups(List<Place> places, ToDoubleFunction<Place> value, DoubleUnaryOperator within) {
        List<List<Place>> groups = new ArrayList<>();
        for (Place place : places.stream().sorted(Comparator.comparingDouble(value)).toList()) {
            List<Place> last = groups.isEmpty() ? List.of() : groups.get(groups.size() - 1);
            double first = last.isEmpty() ? 0 : value.applyAsDouble(last.get(0));
            if (!last.isEmpty() && value.applyAsDouble(place) <= first + within.applyAsDouble(first)) {
                last.add(place);
            } else {
                groups.add(new ArrayList<>(List.of(place)));
            }
        }
        return groups.stream().filter(Recurring::isRecurring).toList();
    }

    private static boolean isRecurring(List<Place> group) {
        double slowest = group.stream().mapToDouble(Place::rpm).min().orElse(1);
        double fastest = group.stream().mapToDouble(Place::rpm).max().orElse(1);
        return fastest >= SPEEDS_APART * slowest && group.stream().mapToInt(Place::recording).distinct().count() >= FEWEST;
    }
}
