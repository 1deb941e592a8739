package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A reading so far over its limit that a wrong unit is likelier than the fault: asked back before it is recorded, with what it may have
 * been meant as. Worked: "0.5" typed at an inch machine whose limit is 0.4 thou is 1 250 times that; "0.5 thou" is 1.25 times.
 *
 * @param asks     the figure as it would be taken, how many times its limit, and the limit
 * @param asTyped  the figure as it would be taken
 * @param meanings other units in which it would not be asked about, the largest first
 */
public record AskBack(Reason asks, Reason asTyped, List<Meaning> meanings) {

    /**
     * What may have been meant.
     *
     * @param says   the figure it comes to then
     * @param values what was typed, with that unit behind every bare figure of a dial
     */
    public record Meaning(Reason says, Map<String, String> values) {
    }

    /** In what a bare figure of a dial may have been meant. */
    private enum Scale {
        THOU(LengthUnit.INCH, 0, Unit.THOU),
        TENTHS(LengthUnit.INCH, 0, Unit.TENTHS),
        HUNDREDTHS(LengthUnit.MM, 2, Unit.MILLIMETRES),
        MICROMETRES(LengthUnit.MM, 0, Unit.MICROMETRES);

        private final LengthUnit system;
        private final int places;
        private final Unit unit;

        Scale(LengthUnit system, int places, Unit unit) {
            this.system = system;
            this.places = places;
            this.unit = unit;
        }

        private String retyped(String typed) {
            return FIGURE.matcher(typed)
                    .replaceAll(m -> new BigDecimal(m.group()).movePointLeft(places).toPlainString() + " " + unit.symbol());
        }
    }

    /** A figure with no unit behind it. */
    private static final Pattern FIGURE = Pattern.compile("(?<![\\w./])-?\\d+(?:\\.\\d+)?(?![\\w./])(?!\\s*[a-zA-Zµ°\"'])");
    private static final MathContext TWO = new MathContext(2, RoundingMode.HALF_UP);

    /**
     * Empty where the figure is not judged by a limit, or not so far over it.
     *
     * @throws Refused naming the field that cannot be read
     */
    public static Optional<AskBack> of(Recording<?> recording, Values values, Rules rules) {
        Optional<AskBack> swapped = swapped(recording, values);
        if (swapped.isPresent()) {
            return swapped;
        }
        return far(recording, values, rules).map(figure -> {
            List<Meaning> meanings = new ArrayList<>();
            for (Scale scale : Scale.values()) {
                if (scale.system == values.unit()) {
                    meant(recording, values, scale, rules).ifPresent(meanings::add);
                }
            }
            Reason asTyped = shown(figure.measured().value(), figure, values);
            BigDecimal most = figure.against().orElseThrow().limits().most();
            return new AskBack(Reason.of(MeasuringReason.ASK_BACK, asTyped, new BigDecimal(figure.timesItsLimit()).round(TWO),
                    shown(most, figure, values)), asTyped, List.copyOf(meanings));
        });
    }

    /** A machine does not cool while it runs: cold and hot may stand in each other's field (W 3.14: more than 2 u, u = 0.5 K). */
    private static Optional<AskBack> swapped(Recording<?> recording, Values values) {
        if (!(recording instanceof BearingTemperature rise)) {
            return Optional.empty();
        }
        return rise.read(values).ends().filter(e -> e.cold().value().subtract(e.hot().value()).compareTo(BigDecimal.ONE) > 0).map(e -> {
            Reason drop =
                    InUnit.of(Reason.of(MeasuringReason.ASK_COLDER, Quantity.of(e.cold().value().subtract(e.hot().value()), Unit.KELVIN)),
                            values.unit());
            Map<String, String> changed = new HashMap<>(values.typed());
            changed.put("cold", values.text("hot"));
            changed.put("hot", values.text("cold"));
            return new AskBack(Reason.of(MeasuringReason.ASK_SWAPPED), drop, List.of(new Meaning(
                    Reason.of(MeasuringReason.ASK_CHANGED_OVER, values.text("hot"), values.text("cold")), changed)));
        });
    }

    private static Optional<Figure> far(Recording<?> recording, Values values, Rules rules) {
        return recording.weigh(values, rules).figures().stream().findFirst().filter(f -> f.timesItsLimit() > rules.value(Rule.ASK_BACK));
    }

    private static Optional<Meaning> meant(Recording<?> recording, Values values, Scale scale, Rules rules) {
        Map<String, String> retyped = new HashMap<>(values.typed());
        recording.fields().stream().filter(f -> f.unit() == FieldUnit.DIAL)
                .forEach(f -> retyped.computeIfPresent(f.name(), (name, typed) -> scale.retyped(typed)));
        if (retyped.equals(values.typed())) {
            return Optional.empty();
        }
        Values meant = new Values(retyped, values.unit(), values.readWith(), values.apart(), values.bare());
        try {
            return recording.weigh(meant, rules).figures().stream().findFirst()
                    .filter(f -> f.timesItsLimit() <= rules.value(Rule.ASK_BACK))
                    .map(f -> new Meaning(shown(f.measured().value(), f, values), retyped));
        } catch (Refused notSo) {
            return Optional.empty();
        }
    }

    private static Reason shown(BigDecimal value, Figure figure, Values values) {
        return InUnit.of(Quantity.of(value.round(new MathContext(4)), figure.unit()), values.unit());
    }
}
