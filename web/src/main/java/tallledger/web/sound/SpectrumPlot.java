package tallledger.web.sound;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.sound.Recurring;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundAnalysis.NamedPeak;
import tallledger.core.sound.Spectrum;
import tallledger.web.pictures.Pen;
import tallledger.web.pictures.PlotView;
import tallledger.web.words.Words;

/** Levels over frequency, or over orders of the spindle; one recording, or two over each other. */
final class SpectrumPlot {

    private static final int WIDTH = 940;
    private static final int HEIGHT = 300;
    private static final int LEFT = 58;
    private static final int BOTTOM = 262;
    private static final int TOP = 14;
    private static final int TENS = 10;
    private static final double NARROW = 14;
    private static final double LINE = 12;
    private static final double FIRST_HERTZ = 4;
    private static final double FIRST_ORDER = 0.5;
    private static final int MOST_NUMBERS = 24;
    private static final double[] MARKS = {0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000};

    /** @param turn one turn of the spindle a second; 1 where frequencies are shown */
    record Shown(SoundAnalysis analysis, double turn) {
    }

    private final boolean orders;
    private final double from;
    private final double until;
    private final double low;
    private final double high;

    private SpectrumPlot(Shown of, Optional<Shown> with, boolean orders) {
        this.orders = orders;
        this.from = orders ? FIRST_ORDER : FIRST_HERTZ;
        this.until = Math.max(2 * from, end(of));
        double most = Math.max(most(of.analysis.spectrum()), with.map(w -> most(w.analysis.spectrum())).orElse(-999.0));
        this.high = Math.ceil(most / TENS) * TENS + TENS;
        this.low = high - 9 * TENS;
    }

    private static double end(Shown of) {
        return of.analysis.spectrum().binHertz() * (of.analysis.spectrum().levels().length - 1) / of.turn;
    }

    private static double most(Spectrum spectrum) {
        double most = -999;
        for (int k = 4; k < spectrum.levels().length; k++) {
            most = Math.max(most, spectrum.levels()[k]);
        }
        return most;
    }

    static PlotView of(Shown of, Optional<Shown> with, boolean orders, Words words) {
        return new SpectrumPlot(of, with, orders).drawn(of, with, words);
    }

    private static final int STEP = 56;
    private static final double DECIBELS_A_STEP = 40;

    /** Recordings at several speeds over orders, each curve above the one before: what turns with the spindle stands over itself. */
    static PlotView waterfall(List<Recurring.AtSpeed> sounds, List<String> names, Words words) {
        double until = sounds.stream().mapToDouble(s -> end(new Shown(s.sound(), s.rpm() / 60))).max().orElseThrow();
        int height = 70 + STEP * sounds.size() + STEP;
        PlotView.Sheet sheet = new PlotView.Sheet(WIDTH, height);
        for (double mark : MARKS) {
            if (mark >= FIRST_ORDER && mark <= until) {
                double x = across(mark, FIRST_ORDER, until);
                sheet.line(Pen.RULE, x, TOP, x, height - 34);
                sheet.label(x, height - 16, words.say("sound.order", BigDecimal.valueOf(mark).stripTrailingZeros()), "middle");
            }
        }
        for (int i = 0; i < sounds.size(); i++) {
            Shown shown = new Shown(sounds.get(i).sound(), sounds.get(i).rpm() / 60);
            double foot = height - 44.0 - STEP * i;
            double noise = floor(shown.analysis.spectrum());
            List<double[]> points = new ArrayList<>();
            double[] levels = shown.analysis.spectrum().levels();
            for (int k = 1; k < levels.length; k++) {
                double at = k * shown.analysis.spectrum().binHertz() / shown.turn;
                if (at >= FIRST_ORDER) {
                    double y = foot - STEP * Math.max(0, Math.min(2, (levels[k] - noise) / DECIBELS_A_STEP));
                    addHighest(points, across(at, FIRST_ORDER, until), y);
                }
            }
            sheet.line(i % 2 == 0 ? Pen.READ : Pen.DRAWN, points, false);
            sheet.label(WIDTH - 14.0, foot - 8, names.get(i), "end");
        }
        return sheet.done(words.say("sound.waterfall", sounds.size(), BigDecimal.valueOf(DECIBELS_A_STEP)));
    }

    /** The median level: what is noise of this recording. */
    private static double floor(Spectrum spectrum) {
        double[] sorted = spectrum.levels().clone();
        java.util.Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private static double across(double at, double from, double until) {
        return LEFT + (WIDTH - LEFT - 10) * Math.log(at / from) / Math.log(until / from);
    }

    /** So that no peak is lost between two columns of the picture. */
    private static void addHighest(List<double[]> points, double x, double y) {
        if (!points.isEmpty() && x - points.get(points.size() - 1)[0] < 1) {
            double[] last = points.get(points.size() - 1);
            last[1] = Math.min(last[1], y);
        } else {
            points.add(new double[] {x, y});
        }
    }

    private PlotView drawn(Shown of, Optional<Shown> with, Words words) {
        PlotView.Sheet sheet = new PlotView.Sheet(WIDTH, HEIGHT);
        for (double level = low; level <= high; level += 2 * TENS) {
            sheet.line(Pen.RULE, LEFT, y(level), WIDTH, y(level));
            sheet.label(LEFT - 6, y(level) + 4, words.say("sound.dB", BigDecimal.valueOf(Math.round(level))), "end");
        }
        for (double mark : MARKS) {
            if (mark >= from && mark <= until) {
                sheet.line(Pen.RULE, x(mark), TOP, x(mark), BOTTOM);
                BigDecimal said = BigDecimal.valueOf(mark).stripTrailingZeros();
                sheet.label(x(mark), BOTTOM + 18, orders ? words.say("sound.order", said) : words.say("sound.hertz", said), "middle");
            }
        }
        with.ifPresent(w -> sheet.line(Pen.OTHER, curve(w), false));
        sheet.line(Pen.READ, curve(of), false);
        List<NamedPeak> peaks = of.analysis.peaks();
        double beforeX = -NARROW;
        double beforeY = 0;
        for (int i = 0; i < Math.min(MOST_NUMBERS, peaks.size()); i++) {
            double at = peaks.get(i).peak().hertz() / of.turn;
            if (at >= from && at <= until) {
                double top = y(peaks.get(i).peak().level()) - 5;
                // Of peaks close together each number stands above the one before.
                beforeY = x(at) - beforeX < NARROW ? Math.min(top, beforeY - LINE) : top;
                beforeX = x(at);
                sheet.label(beforeX, Math.max(TOP - 3.0, beforeY), String.valueOf(i + 1), "middle");
            }
        }
        return sheet.done(words.say(orders ? "sound.plot-orders" : "sound.plot", BigDecimal.valueOf(Math.round(until)),
                BigDecimal.valueOf(Math.round(low)), BigDecimal.valueOf(Math.round(high))));
    }

    /** The greatest level of each column of the picture, so that no peak is lost between two. */
    private List<double[]> curve(Shown of) {
        double[] levels = of.analysis.spectrum().levels();
        List<double[]> points = new ArrayList<>();
        for (int k = 1; k < levels.length; k++) {
            double at = k * of.analysis.spectrum().binHertz() / of.turn;
            if (at < from || at > until) {
                continue;
            }
            addHighest(points, x(at), y(Math.max(low, levels[k])));
        }
        return points;
    }

    private double x(double at) {
        return across(at, from, until);
    }

    private double y(double level) {
        return BOTTOM - (BOTTOM - TOP) * (level - low) / (high - low);
    }
}
