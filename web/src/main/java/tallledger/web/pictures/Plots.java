package tallledger.web.pictures;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.finish.Spacings;
import tallledger.core.finish.Trace;
import tallledger.core.geometry.AxisTest;
import tallledger.core.geometry.CircleTest;
import tallledger.core.geometry.FlatFace;
import tallledger.core.geometry.HotRun;
import tallledger.core.geometry.Straightness;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.measuring.AxisPositioning;
import tallledger.core.measuring.CircularPath;
import tallledger.core.measuring.FlatnessByGrid;
import tallledger.core.measuring.HeightsAlong;
import tallledger.core.measuring.ReadingSeries;
import tallledger.core.measuring.ScaleByGaugeLengths;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.measuring.TwistByLevels;
import tallledger.core.measuring.TwoRoundReadings;
import tallledger.core.unit.LengthUnit;
import tallledger.web.pictures.PlotView.Sheet;

/** The picture of each way of measuring, much enlarged across; how much is said beside it. */
public final class Plots {

    private static final int WIDTH = 560;
    private static final int HEIGHT = 190;
    private static final double LEFT = 62;
    private static final double RIGHT = 16;
    private static final double TOP = 20;
    private static final double BOTTOM = 38;
    private static final MathContext TWO = new MathContext(2, RoundingMode.HALF_UP);

    /** Tenths of a thou in a millimetre. */
    private static final double TENTHS = 10_000 / LengthUnit.INCH.millimetres().doubleValue();
    private static final double MICROMETRES = 1_000;

    private final boolean inches;
    private final Function<BigDecimal, String> mm;

    /**
     * @param unit of the machine: its drawings are in °C and µm, or in °F and tenths of a thou
     * @param mm   says a length of so many mm in that unit
     */
    public Plots(LengthUnit unit, Function<BigDecimal, String> mm) {
        this.inches = unit == LengthUnit.INCH;
        this.mm = mm;
    }

    private String say(double length) {
        return mm.apply(new BigDecimal(length).round(new MathContext(3, RoundingMode.HALF_UP)));
    }

    /** Heights of a level's run, with the line through their ends. */
    public PlotView level(HeightsAlong read) {
        Straightness run = read.run();
        double first = run.h().get(0);
        double slope = (run.h().get(run.h().size() - 1) - first) / run.length();
        return profile(run.x(), run.h(), first - slope * run.x().get(0), slope, false);
    }

    /** Heights of an indicator's run, with the line of best fit. @param rise whether its slope is what counts */
    public PlotView indicator(HeightsAlong read, boolean rise) {
        Straightness run = read.run();
        double mean = run.h().stream().mapToDouble(v -> v).average().orElse(0);
        double middle = run.x().stream().mapToDouble(v -> v).average().orElse(0);
        return profile(run.x(), run.h(), mean - run.slope() * middle, run.slope(), rise);
    }

    private PlotView profile(List<Double> x, List<Double> h, double base, double slope, boolean asItLies) {
        // A parallelism is shown as it lies, a straightness with its slope taken out.
        List<Double> y = IntStream.range(0, x.size()).mapToObj(i -> h.get(i) - (asItLies ? 0 : base + slope * x.get(i))).toList();
        double least = Math.min(y.stream().mapToDouble(v -> v).min().orElse(0), asItLies ? y.get(0) : 0);
        double most = Math.max(y.stream().mapToDouble(v -> v).max().orElse(0), asItLies ? y.get(0) : 0);
        double span = Math.max(most - least, 1e-6);
        double length = Math.max(x.get(x.size() - 1) - x.get(0), 1e-6);
        double across = (WIDTH - LEFT - RIGHT) / length;
        double up = (HEIGHT - TOP - BOTTOM) / span;
        Sheet sheet = new Sheet(WIDTH, HEIGHT);
        double floor = HEIGHT - BOTTOM;
        sheet.line(Pen.RULE, LEFT, TOP, LEFT, floor, WIDTH - RIGHT, floor);
        for (double at : List.of(least, most)) {
            sheet.label(LEFT - 6, floor - (at - least) * up + 4, say(at), "end");
        }
        List<double[]> points = IntStream.range(0, x.size())
                .mapToObj(i -> new double[] {LEFT + (x.get(i) - x.get(0)) * across, floor - (y.get(i) - least) * up}).toList();
        double from = asItLies ? base + slope * x.get(0) : 0;
        double to = asItLies ? base + slope * x.get(x.size() - 1) : 0;
        sheet.line(Pen.FIT, LEFT, floor - (from - least) * up, WIDTH - RIGHT, floor - (to - least) * up);
        sheet.line(Pen.READ, points, false).dots(Pen.READ, points);
        sheet.label(LEFT, HEIGHT - 20, "0", "start").label(WIDTH - RIGHT, HEIGHT - 20, say(length), "end");
        sheet.label(LEFT, HEIGHT - 4, "heights enlarged " + new BigDecimal(up / across).round(TWO).toBigInteger() + " times", "start");
        return sheet.done("Profile over " + say(length) + ", from " + say(least) + " to " + say(most));
    }

