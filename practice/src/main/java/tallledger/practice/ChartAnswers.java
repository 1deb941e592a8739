package tallledger.practice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.measuring.AxisPositioning;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.CircularPath;
import tallledger.core.measuring.DipUnderThrust;
import tallledger.core.measuring.DirectionByTurnedBar;
import tallledger.core.measuring.FlatnessByGrid;
import tallledger.core.measuring.InfeedByWork;
import tallledger.core.measuring.MethodVisitor;
import tallledger.core.measuring.ParallelismByIndicator;
import tallledger.core.measuring.RepeatabilityOfPlace;
import tallledger.core.measuring.RoundnessOfPiece;
import tallledger.core.measuring.RunoutByHalfTurn;
import tallledger.core.measuring.RunoutInTwoPlanes;
import tallledger.core.measuring.ScaleByGaugeLengths;
import tallledger.core.measuring.SingleSwing;
import tallledger.core.measuring.SpreadOfPieces;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.measuring.SquarenessByTurnedSquare;
import tallledger.core.measuring.StepResponse;
import tallledger.core.measuring.StraightnessByIndicator;
import tallledger.core.measuring.StraightnessByLevel;
import tallledger.core.measuring.TaperAgainstNominal;
import tallledger.core.measuring.TaperByCollars;
import tallledger.core.measuring.TwistByLevels;
import tallledger.core.rules.Rules;

/**
 * What a surveyor would read at a line of the acceptance chart of a sound machine: well within the sound limit, with the scatter of the
 * hand and the last digit of the gauge.
 */
final class ChartAnswers implements MethodVisitor<Map<String, String>> {

    private final ChartLine<?> line;
    private final double per;
    private final RandomGenerator random;
    /** What the machine is off by over the length the limit is stated for, mm. */
    private final double off;

    ChartAnswers(ChartLine<?> line, Rules rules, RandomGenerator random) {
        this.line = line;
        this.per = Math.max(line.per().doubleValue(), 1);
        this.random = random;
        this.off = rules.graded(line.graded()).rebuilt().doubleValue() * (0.3 + 0.25 * random.nextDouble());
    }

    Map<String, String> typed() {
        return line.method().accept(this);
    }

    @Override
    public Map<String, String> singleSwing(SingleSwing method) {
        return line.per().signum() > 0 ? Map.of("value", mm(off), "over", line.per().toPlainString() + " mm")
                : Map.of("value", mm(off));
    }

    @Override
    public Map<String, String> straightnessByLevel(StraightnessByLevel method) {
        // A hump of the height that the limit allows over so much, in rises of a level.
        return Map.of("sensitivity", "0.02", "feet", "250 mm", "divisions",
                row(6, i -> Math.round(2 * (off * 1500 / per) * (i < 3 ? 1 : -1) / 3 / 0.005) / 2.0, 1, ""));
    }

    @Override
    public Map<String, String> twistByLevels(TwistByLevels method) {
        return Map.of("sensitivity", "0.02", "feet", "250 mm", "levels",
                row(5, i -> Math.round(2 * off / 0.02 * i / 4) / 2.0, 1, ""));
    }

    @Override
    public Map<String, String> straightnessByIndicator(StraightnessByIndicator method) {
        return Map.of("spacing", "60 mm", "along", row(6, i -> off * 300 / per * Math.sin(Math.PI * i / 5) + hand(),
                3, "mm"));
    }

    @Override
    public Map<String, String> parallelismByIndicator(ParallelismByIndicator method) {
        return Map.of("spacing", "25 mm", "along", row(5, i -> off * 100 / per * i / 4 + hand() / 2, 3, "mm"));
    }

    @Override
    public Map<String, String> flatnessByGrid(FlatnessByGrid method) {
        return Map.of("stepAcross", "100 mm", "stepDown", "60 mm", "heights", IntStream.range(0, 3)
                .mapToObj(r -> row(6, i -> off * 500 / per * Math.sin(Math.PI * i / 5) * Math.sin(Math.PI * (r + 1) / 4) + hand(), 3,
                        "mm"))
                .collect(Collectors.joining("\n")));
    }

    @Override
    public Map<String, String> directionByTurnedBar(DirectionByTurnedBar method) {
        return Map.of("nearFar", "0mm " + mm(off * 200 / per + 0.004).replace(" ", ""), "nearFarTurned",
                "0mm " + mm(off * 200 / per - 0.004).replace(" ", ""), "between", "200 mm");
    }

    @Override
    public Map<String, String> runoutInTwoPlanes(RunoutInTwoPlanes method) {
        return Map.of("near", round(off * 0.2, 40), "far", round(off * 0.5, 60), "apart", "280 mm");
    }

    @Override
    public Map<String, String> runoutByHalfTurn(RunoutByHalfTurn method) {
        return Map.of("first", round(off * 0.5, 30), "turned", round(off * 0.3, 210));
    }

