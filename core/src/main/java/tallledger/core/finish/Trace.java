package tallledger.core.finish;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A trace z(x) at equal spacing. Waviness is z under the Gaussian weight w(x) = exp(−π·(x/(α·λc))²)/(α·λc), α = √(ln 2/π), the kernel cut
 * at ±λc and made whole over the points present; roughness is the rest. Half a cut-off at each end is dropped; up to five sampling lengths
 * of λc from there. A trace that lies at more than a degree is levelled by least squares first. Ra, Rq, Rt, Rsk over all of them, Rz the
 * mean over sampling lengths of peak plus valley. (Filter after ISO 16610-21.)
 *
 * <p>Worked: z = 2·sin(2πx/0.1) µm at a cut-off of 0.8 mm: the sine passes whole, Ra = 4/π = 1.27 µm, Rz = 4.0 µm, RSm = 0.1 mm.
 *
 * @param spacing mm
 * @param heights µm
 */
public record Trace(double spacing, List<Double> heights) {

    public static final int FEWEST = 50;
    public static final int MOST = 60_000;
    /** Cut-offs, mm. */
    public static final List<Double> CUT_OFFS = List.of(0.08, 0.25, 0.8, 2.5, 8.0);
    /** Up to this mean spacing a cut-off is chosen for a regular surface, mm. */
    private static final double[] REGULAR = {0.04, 0.13, 0.4, 1.3, 4};
    /** Up to this Ra for an irregular one, µm. */
    private static final double[] IRREGULAR = {0.02, 0.1, 2, 10, 80};
    /** Upper ends of the roughness grades N1 to N12, Ra in µm (ISO 1302). */
    private static final double[] GRADES = {0.025, 0.05, 0.1, 0.2, 0.4, 0.8, 1.6, 3.2, 6.3, 12.5, 25, 50};
    public static final int GRADES_COUNT = GRADES.length;
    /** The trade's roughness numbers of the same grades, Ra in µin. */
    public static final List<Integer> NUMBERS = List.of(1, 2, 4, 8, 16, 32, 63, 125, 250, 500, 1000, 2000);
    private static final double ALPHA = Math.sqrt(Math.log(2) / Math.PI);
    private static final int MOST_LENGTHS = 5;
    private static final double CROSSING = 0.1;
    private static final double MICROMETRES = 1000;
    /** More products than this and a transform is quicker than a convolution written out. */
    private static final long LONG = 400_000;
    /** A degree of tilt is the stylus; more is a trace nobody levelled. */
    private static final double STEEP = 1;
    private static final double DROPOUT = 12;

    /** @throws Refused for too few points, no spacing, or a height that is none */
    public Trace {
        heights = List.copyOf(heights);
        if (heights.size() < FEWEST || heights.size() > MOST) {
            throw Refused.because(FinishReason.TRACE_COUNT, heights.size(), FEWEST, MOST);
        }
        if (!(spacing > 0) || spacing > 1) {
            throw Refused.because(FinishReason.TRACE_SPACING);
        }
        if (heights.stream().anyMatch(h -> !Double.isFinite(h) || Math.abs(h) > 1e5)) {
            throw Refused.because(FinishReason.TRACE_HEIGHT);
        }
    }

    /**
     * What a trace comes to at one cut-off.
     *
     * @param cutOff    λc, mm
     * @param lengths   sampling lengths evaluated
     * @param ra        µm, as the others but rsk and rsm
     * @param rsm       mean spacing, mm; nought where fewer than two elements stand in it
     * @param waviness  over the whole trace, µm
     * @param roughness evaluated, µm
     * @param from      index of its first point in the trace
     * @param step      spacing of its points, mm
     */
    public record Roughness(double cutOff, int lengths, double ra, double rq, double rz, double rt, double rsk, double rsm,
            double[] waviness, double[] roughness, int from, double step) {

        /** The grade Ra lies in: the smallest not below it; 13 beyond the last. */
        public int grade() {
            return Trace.grade(ra);
        }

        /** Which spacings stand in it. */
        public Spacings spacings() {
            return Spacings.of(roughness, step);
        }
    }

    /** N, the smallest not below an Ra in µm; 13 beyond the last. */
    public static int grade(double ra) {
        int n = 0;
        while (n < GRADES.length && ra > GRADES[n] + 1e-9) {
            n++;
        }
        return n + 1;
    }

