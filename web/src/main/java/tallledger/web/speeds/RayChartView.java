package tallledger.web.speeds;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.RayChart;
import tallledger.core.drive.Route;
import tallledger.core.drive.SpeedTable;
import tallledger.core.survey.SpindleSurvey;
import tallledger.web.pictures.Pen;
import tallledger.web.words.Figures;

/**
 * The ray chart laid out for drawing: shafts left to right, speeds up a log scale.
 *
 * @param shafts   x of each shaft
 * @param gaps     names between shafts
 * @param rays     lines and bands
 * @param ticks    speeds at the spindle
 * @param plates   plate values beside the spindle's shaft, to compare with where the rays end
 * @param absolute whether the shafts between are at true speeds
 */
public record RayChartView(int width, int height, List<Double> shafts, List<Gap> gaps, List<RayLine> rays, List<Tick> ticks,
        List<Tick> plates, boolean absolute) {

    /** The name of what lies between two shafts. */
    public record Gap(double x, String name) {
    }

    /** One ray, from (x1, y1) to (x2, y2); a band has its other edge at y3 → y4. */
    public record RayLine(double x1, double y1, double x2, double y2, double y3, double y4, boolean band, String state, boolean lit,
            String title) {

        public String points() {
            return String.format(Locale.ROOT, "%.1f,%.1f %.1f,%.1f %.1f,%.1f %.1f,%.1f", x1, y1, x2, y2, x2, y4, x1, y3);
        }

        public Pen pen() {
            return Pen.of(state);
        }
    }

    /** One mark of the scale. */
    public record Tick(double y, String label) {
    }

    private static final int WIDTH = 560;
    private static final int NARROW = 400;
    private static final int HEIGHT = 430;
    private static final int LEFT = 20;
    private static final int RIGHT = 78;
    private static final int TOP = 30;
    private static final int BOTTOM = 18;
    private static final double LINE = 11;
    private static final double[] NICE = {1, 2, 5};

    /** The chart of a survey: routes run drawn solid, suspects lit. */
    public static Optional<RayChartView> of(SpindleSurvey survey, List<Blame.Suspect> lit) {
        return RayChart.of(survey.table()).map(chart -> layOut(chart, survey.table(), ray -> state(ray.routes(), survey),
                ray -> lit.stream().anyMatch(s -> s.element().stageName().equals(chart.shafts().get(ray.stage()))
                        && s.element().label().equals(ray.label())),
                WIDTH));
    }

    /** The chart of a drive nobody has run. */
    public static Optional<RayChartView> plain(SpeedTable table) {
        return RayChart.of(table).map(chart -> layOut(chart, table, ray -> "drawn", ray -> false, NARROW));
    }

    private static RayChartView layOut(RayChart chart, SpeedTable table, Function<RayChart.Ray, String> state,
            Predicate<RayChart.Ray> lit, int width) {
        int gaps = chart.shafts().size();
        double step = (double) (width - LEFT - RIGHT) / Math.max(gaps, 1);
        Scale scale = new Scale(Math.log(chart.low()), Math.log(chart.high()));
        List<Double> shafts = new ArrayList<>();
        List<Gap> names = new ArrayList<>();
        for (int i = 0; i <= gaps; i++) {
            shafts.add(LEFT + i * step);
            if (i < gaps) {
                names.add(new Gap(LEFT + (i + 0.5) * step, chart.shafts().get(i)));
            }
        }
        List<RayLine> rays = chart.rays().stream().map(ray -> new RayLine(LEFT + ray.stage() * step, scale.y(ray.from().low()),
                LEFT + (ray.stage() + 1) * step, scale.y(ray.to().low()), scale.y(ray.from().high()), scale.y(ray.to().high()),
                ray.to().slides(), state.apply(ray), lit.test(ray), ray.label())).toList();
        List<Tick> plates = parted(table.counted().stream().flatMap(s -> s.nominal().stream())
                .map(n -> new Tick(scale.y(n.doubleValue()), Figures.plain(n))).toList());
        return new RayChartView(width, HEIGHT, shafts, names, rays, ticks(chart, scale), plates, chart.absolute());
    }

    /** The worst a ray can show: failed runs only where no good run uses it, so that a failure lights what it could mean. */
    private static String state(List<Route> routes, SpindleSurvey survey) {
        boolean proven = routes.stream().anyMatch(r -> has(survey, r, Outcome.PROVEN));
        boolean failed = routes.stream().anyMatch(r -> has(survey, r, Outcome.FAILED));
        return proven ? "proven" : failed ? "failed" : "open";
    }

    private static boolean has(SpindleSurvey survey, Route route, Outcome outcome) {
        return survey.latest().containsKey(route) && survey.latest().get(route).outcome() == outcome;
    }

    private static List<Tick> ticks(RayChart chart, Scale scale) {
        List<Tick> ticks = new ArrayList<>();
        for (double decade = Math.pow(10, Math.floor(Math.log10(chart.low()))); decade <= chart.high(); decade *= 10) {
            for (double nice : NICE) {
                double value = decade * nice;
                if (value >= chart.low() && value <= chart.high()) {
                    ticks.add(new Tick(scale.y(value), Figures.plain(new BigDecimal(value).round(new MathContext(3)))));
                }
            }
        }
        return ticks;
    }

    /** Labels that would stand on each other share a line. */
    private static List<Tick> parted(List<Tick> ticks) {
        List<Tick> parted = new ArrayList<>();
        for (Tick tick : ticks) {
            Tick last = parted.isEmpty() ? null : parted.get(parted.size() - 1);
            if (last != null && Math.abs(last.y() - tick.y()) < LINE) {
                parted.set(parted.size() - 1, new Tick(last.y(), last.label() + ", " + tick.label()));
            } else {
                parted.add(tick);
            }
        }
        return parted;
    }

    private record Scale(double low, double high) {
        double y(double rpm) {
            double span = Math.max(high - low, 1e-6);
            return HEIGHT - BOTTOM - (Math.log(rpm) - low) / span * (HEIGHT - TOP - BOTTOM);
        }
    }
}
