package tallledger.web.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.instrument.Instrument;
import tallledger.core.instrument.InstrumentKind;
import tallledger.core.reason.Refused;

class LineInstrumentTest {

    private static final Instrument.ReadingFor ANY = new Instrument.ReadingFor("step", "value");

    @TempDir
    private Path folder;

    private static void refuses(Instrument instrument, String code) {
        assertThatThrownBy(() -> instrument.read(ANY))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void theNewestLineOfItsKindIsTakenWhileItIsFresh() throws IOException {
        Path file = folder.resolve("readings.txt");
        Instrument indicator = LineInstrument.at("file:" + file).orElseThrow().reading(InstrumentKind.INDICATOR);
        refuses(indicator, "instrument.answers-not");
        Files.writeString(file, "indicator 0.010 mm\n".repeat(1000) + "indicator 0.012 mm\ntachometer 99\n\n");
        assertThat(indicator.read(ANY)).isEqualTo("0.012 mm");
        refuses(LineInstrument.at("file:" + file).orElseThrow().reading(InstrumentKind.VOLTMETER), "instrument.nothing");
        Files.writeString(file, "indicator twelve mm\n");
        refuses(indicator, "number.not-one");
        Files.setLastModifiedTime(file, FileTime.from(Instant.now().minusSeconds(60)));
        refuses(indicator, "instrument.old");
    }

    @Test
    void aSocketIsAskedAndAnswers() throws Exception {
        try (ServerSocket server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            Thread bridge = new Thread(() -> {
                for (String answer : new String[] {"tachometer 251.3 rpm\n", "indicator 1 mm\n", ""}) {
                    try (Socket socket = server.accept()) {
                        String asked = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))
                                .readLine();
                        socket.getOutputStream().write(("read tachometer".equals(asked) ? answer : "?").getBytes(StandardCharsets.UTF_8));
                    } catch (IOException closed) {
                        return;
                    }
                }
            });
            bridge.start();
            Instrument tachometer = LineInstrument.at("socket:localhost:" + server.getLocalPort()).orElseThrow()
                    .reading(InstrumentKind.TACHOMETER);
            assertThat(tachometer.read(ANY)).isEqualTo("251.3");
            refuses(tachometer, "instrument.nothing");
            refuses(tachometer, "instrument.nothing");
            server.close();
            refuses(tachometer, "instrument.answers-not");
            bridge.join(2_000);
        }
    }

    /** A line without end, and one that drips a sign every half second: neither holds more than a reading's time, nor its memory. */
    @ParameterizedTest
    @ValueSource(ints = {0, 500})
    void aSocketThatNeverEndsItsLineIsLeft(int pause) throws Exception {
        try (ServerSocket server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            Thread bridge = new Thread(() -> {
                byte[] much = "9".repeat(pause == 0 ? 1_000_000 : 1).getBytes(StandardCharsets.UTF_8);
                try (Socket socket = server.accept()) {
                    for (int i = 0; i < 2_000; i++) {
                        socket.getOutputStream().write(much);
                        Thread.sleep(pause);
                    }
                } catch (IOException | InterruptedException left) {
                    return;
                }
            });
            bridge.setDaemon(true);
            bridge.start();
            Instrument tachometer = LineInstrument.at("socket:localhost:" + server.getLocalPort()).orElseThrow()
                    .reading(InstrumentKind.TACHOMETER);
            long begun = System.nanoTime();
            refuses(tachometer, pause == 0 ? "instrument.long" : "instrument.answers-not");
            assertThat(System.nanoTime() - begun).as("ns").isLessThan(3_500_000_000L);
        }
    }

    @Test
    void onlyThisMachineIsConnectedTo() {
        assertThat(LineInstrument.at("")).isEmpty();
        assertThatThrownBy(() -> LineInstrument.at("socket:example.org:80")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> LineInstrument.at("http://localhost:1")).isInstanceOf(IllegalArgumentException.class);
    }
}
