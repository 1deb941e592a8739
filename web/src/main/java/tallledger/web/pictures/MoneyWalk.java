package tallledger.web.pictures;

import java.util.List;
import java.util.function.DoubleFunction;
import tallledger.core.price.Offer;
import tallledger.core.verdict.Money;
import tallledger.web.pictures.PlotView.Sheet;
import tallledger.web.words.Words;

/** From the value the reckoning starts from down to the offer, a bar a step, and how far opening and ceiling lie. */
public final class MoneyWalk {

    private static final int WIDTH = 640;
    private static final int ROW = 34;
    private static final double LEFT = 150;
    private static final double RIGHT = 96;
    private static final double BAR = 18;

    private MoneyWalk() {
    }

    public static PlotView of(Money money, String currency, Words words) {
        DoubleFunction<String> say = amount -> words.money(amount, currency);
        DoubleFunction<String> offered = amount -> words.offer(amount, currency);
        Offer offer = money.offer().orElseThrow();
        double across = (WIDTH - LEFT - RIGHT) / offer.start();
        Sheet sheet = new Sheet(WIDTH, 5 * ROW + 34);
        double afterPutRight = offer.start() - money.putRight().mean();
        double afterKit = afterPutRight - money.kit();
        bar(sheet, 0, "starts from", 0, offer.start(), offer.start(), across, say, 0.25);
        bar(sheet, 1, "− repairs", afterPutRight, offer.start(), money.putRight().mean(), across, say, 0.7);
        double worse = Math.max(0, offer.start() - money.putRight().eightieth());
        sheet.line(Pen.OTHER, LEFT + worse * across, ROW + 4 + BAR / 2, LEFT + Math.max(0, afterPutRight) * across, ROW + 4 + BAR / 2);
        bar(sheet, 2, "− kit not there", afterKit, afterPutRight, money.kit(), across, say, 0.7);
        bar(sheet, 3, "− share of the unknown", afterKit - offer.doubt(), afterKit, offer.doubt(), across, say, 0.7);
        bar(sheet, 4, "offer", 0, offer.offer(), offer.offer(), across, offered, 0.4);
        double y = 4 * ROW + 4 + BAR / 2;
        double low = LEFT + offer.opening() * across;
        double high = LEFT + offer.ceiling() * across;
        sheet.line(Pen.READ, low, y, high, y).line(Pen.READ, low, y - 8, low, y + 8).line(Pen.READ, high, y - 8, high, y + 8);
        sheet.label(LEFT, 5 * ROW + 14, "broken: repairs at their 80th percentile; on the offer: from opening to ceiling", "start");
        return sheet.done(offer.onFloor() ? words.say("money.walk-floor", say.apply(offer.start()), say.apply(offer.floor()))
                : words.say("money.walk", say.apply(offer.start()), offered.apply(offer.offer()), offered.apply(offer.opening()),
                        offered.apply(offer.ceiling())));
    }

    /** What is left of the unknown over the minutes spent on what is worth most of them. */
    public static PlotView overMinutes(Money money, String currency, Words words) {
        DoubleFunction<String> say = amount -> words.money(amount, currency);
        List<double[]> curve = money.overMinutes();
        double[] last = curve.get(curve.size() - 1);
        double most = Math.max(curve.get(0)[1], 1);
        double across = (WIDTH - 80 - 20) / Math.max(last[0], 1);
        double floor = 150;
        Sheet sheet = new Sheet(WIDTH, 196);
        sheet.line(Pen.RULE, 80, 14, 80, floor, WIDTH - 20, floor);
        sheet.line(Pen.READ, curve.stream().map(p -> new double[] {80 + p[0] * across, floor - p[1] / most * (floor - 20)}).toList(),
                false);
        sheet.label(74, 24, say.apply(curve.get(0)[1]), "end").label(74, floor + 4, say.apply(0), "end");
        sheet.label(80, floor + 18, "now", "start").label(WIDTH - 20, floor + 18, Math.round(last[0]) + " min", "end");
        sheet.label(80, floor + 38, "what is left of the unknown, the steps worth most a minute first; what only runs would test stays",
                "start");
        return sheet.done("The unknown falls from " + say.apply(curve.get(0)[1]) + " to " + say.apply(last[1]) + " in "
                + Math.round(last[0]) + " minutes of steps");
    }

    private static void bar(Sheet sheet, int row, String name, double from, double to, double amount, double across,
            DoubleFunction<String> say, double shade) {
        double y = row * ROW + 4;
        double left = LEFT + Math.max(0, from) * across;
        double right = LEFT + Math.max(0, to) * across;
        sheet.area(left, y, Math.max(right - left, 1), BAR, shade);
        sheet.label(LEFT - 8, y + 14, name, "end").label(WIDTH - 4, y + 14, say.apply(amount), "end");
    }
}