    public PlotView across(TwistByLevels.LevelReadings read) {
        List<Double> x = IntStream.range(0, read.levels().size()).mapToObj(i -> i * read.spacing()).toList();
        return profile(x, read.levels().stream().map(BigDecimal::doubleValue).toList(), 0, 0, true);
    }

    /** Errors over the gauge lengths, with what grows with the length. */
    public PlotView lengths(ScaleByGaugeLengths.LengthReadings read) {
        List<ScaleByGaugeLengths.LengthPair> ascending = read.pairs().stream().sorted(java.util.Comparator.comparing(p -> p.length().mm()))
                .toList();
        List<Double> x = Stream.concat(Stream.of(0.0), ascending.stream().map(p -> p.length().mm().doubleValue())).toList();
        return profile(x, Stream.concat(Stream.of(0.0), ascending.stream().map(ScaleByGaugeLengths.LengthPair::error)).toList(), 0,
                read.slope(),
                true);
    }

    /** What a figure comes to over a length, from nought at its one end. @param error mm at the other */
    public PlotView overLength(double length, double error) {
        return profile(List.of(0.0, length), List.of(0.0, error), 0, 0, true);
    }

    /** Readings in the order taken. */
    public PlotView row(ReadingSeries read) {
        List<Double> x = IntStream.range(0, read.readings().size()).mapToObj(i -> (double) i).toList();
        List<Double> y = read.readings().stream().map(r -> r.mm().doubleValue()).toList();
        double mean = y.stream().mapToDouble(v -> v).average().orElse(0);
        double least = y.stream().mapToDouble(v -> v).min().orElse(0);
        double span = Math.max(y.stream().mapToDouble(v -> v).max().orElse(0) - least, 1e-6);
        Sheet sheet = new Sheet(WIDTH, HEIGHT);
        double floor = HEIGHT - BOTTOM;
        double up = (floor - TOP) / span;
        double across = (WIDTH - LEFT - RIGHT - 20) / Math.max(x.size() - 1, 1);
        sheet.line(Pen.RULE, LEFT, TOP, LEFT, floor, WIDTH - RIGHT, floor);
        sheet.label(LEFT - 6, floor + 4, say(0), "end").label(LEFT - 6, TOP + 4, say(span), "end");
        sheet.line(Pen.FIT, LEFT, floor - (mean - least) * up, WIDTH - RIGHT, floor - (mean - least) * up);
        List<double[]> points = IntStream.range(0, x.size())
                .mapToObj(i -> new double[] {LEFT + 10 + i * across, floor - (y.get(i) - least) * up}).toList();
        sheet.line(Pen.READ, points, false).dots(Pen.READ, points);
        sheet.label(LEFT, HEIGHT - 20, "first", "start").label(WIDTH - RIGHT, HEIGHT - 20, "last", "end");
        sheet.label(LEFT, HEIGHT - 4, "over the least; broken: mean", "start");
        return sheet.done(x.size() + " readings in order, range " + say(span));
    }

    /** A face from above, each point by how far it lies from the middle plane of the least zone. */
    public PlotView face(FlatnessByGrid.GridHeights read) {
        FlatFace.Plane plane = read.face().least();
        double half = Math.max(read.face().zone() / 2, 1e-9);
        List<Double> xs = read.face().points().stream().map(FlatFace.FacePoint::x).distinct().sorted().toList();
        List<Double> ys = read.face().points().stream().map(FlatFace.FacePoint::y).distinct().sorted().toList();
        double w = Math.min(64, (WIDTH - 2.0) / xs.size());
        double h = 34;
        Sheet sheet = new Sheet(WIDTH, (int) (ys.size() * h + 30));
        for (FlatFace.FacePoint p : read.face().points()) {
            double off = plane.off(p);
            double x = xs.indexOf(p.x()) * w;
            double y = ys.indexOf(p.y()) * h;
            sheet.area(x + 1, y + 1, w - 2, h - 2, 0.5 + off / half / 2);
            if (w >= 40) {
                sheet.label(x + w / 2, y + h / 2 + 5, (off < 0 ? "−" : "+")
                        + Math.round(Math.abs(off) * (inches ? TENTHS : MICROMETRES)), "middle");
            }
        }
        sheet.label(2, ys.size() * h + 20, (inches ? "tenths of a thou" : "µm")
                + " over the middle plane of the least zone; dark high, light low", "start");
        return sheet.done("Face of " + xs.size() + " by " + ys.size() + " points, least zone " + say(read.face().zone()));
    }

