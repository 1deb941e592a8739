package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.supply.SupplyReading;
import tallledger.core.supply.Voltage;

/**
 * The supply as measured, against what the plate wants.
 *
 * @param plate what it wants
 */
public record SupplyCheck(SupplyPlate plate) implements Recording<SupplyReading> {

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.supplyCheck(this);
    }

    @Override
    public <T> T accept(SupplyReading value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.supplyCheck(this, value);
    }

    @Override
    public String code() {
        return "supply";
    }

    @Override
    public List<RecordField> fields() {
        List<RecordField> fields = new ArrayList<>();
        fields.add(new RecordField("source", InputKind.CHOICE, FieldUnit.NONE, Preset.text(SupplyReading.Source.MAINS.name()),
                List.of(SupplyReading.Source.values()), true));
        fields.add(RecordField.must("l12", InputKind.NUMBER, FieldUnit.VOLTS));
        fields.add(RecordField.may("l23", InputKind.NUMBER, FieldUnit.VOLTS));
        fields.add(RecordField.may("l31", InputKind.NUMBER, FieldUnit.VOLTS));
        if (plate.volts().filter(Voltage::isDual).isPresent()) {
            fields.add(new RecordField("connected", InputKind.CHOICE, FieldUnit.NONE, Preset.text(SupplyReading.Connected.NOT_KNOWN.name()),
                    List.of(SupplyReading.Connected.values()), false));
        }
        fields.add(RecordField.may("hertz", InputKind.NUMBER, FieldUnit.HERTZ));
        fields.add(RecordField.may("rating", InputKind.NUMBER, FieldUnit.NONE));
        fields.add(RecordField.may("measuredBy", InputKind.TEXT, FieldUnit.NONE));
        return fields;
    }

    @Override
    public SupplyReading read(Values values) {
        SupplyReading.Source source = Stream.of(SupplyReading.Source.values()).filter(s -> s.name().equals(values.text("source")))
                .findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("source"));
        List<BigDecimal> volts = new ArrayList<>(List.of(values.positive("l12")));
        boolean second = values.has("l23");
        if (second != values.has("l31")) {
            throw Refused.because(MeasuringReason.SUPPLY_TWO_VOLTS).at(second ? "l31" : "l23");
        }
        if (second) {
            volts.add(values.positive("l23"));
            volts.add(values.positive("l31"));
        }
        Optional<BigDecimal> hertz = values.has("hertz") ? Optional.of(values.positive("hertz")) : Optional.empty();
        Optional<BigDecimal> rating = !values.has("rating") ? Optional.empty()
                : Optional.of(source == SupplyReading.Source.INVERTER ? values.positive("rating") : values.power("rating"));
        SupplyReading.Connected connected = Stream.of(SupplyReading.Connected.values())
                .filter(c -> c.name().equals(values.text("connected"))).findFirst()
                .orElse(SupplyReading.Connected.NOT_KNOWN);
        return new SupplyReading(volts, hertz, source, rating, connected);
    }

    @Override
    public StepJudgement judge(SupplyReading reading, Rules rules) {
        List<SupplyReading.SupplyPoint> points = reading.against(plate, rules);
        SupplyReading.Weight worst = points.get(0).weight();
        Outcome outcome = switch (worst) {
            case RIGHT -> Outcome.PROVEN;
            case UNKNOWN -> Outcome.UNDECIDED;
            case WARNS, FALLS_SHORT, STOPS -> Outcome.FAILED;
        };
        List<Reason> because = new ArrayList<>(points.stream()
                .filter(p -> outcome != Outcome.FAILED || p.weight() != SupplyReading.Weight.RIGHT).map(SupplyReading.SupplyPoint::because)
                .toList());
        because.add(Reason.of(MeasuringReason.SUPPLY_ELECTRICIAN));
        Optional<Severity> worse = worst == SupplyReading.Weight.STOPS ? Optional.of(Severity.STOP_USE) : Optional.empty();
        return new StepJudgement(outcome, Optional.empty(), because, worse).with(reading.figures(plate, rules));
    }
}
