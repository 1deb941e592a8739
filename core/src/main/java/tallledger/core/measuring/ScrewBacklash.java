package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.motion.Backlash;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * Backlash at both ends and the middle of a screw, three readings each; the greatest is judged, the wear is said.
 *
 * @param scaled the axis has a readout
 * @param rack   it is moved along a rack, and nothing is said of a screw
 */
public record ScrewBacklash(String minus, String plus, boolean scaled, boolean rack) implements Recording<ScrewBacklash.LostMotion> {

    /**
     * LostMotion motion along a screw.
     *
     * @param step worth of the coarsest last digit, mm
     */
    public record LostMotion(Backlash backlash, BigDecimal step, Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.screwBacklash(this);
    }

    @Override
    public <T> T accept(LostMotion value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.screwBacklash(this, value);
    }

    @Override
    public String code() {
        return "backlash";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("minus", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("middle", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("plus", InputKind.SERIES, FieldUnit.DIAL));
    }

    @Override
    public LostMotion read(Values values) {
        List<TypedLength> left = values.lengths("minus");
        List<TypedLength> middle = values.lengths("middle");
        List<TypedLength> right = values.lengths("plus");
        // The coarsest digit of all three places: where one end is typed to a tenth, nobody knows which place is the greatest.
        BigDecimal step = Values.coarsest(Stream.of(left, middle, right).flatMap(List::stream).toList());
        Backlash backlash = Backlash.of(List.of(values.at("minus", () -> named(minus, left)),
                values.at("middle", () -> named("the middle", middle)), values.at("plus", () -> named(plus, right))));
        return new LostMotion(backlash, step, values.readWith());
    }

    private static Backlash.Station named(String name, List<TypedLength> readings) {
        return new Backlash.Station(name, readings.stream().map(TypedLength::mm).toList());
    }

    @Override
    public StepJudgement judge(LostMotion read, Rules rules) {
        Backlash backlash = read.backlash;
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(backlash.greatest(), read.step)
                .repeated(backlash.loosest().readings().stream().map(BigDecimal::doubleValue).toList());
        StepJudgement judged = LimitJudge.byGrade(rules.graded(Rule.BACKLASH), backlash.greatest(), u);
        List<Reason> because = new ArrayList<>(judged.because());
        because.add(rack ? backlash.saysOfRack() : backlash.says(rules));
        if (scaled) {
            because.add(Reason.of(MeasuringReason.BACKLASH_SCALE));
        }
        return judged.saying(because);
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(Rule.BACKLASH));
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(Rule.BACKLASH);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.INDICATOR);
    }
}