    /** The eccentricities near and far, as arrows from one centre. */
    public PlotView planes(TwoRoundReadings read) {
        return pair(read.vectors(), false);
    }

    /** Those of spindle and arbor, the arbor turned half. */
    public PlotView halfTurn(TwoRoundReadings read) {
        return pair(read.vectors(), true);
    }

    private PlotView pair(TwoRounds v, boolean turned) {
        TwoRounds.Vector first = turned ? v.spindle() : v.first();
        TwoRounds.Vector second = turned ? v.arbor() : v.second();
        double most = Math.max(Math.max(first.size(), second.size()), 1e-6);
        Sheet sheet = new Sheet(300, 260);
        double r = 96;
        sheet.circle(Pen.RULE, 120, 120, r).circle(Pen.RULE, 120, 120, r / 2).line(Pen.RULE, 120, 18, 120, 222)
                .line(Pen.RULE, 18, 120, 222, 120);
        arrow(sheet, Pen.READ, first, r / most, turned ? "spindle" : "near");
        arrow(sheet, Pen.OTHER, second, r / most, turned ? "arbor" : "far");
        sheet.label(4, 14, "first reading at the top", "start").label(4, 252, "outer ring: " + say(most) + " out of centre", "start");
        return sheet.done((turned ? "Spindle " : "Near ") + say(first.size()) + ", " + (turned ? "arbor " : "far ") + say(second.size())
                + " out of centre");
    }

    private static void arrow(Sheet sheet, Pen pen, TwoRounds.Vector v, double scale, String name) {
        double a = Math.toRadians(v.degrees());
        double x = 120 + v.size() * scale * Math.sin(a);
        double y = 120 - v.size() * scale * Math.cos(a);
        sheet.line(pen, 120, 120, x, y).dots(pen, List.of(new double[] {x, y})).label(x + 8, y + (y < 120 ? -6 : 14), name, "start");
    }

    /** Means from either side over the targets, each with twice its standard deviation. */
    public PlotView axis(AxisPositioning.AxisReadings read) {
        AxisTest test = read.test();
        double least = 0;
        double most = 1e-6;
        for (AxisTest.Target t : test.targets()) {
            least = Math.min(least, Math.min(t.meanUp() - 2 * t.sUp(), t.meanDown() - 2 * t.sDown()));
            most = Math.max(most, Math.max(t.meanUp() + 2 * t.sUp(), t.meanDown() + 2 * t.sDown()));
        }
        double floor = HEIGHT - BOTTOM;
        double up = (floor - TOP) / (most - least);
        double from = test.targets().stream().mapToDouble(AxisTest.Target::position).min().orElse(0);
        double length = Math.max(test.targets().stream().mapToDouble(AxisTest.Target::position).max().orElse(1) - from, 1e-6);
        double across = (WIDTH - LEFT - RIGHT - 20) / length;
        Sheet sheet = new Sheet(WIDTH, HEIGHT);
        sheet.line(Pen.RULE, LEFT, TOP, LEFT, floor, WIDTH - RIGHT, floor).line(Pen.RULE, LEFT, floor + least * up, WIDTH - RIGHT,
                floor + least * up);
        sheet.label(LEFT - 6, floor + 4, say(least), "end").label(LEFT - 6, TOP + 4, say(most), "end");
        List<double[]> ups = new ArrayList<>();
        List<double[]> downs = new ArrayList<>();
        for (AxisTest.Target t : test.targets()) {
            double x = LEFT + 10 + (t.position() - from) * across;
            ups.add(new double[] {x - 3, floor - (t.meanUp() - least) * up});
            downs.add(new double[] {x + 3, floor - (t.meanDown() - least) * up});
            sheet.line(Pen.READ, x - 3, floor - (t.meanUp() - 2 * t.sUp() - least) * up, x - 3,
                    floor - (t.meanUp() + 2 * t.sUp() - least) * up);
            sheet.line(Pen.OTHER, x + 3, floor - (t.meanDown() - 2 * t.sDown() - least) * up, x + 3,
                    floor - (t.meanDown() + 2 * t.sDown() - least) * up);
        }
        sheet.line(Pen.READ, ups, false).line(Pen.OTHER, downs, false);
        sheet.label(LEFT, HEIGHT - 20, say(from), "start").label(WIDTH - RIGHT, HEIGHT - 20, say(from + length), "end");
        sheet.label(LEFT, HEIGHT - 4, "full: going up; broken: going down; bars: two standard deviations", "start");
        return sheet.done("Axis at " + test.targets().size() + " targets: A " + say(test.accuracy()) + ", R " + say(test.repeatability()));
    }

