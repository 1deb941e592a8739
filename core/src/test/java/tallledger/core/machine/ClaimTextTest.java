package tallledger.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.family.Family;
import tallledger.core.machine.Claim.Source;
import tallledger.core.motion.Axis;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** What people say of a machine, split for checking. */
class ClaimTextTest {

    private static final List<Axis> MILL = Family.UNIVERSAL_MILL.traits().usual().axes();

    private static String told(String text) {
        return ClaimText.split(text, Source.SELLER, Family.UNIVERSAL_MILL, LengthUnit.MM, MILL).stream()
                .map(c -> c.attribute() + " " + c.value() + c.axis().map(a -> " @" + a.written()).orElse(""))
                .collect(Collectors.joining("; "));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            24 speeds, 20 to 1600 rpm                         | SLOWEST_SPEED 20; FASTEST_SPEED 1600; SPEED_COUNT 24
            18 spindle speeds and 12 feeds                    | SPEED_COUNT 18; FEED_COUNT 12
            travels 30 x 12 x 18 in                           | TRAVEL 30 in @table; TRAVEL 12 in @saddle; TRAVEL 18 in @knee
            table travel 900 mm                               | TRAVEL 900 mm @table
            collets 1 to 16 by 0.5                            | COLLETS 1 to 16 by 0.5
            31 collets                                        | COLLETS 31
            swing 410 mm, 1000 between centres                | SWING 410 mm; OTHER 1000 between centres
            16" swing                                         | SWING 16"
            drills 50 mm in steel                             | DRILLING_CAPACITY 50 mm
            7.5 hp motor, 380-400 V                           | MOTOR_POWER 7.5 hp; SUPPLY 380-400 V
            weighs 2500 to 2800 lb                            | WEIGHT 2500 to 2800 lb
            built 1969, 12 400 hours                          | HOURS 12 400; YEAR 1969
            spindle bore 52 mm, MT 5 taper                    | TAPER mt 5 taper; BORE 52 mm
            rebuilt by the maker, next to no backlash         | NO_BACKLASH next to no backlash; REBUILT_BY rebuilt by the maker
            everything works, lovely quiet                    | NEARLY_ALL_RUN everything works; CONDITION quiet; CONDITION lovely
            added foot pedal, modern panel                 | REDONE added foot pedal; REDONE modern panel
            rebuilt, all within 0.01 mm                       | ACCURACY 0.01 mm; REBUILT_BY rebuilt
            turns true to 0.0005 in                           | ACCURACY 0.0005 in
            within walking distance of the station            | OTHER within walking distance of the station
            runs both ways                                    | REVERSES yes
            sehr guter Zustand, keine Kratzer                 | OTHER sehr guter Zustand, keine Kratzer
            """)
    void oneLine(String said, String claims) {
        assertThat(told(said)).isEqualTo(claims);
    }

    @Test
    void everyLineKeepsItsWordsAndWhoSaidThem() {
        List<Claim> claims = ClaimText.split("24 speeds\n\nhas been in the family for years. Reverses", Source.FORMER_OPERATOR,
                Family.UNIVERSAL_MILL,
                LengthUnit.MM, MILL);
        assertThat(claims).extracting(Claim::wording).containsExactly("24 speeds", "has been in the family for years", "Reverses");
        assertThat(claims).extracting(Claim::source).containsOnly(Source.FORMER_OPERATOR);
    }

    @Test
    void pastesWithoutEndAreRefused() {
        assertThatThrownBy(() -> ClaimText.split("x\n".repeat(5_000), Source.SELLER, Family.UNIVERSAL_MILL, LengthUnit.MM, MILL))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> ClaimText.split("good\n".repeat(100), Source.SELLER, Family.UNIVERSAL_MILL, LengthUnit.MM, MILL))
                .isInstanceOf(Refused.class);
    }
}
