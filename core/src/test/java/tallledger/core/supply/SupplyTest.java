package tallledger.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyReading.Source;

class SupplyTest {

    private static final SupplyPlate PLATE = SupplyPlate.parse("400", "50", 3, "4", "8.6", false);
    private static final SupplyPlate HEAVY = SupplyPlate.parse("400", "50", 3, "4", "8.6", true);

    private static SupplyReading reading(String volts, String hertz, Source source, String rating) {
        List<BigDecimal> lines = Arrays.stream(volts.split(" ")).map(BigDecimal::new).toList();
        return new SupplyReading(lines, hertz.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(hertz)), source,
                rating.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(rating)), SupplyReading.Connected.NOT_KNOWN);
    }

    private static List<String> codes(SupplyReading reading, SupplyPlate plate) {
        return reading.against(plate, Rules.shipped()).stream().map(p -> p.because().code()).toList();
    }

    /** A plate for two voltages: 400 V may be right, or may burn the motor; who looked at its links decides. */
    @ParameterizedTest
    @CsvSource({"230/400, NOT_KNOWN, 400, supply.connection, UNKNOWN", "230/400, HIGHER, 400, supply.volts-right, RIGHT",
            "230/400, LOWER, 400, supply.volts-off, STOPS",
            "230/400, LOWER, 231, supply.volts-right, RIGHT", "230/400, NOT_KNOWN, 300, supply.volts-off, STOPS",
            "380-400, NOT_KNOWN, 415, supply.volts-right, RIGHT",
            "380-400, NOT_KNOWN, 330, supply.volts-off, STOPS", "380 to 415 V, NOT_KNOWN, 342, supply.volts-right, RIGHT"})
    void aPlateForTwoVoltagesIsJudgedAsItIsConnected(String plate, SupplyReading.Connected connected, String volts, String code,
            SupplyReading.Weight weight) {
        List<BigDecimal> lines = java.util.Collections.nCopies(3, new BigDecimal(volts));
        SupplyReading reading = new SupplyReading(lines, Optional.empty(), Source.MAINS, Optional.empty(), connected);
        assertThat(reading.against(SupplyPlate.parse(plate, "50", 3, "7.5 hp", "", false), Rules.shipped()))
                .anySatisfy(p -> assertThat(p.because().code() + " " + p.weight()).isEqualTo(code + " " + weight));
    }

    @ParameterizedTest
    @CsvSource({"220//440, supply.voltage", "220/380/440, supply.voltage", "440-380, supply.range", "1200, supply.volts",
            "many, number.not-one", "230/, supply.voltage"})
    void whatIsNoVoltageIsRefusedWhereItIsTyped(String typed, String code) {
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> SupplyPlate.parse(typed, "", 3, "", "", false))
                .isInstanceOfSatisfying(tallledger.core.reason.Refused.class, r -> {
                    assertThat(r.reason().code()).isEqualTo(code);
                    assertThat(r.field()).contains("volts");
                });
    }

    @Test
    void unbalanceIsTheWorstLineOffTheMean() {
        assertThat(reading("400 410 390", "", Source.MAINS, "").unbalance()).isEqualByComparingTo("2.50");
        assertThat(reading("400 400 400", "", Source.MAINS, "").unbalance()).isEqualByComparingTo("0");
    }

    @ParameterizedTest
    @CsvSource({"400 402 398, supply.unbalance-right", "400 410 390, supply.unbalance-derate", "400 430 370, supply.unbalance-stop"})
    void overOnePerCentDeratesAndOverFiveStops(String volts, String code) {
        assertThat(codes(reading(volts, "50", Source.MAINS, ""), PLATE)).contains(code);
    }

    @Test
    void whatStopsStandsFirst() {
        assertThat(codes(reading("230", "50", Source.MAINS, ""), PLATE)).startsWith("supply.phases-missing", "supply.volts-off");
    }

    @Test
    void anotherFrequencyTurnsEverythingFaster() {
        var point = reading("400 400 400", "60", Source.MAINS, "").against(PLATE, Rules.shipped()).get(0);
        assertThat(point.because().code()).isEqualTo("supply.hertz-off");
        assertThat((Double) point.because().arguments().get(2)).isEqualTo(1.2);
    }

    @ParameterizedTest
    @CsvSource({"ROTARY_CONVERTER, 4, false, supply.size-right.CONVERTER", "ROTARY_CONVERTER, 3, false, supply.size-small.CONVERTER",
            "ROTARY_CONVERTER, 5.5, true, supply.size-small.HEAVY", "ROTARY_CONVERTER, 8, true, supply.size-right.HEAVY",
            "INVERTER, 9, true, supply.size-right.INVERTER",
            "INVERTER, 8, false, supply.size-small.INVERTER", "INVERTER, '', false, supply.size-unknown.INVERTER"})
    void aConverterIsSizedByTheMotorAndAnInverterByItsCurrent(Source source, String rating, boolean heavy, String code) {
        assertThat(codes(reading("400 400 400", "50", source, rating), heavy ? HEAVY : PLATE)).contains(code);
    }

    @Test
    void nonsenseNamesItsField() {
        assertThatThrownBy(() -> SupplyPlate.parse("4000", "", 3, "", "", false))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("volts"));
        assertThatThrownBy(() -> SupplyPlate.parse("", "", 2, "", "", false))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("phases"));
        assertThatThrownBy(() -> SupplyPlate.parse("", "fifty", 3, "", "", false))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("hertz"));
    }
}