    /** Both ways of a circle about its centre, much enlarged. */
    public PlotView circle(CircularPath.CircleReadings read) {
        CircleTest test = read.test().centred();
        double most = Math.max(1e-9, Math.max(extreme(test.counterClockwise()), extreme(test.clockwise())));
        Sheet sheet = new Sheet(320, 320);
        double middle = 150;
        double r = 90;
        sheet.circle(Pen.FIT, middle, middle, r).line(Pen.RULE, middle, 10, middle, 290).line(Pen.RULE, 10, middle, 290, middle);
        sheet.line(Pen.READ, polar(test.counterClockwise(), middle, r, 48 / most), true)
                .line(Pen.OTHER, polar(test.clockwise(), middle, r, 48 / most), true);
        sheet.label(294, middle + 4, "+X", "start").label(middle + 5, 12, "+Y", "start");
        sheet.label(4, 314, "broken circle: nominal; full: counter-clockwise; 48 px are " + say(most / 1000), "start");
        return sheet.done("Circle: G " + say(CircleTest.circular(test.counterClockwise()) / 1000) + " and "
                + say(CircleTest.circular(test.clockwise()) / 1000));
    }

    /** Profile with its waviness, roughness with its sampling lengths, and which spacings stand in it. */
    public PlotView trace(SurfaceFinish.Traced traced) {
        Trace.Roughness r = traced.roughness();
        int n = r.roughness().length;
        int step = Math.max(1, n / 700);
        double across = (WIDTH - LEFT - RIGHT) / Math.max(n - 1, 1);
        List<Integer> shown = IntStream.range(0, n).filter(i -> i % step == 0).boxed().toList();
        double[] profile = IntStream.range(0, n).mapToDouble(i -> traced.profile().heights().get(r.from() + i)).toArray();
        double middle = java.util.Arrays.stream(profile).average().orElse(0);
        double most = Math.max(java.util.Arrays.stream(profile).map(z -> Math.abs(z - middle)).max().orElse(1), 1e-6);
        Sheet sheet = new Sheet(WIDTH, 2 * HEIGHT);
        sheet.line(Pen.RULE, LEFT, 52, WIDTH - RIGHT, 52).line(Pen.RULE, LEFT, 10, LEFT, 300);
        sheet.line(Pen.READ, shown.stream().map(i -> new double[] {LEFT + i * across, 52 - (profile[i] - middle) * 38 / most}).toList(),
                false);
        sheet.line(Pen.OTHER, shown.stream()
                .map(i -> new double[] {LEFT + i * across, 52 - (r.waviness()[r.from() + i] - middle) * 38 / most}).toList(), false);
        sheet.label(LEFT - 6, 18, say(most / 1000), "end").label(LEFT - 6, 56, "0", "end");
        double rough = Math.max(java.util.Arrays.stream(r.roughness()).map(Math::abs).max().orElse(1), 1e-6);
        sheet.line(Pen.RULE, LEFT, 150, WIDTH - RIGHT, 150);
        for (int s = 1; s < r.lengths(); s++) {
            double x = LEFT + (WIDTH - LEFT - RIGHT) * s / r.lengths();
            sheet.line(Pen.FIT, x, 108, x, 192);
        }
        sheet.line(Pen.READ, shown.stream().map(i -> new double[] {LEFT + i * across, 150 - r.roughness()[i] * 38 / rough}).toList(),
                false);
        sheet.label(LEFT - 6, 116, say(rough / 1000), "end").label(LEFT - 6, 154, "0", "end")
                .label(WIDTH - RIGHT, 206, say(r.cutOff() * r.lengths()), "end");
        sheet.label(LEFT, 206, "above: profile, broken its waviness; below: roughness in lengths of " + say(r.cutOff()), "start");
        spacings(r, sheet);
        return sheet.done("Profile, roughness over " + r.lengths() + " sampling lengths, and the spacings in it");
    }

