package tallledger.core.plate;

import static tallledger.core.Machines.plateLever;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;

/** Plates of every kind, and each remark made on them. */
class PlatesByHandTest {

    private static final List<Lever> THREE_BY_FOUR = List.of(plateLever("range", "A B C"), plateLever("gear", "1 2 3 4"));
    private static final List<Lever> ONE = List.of(plateLever("gear", "1 2 3 4 5 6 7 8"));

    private static String rounded(Object argument) {
        return argument instanceof Double d ? String.format(Locale.ROOT, "%.4f", d)
                : argument instanceof List<?> list ? list.stream()
                        .map(PlatesByHandTest::rounded).toList().toString() : String.valueOf(argument);
    }

    private static String line(PlateRemark r) {
        return "  " + r.kind() + (r.isDoubt() ? " doubt " : " ") + r.because().code() + r.because().arguments().stream()
                .map(PlatesByHandTest::rounded).toList() + " at " + r.cells()
                + r.predicted().map(p -> " predicted " + p.toPlainString())
                        .orElse("")
                + (r.readings().isEmpty() ? ""
                        : " perhaps " + r.readings().stream()
                                .map(m -> m.value().toPlainString() + " " + m.slip()).toList());
    }

    @Test
    void everyRemarkIsAsTheListSays() {
        List<String> lines = new ArrayList<>();
        Map<String, List<Lever>> plates = new LinkedHashMap<>();
        for (String cells : List.of(Machines.TWELVE, Machines.TWELVE_MISREAD, "31.5 45 63 90 125 180 ? 355 500 710 1000 1400",
                "31.5 45 63 90 125 180 ? ? 500 710 1000 1400", "31.5 45 63 90 125 180 250 355 500 710 ? 1400",
                "31.5 45 63 90 125 180 250 335 500 710 1000 1400", "31.5 45 63 90 125 180 250 355 500 710 100 1400",
                "31.5 45 63 90 125 180 250 355 500 7.1 1000 1400", "31.5 45 63 63 125 180 250 355 500 710 1000 1400",
                "31.5 45 63 90 125 180 250 355 500 710 1000 x", "13 40 63 90 125 180 250 355 500 710 1000 1400",
                "31.5 45 63 90 125 180 205 355 500 710 1000 1400", "31.5 45 63 90 31.5 45 63 90 500 710 1000 1400")) {
            plates.put(cells, THREE_BY_FOUR);
        }
        for (String cells : List.of("31.5 45 63 125 180 250 355 500", "31.5 45 63 ? 180 250 355 500", "31.5 45 63 90 95 180 250 355",
                "50 63 80 100 158 250 400 630", "50 63 80 ? 158 250 400 630", "100 100 200 ? ? 400 800 1600")) {
            plates.put(cells, ONE);
        }
        plates.forEach((cells, levers) -> {
            for (OptionalInt claimed : levers == ONE ? List.of(OptionalInt.of(8), OptionalInt.of(9)) : List.of(OptionalInt.of(12))) {
                lines.add(cells + ", claimed " + claimed.getAsInt());
                PlateCheck.of(Machines.plate(levers, cells), claimed).remarks().forEach(r -> lines.add(line(r)));
            }
        });
        List<Lever> sliding = List.of(plateLever("range", "low mid high"), new Lever("variator", List.of("low end", "high end"), true));
        for (String cells : List.of("56 450 400 3150 3200 9000", "56 450 900 3150 3200 3300", "56 450 ? 3150 400 900")) {
            lines.add("sliding " + cells);
            PlateCheck.of(Machines.plate(sliding, cells), OptionalInt.of(6)).remarks().forEach(r -> lines.add(line(r)));
        }
        for (String slip : List.of("900 90.4", "281 251", "335 355", "100 1000", "7.1 710", "13 31.5", "140 14", "14 40", "520 250",
                "45 63", "0.65 0.56", "1180 1120", "160 1600", "250 2.5", "30 13", "315 31.5", "18 80", "1000 1000")) {
            String[] pair = slip.split(" ");
            lines.add("slip " + slip + " " + Misreading.explaining(new BigDecimal(pair[0]), Double.parseDouble(pair[1]),
                    List.of(new BigDecimal("45"), new BigDecimal("90"))).stream()
                    .map(m -> m.value().toPlainString() + " " + m.slip()).toList());
        }
        ByHand.check("plates", lines.stream());
    }
}
