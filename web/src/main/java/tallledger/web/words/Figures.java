package tallledger.web.words;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import tallledger.core.unit.Shown;

/** Figures as they stand on the pages: decimal point, thousands parted by a no-break space. */
public final class Figures {

    private static final char THIN = '\u00a0';

    private Figures() {
    }

    public static String plain(BigDecimal number) {
        return grouped(number.stripTrailingZeros().scale() <= 0 ? number.setScale(0, RoundingMode.UNNECESSARY).toPlainString()
                : number.toPlainString());
    }

    /** A value with its uncertainty, both to the same place: "0.090 ± 0.009"; trailing noughts are figures here. */
    public static String shown(Shown shown) {
        return grouped(shown.value().toPlainString()) + THIN + "±" + THIN + grouped(shown.expanded().toPlainString());
    }

    /** A factor, to three digits. */
    public static String ratio(double factor) {
        BigDecimal rounded = BigDecimal.valueOf(factor).round(new MathContext(3));
        return rounded.compareTo(BigDecimal.ONE) == 0 ? "1" : rounded.toPlainString();
    }

    private static String grouped(String digits) {
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
