package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.geometry.Round;

/**
 * Readings round one turn on polar paper, much enlarged: the first at the top, on the way they were taken. What is out of round shows
 * between the two thin circles; what is out of centre as the broken circle.
 *
 * @param outline path through the readings
 * @param dots    one a reading
 * @param inner   radius of the least reading, px
 * @param outer   radius of the greatest, px
 * @param centreX of the circle that fits best, px
 * @param highX   end of the line to the high spot, px
 * @param between what lies between the thin circles, with its unit
 * @param angle   of the high spot, degrees
 */
public record PolarView(String outline, List<Dot> dots, double inner, double outer, double fit, double centreX, double centreY,
        double highX, double highY, String between, long angle) {

    static final int MIDDLE = 130;
    private static final double INNER = 48;
    private static final double SPREAD = 52;
    private static final double LABEL = 118;

    /** One reading. */
    public record Dot(double x, double y) {
    }

    /** @param written says a figure of so many µm */
    static PolarView of(Round round, Function<BigDecimal, String> written) {
        double least = round.readings().stream().mapToDouble(BigDecimal::doubleValue).min().orElseThrow();
        double tir = round.tir().doubleValue();
        double scale = tir > 0 ? SPREAD / tir : 0;
        List<Dot> dots = IntStream.range(0, round.count())
                .mapToObj(k -> at(round.angle(k), INNER + scale * (round.readings().get(k).doubleValue() - least))).toList();
        String outline = dots.stream().map(d -> d.x + " " + d.y).collect(Collectors.joining("L", "M", "Z"));
        Dot centre = at(round.highSpot(), scale * round.eccentricity());
        Dot high = at(round.highSpot(), LABEL);
        BigDecimal between = round.tir().movePointRight(3).round(new MathContext(3, RoundingMode.HALF_UP)).stripTrailingZeros();
        return new PolarView(outline, dots, INNER, tenth(INNER + scale * tir), tenth(INNER + scale * (round.mean() - least)), centre.x,
                centre.y, high.x, high.y, written.apply(between), Math.round(round.highSpot()) % 360);
    }

    /** Zero at the top, on clockwise. */
    private static Dot at(double degrees, double radius) {
        double turn = Math.toRadians(degrees);
        return new Dot(tenth(MIDDLE + radius * Math.sin(turn)), tenth(MIDDLE - radius * Math.cos(turn)));
    }

    private static double tenth(double px) {
        return Math.round(px * 10) / 10.0;
    }
}
