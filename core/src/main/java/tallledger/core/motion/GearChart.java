package tallledger.core.motion;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedRatio;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * What the thread or feed chart promises: pitch = (Π drivers / Π driven) · lead screw pitch · box factor.
 *
 * @param leadScrew pitch of the lead screw
 * @param factors   factors of the feed box, 1 where there is none
 * @param promised  every pitch or feed on the chart
 * @param reach     sums of teeth a two-wheel quadrant spans; empty where nobody measured
 * @param buyable   teeth of wheels that can be made or bought
 * @param usual     whether nobody promises anything: then the usual pitches stand there, to see which of them can be cut
 */
public record GearChart(TypedLength leadScrew, List<BigDecimal> factors, List<TypedLength> promised, Optional<Teeth> reach, Teeth buyable,
        boolean usual) {

    /** Coarse pitches after ISO 261, and the quarter-millimetre ones between, mm. */
    private static final String USUAL_MM = "0.5; 0.7; 0.75; 0.8; 1; 1.25; 1.5; 1.75; 2; 2.5; 3; 3.5; 4; 4.5; 5; 5.5; 6";
    /** Threads an inch of the coarse series after ISO 263. */
    private static final String USUAL_INCH = "40; 32; 28; 24; 20; 18; 16; 14; 13; 12; 11; 10; 9; 8; 7; 6; 5; 4.5; 4";

    public static final int MOST_PROMISED = 60;
    private static final int MOST_FACTORS = 12;

    /** A range of teeth, both ends included. */
    public record Teeth(int least, int most) {
        public Teeth {
            if (least < 1 || most < least || most > 999) {
                throw Refused.because(MotionReason.WHEELS_RANGE, least, most);
            }
        }

        boolean holds(int teeth) {
            return teeth >= least && teeth <= most;
        }

        /** Written "20-127"; empty where nothing is written. */
        static Optional<Teeth> parse(String text) {
            if (text.isBlank()) {
                return Optional.empty();
            }
            String[] ends = text.strip().split("\\s*[-–]\\s*|\\s+");
            if (ends.length != 2 || !ends[0].matches("\\d{1,3}") || !ends[1].matches("\\d{1,3}")) {
                throw Refused.because(MotionReason.WHEELS_RANGE_FORM, text);
            }
            return Optional.of(new Teeth(Integer.parseInt(ends[0]), Integer.parseInt(ends[1])));
        }
    }

    public GearChart {
        factors = List.copyOf(factors);
        promised = List.copyOf(promised);
        if (leadScrew.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, leadScrew.typed()).at("leadScrew");
        }
        if (promised.isEmpty() || promised.size() > MOST_PROMISED) {
            throw Refused.because(MotionReason.CHART_PROMISED, promised.size(), MOST_PROMISED).at("promised");
        }
        if (factors.isEmpty() || factors.size() > MOST_FACTORS) {
            throw Refused.because(MotionReason.CHART_FACTORS, factors.size(), MOST_FACTORS).at("factors");
        }
    }

    /** From text as typed: lists are parted by commas, semicolons or line ends. */
    public static GearChart parse(String leadScrew, String factors, String promised, String reach, String buyable, LengthUnit unit) {
        TypedLength screw = at("leadScrew", () -> TypedLength.parse(leadScrew, unit));
        List<BigDecimal> box = new ArrayList<>();
        for (String factor : factors.isBlank() ? List.of("1") : parts(factors)) {
            box.add(at("factors", () -> TypedRatio.parse(factor)));
        }
        List<TypedLength> pitches = new ArrayList<>();
        boolean usual = parts(promised).isEmpty();
        boolean inch = unit == LengthUnit.INCH || leadScrew.contains("tpi");
        for (String pitch : usual ? parts(inch ? USUAL_INCH.replace(";", " tpi;") + " tpi" : USUAL_MM.replace(";", " mm;") + " mm")
                : parts(promised)) {
            pitches.add(at("promised", () -> positive(TypedLength.parse(pitch, unit))));
        }
        Optional<Teeth> spans = at("reach", () -> Teeth.parse(reach));
        Teeth makeable = at("buyable", () -> Teeth.parse(buyable)).orElse(new Teeth(20, 127));
        return new GearChart(screw, box, pitches, spans, makeable, usual);
    }

    private static TypedLength positive(TypedLength length) {
        if (length.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, length.typed());
        }
        return length;
    }

    private static <T> T at(String field, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    private static List<String> parts(String text) {
        return java.util.Arrays.stream(text.split("[;\\n]|,(?=\\s)")).map(String::strip).filter(t -> !t.isEmpty()).toList();
    }
}
