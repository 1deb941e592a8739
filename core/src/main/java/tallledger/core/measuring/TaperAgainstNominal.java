package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Refused;
import tallledger.core.reason.Sentence;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;

/**
 * A taper by two diameters a known length apart, at two collars of a plug gauge or of the piece, against the taper it was set to.
 *
 * <p>e = (D − d) − n·L, D and d the larger and the smaller diameter, L from one to the other, n the nominal taper on the diameter; its
 * included angle is 2·arctan(n/2). Judged is |e| over L. U: the difference of two diameters, and n times the last digit of L. Whoever draws
 * a dial along the piece on a sine bar set to the nominal angle types that difference as the result, over the length it was drawn.
 *
 * <p>Worked: 44.399 and 38.150 mm, 125 mm apart, 1:20: 6.249 − 6.25 = −0.001 mm; 4.9992 mm in 100, nominal 5.
 */
public record TaperAgainstNominal() implements MeasuringMethod<TaperAgainstNominal.TaperReadings> {

    /** 1:20, 1 in 20, 7/24. */
    private static final Pattern RATIO = Pattern.compile("(\\d{1,4}(?:\\.\\d{1,8})?)\\s?(?::|/|in)\\s?(\\d{1,4}(?:\\.\\d{1,8})?)");
    /** 8.578° included. */
    private static final Pattern ANGLE = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,6})?)\\s?(?:°|deg|degrees)");
    private static final int LONGEST = 30;
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private enum Says implements ReasonCode {
        TAPER_SAYS("taper.says", "per", "length", "angle", "nominalPer", "nominalAngle"),
        TAPER_NOMINAL("taper.nominal", "typed"),
        TAPER_ORDER("taper.order", "small", "large");

        private final Sentence sentence;

        Says(String code, String... arguments) {
            sentence = Sentence.of(code, arguments);
        }

        @Override
        public Sentence sentence() {
            return sentence;
        }
    }

    /**
     * Two diameters.
     *
     * @param nominal taper on the diameter, without unit
     */
    public record TaperReadings(TypedLength large, TypedLength small, TypedLength apart, double nominal, Optional<Gauge> by) {

        /** Taper on the diameter as measured. */
        public double taper() {
            return large.mm().subtract(small.mm()).doubleValue() / apart.mm().doubleValue();
        }

        /** e, mm over the length from one to the other. */
        public double error() {
            return large.mm().subtract(small.mm()).doubleValue() - nominal * apart.mm().doubleValue();
        }
    }

    @Override
    public Rule gauge() {
        return Rule.MICROMETER;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.taperAgainstNominal(this);
    }

    @Override
    public <T> T accept(TaperReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.taperAgainstNominal(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("large", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("small", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("apart", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("nominalTaper", InputKind.TEXT, FieldUnit.NONE));
    }

    @Override
    public TaperReadings read(Values values, ChartLine<?> line) {
        TypedLength large = TypedRows.positive(values, "large");
        TypedLength small = TypedRows.positive(values, "small");
        if (small.mm().compareTo(large.mm()) > 0) {
            throw Refused.because(Says.TAPER_ORDER, small.typed(), large.typed()).at("small");
        }
        return new TaperReadings(large, small, TypedRows.positive(values, "apart"),
                values.at("nominalTaper", () -> nominal(values.text("nominalTaper"))), values.readWith());
    }

    private static double nominal(String typed) {
        String text = typed.length() > LONGEST ? "" : typed.strip();
        Matcher ratio = RATIO.matcher(text);
        if (ratio.matches() && new BigDecimal(ratio.group(2)).signum() > 0) {
            return Double.parseDouble(ratio.group(1)) / Double.parseDouble(ratio.group(2));
        }
        Matcher angle = ANGLE.matcher(text);
        if (angle.matches() && Double.parseDouble(angle.group(1)) < 180) {
            return 2 * Math.tan(Math.toRadians(Double.parseDouble(angle.group(1)) / 2));
        }
        throw Refused.because(Says.TAPER_NOMINAL, typed.length() > LONGEST ? typed.substring(0, LONGEST) + "…" : typed);
    }

    @Override
    public StepJudgement judge(TaperReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal difference = read.large.mm().subtract(read.small.mm());
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER))
                .difference(difference, read.large.step().max(read.small.step()))
                .withDigit(read.nominal * read.apart.step().doubleValue() / Gauge.RECTANGULAR);
        BigDecimal length = rules.length(HUNDRED);
        Reason says = Reason.of(Says.TAPER_SAYS, ReckonedFigures.shown(read.taper() * length.doubleValue()), Quantity.mm(length),
                degrees(read.taper()), ReckonedFigures.shown(read.nominal * length.doubleValue()), degrees(read.nominal));
        return line.judged(ReckonedFigures.decimal(Math.abs(read.error())), u, read.apart.mm(), rules, says);
    }

    /** Included angle, to a thousandth of a degree. */
    private static BigDecimal degrees(double taper) {
        return new BigDecimal(Math.toDegrees(2 * Math.atan(taper / 2)), MathContext.DECIMAL64).setScale(3, RoundingMode.HALF_UP)
                .stripTrailingZeros();
    }
}
