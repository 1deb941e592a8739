package tallledger.core.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Plates told apart from words: | parts lines, a blank answer is that nothing was taken. */
class MixedTextTest {

    private static String lined(String text) {
        return text == null ? "" : text.replace("¶", "\n");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            31.5 45 63 90¶125 180 250 355 | 31.5 45 63 90¶125 180 250 355 | |
            A 31.5 45 63 90¶B 125 180 250 355 | A 31.5 45 63 90¶B 125 180 250 355 | |
            I II III¶A 31.5 45 63¶B 125 x ? | I II III¶A 31.5 45 63¶B 125 x ? | |
            Speeds: 31.5 45 63 90 | 31.5 45 63 90 | |
            Spindle speeds¶31.5 45 63 90¶Swing 410 | 31.5 45 63 90 | | Spindle speeds¶Swing 410
            Geared head lathe, speeds 31.5, 45, 63 and 90 rpm, 2 hp | 31.5, 45, 63 and 90 | | Geared head lathe, speeds  rpm, 2 hp
            runs at 60 85 125 180 rpm | 60 85 125 180 | | runs at  rpm
            Feeds: 0.05 0.1 0.2 0.4¶Speeds: 31.5 45 63 | 31.5 45 63 | 0.05 0.1 0.2 0.4 |
            feeds 0.05, 0.1, 0.2 and 0.4 mm/rev, swing 300 | | 0.05, 0.1, 0.2 and 0.4 | feeds  mm/rev, swing 300
            back gear in 40 60 90¶back gear out 200 300 450 | back gear in 40 60 90¶back gear out 200 300 450 | |
            50 65 95 110 250 325, swing 410 | 50 65 95 110 250 325 | | , swing 410
            60 to 500, 500 to 4200 rpm | 60 to 500, 500 to 4200 rpm | |
            """)
    void rowsAndListsAreToldApartFromWords(String text, String speeds, String feeds, String words) {
        MixedText told = MixedText.read(lined(text));
        assertThat(told.speeds().orElse("")).isEqualTo(lined(speeds));
        assertThat(told.feeds().orElse("")).isEqualTo(lined(feeds));
        assertThat(told.words()).isEqualTo(lined(words));
    }

    /** Dimensions, years, prices, a lone pair, small figures nobody named: words as they were. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"Travels 30 x 12 x 18", "swing 410, 17 x 60 in", "built 1968, rebuilt 1994", "0.05 0.1 0.2 0.4",
            "1500", "45 63", "12 speeds from 31.5 to 1400 rpm", "speeds 3, 4", "wheel 350 x 40 x 127", "collets 1 2 3 4 mm",
            "phone 01632 960 112 450", "I have 2 4 6 8 lathes here", "No play at 0.02 0.03", "wheels 24 30 36 30 48 60 and more",
            "50 65 95 110 250, swing 410",
            "change wheels 20 24 30 36 40 48 60 72 80 127", "drills 10 12 14 16 18 20", "Call 10 20 30 40 50 60",
            "work head 45 90 180 240 rpm", "table speeds 3 6 9 12 rpm", "threads 8 9 10 11 12 13 14 tpi"})
    void whatIsNoPlateStaysWords(String text) {
        MixedText told = MixedText.read(text);
        assertThat(told.speeds()).isEmpty();
        assertThat(told.feeds()).isEmpty();
        assertThat(told.words()).isEqualTo(text);
    }

    /** A second list is nobody's: it stays where it is seen and asked about. */
    @Test
    void onlyTheFirstListOfAKindIsTaken() {
        MixedText told = MixedText.read("31.5 45 63\nand\n100 200 300");
        assertThat(told.speeds()).contains("31.5 45 63");
        assertThat(told.words()).isEqualTo("and\n100 200 300");
    }

    /** Nothing is lost: every figure and every letter is in one of the three. */
    @Test
    void nothingTypedIsLost() {
        String text = "Aldwark 410, 2 hp\nSpeeds\nA 31.5 45\nB 90 125\nfeeds 0.1 0.2 0.3 0.4 mm/rev; swing 410\n\n£3400 or near";
        MixedText told = MixedText.read(text);
        String all = told.speeds().orElse("") + told.feeds().orElse("") + told.words();
        assertThat(letters(all)).isEqualTo(letters(text));
    }

    private static String letters(String text) {
        return text.chars().filter(c -> !Character.isWhitespace(c)).sorted().mapToObj(Character::toString).collect(Collectors.joining());
    }

    @Test
    void aLineLongerThanAnyRowStaysWords() {
        String line = "speeds " + IntStream.range(0, 150).mapToObj(i -> "31.5").collect(Collectors.joining(" "));
        MixedText told = MixedText.read("45 63 90\n" + line);
        assertThat(told.speeds()).contains("45 63 90");
        assertThat(told.words()).isEqualTo(line);
    }

    @Test
    void alongTextIsAllWords() {
        String text = IntStream.range(0, 3_000).mapToObj(i -> "31.5").collect(Collectors.joining(" "));
        assertThat(MixedText.read(text).words()).isEqualTo(text);
    }
}
