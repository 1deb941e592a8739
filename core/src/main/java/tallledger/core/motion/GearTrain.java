package tallledger.core.motion;

import java.util.List;
import java.util.Optional;

/**
 * Wheels as they mesh: a drives b, and where there are four, c on b's stud drives d. Ratio = a·c/(b·d).
 *
 * <p>A set must mount: two wheels where a + b lies within the quadrant's reach; four where a + b ≥ c + 15 and
 * c + d ≥ b + 15, or a wheel would run into the next stud (house rule).
 *
 * @param wheels a, b or a, b, c, d
 */
record GearTrain(List<Integer> wheels) {

    static final int CLEARANCE = 15;

    public GearTrain {
        wheels = List.copyOf(wheels);
    }

    public double ratio() {
        double ratio = (double) wheels.get(0) / wheels.get(1);
        return wheels.size() == 4 ? ratio * wheels.get(2) / wheels.get(3) : ratio;
    }

    /** As written on a chart: "40/60" or "40/60 · 30/55". */
    public String written() {
        String first = wheels.get(0) + "/" + wheels.get(1);
        return wheels.size() == 4 ? first + " · " + wheels.get(2) + "/" + wheels.get(3) : first;
    }

    static boolean mounts(int a, int b, Optional<GearChart.Teeth> reach) {
        return reach.isEmpty() || reach.get().holds(a + b);
    }

    static boolean mounts(int a, int b, int c, int d) {
        return a + b >= c + CLEARANCE && c + d >= b + CLEARANCE;
    }
}