    /** The same on an inch machine: by the smallest of the trade's roughness numbers not below an Ra in µin. */
    public static int gradeByNumber(double microinches) {
        int n = 0;
        while (n < NUMBERS.size() && microinches > NUMBERS.get(n) + 1e-9) {
            n++;
        }
        return n + 1;
    }

    public double length() {
        return spacing * (heights.size() - 1);
    }

    /** Under the Gaussian weight, µm. */
    double[] waviness(double cutOff) {
        int half = (int) Math.floor(cutOff / spacing + 1e-9);
        double[] kernel = new double[half + 1];
        for (int k = 0; k <= half; k++) {
            kernel[k] = Math.exp(-Math.PI * Math.pow(k * spacing / (ALPHA * cutOff), 2));
        }
        double[] z = points();
        FittedLine line = line(z);
        boolean steep = isSteep(line);
        for (int i = 0; i < z.length && steep; i++) {
            z[i] -= line.at(i);
        }
        double[] w = (long) z.length * half > LONG ? Convolution.byTransform(z, kernel) : Convolution.writtenOut(z, kernel);
        double[] upTo = new double[half + 1];
        upTo[0] = kernel[0] / 2;
        for (int k = 1; k <= half; k++) {
            upTo[k] = upTo[k - 1] + kernel[k];
        }
        for (int i = 0; i < w.length; i++) {
            // Made whole over the points present: half the middle and all to either side, as far as there is any.
            w[i] = w[i] / (upTo[Math.min(half, i)] + upTo[Math.min(half, z.length - 1 - i)]) + (steep ? line.at(i) : 0);
        }
        return w;
    }

    /** A line by least squares over the points' numbers, µm. */
    private record FittedLine(double middle, double mean, double slope) {
        double at(int i) {
            return mean + slope * (i - middle);
        }
    }

    private double[] points() {
        double[] z = new double[heights.size()];
        for (int i = 0; i < z.length; i++) {
            z[i] = heights.get(i);
        }
        return z;
    }

    private static FittedLine line(double[] z) {
        double middle = (z.length - 1) / 2.0;
        double sum = 0;
        for (double h : z) {
            sum += h;
        }
        double mean = sum / z.length;
        double top = 0;
        double under = 0;
        for (int i = 0; i < z.length; i++) {
            top += (i - middle) * (z[i] - mean);
            under += (i - middle) * (i - middle);
        }
        return new FittedLine(middle, mean, top / under);
    }

    /** How steeply it lies, degrees; a steep one is levelled by least squares before it is filtered, or its ends would be bent. */
    public double degrees() {
        return degrees(line(points()));
    }

    private double degrees(FittedLine line) {
        return Math.toDegrees(Math.atan(line.slope() / spacing / MICROMETRES));
    }

    public boolean isSteep() {
        return isSteep(line(points()));
    }

    private boolean isSteep(FittedLine line) {
        return Math.abs(degrees(line)) > STEEP;
    }

    /** Number of the first point that stands off its neighbours as a dropout does, from 1; empty where none does. */
    public OptionalInt dropout() {
        double[] z = points();
        double[] off = new double[z.length - 2];
        for (int i = 0; i < off.length; i++) {
            off[i] = Math.abs(z[i + 1] - (z[i] + z[i + 2]) / 2);
        }
        double[] sorted = off.clone();
        Arrays.sort(sorted);
        double mean = line(z).mean();
        double squares = 0;
        for (double h : z) {
            squares += (h - mean) * (h - mean);
        }
        // As high as most of the surface is itself, and out of all proportion to how its points follow each other.
        double much = Math.max(DROPOUT * sorted[(int) (0.9 * (sorted.length - 1))], Math.sqrt(squares / z.length));
        return much == 0 ? OptionalInt.empty() : IntStream.range(0, off.length).filter(i -> off[i] > much).map(i -> i + 2).findFirst();
    }

    private static Quantity millimetres(double length) {
        return Quantity.of(BigDecimal.valueOf(Math.round(length * 1000) / 1000.0), Unit.MILLIMETRES);
    }