    /** Amplitude by spacing, coarse to fine on a log scale, from the cut-off to four points. */
    private void spacings(Trace.Roughness r, Sheet sheet) {
        Spacings spacings = r.spacings();
        double coarse = Math.log(r.cutOff());
        double fine = Math.log(4 * r.step());
        double most = 1e-6;
        for (int f = 1; f < spacings.amplitude().length; f++) {
            most = Math.max(most, spacings.amplitude()[f]);
        }
        double floor = 340;
        List<double[]> points = new ArrayList<>();
        for (int f = 1; f < spacings.amplitude().length; f++) {
            double at = Math.log(1 / (f * spacings.bin()));
            if (at <= coarse && at >= fine) {
                points.add(new double[] {LEFT + (coarse - at) / (coarse - fine) * (WIDTH - LEFT - RIGHT),
                        floor - spacings.amplitude()[f] / most * 96});
            }
        }
        sheet.line(Pen.RULE, LEFT, floor, WIDTH - RIGHT, floor).line(Pen.READ, points, false)
                .label(LEFT - 6, floor - 88, say(most / 1000), "end");
        sheet.label(LEFT, floor + 18, say(r.cutOff()), "start").label(WIDTH - RIGHT, floor + 18, say(4 * r.step()), "end");
        spacings.strongest().ifPresent(p -> {
            double x = LEFT + (coarse - Math.log(p.spacing())) / (coarse - fine) * (WIDTH - LEFT - RIGHT);
            sheet.line(Pen.FIT, x, floor - 96, x, floor);
            sheet.label(Math.min(x + 5, WIDTH - 90), floor - 82, say(p.spacing()), "start");
        });
        sheet.label(LEFT, floor + 36, "amplitude by spacing, coarse to fine", "start");
    }

    /** Temperature over minutes with the curve it levels by, and what it levels at. */
    public PlotView hot(HotRun run) {
        double last = run.readings().get(run.readings().size() - 1).minutes();
        double length = Math.max(last - run.readings().get(0).minutes(), 1);
        double from = run.readings().get(0).minutes();
        double least = run.readings().stream().mapToDouble(HotRun.HotReading::celsius).min().orElse(0);
        double most = Math.max(run.readings().stream().mapToDouble(HotRun.HotReading::celsius).max().orElse(1),
                run.curve().map(HotRun.Curve::levels).orElse(least));
        double floor = HEIGHT - BOTTOM;
        double up = (floor - TOP) / Math.max(most - least, 0.1);
        double across = (WIDTH - LEFT - RIGHT) / length;
        Sheet sheet = new Sheet(WIDTH, HEIGHT);
        sheet.line(Pen.RULE, LEFT, TOP, LEFT, floor, WIDTH - RIGHT, floor);
        run.curve().ifPresent(curve -> {
            sheet.line(Pen.FIT, IntStream.rangeClosed(0, 60)
                    .mapToObj(i -> new double[] {LEFT + length * i / 60 * across, floor - (curve.at(from + length * i / 60) - least) * up})
                    .toList(), false);
            sheet.line(Pen.RULE, LEFT, floor - (curve.levels() - least) * up, WIDTH - RIGHT, floor - (curve.levels() - least) * up);
            sheet.label(WIDTH - RIGHT, floor - (curve.levels() - least) * up - 5,
                    "levels at " + degrees(curve.levels()), "end");
        });
        List<double[]> points = run.readings().stream()
                .map(r -> new double[] {LEFT + (r.minutes() - from) * across, floor - (r.celsius() - least) * up}).toList();
        sheet.line(Pen.READ, points, false).dots(Pen.READ, points);
        sheet.label(LEFT - 6, floor + 4, degrees(least), "end")
                .label(LEFT, HEIGHT - 20, Math.round(from) + " min", "start")
                .label(WIDTH - RIGHT, HEIGHT - 20, Math.round(last) + " min", "end");
        return sheet.done("Temperature over " + Math.round(length) + " minutes");
    }

    private String degrees(double celsius) {
        return String.format(java.util.Locale.ROOT, "%.1f %s", inches ? celsius * 1.8 + 32 : celsius, inches ? "°F" : "°C");
    }

    private static double extreme(List<CircleTest.CirclePoint> points) {
        return points.stream().mapToDouble(p -> Math.abs(p.deviation())).max().orElse(0);
    }

    private static List<double[]> polar(List<CircleTest.CirclePoint> points, double middle, double r, double scale) {
        int step = Math.max(1, points.size() / 720);
        return IntStream.range(0, points.size()).filter(i -> i % step == 0).mapToObj(points::get).map(p -> {
            double a = Math.toRadians(p.degrees());
            return new double[] {middle + (r + p.deviation() * scale) * Math.cos(a), middle - (r + p.deviation() * scale) * Math.sin(a)};
        }).toList();
    }
}
