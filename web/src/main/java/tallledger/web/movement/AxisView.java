package tallledger.web.movement;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Backlash;
import tallledger.core.motion.FeedReading;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.InUnit;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.pictures.Pen;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * An axis drawn: its travel against the claim, feed and rapid each way, trips, lock, and backlash along the screw.
 *
 * @param claimed  px of the claimed travel's bar; 0 where nobody claims
 * @param measured px of the measured one; 0 while it was not measured
 * @param travel   travel in words
 * @param ways     feed, rapid and trip each way
 * @param rest     lock, play and the like, with what they came to
 * @param bars     backlash at each station
 * @param says     what the backlash says of screw and nut
 */
public record AxisView(String name, String minus, String plus, double claimed, double measured, String travel, List<MovementArrow> ways,
        List<AxisLine> rest, List<Bar> bars, String says, int height) {

    static final int LEFT = 170;
    static final int WIDTH = 460;
    private static final int MIDDLE = 400;
    private static final int REACH = 200;
    private static final int GAP = 20;
    private static final int HEAD = 12;
    private static final int HEAD_LONG = 10;
    private static final int FIRST = 74;
    private static final int PITCH = 26;

    /** One thing done one way: drawn as an arrow to that side. */
    public record MovementArrow(String key, String name, boolean toPlus, String mark, String figure, int y, boolean twice) {

        public Pen pen() {
            return Pen.of(mark);
        }

        /** An arrow to its side, with a second head where it is rapid. */
        public String arrow() {
            int shaft = toPlus ? 1 : -1;
            int end = MIDDLE + shaft * REACH;
            String shaftPath = "M" + (MIDDLE + shaft * GAP) + " " + (y + HEAD / 2) + "H" + end;
            return shaftPath + head(end, shaft) + (twice ? head(end - shaft * HEAD_LONG, shaft) : "");
        }

        private String head(int tip, int shaft) {
            int back = tip - shaft * HEAD_LONG;
            return "M" + back + " " + y + "L" + tip + " " + (y + HEAD / 2) + "L" + back + " " + (y + HEAD);
        }
    }

    /** One more step of the axis. */
    public record AxisLine(String key, String name, String mark, String figure) {
    }

    /** Backlash at one station: height in px, what it is. */
    public record Bar(double x, double height, String lost) {
    }

    public static AxisView of(StepLedger ledger, Axis axis, LengthUnit unit, Words words) {
        List<Step> steps = ledger.steps().stream().filter(s -> s.axis().filter(axis.id()::equals).isPresent()).toList();
        double claim = axis.travel().isBlank() ? 0 : TypedLength.parse(axis.travel(), unit).mm().doubleValue();
        double travelled = result(ledger, steps, "travel").flatMap(r -> r.as(AxisTravel.TravelReading.class))
                .map(l -> l.length().mm().doubleValue()).orElse(0.0);
        double longest = Math.max(Math.max(claim, travelled), 1);
        List<MovementArrow> ways = ways(ledger, unit, steps, words);
        List<AxisLine> rest =
                steps.stream().filter(s -> s.about().size() < 2 && !s.code().equals("travel")).map(s -> line(ledger, s, words))
                        .toList();
        Optional<Backlash> backlash = result(ledger, steps, "backlash").flatMap(r -> r.as(ScrewBacklash.LostMotion.class))
                .map(ScrewBacklash.LostMotion::backlash);
        return new AxisView(axis.name(), axis.minus(), axis.plus(), WIDTH * claim / longest, WIDTH * travelled / longest,
                travel(ledger, steps, words), ways, rest,
                backlash.map(b -> bars(b, unit, words)).orElse(List.of()),
                backlash.map(b -> words.say(InUnit.of(b.says(ledger.rules()), unit))).orElse(""), FIRST + ways.size() / 2 * PITCH + 8);
    }

    private static Optional<StepResult> result(StepLedger ledger, List<Step> steps, String code) {
        return steps.stream().filter(s -> s.code().equals(code)).map(s -> ledger.latest().get(s.id())).filter(Objects::nonNull).findFirst();
    }

    private static String travel(StepLedger ledger, List<Step> steps, Words words) {
        return result(ledger, steps, "travel").map(r -> words.say(r.judgement().because().get(0))).orElse(words.say("movement.unmeasured"));
    }

    /** Feed, rapid and trip each way: the same thing to both sides stands on one line. */
    private static List<MovementArrow> ways(StepLedger ledger, LengthUnit unit, List<Step> steps, Words words) {
        List<MovementArrow> ways = new ArrayList<>();
        List<Step> each = steps.stream().filter(s -> s.about().size() == 2).toList();
        for (int i = 0; i < each.size(); i++) {
            Step step = each.get(i);
            Optional<StepResult> result = Optional.ofNullable(ledger.latest().get(step.id()));
            ways.add(new MovementArrow(step.id().written(), words.shortly("movement." + step.code(), step.name()),
                    step.id().side() == StepId.Side.PLUS, mark(ledger, step, result), figure(result, unit, words),
                    FIRST + i / 2 * PITCH, step.code().equals("rapid")));
        }
        return ways;
    }

    private static String figure(Optional<StepResult> result, LengthUnit unit, Words words) {
        return result.flatMap(r -> r.as(FeedReading.class)).map(feed -> words.in(unit, feed.rate(), feed.unit())).orElse("");
    }

    private static AxisLine line(StepLedger ledger, Step step, Words words) {
        Optional<StepResult> result = Optional.ofNullable(ledger.latest().get(step.id()));
        String because = result.map(r -> r.judgement().because().isEmpty() ? r.remark() : words.say(r.judgement().because().get(0)))
                .orElse("");
        return new AxisLine(step.id().written(), words.shortly("movement." + step.code(), step.name()), mark(ledger, step, result),
                because);
    }

    private static String mark(StepLedger ledger, Step step, Optional<StepResult> result) {
        return result.map(r -> new Marks().of(r.outcome())).orElse(ledger.passed().containsKey(step.id()) ? "passed"
                : ledger.isSpared(step)
                        ? "inferred"
                        : "open");
    }

    /** Bars at the two ends and the middle, the tallest 40 px. */
    private static List<Bar> bars(Backlash backlash, LengthUnit unit, Words words) {
        List<Bar> bars = new ArrayList<>();
        double most = Math.max(backlash.greatest().doubleValue(), 0.001);
        int last = backlash.stations().size() - 1;
        for (int i = 0; i <= last; i++) {
            BigDecimal mean = backlash.stations().get(i).mean();
            bars.add(new Bar(LEFT + (double) WIDTH * i / last, 40 * mean.doubleValue() / most,
                    words.in(unit, mean.setScale(3, RoundingMode.HALF_UP), Unit.MILLIMETRES)));
        }
        return bars;
    }
}
