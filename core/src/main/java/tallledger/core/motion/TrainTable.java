package tallledger.core.motion;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Every train of wheels on hand that mounts, sorted by its ratio, so that the nearest to a wanted ratio is found at once: thirty
 * wheels make some 600 000 trains, a chart may ask for hundreds of ratios.
 *
 * <p>A train is packed into one long: the ratio as a float above (its bits sort as the number does), four times eight bits of teeth
 * below; two wheels leave the lower two nought. The float only sorts; what is compared is reckoned anew from the teeth.
 */
final class TrainTable {

    /** What a float may be off by, as a share, both ways. */
    private static final double FLOAT = 2.5e-7;
    private static final int BYTE = 0xff;

    private final int[] teeth;
    private final int[] count;
    private final Optional<GearChart.Teeth> reach;
    private long[] trains = new long[1024];
    private int size;

    TrainTable(WheelSet set, Optional<GearChart.Teeth> reach) {
        this.teeth = set.distinct().stream().mapToInt(Integer::intValue).toArray();
        this.count = set.distinct().stream().mapToInt(set::count).toArray();
        this.reach = reach;
        for (int a = 0; a < teeth.length; a++) {
            for (int b = 0; b < teeth.length; b++) {
                if (a != b || count[a] > 1) {
                    from(a, b);
                }
            }
        }
        Arrays.sort(trains, 0, size);
    }

    private void from(int a, int b) {
        if (GearTrain.mounts(teeth[a], teeth[b], reach)) {
            add(teeth[a], teeth[b], 0, 0);
        }
        for (int c = 0; c < teeth.length; c++) {
            for (int d = 0; d < teeth.length; d++) {
                if (GearTrain.mounts(teeth[a], teeth[b], teeth[c], teeth[d]) && isThere(a, b, c, d)) {
                    add(teeth[a], teeth[b], teeth[c], teeth[d]);
                }
            }
        }
    }

    /** Nothing is used oftener than there are. */
    private boolean isThere(int... train) {
        for (int wheel : train) {
            int used = 0;
            for (int other : train) {
                used += wheel == other ? 1 : 0;
            }
            if (used > count[wheel]) {
                return false;
            }
        }
        return true;
    }

    private void add(int a, int b, int c, int d) {
        if (size == trains.length) {
            trains = Arrays.copyOf(trains, 2 * size);
        }
        int packed = a << 24 | b << 16 | c << 8 | d;
        trains[size++] = (long) Float.floatToIntBits((float) ratio(packed)) << 32 | packed & 0xffffffffL;
    }

    private static double ratio(int packed) {
        double first = (double) (packed >>> 24) / (packed >>> 16 & BYTE);
        return (packed & BYTE) == 0 ? first : first * (packed >>> 8 & BYTE) / (packed & BYTE);
    }

    /** The train nearest to a ratio; of equals the one of fewer wheels. Empty where nothing mounts. */
    Optional<GearTrain> nearest(double wanted) {
        int at = Arrays.binarySearch(trains, 0, size, (long) Float.floatToIntBits((float) wanted) << 32);
        int start = at < 0 ? -at - 1 : at;
        int best = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int step : new int[] {1, -1}) {
            double reached = Double.POSITIVE_INFINITY;
            for (int i = step > 0 ? start : start - 1; i >= 0 && i < size; i += step) {
                double off = Math.abs(ratio((int) trains[i]) / wanted - 1);
                reached = Math.min(reached, off);
                if (off > reached + FLOAT) {
                    break;
                }
                boolean equal = best >= 0 && Math.abs(off - least) < ChangeWheels.EXACT;
                if (equal ? wheels(i) < wheels(best) : off < least) {
                    best = i;
                    least = Math.min(off, least);
                }
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(train((int) trains[best]));
    }

    private int wheels(int index) {
        return (trains[index] & BYTE) == 0 ? 2 : 4;
    }

    private static GearTrain train(int packed) {
        List<Integer> wheels = new ArrayList<>(List.of(packed >>> 24, packed >>> 16 & BYTE));
        if ((packed & BYTE) != 0) {
            wheels.addAll(List.of(packed >>> 8 & BYTE, packed & BYTE));
        }
        return new GearTrain(wheels);
    }
}
