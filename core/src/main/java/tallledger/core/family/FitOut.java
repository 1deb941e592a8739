package tallledger.core.family;

import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.drive.OtherSpeed;
import tallledger.core.ledger.Payload;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.motion.AxisId;
import tallledger.core.motion.GearChart;
import tallledger.core.reason.Refused;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;

/**
 * What a machine has besides its spindle drive: the survey's steps are made from it, so that a machine without rapid gets no
 * rapid step.
 *
 * @param axes     everything that moves
 * @param features everything else
 * @param supply   what its electrical plate wants
 * @param chart    its thread or feed chart by change wheels
 * @param otherSpeeds what else must turn at a speed, as typed; see {@link OtherSpeed}
 * @param ownChart its own test chart, as far as anybody typed it
 */
public record FitOut(List<Axis> axes, Set<Feature> features, SupplyPlate supply, Optional<Chart> chart, String otherSpeeds,
        OwnChart ownChart) {

    public static final int MOST_AXES = 12;

    /** A change-wheel chart as typed. */
    public record Chart(String leadScrew, String factors, String promised, String reach, String buyable) {

        public GearChart parse(LengthUnit unit) {
            return GearChart.parse(leadScrew, factors, promised, reach, buyable, unit);
        }
    }

    /** With no speeds but the spindle's. */
    public FitOut(List<Axis> axes, Set<Feature> features, SupplyPlate supply, Optional<Chart> chart) {
        this(axes, features, supply, chart, "");
    }

    /** With no test chart of its own. */
    public FitOut(List<Axis> axes, Set<Feature> features, SupplyPlate supply, Optional<Chart> chart, String otherSpeeds) {
        this(axes, features, supply, chart, otherSpeeds, OwnChart.NONE);
    }

    /** The same with a test chart of its own. */
    public FitOut with(OwnChart own) {
        return new FitOut(axes, features, supply, chart, otherSpeeds, own);
    }

    public FitOut {
        axes = List.copyOf(axes);
        EnumSet<Feature> set = EnumSet.noneOf(Feature.class);
        set.addAll(features);
        features = Collections.unmodifiableSet(set);
        if (axes.size() > MOST_AXES) {
            throw Refused.because(FamilyReason.AXES_MANY, axes.size(), MOST_AXES).at("axes");
        }
        Set<String> names = new HashSet<>();
        axes.stream().filter(a -> !names.add(a.name())).findFirst().ifPresent(a -> {
            throw Refused.because(FamilyReason.AXES_REPEATED, a.name()).at("axes");
        });
        Set<AxisId> ids = new HashSet<>();
        axes.stream().filter(a -> !ids.add(a.id())).findFirst().ifPresent(a -> {
            throw Refused.because(FamilyReason.AXES_SAME, a.name()).at("axes");
        });
        for (Feature feature : set) {
            feature.needs().filter(n -> !set.contains(n)).ifPresent(n -> {
                throw Refused.because(FamilyReason.FEATURE_NEEDS, feature, n).at("features");
            });
            feature.excludes().filter(set::contains).ifPresent(x -> {
                throw Refused.because(FamilyReason.FEATURE_EXCLUDES, feature, x).at("features");
            });
        }
    }

    /** Checks everything against the machine it is for. */
    public FitOut checkedFor(Family family, LengthUnit unit) {
        features.stream().filter(f -> !family.traits().features().contains(f)).findFirst().ifPresent(f -> {
            throw Refused.because(FamilyReason.FEATURE_FAMILY, f, family).at("features");
        });
        axes.forEach(axis -> axis.checked(unit));
        chart.ifPresent(c -> c.parse(unit));
        speeds();
        ownChart.lines().values().forEach(line -> line.checked(unit));
        return this;
    }

    /** @throws Refused at its field where a line cannot be read */
    public List<OtherSpeed> speeds() {
        try {
            return OtherSpeed.parse(otherSpeeds);
        } catch (Refused refused) {
            throw refused.at("otherSpeeds");
        }
    }

    public boolean has(Feature feature) {
        return features.contains(feature);
    }

    /** The axis of an identity. */
    public Optional<Axis> axis(AxisId id) {
        return axes.stream().filter(a -> a.id().equals(id)).findFirst();
    }

    public Optional<Axis> axis(Axis.Role role) {
        return axes.stream().filter(a -> a.role() == role).findFirst();
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>();
        fields.put("axes", axes.stream()
                .map(a -> (Object) fields("id", a.id().written(), "role", a.role().name(), "name", a.name(), "minus", a.minus(), "plus",
                        a.plus(), "travel", a.travel(),
                        "abilities", a.abilities().stream().map(Enum::name).toList(), "per", a.rates().per().name(), "slowest",
                        a.rates().slowest(),
                        "fastest", a.rates().fastest(), "rapid", a.rates().rapid()))
                .toList());
        fields.put("features", features.stream().map(Enum::name).toList());
        Map<String, Object> plate = new HashMap<>(Map.of("phases", supply.phases(), "heavyStart", supply.heavyStart()));
        supply.volts().ifPresent(v -> plate.put("volts", v.typed()));
        supply.hertz().ifPresent(v -> plate.put("hertz", v.toPlainString()));
        supply.power().ifPresent(v -> plate.put("kilowatts", v.typed()));
        supply.amperes().ifPresent(v -> plate.put("amperes", v.toPlainString()));
        fields.put("supply", plate);
        chart.ifPresent(c -> fields.put("chart", Map.of("leadScrew", c.leadScrew, "factors", c.factors, "promised", c.promised, "reach",
                c.reach, "buyable", c.buyable)));
        if (!otherSpeeds.isBlank()) {
            fields.put("otherSpeeds", otherSpeeds);
        }
        if (!ownChart.lines().isEmpty()) {
            fields.put("ownChart", ownChart.toPayload());
        }
        return fields;
    }

    public static FitOut from(Payload p) {
        Set<AxisId> taken = new HashSet<>();
        List<Axis> axes = p.parts("axes").stream().map(a -> {
            AxisId id = a.optionalText("id").map(AxisId::new).orElseGet(() -> AxisId.named(a.text("name"), taken));
            taken.add(id);
            return axis(id, a);
        }).toList();
        Set<Feature> features = new HashSet<>(p.texts("features").stream().map(Feature::valueOf).toList());
        Payload s = p.part("supply");
        SupplyPlate supply = SupplyPlate.parse(s.optionalText("volts").orElse(""), s.optionalText("hertz").orElse(""), s.whole("phases"),
                s.optionalText("kilowatts").orElse(""), s.optionalText("amperes").orElse(""), s.flag("heavyStart"));
        Optional<Chart> chart = p.has("chart") ? Optional.of(p.part("chart"))
                .map(c -> new Chart(c.text("leadScrew"), c.text("factors"), c.text("promised"),
                        c.text("reach"), c.text("buyable")))
                : Optional.empty();
        return new FitOut(axes, features, supply, chart, p.optionalText("otherSpeeds").orElse(""),
                p.has("ownChart") ? OwnChart.from(p.part("ownChart")) : OwnChart.NONE);
    }

    private static Axis axis(AxisId id, Payload a) {
        return new Axis(id, a.optionalText("role").map(Axis.Role::valueOf).orElse(Axis.Role.named(a.text("name"))), a.text("name"),
                a.text("minus"), a.text("plus"),
                new HashSet<>(a.texts("abilities").stream().map(Ability::valueOf).toList()), a.text("travel"),
                new Axis.AxisRates(Axis.Per.valueOf(a.text("per")), a.text("slowest"), a.text("fastest"), a.text("rapid")));
    }

    /** More fields than Map.of takes. */
    private static Map<String, Object> fields(Object... namesAndValues) {
        Map<String, Object> fields = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            fields.put((String) namesAndValues[i], namesAndValues[i + 1]);
        }
        return fields;
    }
}
