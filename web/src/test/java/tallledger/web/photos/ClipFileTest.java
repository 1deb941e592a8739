package tallledger.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a film is, by its first bytes and not by its name. */
class ClipFileTest {

    @ParameterizedTest
    @CsvSource({"....ftypisom, video/mp4", "....ftypmp42more, video/mp4", "....ftypqt  , video/quicktime"})
    void itsBrandSaysWhatItIs(String first, String type) {
        byte[] bytes = Arrays.copyOf(first.getBytes(StandardCharsets.ISO_8859_1), 12);
        assertThat(ClipFile.type(bytes)).contains(type);
    }

    @Test
    void matroskaIsWebm() {
        byte[] first = new byte[12];
        first[0] = 0x1A;
        first[1] = 0x45;
        first[2] = (byte) 0xDF;
        first[3] = (byte) 0xA3;
        assertThat(ClipFile.type(first)).contains("video/webm");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "....ftypiso", "RIFF....AVI ", "....moov....", "ftypisom....", "<html><body>"})
    void whatIsNoneIsNone(String first) {
        assertThat(ClipFile.type(first.getBytes(StandardCharsets.ISO_8859_1))).isEmpty();
    }
}
