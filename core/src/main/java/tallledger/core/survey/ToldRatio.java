package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.gauge.Gauge;
import tallledger.core.machine.Claim;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A ratio nobody knew, or that somebody only said,
         told by readings (W 1.3): the same position of all other stages with it and with another position of its stage,
 * e^(mean of ln(n_1/n_2)), u from the readings' own. Pairs that differ by more than their U are not one ratio.
 *
 * <p>Worked (each reading good to 0.3 %): 141/31.2 = 4.519 and 2 870/637 = 4.505: 4.512 ± 0.028, so 4.5 and not 5.
 *
 * @param stage    of the drive
 * @param position whose ratio nobody knew
 * @param against  the position it is told against
 * @param ratio    how many times slower than that one; under 1 where it is faster
 * @param expanded U of it, k = 2
 * @param one      whether the pairs agree on one ratio
 * @param entries  runs it rests on
 */
public record ToldRatio(String stage, String position, String against, double ratio, double expanded, boolean one, List<Integer> entries) {

    private static final MathContext SHOWN = new MathContext(6);

    /** Two runs that differ by this stage alone. */
    private record RatioPair(double ln, double u, int first, int second) {
    }

    /** Every such position of which a pair was read, in the order of the drive. */
    public static List<ToldRatio> of(SpindleSurvey survey) {
        DriveTrain train = survey.machine().train();
        List<ToldRatio> told = new ArrayList<>();
        for (int s = 0; s < train.stages().size(); s++) {
            Stage stage = train.stages().get(s);
            if (!stage.isChoice() || stage.kind().slides() || stage.kind() == StageKind.DIRECTION || stage.kind() == StageKind.MOTOR) {
                continue;
            }
            int at = s;
            IntStream.range(0, stage.positions().size()).filter(p -> isWord(stage.positions().get(p).transmission()))
                    .mapToObj(p -> told(survey, at, p)).flatMap(Optional::stream).forEach(told::add);
        }
        return told;
    }

    /** Nobody knows it, or somebody said a ratio that is not direct: readings may tell. Teeth and grooves are counted, not said. */
    private static boolean isWord(Transmission does) {
        return does instanceof Transmission.Unknown || does instanceof Transmission.Ratio r && r.ratio().compareTo(BigDecimal.ONE) != 0;
    }

    /** Against the first position of its stage that is known for itself. */
    private static Optional<ToldRatio> told(SpindleSurvey survey, int stage, int position) {
        Stage of = survey.machine().train().stages().get(stage);
        return IntStream.range(0, of.positions().size()).filter(q -> of.positions().get(q).transmission().factor().isPresent()
                && !isWord(of.positions().get(q).transmission()))
                .mapToObj(q -> of(pairs(survey, stage, position, q), of, position, q)).flatMap(Optional::stream).findFirst();
    }

    private static Optional<ToldRatio> of(List<RatioPair> pairs, Stage of, int position, int against) {
        if (pairs.isEmpty()) {
            return Optional.empty();
        }
        double mean = pairs.stream().mapToDouble(RatioPair::ln).average().orElseThrow();
        double u = Math.sqrt(pairs.stream().mapToDouble(p -> p.u * p.u).sum()) / pairs.size();
        boolean one = pairs.stream().allMatch(p -> Math.abs(p.ln - mean) <= Gauge.COVERAGE_FACTOR * p.u);
        return Optional.of(new ToldRatio(of.name(), of.positions().get(position).label(), of.positions().get(against).label(),
                Math.exp(mean), Gauge.COVERAGE_FACTOR * u * Math.exp(mean), one,
                pairs.stream().flatMap(p -> List.of(p.first, p.second).stream()).distinct().sorted().toList()));
    }

    private static List<RatioPair> pairs(SpindleSurvey survey, int stage, int position, int against) {
        List<RatioPair> pairs = new ArrayList<>();
        for (Run slow : survey.counting()) {
            for (Run fast : survey.counting()) {
                boolean beside = slow.route().at(stage) == position && fast.route().at(stage) == against
                        && IntStream.range(0, survey.machine().train().stages().size())
                                .allMatch(s -> s == stage || slow.route().at(s) == fast.route().at(s));
                if (beside && slow.reading().isPresent() && fast.reading().isPresent()) {
                    SpeedReading a = fast.reading().get();
                    SpeedReading b = slow.reading().get();
                    pairs.add(new RatioPair(Math.log(a.rpm().doubleValue() / b.rpm().doubleValue()), Math.hypot(relative(a, survey.rules()),
                            relative(b, survey.rules())), fast.entry(), slow.entry()));
                }
            }
        }
        return pairs;
    }

    /** u of a reading as a share of it. */
    private static double relative(SpeedReading reading, Rules rules) {
        return reading.expanded(rules) / Gauge.COVERAGE_FACTOR / reading.rpm().doubleValue();
    }

    /** Whether a value somebody named lies within U of it. */
    public boolean holds(double named) {
        // Of a faster position people name how many times faster it is.
        return one && (ratio < 1 ? Math.abs(named - 1 / ratio) <= expanded / ratio / ratio : Math.abs(named - ratio) <= expanded);
    }

    /**
     * What to take it for: of the values somebody named the only one within U, else what was measured, to four digits; empty where the
     * pairs are not one ratio, and of a position that is the faster one.
     */
    public Optional<BigDecimal> taken(List<Claim> claims) {
        List<BigDecimal> stand = claims.stream().filter(c -> c.attribute() == Claim.Attribute.RATIO).flatMap(c -> named(c).stream())
                .filter(n -> holds(n.doubleValue())).distinct().toList();
        return !one || ratio < 1 ? Optional.empty()
                : Optional.of(stand.size() == 1 ? stand.get(0)
                        : new BigDecimal(ratio).round(new MathContext(4)));
    }

    private static final Pattern NAMED = Pattern.compile("(?<![\\d.:])\\d{1,4}(?:\\.\\d{1,4})?(?![\\d.])");

    /** Figures that a claim names for a ratio: "3.5 to 1, or perhaps 4" names 3.5 and 4. */
    public static List<BigDecimal> named(Claim claim) {
        return NAMED.matcher(claim.value().toLowerCase(Locale.ROOT).replaceAll("(?:to|:) ?1(?![\\d.])", "")).results()
                .map(m -> new BigDecimal(m.group())).distinct().toList();
    }

    /** In words: the ratio with what it leaves open, and from how many pairs; or that the pairs are not one ratio. */
    public Reason says() {
        boolean faster = ratio < 1;
        SurveyReason said = !one ? SurveyReason.RATIO_SEVERAL : faster ? SurveyReason.RATIO_FASTER : SurveyReason.RATIO_TOLD;
        return Reason.of(said, stage + " " + position, stage + " " + against, new Quantity(new BigDecimal(faster ? 1 / ratio : ratio)
                .round(SHOWN), faster ? expanded / ratio / ratio : expanded, Unit.NUMBER));
    }
}
