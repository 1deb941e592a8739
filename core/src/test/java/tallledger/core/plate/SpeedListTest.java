package tallledger.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/** Speeds as people type, paste and recite them. */
class SpeedListTest {

    private static String told(SpeedList list) {
        if (list instanceof SpeedList.Rows rows) {
            return rows.rowLabels() + " " + rows.columnLabels() + " " + rows.cells().stream()
                    .map(row -> row.stream().map(PlateCell::typed).collect(Collectors.joining(" "))).collect(Collectors.joining(" / "));
        } else if (list instanceof SpeedList.Bare bare) {
            return bare.speeds().stream().map(n -> n.value().toPlainString()).collect(Collectors.joining(" "));
        } else if (list instanceof SpeedList.Sliding sliding) {
            return sliding.ranges().stream().map(r -> r.stream().map(TypedNumber::typed).collect(Collectors.joining("~")))
                    .collect(Collectors.joining(" "));
        }
        SpeedList.RangeEnds ends = (SpeedList.RangeEnds) list;
        return ends.count() + ": " + ends.low().typed() + "~" + ends.high().typed();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            31.5 45 63 90                               | 31.5 45 63 90
            50, 65, 95 and 110 rpm                      | 50 65 95 110
            31.5,45,63,90                               | 31.5 45 63 90
            45, 63, 1 400, 1,000                        | 45 63 1400 1000
            31,5 45 63                                  | 31.5 45 63
            500 min-1 710 r/min 1000                    | 500 710 1000
            60 to 500, 500 to 4200                      | 60~500 500~4200
            60-4200 rpm                                 | 60~4200
            12 from 31.5 to 1400                        | 12: 31.5~1400
            12 speeds, 31.5 to 1400                     | 12: 31.5~1400
            12 speeds 31.5 to 1400 rpm                  | 12: 31.5~1400
            12: 31.5 to 1400                            | 12: 31.5~1400
            16 speeds, from 40 to 2000 rpm              | 16: 40~2000
            .002 .004 .008                              | 0.002 0.004 0.008
            """)
    void onOneLine(String typed, String read) {
        assertThat(told(SpeedList.read(typed))).isEqualTo(read);
    }

    @Test
    void rowsOfThePlateWithAndWithoutItsLabels() {
        assertThat(told(SpeedList.read("31.5 45 63 90\n125 180 250 355\n"))).isEqualTo("[] [] 31.5 45 63 90 / 125 180 250 355");
        assertThat(told(SpeedList.read("A 31.5 45\nB 125 x\n\nC ? 710"))).isEqualTo("[A, B, C] [] 31.5 45 / 125 x / ? 710");
        assertThat(told(SpeedList.read("1 2 3\nA 31.5 45 63\nB 125 180 250"))).isEqualTo("[A, B] [1, 2, 3] 31.5 45 63 / 125 180 250");
        assertThat(told(SpeedList.read("low mid high\n31.5 45 63\n125 180 –"))).isEqualTo("[] [low, mid, high] 31.5 45 63 / 125 180 x");
        assertThat(told(SpeedList.read("31.5\t45\t63\n125\t180\t250"))).isEqualTo("[] [] 31.5 45 63 / 125 180 250");
        assertThat(told(SpeedList.read("31.5\n45\n63"))).as("one a line is a list").isEqualTo("31.5 45 63");
        assertThat(told(SpeedList.read("31.5 45 63 90\n125 180 - 355"))).as("a combination that does not exist")
                .isEqualTo("[] [] 31.5 45 63 90 / 125 180 x 355");
        assertThat(told(SpeedList.read("60 - 500\n500 - 4200"))).as("two ranges").isEqualTo("60~500 500~4200");
        assertThat(told(SpeedList.read("1 31.5 45 63\n2 125 180 250"))).as("rows by their numbers")
                .isEqualTo("[1, 2] [] 31.5 45 63 / 125 180 250");
        assertThat(told(SpeedList.read("A B C\n1 31.5 45 63\n2 125 180 250"))).isEqualTo("[1, 2] [A, B, C] 31.5 45 63 / 125 180 250");
        assertThat(told(SpeedList.readThreads("1 1.25 1.5\n2 2.5 3"))).as("pitches").isEqualTo("[] [] 1 1.25 1.5 / 2 2.5 3");
        assertThat(told(SpeedList.readFeeds("0.05 mm/rev, 0.1 mm/rev, .2"))).isEqualTo("0.05 0.1 0.2");
        assertThat(told(SpeedList.readFeeds(".0015 in .003 in"))).isEqualTo("0.0015 0.003");
    }

    @ParameterizedTest(name = "[{0}]")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            ` `                      | list.empty
            31.5 fast 63             | list.not-a-speed
            31.5 45 12 kW            | list.unit
            50 Hz 60                 | list.unit
            0.1 mm/rev 0.2           | list.unit
            500 to 60                | list.range
            60 to 500, 710           | list.both
            1 from 40 to 60          | list.count
            0 45 63                  | list.not-a-speed
            -45 63                   | list.not-a-speed
            1/0 45                   | list.not-a-speed
            """)
    void whatIsNoList(String typed, String code) {
        assertThatThrownBy(() -> SpeedList.read(typed))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void unequalRowsAreAskedAboutWithTheirLine() {
        assertThatThrownBy(() -> SpeedList.read("31.5 45 63\n125 180")).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.reason().code()).isEqualTo("list.unequal");
            assertThat(r.reason().arguments()).containsExactly(1, 3, 2);
        });
        assertThatThrownBy(() -> SpeedList.read("31.5 45 63\n125 180 250\n500 710")).isInstanceOfSatisfying(Refused.class,
                r -> assertThat(r.reason().arguments()).containsExactly(3, 2, 3));
    }

    @Test
    void rowsWithoutASpeedAreNoPlate() {
        assertThatThrownBy(() -> SpeedList.read("x x\nx ?"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("list.no-speed"));
    }

    /** What parts the figures may be any sign; only one of them that is too long is refused. */
    @Test
    void aLongRowWithoutBlanksIsRead() {
        assertThat(SpeedList.read("45,63,90,125,180,250,355,500,710,1000,1400,2000")).isInstanceOf(SpeedList.read("45 63 90").getClass());
        for (String sign : List.of("-", "–", "/", ";", "·")) {
            Throwable thrown = org.assertj.core.api.Assertions.catchThrowable(() -> SpeedList.read(String.join(sign, "45", "63", "90",
                    "125", "180", "250", "355", "500", "710", "1000", "1400", "2000")));
            assertThat(thrown instanceof Refused refused ? refused.reason().code() : "").as(sign).isNotEqualTo("number.too-long");
        }
        assertThatThrownBy(() -> SpeedList.read("1".repeat(41)))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("number.too-long"));
    }

    @Test
    void pastesWithoutEndAreRefusedShortly() {
        String lines = IntStream.range(0, 1_000).mapToObj(String::valueOf).collect(Collectors.joining("\n"));
        assertThatThrownBy(() -> SpeedList.read(lines))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("list.lines"));
        assertThatThrownBy(() -> SpeedList.read("9 ".repeat(15_000)))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("list.long"));
        List<String> ranges = IntStream.range(1, 20).mapToObj(i -> i + " to " + (i + 1)).toList();
        assertThatThrownBy(() -> SpeedList.read(String.join(", ", ranges)))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("list.ranges"));
    }

    /** A label of several words is one, tab-parted or before the figures of its row. */
    @Test
    void labelsOfSeveralWordsAreOne() {
        for (String plate : List.of("back gear\t31\t45\ndirect drive\t125\t180", "back gear 31 45\ndirect drive 125 180",
                "\tlow range\thigh range\nback gear\t31\t45\ndirect drive\t125\t180")) {
            SpeedList.Rows rows = (SpeedList.Rows) SpeedList.read(plate);
            assertThat(rows.rowLabels()).as(plate).containsExactly("back-gear", "direct-drive");
            assertThat(rows.cells()).as(plate).allSatisfy(row -> assertThat(row).hasSize(2));
        }
    }

    /** 8 to 12 and their doubles: a hole on a plate of feeds, nothing on one of threads; a thread misread is found on either. */
    @Test
    void threadsFollowNoLadder() {
        SpeedList.Rows rows = (SpeedList.Rows) SpeedList.readThreads("8 9 10 11 12 tpi\n16 18 20 22 24 tpi\n32 36 40 44 84 tpi");
        List<Lever> levers = List.of(new Lever("letter", List.of("A", "B", "C")), new Lever("number", List.of("1", "2", "3", "4", "5")));
        Map<List<String>, PlateCell> cells = new LinkedHashMap<>();
        List<PlateCell> all = rows.cells().stream().flatMap(List::stream).toList();
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        IntStream.range(0, keys.size()).forEach(i -> cells.put(keys.get(i), all.get(i)));
        SpeedPlate plate = new SpeedPlate(levers, cells, Optional.empty());
        assertThat(PlateCheck.ofFeeds(plate).remarks()).anyMatch(r -> r.because().code().equals("plate.ladder"));
        assertThat(PlateCheck.ofThreads(plate).remarks())
                .noneMatch(r -> r.because().code().equals("plate.ladder") || r.because().code().equals("plate.hole"))
                .anySatisfy(r -> assertThat(r.cells()).contains(List.of("C", "5")));
    }
}
