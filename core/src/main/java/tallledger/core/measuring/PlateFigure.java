package tallledger.core.measuring;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** A figure of a plate that claims are held against. */
public enum PlateFigure {

    /** When it was made. */
    YEAR("year") {
        @Override
        String read(Values values) {
            String typed = values.text(field());
            Matcher year = A_YEAR.matcher(typed);
            if (!year.find() || year.find()) {
                throw Refused.because(MeasuringReason.YEAR_UNREAD, typed).at(field());
            }
            return typed;
        }
    },
    /** What a motor gives; a bare figure is kW, on an inch machine hp. */
    POWER("power") {
        @Override
        String read(Values values) {
            values.power(field());
            String typed = values.text(field());
            return typed.chars().anyMatch(Character::isLetter) ? typed : typed + (values.bare() == LengthUnit.INCH ? " hp" : " kW");
        }
    };

    /** Four digits between 1800 and 2099. */
    public static final Pattern A_YEAR = Pattern.compile("(?<!\\d)(?:18|19|20)\\d\\d(?!\\d)");

    private final String field;

    PlateFigure(String field) {
        this.field = field;
    }

    String field() {
        return field;
    }

    /**
     * As typed, with its unit.
     *
     * @throws Refused where it is no such figure
     */
    abstract String read(Values values);
}
