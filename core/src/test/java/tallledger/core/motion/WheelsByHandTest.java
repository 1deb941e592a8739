package tallledger.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.unit.LengthUnit;

/** Charts and sets of change wheels, and all that is said of them: trains, errors, what to buy. */
class WheelsByHandTest {

    private static String trains(ChangeWheels wheels) {
        return wheels.threads().stream().map(t -> "    " + t.pitch().typed() + " exact " + t.exact().map(Object::toString).orElse("-")
                + " nearest " + t.nearest().map(Object::toString).orElse("-") + " by " + t.factor()
                + String.format(Locale.ROOT, " error %.7f over 300 %.4f near %s", t.error(), t.over300(), t.isNear()))
                .reduce((a, b) -> a + "\n" + b).orElse("");
    }

    @Test
    void everyChartIsAsTheListSays() {
        List<String> lines = new ArrayList<>();
        for (String chart : List.of("6 mm|1, 2|0.75 mm; 1 mm; 1.25 mm; 1.5 mm; 1.75 mm; 2 mm; 12 tpi; 8 tpi|60-150|20-127",
                "6 mm|1|1 mm; 1.5 mm; 7 tpi||20-127", "8 tpi|1|8 tpi; 10 tpi; 16 tpi; 1.5 mm|50-140|20-127",
                "4 mm|1, 0.5|0.8 mm; 3 mm; 5 mm|80-120|20-60", "6 mm|1|0.01 mm; 2.37 mm|60-150|20-127")) {
            String[] part = chart.split("\\|", -1);
            GearChart parsed = GearChart.parse(part[0], part[1], part[2], part[3], part[4], LengthUnit.MM);
            for (String set : List.of("20 24 28 30 32 36 40 48 60", "24 28 30 32 36 40 44 48 52 56 60 63 127", "20 20 40 40 60",
                    "30 60 127", "25 30 35 40 45 50 55 60 65 70")) {
                ChangeWheels wheels = ChangeWheels.of(parsed, WheelSet.parse(set));
                lines.add(chart + " with " + set);
                trains(wheels).lines().forEach(lines::add);
                lines.add("    buy " + wheels.buy() + " beyond " + wheels.beyond().stream().map(b -> b.typed()).toList() + " says "
                        + wheels.says().stream().map(r -> r.code()).toList());
            }
        }
        ByHand.check("wheels", lines.stream());
    }
}
