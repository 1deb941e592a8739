package tallledger.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * A shaft of a drive on one route, with the stages whose wheels sit on it. A stage that drives straight through joins two shafts to one.
 *
 * @param times  turns for one of the spindle
 * @param stages by their number in the drive, ascending
 */
public record Shaft(double times, List<Integer> stages) {

    /** Two shafts that turn as fast as this are one, as a share: no recording tells them apart. */
    private static final double SAME = 0.002;

    /** Spindle first, as far back as what stands between them is known; none where not even the last stage is. */
    public static List<Shaft> of(DriveTrain train, Route route) {
        List<Shaft> all = new ArrayList<>();
        double times = 1;
        for (int s = train.stages().size() - 1; s > 0; s--) {
            Transmission by = train.position(route, s).transmission();
            boolean known = by.factor().isPresent() && !(by instanceof Transmission.Sweep);
            if (known || !all.isEmpty()) {
                // What drives a known shaft sits on it, whatever its own ratio is.
                add(all, times, s);
            }
            if (!known) {
                return List.copyOf(all);
            }
            if (by instanceof Transmission.Gears gears) {
                for (int p = gears.pairs().size() - 1; p >= 0; p--) {
                    times /= gears.pairs().get(p).ratio();
                    add(all, times, s);
                }
            } else {
                times /= by.factor().get().low();
                add(all, times, s);
            }
        }
        if (!all.isEmpty()) {
            add(all, times, 0);
        }
        return List.copyOf(all);
    }

    private static void add(List<Shaft> all, double times, int stage) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).isAt(times)) {
                TreeSet<Integer> stages = new TreeSet<>(all.get(i).stages);
                stages.add(stage);
                all.set(i, new Shaft(all.get(i).times, List.copyOf(stages)));
                return;
            }
        }
        all.add(new Shaft(times, List.of(stage)));
    }

    /** Whether something that turns so many times for one turn of the spindle is on it. */
    public boolean isAt(double other) {
        return Math.abs(Math.log(other / times)) <= SAME;
    }
}
