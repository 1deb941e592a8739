package tallledger.core.spoken;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.film.Gap;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/** Text with times, in the three ways it is written, and what of it cannot be read. */
class TimedTextTest {

    private static String cues(String typed) {
        return TimedText.parse(typed).cues().stream().map(c -> c.from() + " " + c.until().map(BigDecimal::toString).orElse("-") + " "
                + c.text()).collect(Collectors.joining("|"));
    }

    @Test
    void webVttSubRipAndLinesWithTimesAreTheSame() {
        assertThat(cues("WEBVTT\n\nNOTE by hand\n\n00:01.500 --> 00:03.000 align:start\n<v A>This is <b>bottom</b>.\n"))
                .isEqualTo("1.500 3.000 This is bottom.");
        assertThat(cues("1\n00:00:01,500 --> 00:00:03,000\nThis is\nbottom.\n\n2\n00:01:00,000 --> 00:01:02,000\nNext.\n"))
                .isEqualTo("1.500 3.000 This is bottom.|60.000 62.000 Next.");
        assertThat(cues("[0:01] This is bottom.\n1:00:02 - Next.")).isEqualTo("1 - This is bottom.|3602 - Next.");
    }

    @Test
    void captionsThatRepeatALineSayItOnce() {
        assertThat(cues("WEBVTT\n\n0:01.000 --> 0:02.000\nthis is\n\n0:02.000 --> 0:03.000\nthis is\nbottom\n"))
                .isEqualTo("1.000 2.000 this is|2.000 3.000 bottom");
    }

    @Test
    void timesThatRunBackArePutInOrderAndThatIsSaid() {
        TimedText text = TimedText.parse("0:09 second\n0:03 first");
        assertThat(text.cues()).extracting(TimedText.Cue::text).containsExactly("first", "second");
        assertThat(text.doubts()).extracting(Reason::code).containsExactly(SpokenReason.TIMES_BACK.code());
    }

    @ParameterizedTest
    @CsvSource({"'  ', TEXT_EMPTY", "no times here, TEXT_NO_TIMES"})
    void whatIsNoTimedTextIsRefused(String typed, SpokenReason because) {
        assertThatThrownBy(() -> TimedText.parse(typed)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(because.code()));
    }

    @Test
    void fiftyThousandLinesAreMoreThanAnybodySays() {
        assertThatThrownBy(() -> TimedText.parse("0:01 a\n".repeat(50_000))).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(SpokenReason.TEXT_LINES.code()));
    }

    private static List<String> silent(String end, String... texts) {
        return TimedText.silences(List.of(texts).stream().map(TimedText::parse).toList(), new BigDecimal(end)).stream()
                .map(g -> g.from() + "-" + g.until()).toList();
    }

    /** A line without an end takes four seconds, or until the next; two texts of one film are one; under three seconds is a breath. */
    @Test
    void nobodySpeaksWhereNoTextHasALine() {
        // 5 to 7, 7 to 11, 14 to 18: silent before 5, and from 11 to 14 just long enough; the two seconds after 18 are a breath.
        assertThat(silent("20", "0:05 This is bottom.\n0:07 Next.\n0:14 Last.")).containsExactly("0-5", "11-14");
        assertThat(silent("20", "0:05 This is bottom.\n0:07 Next.\n0:14 Last.", "WEBVTT\n\n0:00.000 --> 0:04.000\nHallo.\n"))
                .containsExactly("11-14");
        assertThat(silent("30", "WEBVTT\n\n0:00.000 --> 0:25.000\nlong\n\n0:01.000 --> 0:02.000\nshort\n")).containsExactly("25.000-30");
    }

    @ParameterizedTest
    @CsvSource({"3, 0-3", "2.999, ''", "0, ''"})
    void aPieceOfTheShortestLengthCounts(String end, String gaps) {
        assertThat(Gap.between(List.of(), new BigDecimal(end), new BigDecimal("3")).stream().map(g -> g.from() + "-" + g.until())
                .collect(Collectors.joining(" "))).isEqualTo(gaps);
    }
}
