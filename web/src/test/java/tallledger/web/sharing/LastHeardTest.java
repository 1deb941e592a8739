package tallledger.web.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** When a device was last heard of, and what it held then, is known after a start too. */
class LastHeardTest {

    private static final Instant TEN_42 = Instant.parse("2026-12-01T10:42:00Z");

    @TempDir
    Path data;

    @Test
    void whatItHeldIsKnownAfterAHardStop() {
        LastHeard before = new LastHeard(data);
        before.holds("phone", 7, TEN_42);
        before.saw("phone", TEN_42.plusSeconds(5));
        assertThat(before.of("phone")).contains(new LastHeard.Heard(TEN_42.plusSeconds(5), 7));
        assertThat(new LastHeard(data).of("phone")).contains(new LastHeard.Heard(TEN_42, 7));
        assertThat(new LastHeard(data).of("tablet")).isEmpty();
    }

    @Test
    void aProperStopWritesWhatWasHeardLast() {
        LastHeard before = new LastHeard(data);
        before.saw("phone", TEN_42);
        before.saw("phone", TEN_42.plusSeconds(20));
        before.destroy();
        assertThat(new LastHeard(data).of("phone")).contains(new LastHeard.Heard(TEN_42.plusSeconds(20), 0));
    }

    @Test
    void whatIsSentIsHeldNoMore() {
        LastHeard heard = new LastHeard(data);
        heard.holds("phone", 2, TEN_42);
        heard.holds("phone", 1, TEN_42.plusSeconds(1));
        heard.holds("phone", 0, TEN_42.plusSeconds(2));
        assertThat(new LastHeard(data).of("phone")).contains(new LastHeard.Heard(TEN_42.plusSeconds(2), 0));
    }

    /** A bent file stops nothing. */
    @Test
    void whatCannotBeReadIsNotKnown() throws IOException {
        Files.writeString(data.resolve("devices-last-heard.properties"), "phone=soon 7\ntablet=12\nother=1764585720000 3\nbad=\\u00zz\n");
        assertThat(new LastHeard(data).of("phone")).isEmpty();
        Files.writeString(data.resolve("devices-last-heard.properties"), "phone=soon 7\ntablet=12\nother=1764585720000 3\n");
        LastHeard read = new LastHeard(data);
        assertThat(read.of("phone")).isEmpty();
        assertThat(read.of("tablet")).isEmpty();
        assertThat(read.of("other")).contains(new LastHeard.Heard(Instant.ofEpochMilli(1764585720000L), 3));
    }
}
