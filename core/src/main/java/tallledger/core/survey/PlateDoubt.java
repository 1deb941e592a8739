package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import tallledger.core.drive.StageCheck;
import tallledger.core.plate.Misreading;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.PlateRemark;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/**
 * A doubt about the plate beside what the survey has read there. A reading settles which of the two values stands, the plate's or the
 * one its other cells predict, when it lies with its whole uncertainty on one side of their geometric mean and within 6 % of that one
 * (house rule); after that nobody is asked to look again.
 *
 * <p>Worked: plate 280, predicted 251.3, read 252 ± 1.3: settled, the plate misleads. Read 283 ± 1.4: settled, the plate stands.
 *
 * @param remark  the doubt
 * @param settled which way, where a reading settled it
 */
public record PlateDoubt(PlateRemark remark, Optional<Settled> settled) {

    /**
     * What a reading settled.
     *
     * @param plateStands whether the plate's value is the right one; else the one its other cells predict
     * @param read        min⁻¹
     * @param entry       that it stands in
     */
    public record Settled(boolean plateStands, BigDecimal read, int entry, BigDecimal plate, BigDecimal predicted) {

        public Reason because() {
            return Reason.of(plateStands ? SurveyReason.DOUBT_PLATE_STANDS : SurveyReason.DOUBT_PLATE_MISLEADS, read, entry, plate,
                    predicted);
        }
    }

    private static final double NEAR = 0.06;
    /** How near a reading a value must lie to be what the cell means. */
    private static final double MEANT = 0.03;

    /** Every doubt there is about the plate of a survey. */
    public static List<PlateDoubt> of(SpindleSurvey survey) {
        PlateCheck check = PlateCheck.of(survey.machine().plate(), OptionalInt.empty(), survey.table().factors());
        return Stream.concat(check.remarks().stream(), StageCheck.of(survey.table()).stream()).filter(PlateRemark::isDoubt)
                .map(r -> new PlateDoubt(r, settle(survey, r))).toList();
    }

    private static Optional<Settled> settle(SpindleSurvey survey, PlateRemark remark) {
        if (remark.kind() != PlateRemark.Kind.SUSPECT || remark.predicted().isEmpty()) {
            return Optional.empty();
        }
        List<String> key = remark.cells().get(0);
        Optional<BigDecimal> shown = survey.machine().plate().cell(key).value();
        return survey.counting().stream().filter(run -> survey.machine().train().plateKey(run.route()).equals(key)
                && run.reading().isPresent() && !run.record().loaded())
                .reduce((earlier, later) -> later)
                .flatMap(run -> shown.flatMap(plate -> settle(run, survey.rules(), plate, remark.predicted().get())));
    }

    private static Optional<Settled> settle(Run run, Rules rules, BigDecimal plate, BigDecimal predicted) {
        BigDecimal read = run.reading().orElseThrow().rpm();
        double expanded = run.reading().orElseThrow().expanded(rules);
        double middle = Math.sqrt(plate.doubleValue() * predicted.doubleValue());
        if (Math.abs(read.doubleValue() - middle) <= expanded) {
            return Optional.empty();
        }
        boolean byPlate = read.doubleValue() > middle == plate.doubleValue() > middle;
        BigDecimal stands = byPlate ? plate : predicted;
        return off(read, stands) > NEAR ? Optional.empty()
                : Optional.of(new Settled(byPlate, read, run.entry(), plate, predicted));
    }

    /** Whether a reading settled that the plate's value is the one that is wrong. */
    public boolean misleads() {
        return settled.filter(s -> !s.plateStands).isPresent();
    }

    private static double off(BigDecimal read, BigDecimal value) {
        return Math.abs(Math.log(read.doubleValue() / value.doubleValue()));
    }

    /** What may be accepted that the cell means: all while nothing is settled, afterwards only what the reading bears out. */
    public List<Misreading> readings() {
        return settled.map(s -> s.plateStands ? List.<Misreading>of()
                : remark.readings().stream().filter(m -> off(s.read, m.value()) <= MEANT).toList()).orElseGet(remark::readings);
    }
}
