package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.geometry.Round;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Readings round one turn, and what two such rounds share. */
final class RoundReadings {

    /** What no indicator tells apart from nothing, mm (W 3.4). */
    static final double NOISE = 0.001;
    static final BigDecimal THREE_HUNDRED = BigDecimal.valueOf(300);

    private RoundReadings() {
    }

    static Round round(Values values, String field) {
        List<TypedLength> readings = TypedRows.signed(values.text(field), values, field);
        return values.at(field, () -> new Round(readings.stream().map(TypedLength::mm).toList()));
    }

    static BigDecimal coarsest(Values values, String one, String other) {
        List<TypedLength> all = new java.util.ArrayList<>(TypedRows.signed(values.text(one), values, one));
        all.addAll(TypedRows.signed(values.text(other), values, other));
        return Values.coarsest(all);
    }

    static Optional<Reason> tooFew(TwoRoundReadings pair) {
        int fewest = Math.min(pair.first().count(), pair.second().count());
        return fewest < Round.FEWEST_TO_JUDGE ? Optional.of(Reason.of(MeasuringReason.ROUND_TOO_FEW, fewest, Round.FEWEST_TO_JUDGE))
                : Optional.empty();
    }

    static double noise(TwoRoundReadings pair, Rules rules) {
        return Math.max(NOISE, pair.by().orElseGet(() -> rules.gauge(Rule.INDICATOR)).reading(BigDecimal.ZERO, pair.step())
                .expanded() / Gauge.COVERAGE_FACTOR);
    }
}
