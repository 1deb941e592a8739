package tallledger.web.pictures;

import java.util.function.DoubleFunction;
import tallledger.core.price.Offer;
import tallledger.core.verdict.Money;
import tallledger.web.pictures.PlotView.Pen;
import tallledger.web.pictures.PlotView.Sheet;

/** From the value the reckoning starts from down to the offer, a bar a step, and how far opening and ceiling lie. */
public final class MoneyWalk {

    private static final int WIDTH = 640;
    private static final int ROW = 34;
    private static final double LEFT = 150;
    private static final double RIGHT = 96;
    private static final double BAR = 18;

    private MoneyWalk() {
    }

    /** @param say an amount in words */
    public static PlotView of(Money money, DoubleFunction<String> say) {
        Offer offer = money.offer().orElseThrow();
        double across = (WIDTH - LEFT - RIGHT) / offer.start();
        Sheet sheet = new Sheet(WIDTH, 5 * ROW + 34);
        double afterPutRight = offer.start() - money.putRight().mean();
        double afterKit = afterPutRight - money.kit();
        bar(sheet, 0, "starts from", 0, offer.start(), offer.start(), across, say, 0.25);
        bar(sheet, 1, "− put right", afterPutRight, offer.start(), money.putRight().mean(), across, say, 0.7);
        double worse = Math.max(0, offer.start() - money.putRight().eightieth());
        sheet.line(Pen.OTHER, LEFT + worse * across, ROW + 4 + BAR / 2, LEFT + Math.max(0, afterPutRight) * across, ROW + 4 + BAR / 2);
        bar(sheet, 2, "− kit not there", afterKit, afterPutRight, money.kit(), across, say, 0.7);
        bar(sheet, 3, "− share of the unknown", offer.offer(), afterKit, afterKit - offer.offer(), across, say, 0.7);
        bar(sheet, 4, "offer", 0, offer.offer(), offer.offer(), across, say, 0.4);
        double y = 4 * ROW + 4 + BAR / 2;
        double low = LEFT + offer.opening() * across;
        double high = LEFT + offer.ceiling() * across;
        sheet.line(Pen.READ, low, y, high, y).line(Pen.READ, low, y - 8, low, y + 8).line(Pen.READ, high, y - 8, high, y + 8);
        sheet.label(LEFT, 5 * ROW + 14, "broken: put right at its 80th percentile; on the offer: from opening to ceiling", "start");
        return sheet.done("From " + say.apply(offer.start()) + " less what must be put right, the kit that is not there and a share of the unknown to an offer of " + say.apply(offer.offer())
                + ", between " + say.apply(offer.opening()) + " and " + say.apply(offer.ceiling()));
    }

    private static void bar(Sheet sheet, int row, String name, double from, double to, double amount, double across, DoubleFunction<String> say, double shade) {
        double y = row * ROW + 4;
        double left = LEFT + Math.max(0, from) * across;
        double right = LEFT + Math.max(0, to) * across;
        sheet.area(left, y, Math.max(right - left, 1), BAR, shade);
        sheet.label(LEFT - 8, y + 14, name, "end").label(WIDTH - 4, y + 14, say.apply(amount), "end");
    }
}
