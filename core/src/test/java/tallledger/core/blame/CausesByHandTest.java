package tallledger.core.blame;

import static tallledger.core.Machines.lever;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.drive.Position;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/** Readings of every kind, and each cause offered for them: what, how well it fits, for which routes. */
class CausesByHandTest {

    private final List<String> lines = new ArrayList<>();

    private void readings(String what, MachineDescription machine, ToDoubleFunction<String> factor) {
        List<SpeedCauses.SpeedDeviation> readings = new ArrayList<>();
        for (Route route : machine.train().routes()) {
            double times = factor.applyAsDouble(machine.train().name(route));
            machine.speeds().nominal(route).filter(n -> times > 0)
                    .ifPresent(n -> readings.add(new SpeedCauses.SpeedDeviation(route, n.doubleValue() * times, n.doubleValue(), false)));
        }
        causes(what, machine, readings);
    }

    private void causes(String what, MachineDescription machine, List<SpeedCauses.SpeedDeviation> readings) {
        List<SpeedCause> causes = SpeedCauses.of(machine.speeds(), readings, Rules.shipped());
        lines.add(what + ": " + (causes.isEmpty() ? "nothing" : ""));
        causes.forEach(c -> lines.add("  " + c.kind() + String.format(Locale.ROOT, " %.4f ", c.misfit())
                + rounded(c.because().code(), c.because().arguments()) + " of "
                + c.routes().stream().map(machine.train()::name).collect(Collectors.joining(" "))));
    }

    private static String rounded(String code, List<Object> arguments) {
        return code + arguments.stream().map(a -> a instanceof Double d ? String.format(Locale.ROOT, "%.3f", d) : String.valueOf(a))
                .toList();
    }

    private static Stage belt(Transmission... does) {
        return new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, List.of(new Position("L", does[0]), new Position("H", does[1])));
    }

    private static Transmission grooves(String driver, String driven) {
        return new Transmission.Grooves(new BigDecimal(driver), new BigDecimal(driven));
    }

    @Test
    void everyCauseIsAsTheListSays() {
        MachineDescription twelve = Machines.twelve();
        for (double factor : new double[] {0.5, 0.7, 0.833, 0.9, 0.93, 0.95, 0.985, 1.0, 1.015, 1.04, 1.07, 1.2, 1.3, 2}) {
            readings("all × " + factor, twelve, name -> factor);
        }
        readings("range B × 1.05", twelve, name -> name.startsWith("B") ? 1.05 : 1);
        readings("range B × 1.05, all 1.03 high", twelve, name -> name.startsWith("B") ? 1.05 * 1.03 : 1.03);
        readings("gear 3 × 0.9, rest × 1.2", twelve, name -> name.endsWith("3") ? 0.9 * 1.2 : 1.2);
        readings("gear 3 × 0.9, rest low", twelve, name -> name.endsWith("3") ? 0.9 : 0.97);
        readings("gear 3 scattered", twelve, name -> name.equals("A3") ? 0.9 : name.equals("B3") ? 0.93 : name.equals("C3") ? 0.96 : 1);
        readings("A1 reads A2", twelve, name -> name.equals("A1") ? 45 / 31.5 : 1);
        readings("C4 doubled", twelve, name -> name.equals("C4") ? 2 : 1.01);
        readings("C4 a third", twelve, name -> name.equals("C4") ? 1 / 3.0 : 1.01);
        readings("C4 four times, all high", twelve, name -> name.equals("C4") ? 4 * 1.04 : 1.04);
        readings("ten of twelve × 1.2", twelve, name -> name.equals("A1") || name.equals("B2") ? 1 : 1.2);
        readings("one alone, 1.1", twelve, name -> name.equals("A1") ? 1.1 : 0);
        readings("two alone, 1.1", twelve, name -> name.equals("A1") || name.equals("B2") ? 1.1 : 0);
        readings("two alone, 1.1 and 1.0", twelve, name -> name.equals("A1") ? 1.1 : name.equals("B2") ? 1 : 0);
        readings("two of three × 0.7", twelve, name -> name.equals("A1") || name.equals("B2") ? 0.7 : name.equals("C3") ? 1 : 0);
        MachineDescription misread = Machines.lathe(Machines.TWELVE_MISREAD, lever("range", "A B C"), lever("gear", "1 2 3 4"));
        readings("misread B3", misread, name -> name.equals("B3") ? 250.0 / 280 : 1);
        readings("misread B3, all high", misread, name -> (name.equals("B3") ? 250.0 / 280 : 1) * 1.03);
        MachineDescription belted = Machines.lathe("50 100 200 100 200 400", belt(grooves("80", "160"), grooves("120", "120")),
                lever("gear", "1 2 3"));
        for (double factor : new double[] {0.5, 2, 1.9, 0.6}) {
            readings("belted × " + factor, belted, name -> factor);
        }
        MachineDescription unknown = Machines.lathe("50 100 200 100 200 400", belt(new Transmission.Unknown(), new Transmission.Unknown()),
                lever("gear", "1 2 3"));
        readings("belt of unknown grooves × 0.5", unknown, name -> 0.5);
        MachineDescription inverted = Machines.lathe("40 160 80 320",
                Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.4, 1.6))), lever("gear", "1 2"));
        readings("inverter × 0.8", inverted, name -> 0.8);
        readings("inverter, good", inverted, name -> 1);
        Route a1 = twelve.train().routes().get(0);
        Route a2 = twelve.train().routes().get(1);
        for (double loaded : new double[] {1.0, 0.99, 0.985, 0.96, 0.9, 0.8}) {
            causes("under load × " + loaded, twelve,
                    List.of(new SpeedCauses.SpeedDeviation(a1, 31.5, 31.5, false),
                            new SpeedCauses.SpeedDeviation(a1, 31.5 * loaded, 31.5, true),
                            new SpeedCauses.SpeedDeviation(a2, 45, 45, false)));
        }
        causes("loaded alone", twelve, List.of(new SpeedCauses.SpeedDeviation(a1, 28, 31.5, true)));
        causes("high and falling", twelve,
                List.of(new SpeedCauses.SpeedDeviation(a1, 33, 31.5, false), new SpeedCauses.SpeedDeviation(a1, 31.6, 31.5, true)));
        ByHand.check("causes", lines.stream());
    }
}
