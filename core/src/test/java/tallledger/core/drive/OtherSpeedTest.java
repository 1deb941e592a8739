package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;

class OtherSpeedTest {

    private static String read(String line) {
        return OtherSpeed.parse(line).stream().map(s -> s.what() + " " + s.rpm().toPlainString() + s.end().map(e -> " " + e).orElse("")
                + s.tolerance().map(t -> " " + t.stripTrailingZeros().toPlainString()).orElse("")).collect(Collectors.joining("; "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            work head 45 90 180                | work head 45; work head 90; work head 180
            work head: 31.5; 63                | work head 31.5; work head 63
            table 10 to 40 ± 10 %              | table 10 SLOWEST 0.1; table 40 FASTEST 0.1
            table 10-40 rpm                    | table 10 SLOWEST; table 40 FASTEST
            regulating wheel, dressing 300     | regulating wheel, dressing 300
            jog 20 +/- 25%                     | jog 20 0.25
            coolant pump 1 400 rpm             | coolant pump 1; coolant pump 400
            """)
    void oneLine(String line, String is) {
        assertThat(read(line)).isEqualTo(is);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            work head                | other-speeds.line
            45 90                    | other-speeds.line
            table 40 to 10           | other-speeds.ends
            table 40 to 40           | other-speeds.ends
            jog 20 ± 60 %            | other-speeds.limit
            jog 20 20                | other-speeds.twice
            jog 0                    | number.not-positive
            work head 45 fast        | number.not-one
            """)
    void whatIsNoListIsRefusedWithItsLine(String line, String code) {
        assertThatThrownBy(() -> OtherSpeed.parse(line))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void nobodyListsHundreds() {
        assertThatThrownBy(() -> OtherSpeed.parse("head " + "9 ".repeat(600))).isInstanceOf(Refused.class);
        String many = java.util.stream.IntStream.range(1, OtherSpeed.MOST + 2).mapToObj(String::valueOf).collect(Collectors.joining(" "));
        assertThatThrownBy(() -> OtherSpeed.parse("head " + many))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("other-speeds.many"));
        assertThat(OtherSpeed.parse("head " + many.substring(0, many.lastIndexOf(' ')))).hasSize(OtherSpeed.MOST);
        assertThat(OtherSpeed.parse(" \n\n")).isEmpty();
    }
}