    @Override
    public Map<String, String> roundnessOfPiece(RoundnessOfPiece method) {
        return Map.of("round",
                row(12, k -> 0.02 + off * (0.3 * Math.cos(2 * Math.PI * k / 12) + 0.25 * Math.cos(4 * Math.PI * k / 12)), 4, "mm"));
    }

    @Override
    public Map<String, String> squarenessBySweep(SquarenessBySweep method) {
        return Map.of("radius", "120 mm", "right", mm(off * 240 / per), "back", mm(-off * 240 / per / 2), "bolts", "70 mm");
    }

    @Override
    public Map<String, String> taperByCollars(TaperByCollars method) {
        return Map.of("head", mm(40 + off * 150 / per), "tail", "40.000 mm", "apart", "150 mm");
    }

    @Override
    public Map<String, String> repeatabilityOfPlace(RepeatabilityOfPlace method) {
        return Map.of("repeats", row(5, i -> 0.02 + off * random.nextDouble(), 4, "mm"));
    }

    @Override
    public Map<String, String> spreadOfPieces(SpreadOfPieces method) {
        return Map.of("pieces", row(8, i -> 20 + off * (i / 7.0 + 0.3 * random.nextDouble()), 4, "mm"));
    }

    @Override
    public Map<String, String> stepResponse(StepResponse method) {
        return Map.of("commanded", "0.010 mm", "stood", row(6, i -> 0.010 * i + off * 0.3 * random.nextDouble(), 4, "mm"));
    }

    @Override
    public Map<String, String> axisPositioning(AxisPositioning method) {
        return Map.of("targets", IntStream.range(0, 5).mapToObj(i -> 80 * i + " mm: " + microns(i, 1) + " / " + microns(i, -1))
                .collect(Collectors.joining("\n")));
    }

    @Override
    public Map<String, String> scaleByGaugeLengths(ScaleByGaugeLengths method) {
        return Map.of("lengths",
                IntStream.rangeClosed(1, 4).mapToObj(i -> 75 * i + "mm " + mm(75 * i + off * i / 4 + hand()).replace(" ", ""))
                        .collect(Collectors.joining("\n")));
    }

    @Override
    public Map<String, String> dipUnderThrust(DipUnderThrust method) {
        return Map.of("dip", mm(off * 0.8), "thrust", "0.80");
    }

    @Override
    public Map<String, String> squarenessByTurnedSquare(SquarenessByTurnedSquare method) {
        return Map.of("square", mm(off * 200 / per + 0.003), "squareTurned", mm(off * 200 / per - 0.003), "blade", "200 mm");
    }

    @Override
    public Map<String, String> infeedByWork(InfeedByWork method) {
        return Map.of("infeeds", "0.020mm 0.020mm 0.010mm 0.010mm 0.005mm", "counts", "DIAMETER", "before", "40.000 mm",
                "after", mm(39.935 + off * 2), "sparked", mm(39.935 + off));
    }

    @Override
    public Map<String, String> circularPath(CircularPath method) {
        return Map.of("nominal", "100 mm", "counter", circle(1), "clockwise", circle(-1));
    }

    @Override
    public Map<String, String> taperAgainstNominal(TaperAgainstNominal method) {
        return Map.of("large", mm(44.4 + off * 125 / per), "small", "38.150 mm", "apart", "125.00 mm", "nominalTaper", "1:20");
    }

    private double hand() {
        return 0.0004 * random.nextGaussian();
    }

    private static String mm(double length) {
        return BigDecimal.valueOf(length).setScale(3, RoundingMode.HALF_UP).toPlainString() + " mm";
    }

    private static String row(int count, IntToDoubleFunction at, int digits, String unit) {
        return IntStream.range(0, count)
                .mapToObj(i -> BigDecimal.valueOf(at.applyAsDouble(i)).setScale(digits, RoundingMode.HALF_UP).toPlainString() + unit)
                .collect(Collectors.joining(" "));
    }

    private String round(double e, double degrees) {
        return row(12, k -> 0.05 + e * Math.cos(2 * Math.PI * k / 12 - Math.toRadians(degrees)) + hand() / 2, 3, "mm");
    }

    /** A screw a little long, half a hundredth of play, and the hand. */
    private String microns(int target, int side) {
        return row(5, j -> 1000 * (off * 0.4 * target / 4 + side * off * 0.1) + 0.4 * random.nextGaussian(), 1, "");
    }

    private String circle(int way) {
        double micrometres = off * 1000 * 0.3;
        return IntStream.range(0, 180).mapToObj(k -> {
            double t = Math.toRadians(2 * k);
            double lost = way * micrometres / 2 * Math.signum(Math.sin(t)) * Math.cos(t);
            return 2 * k + " " + BigDecimal.valueOf(micrometres * 0.6 * Math.sin(2 * t) + lost + 0.2 * random.nextGaussian())
                    .setScale(1, RoundingMode.HALF_UP).toPlainString();
        }).collect(Collectors.joining("\n"));
    }
}
