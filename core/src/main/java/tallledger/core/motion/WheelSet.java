package tallledger.core.motion;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * Change wheels on hand, teeth each, repeated where there are two alike.
 *
 * @param teeth sorted
 */
public record WheelSet(List<Integer> teeth) {

    public static final int MOST = 30;
    private static final int FEWEST_TEETH = 12;
    private static final int MOST_TEETH = 200;

    public WheelSet {
        List<Integer> sorted = new ArrayList<>(teeth);
        Collections.sort(sorted);
        teeth = List.copyOf(sorted);
        if (teeth.size() > MOST) {
            throw Refused.because(MotionReason.WHEELS_MANY, teeth.size(), MOST);
        }
        teeth.stream().filter(t -> t < FEWEST_TEETH || t > MOST_TEETH).findFirst().ifPresent(t -> {
            throw Refused.because(CommonReason.TEETH_OUTSIDE, t, FEWEST_TEETH, MOST_TEETH);
        });
    }

    /** Written "20 24 2x30 127": "2x30" is two wheels of thirty teeth. */
    public static WheelSet parse(String text) {
        List<Integer> teeth = new ArrayList<>();
        for (String part : text.strip().split("[\\s,;]+")) {
            if (part.isEmpty()) {
                continue;
            }
            if (!part.matches("(\\d[x×])?\\d{1,3}")) {
                throw Refused.because(MotionReason.WHEELS_PART, part.length() > 20 ? part.substring(0, 20) : part);
            }
            String[] times = part.split("[x×]");
            int count = times.length == 2 ? Integer.parseInt(times[0]) : 1;
            teeth.addAll(Collections.nCopies(count, Integer.parseInt(times[times.length - 1])));
        }
        return new WheelSet(teeth);
    }

    int count(int wheel) {
        return Collections.frequency(teeth, wheel);
    }

    WheelSet with(List<Integer> more) {
        List<Integer> all = new ArrayList<>(teeth);
        all.addAll(more);
        return new WheelSet(all);
    }

    public List<Integer> distinct() {
        return teeth.stream().distinct().toList();
    }
}
