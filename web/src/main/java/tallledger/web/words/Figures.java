package tallledger.web.words;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Figures as they stand on the pages: decimal point, thousands parted by a no-break space. */
public final class Figures {

    private static final char THIN = '\u00a0';

    private Figures() {
    }

    public static String plain(BigDecimal number) {
        String digits = number.stripTrailingZeros().scale() <= 0
                ? number.setScale(0, RoundingMode.UNNECESSARY).toPlainString() : number.toPlainString();
        int point = digits.indexOf('.');
        String whole = point < 0 ? digits : digits.substring(0, point);
        return whole.replaceAll("(?<=\\d)(?=(\\d{3})+$)", String.valueOf(THIN)) + (point < 0 ? "" : digits.substring(point));
    }

    /** A share as a signed percentage with one decimal: "+1.6 %". */
    public static String percent(BigDecimal share) {
        BigDecimal percent = share.movePointRight(2).setScale(1, RoundingMode.HALF_UP);
        return (percent.signum() > 0 ? "+" : percent.signum() < 0 ? "−" : "") + percent.abs().toPlainString() + THIN + "%";
    }
}