    /** @throws Refused where not even one sampling length is left */
    public Roughness at(double cutOff) {
        int drop = (int) Math.round(cutOff / 2 / spacing);
        int each = (int) Math.round(cutOff / spacing);
        int lengths = each == 0 ? 0 : Math.min(MOST_LENGTHS, (heights.size() - 2 * drop) / each);
        if (lengths < 1 || each < 4) {
            throw Refused.because(FinishReason.TRACE_SHORT, millimetres(length()), millimetres(2 * cutOff), millimetres(cutOff));
        }
        double[] w = waviness(cutOff);
        double[] r = new double[lengths * each];
        for (int i = 0; i < r.length; i++) {
            r[i] = heights.get(drop + i) - w[drop + i];
        }
        double ra = Arrays.stream(r).map(Math::abs).average().orElse(0);
        double rq = Math.sqrt(Arrays.stream(r).map(v -> v * v).average().orElse(0));
        double rsk = rq == 0 ? 0 : Arrays.stream(r).map(v -> v * v * v).average().orElse(0) / (rq * rq * rq);
        double rz = 0;
        for (int s = 0; s < lengths; s++) {
            rz += spread(Arrays.copyOfRange(r, s * each, (s + 1) * each)) / lengths;
        }
        return new Roughness(cutOff, lengths, ra, rq, rz, spread(r), rsk, spacings(r, CROSSING * rz), w, r, drop, spacing);
    }

    private static double spread(double[] r) {
        return Arrays.stream(r).max().orElse(0) - Arrays.stream(r).min().orElse(0);
    }

    /** Mean way from one rise through the mean line to the next, of those that come from well below and go well above. */
    private double spacings(double[] r, double height) {
        int first = -1;
        int last = -1;
        int count = 0;
        boolean below = false;
        int crossed = -1;
        for (int i = 1; i < r.length; i++) {
            if (r[i - 1] < 0 && r[i] >= 0) {
                crossed = i;
            }
            if (r[i] < -height / 2) {
                below = true;
            } else if (r[i] > height / 2 && below) {
                below = false;
                first = first < 0 ? crossed : first;
                last = crossed;
                count++;
            }
        }
        return count < 2 ? 0 : (last - first) * spacing / (count - 1);
    }

    /**
     * A result and why at that cut-off.
     *
     * @param agrees whether the result lies within the range its cut-off is for
     */
    public record Chosen(Roughness roughness, boolean agrees) {
    }

    /**
     * At the cut-off that its own spacing (turned, milled, planed) or its own Ra (ground) calls for. Every cut-off of which the trace
     * holds a
     * sampling length is tried; of those whose result lies within their own range the longest counts: a short one agrees with anything by
     * filtering it away (house rule; the standard of the method takes the shorter). Where none agrees, that of the table for the spacing
     * that is known, else the longest.
     *
     * <p>Worked: waves of 18 µm at 0.35 mm under noise of 0.6 µm: 0.08 mm would filter the waves away and agree; 0.8 mm counts.
     *
     * @param feed spacing that is known from the feed, mm: no shorter cut-off than its own is taken
     * @throws Refused where not even one sampling length of the shortest is there
     */
    public Chosen chosen(boolean regular, OptionalDouble feed) {
        double[] table = regular ? REGULAR : IRREGULAR;
        int least = feed.isPresent() ? range(REGULAR, feed.getAsDouble()) : 0;
        Optional<Roughness> longest = Optional.empty();
        Optional<Roughness> known = Optional.empty();
        for (int c = CUT_OFFS.size() - 1; c >= 0; c--) {
            Optional<Roughness> here = heldAt(CUT_OFFS.get(c));
            if (here.isEmpty()) {
                continue;
            }
            double own = regular ? here.get().rsm : here.get().ra;
            if (c >= least && own > 0 && range(table, own) == c) {
                return new Chosen(here.get(), true);
            }
            longest = longest.or(() -> here);
            known = feed.isPresent() && c == least ? here : known;
        }
        Roughness taken = known.isPresent() ? known.get() : longest.isPresent() ? longest.get() : at(CUT_OFFS.get(0));
        return new Chosen(taken, false);
    }

    private Optional<Roughness> heldAt(double cutOff) {
        try {
            return Optional.of(at(cutOff));
        } catch (Refused tooShort) {
            return Optional.empty();
        }
    }

    /** Which cut-off a spacing or an Ra calls for; the last beyond all. */
    private static int range(double[] upTo, double own) {
        int c = 0;
        while (c < upTo.length - 1 && own > upTo[c] * (1 + 1e-9)) {
            c++;
        }
        return c;
    }
}
