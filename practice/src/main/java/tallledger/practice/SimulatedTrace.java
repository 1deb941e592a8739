package tallledger.practice;

import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What a stylus would draw of a surface that a drive wrote on. */
final class SimulatedTrace {

    /** Between its points, mm, and how many of them. */
    private static final double STEP = 0.005;
    private static final int POINTS = 1200;

    private SimulatedTrace() {
    }

    /**
     * Milled while a mesh of the drive shook the table: its frequency over the feed gives the spacing.
     *
     * @param rpm   of the shaft the wheel stands on, min⁻¹
     * @param teeth of that wheel
     * @param past  the table past the cutter, m/min
     * @return the step's fields, parted by {@code |}
     */
    static String chatter(double rpm, int teeth, double past) {
        Random random = new Random(11);
        double spacing = past * 1000 / (rpm * teeth);
        String heights = IntStream.range(0, POINTS)
                .mapToDouble(i -> 10 * Math.sin(2 * Math.PI * i * STEP / spacing) + 0.9 * Math.sin(2 * Math.PI * i * STEP / 1.3)
                        + 0.8 * random.nextGaussian())
                .mapToObj(z -> String.format(Locale.ROOT, "%.2f", z)).collect(Collectors.joining(" "));
        return "ra=|spacing=" + STEP + " mm|past=" + past + "|spindle=" + Math.round(rpm) + "|trace=" + heights;
    }
}
