package tallledger.web.fitout;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.OtherSpeed;
import tallledger.core.family.Family;
import tallledger.core.family.FamilyReason;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;

/**
 * Axes, features, supply and chart as typed, read into a {@link FitOut} and written from one. Everything wrong is collected at its field.
 */
public final class FitOutForm {

    private FitOutForm() {
    }

    public static Optional<FitOut> read(FormInput typed, Family family, LengthUnit unit) {
        List<Axis> axes = new ArrayList<>();
        Set<AxisId> taken = new HashSet<>();
        for (int i = 0; i < rows(typed); i++) {
            typed.attempt("axis" + i + ".name", known("axis" + i, typed)).flatMap(id -> id).ifPresent(taken::add);
        }
        for (int i = 0; i < rows(typed); i++) {
            if (typed.has("axis" + i + ".name") || typed.has("axis" + i + ".minus")) {
                axis(typed, "axis" + i, taken, unit).ifPresent(axes::add);
            }
        }
        if (rows(typed) > FitOut.MOST_AXES && axes.size() > FitOut.MOST_AXES) {
            typed.refuse("axes", Reason.of(FamilyReason.AXES_MANY, axes.size(), FitOut.MOST_AXES));
        }
        Set<Feature> features = new HashSet<>();
        typed.all("feature").forEach(name -> Stream.of(Feature.values()).filter(f -> f.name().equals(name)).forEach(features::add));
        Optional<SupplyPlate> supply = typed.attempt("volts",
                () -> SupplyPlate.parse(typed.get("volts"), typed.get("hertz"), typed.wholeOr("phases", 3),
                        typed.get("supplyKilowatts"), typed.get("amperes"), typed.holds("heavyStart", "yes")));
        Optional<FitOut.Chart> chart = chart(typed, unit);
        typed.attempt("otherSpeeds", () -> OtherSpeed.parse(typed.get("otherSpeeds")));
        if (!typed.isClean() || supply.isEmpty()) {
            return Optional.empty();
        }
        return typed.attempt("features", () -> new FitOut(axes, features, supply.get(), chart, typed.get("otherSpeeds").strip())
                .checkedFor(family, unit));
    }

    /** The identity a row came with; a new row has none. */
    private static Supplier<Optional<AxisId>> known(String row, FormInput typed) {
        return () -> AxisId.read(typed.get(row + ".id"));
    }

    /** Room for two more axes. */
    public static void addRows(FormInput typed) {
        typed.set("axisRows", String.valueOf(rows(typed) + 2));
    }

    /** What the axes are called that are typed. */
    public static String names(FormInput typed) {
        return IntStream.range(0, rows(typed)).mapToObj(i -> typed.get("axis" + i + ".name")).filter(name -> !name.isBlank())
                .collect(Collectors.joining(", "));
    }

    public static int rows(FormInput typed) {
        return Math.min(Math.max(typed.wholeOr("axisRows", 3), 1), 60);
    }

    /** Core names its fields by themselves; here they stand in a row of several. */
    private static Optional<Axis> axis(FormInput typed, String row, Set<AxisId> taken, LengthUnit unit) {
        Set<Axis.Ability> abilities = new HashSet<>();
        typed.all(row + ".abilities")
                .forEach(name -> Stream.of(Axis.Ability.values()).filter(a -> a.name().equals(name)).forEach(abilities::add));
        Axis.Per per = typed.holds(row + ".per", "REV") ? Axis.Per.REV : Axis.Per.MIN;
        try {
            String name = typed.get(row + ".name");
            // It keeps its identity whatever it is called; only a new one gets it from its first name.
            AxisId id = known(row, typed).get().orElseGet(() -> AxisId.named(name, taken));
            Axis.Role role = typed.has(row + ".role") ? typed.choice(row + ".role", Axis.Role.class).orElse(Axis.Role.OTHER)
                    : Axis.Role.named(name);
            taken.add(id);
            return Optional.of(new Axis(id, role, name, typed.get(row + ".minus"), typed.get(row + ".plus"), abilities,
                    typed.get(row + ".travel").strip(),
                    new Axis.AxisRates(per, typed.get(row + ".slowest").strip(), typed.get(row + ".fastest").strip(),
                            typed.get(row + ".rapid").strip()))
                    .checked(unit));
        } catch (Refused refused) {
            String field = refused.field().map(f -> f.equals("ways") ? "minus" : f).orElse("name");
            typed.refuse(row + "." + field, refused.reason());
            return Optional.empty();
        }
    }

    private static Optional<FitOut.Chart> chart(FormInput typed, LengthUnit unit) {
        if (!typed.has("leadScrew") && !typed.has("promised")) {
            return Optional.empty();
        }
        FitOut.Chart chart = new FitOut.Chart(typed.get("leadScrew").strip(), typed.get("factors").strip(), typed.get("promised").strip(),
                typed.get("reach").strip(), typed.get("buyable").strip());
        return typed.attempt("leadScrew", () -> chart.parse(unit)).map(parsed -> chart);
    }

    /** Writes it as a person would have typed it, over what stood there. */
    public static void write(FitOut fitOut, FormInput typed) {
        typed.names().stream().filter(name -> name.matches("axis\\d+\\..*|feature|volts|hertz|supplyKilowatts|amperes"
                + "|leadScrew|factors|promised|reach|buyable|otherSpeeds"))
                .forEach(typed::remove);
        typed.set("axisRows", String.valueOf(fitOut.axes().size() + 1));
        for (int i = 0; i < fitOut.axes().size(); i++) {
            write(fitOut.axes().get(i), typed, "axis" + i);
        }
        fitOut.features().forEach(f -> typed.add("feature", f.name()));
        SupplyPlate supply = fitOut.supply();
        typed.set("phases", String.valueOf(supply.phases()));
        supply.volts().ifPresent(v -> typed.set("volts", v.typed()));
        supply.hertz().ifPresent(v -> typed.set("hertz", v.toPlainString()));
        supply.power().ifPresent(v -> typed.set("supplyKilowatts", v.typed()));
        supply.amperes().ifPresent(v -> typed.set("amperes", v.toPlainString()));
        typed.set("heavyStart", supply.heavyStart() ? "yes" : "");
        typed.set("otherSpeeds", fitOut.otherSpeeds());
        fitOut.chart().ifPresent(c -> {
            typed.set("leadScrew", c.leadScrew());
            typed.set("factors", c.factors());
            typed.set("promised", c.promised());
            typed.set("reach", c.reach());
            typed.set("buyable", c.buyable());
        });
    }

    private static void write(Axis axis, FormInput typed, String row) {
        typed.set(row + ".id", axis.id().written());
        typed.set(row + ".role", axis.role().name());
        typed.set(row + ".name", axis.name());
        typed.set(row + ".minus", axis.minus());
        typed.set(row + ".plus", axis.plus());
        axis.abilities().forEach(a -> typed.add(row + ".abilities", a.name()));
        typed.set(row + ".travel", axis.travel());
        typed.set(row + ".per", axis.rates().per().name());
        typed.set(row + ".slowest", axis.rates().slowest());
        typed.set(row + ".fastest", axis.rates().fastest());
        typed.set(row + ".rapid", axis.rates().rapid());
    }
}
