package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.motion.Trips;
import tallledger.core.reading.TypedLength;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Five stops against the same trip. */
public record TripRepeatability() implements Recording<TripRepeatability.TripStops> {

    /** Where a trip stopped, five times. */
    public record TripStops(Trips trips, BigDecimal step, Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.tripRepeatability(this);
    }

    @Override
    public <T> T accept(TripStops value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.tripRepeatability(this, value);
    }

    @Override
    public String code() {
        return "trips";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("stops", InputKind.SERIES, FieldUnit.DIAL));
    }

    @Override
    public TripStops read(Values values) {
        List<TypedLength> stops = values.lengths("stops");
        Trips trips = values.at("stops", () -> Trips.of(stops.stream().map(TypedLength::mm).toList()));
        return new TripStops(trips, Values.coarsest(stops), values.readWith());
    }

    @Override
    public StepJudgement judge(TripStops read, Rules rules) {
        return LimitJudge.byGrade(rules.graded(Rule.TRIP_RANGE), read.trips.range(),
                read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.trips.range(), read.step));
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(Rule.TRIP_RANGE));
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(Rule.TRIP_RANGE);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.INDICATOR);
    }
}
