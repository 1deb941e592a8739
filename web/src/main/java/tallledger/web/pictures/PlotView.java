package tallledger.web.pictures;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A drawing as strokes, areas and labels, px; one SVG for page, print and PDF.
 *
 * @param says what it shows, for who cannot see it
 */
public record PlotView(int width, int height, List<Stroke> strokes, List<Area> areas, List<Label> labels, String says) {

    /** A path with its pen. */
    public record Stroke(String path, Pen pen) {
    }

    /** A rectangle, the darker the further off. */
    public record Area(double x, double y, double width, double height, double shade) {
    }

    /** Words at a place. */
    public record Label(double x, double y, String text, String anchor) {
    }

    /** Puts a drawing together. */
    public static final class Sheet {

        private final int width;
        private final int height;
        private final List<Stroke> strokes = new ArrayList<>();
        private final List<Area> areas = new ArrayList<>();
        private final List<Label> labels = new ArrayList<>();

        public Sheet(int width, int height) {
            this.width = width;
            this.height = height;
        }

        public Sheet line(Pen pen, double... xy) {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i < xy.length; i += 2) {
                path.append(i == 0 ? 'M' : 'L').append(px(xy[i])).append(' ').append(px(xy[i + 1]));
            }
            strokes.add(new Stroke(path.toString(), pen));
            return this;
        }

        public Sheet line(Pen pen, List<double[]> points, boolean closed) {
            StringBuilder path = new StringBuilder();
            points.forEach(p -> path.append(path.isEmpty() ? 'M' : 'L').append(px(p[0])).append(' ').append(px(p[1])));
            strokes.add(new Stroke(path + (closed ? "Z" : ""), pen));
            return this;
        }

        /** Small circles, drawn as paths so that they have a pen. */
        public Sheet dots(Pen pen, List<double[]> points) {
            StringBuilder path = new StringBuilder();
            points.forEach(p -> path.append('M').append(px(p[0] - 2.5)).append(' ').append(px(p[1]))
                    .append("a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0"));
            strokes.add(new Stroke(path.toString(), pen));
            return this;
        }

        public Sheet circle(Pen pen, double x, double y, double r) {
            strokes.add(new Stroke("M" + px(x - r) + " " + px(y) + "a" + px(r) + " " + px(r) + " 0 1 0 " + px(2 * r) + " 0a" + px(r) + " "
                    + px(r) + " 0 1 0 " + px(-2 * r) + " 0", pen));
            return this;
        }

        public Sheet area(double x, double y, double w, double h, double shade) {
            areas.add(new Area(tenth(x), tenth(y), tenth(w), tenth(h), Math.round(shade * 100) / 100.0));
            return this;
        }

        public Sheet label(double x, double y, String text, String anchor) {
            labels.add(new Label(tenth(x), tenth(y), text, anchor));
            return this;
        }

        public PlotView done(String says) {
            return new PlotView(width, height, List.copyOf(strokes), List.copyOf(areas), List.copyOf(labels), says);
        }

        private static double tenth(double px) {
            return Math.round(px * 10) / 10.0;
        }

        private static String px(double px) {
            return String.format(Locale.ROOT, "%.1f", px);
        }
    }
}
