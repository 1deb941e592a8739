package tallledger.web.sharing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.web.App;
import tallledger.web.store.WriteRefusedException;

/** Shared by the command line: the terminal says where, with a code, and shows both to be photographed. */
class SharedFromStartTest {

    @TempDir
    private Path data;

    @Test
    void theTerminalSaysWhereAndShowsACode() throws Exception {
        App app = App.on(data, "--tallledger.share=true", "--tallledger.share-port=0",
                "--tallledger.share-addresses=8.8.8.8,fd00::7,a.name");
        try {
            Sharing sharing = app.bean(Sharing.class);
            assertThat(sharing.isOn()).isTrue();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            app.bean(SharedFromStart.class).say(new PrintStream(out, true, StandardCharsets.UTF_8), true);
            String said = out.toString(StandardCharsets.UTF_8);
            Matcher where = Pattern.compile("open (https://\\S+/pair) and type (\\S{9}) ").matcher(said);
            assertThat(where.find()).as(said).isTrue();
            assertThat(where.group(1)).isEqualTo(sharing.address(sharing.addresses().get(0)) + "/pair");
            assertThat(sharing.addresses()).as("those of local networks").containsExactly("fd00:0:0:0:0:0:0:7");
            assertThat(sharing.isOurs("[fd00::7]")).isTrue();
            assertThat(sharing.isOurs("8.8.8.8")).isFalse();
            assertThat(said).contains(sharing.fingerprint().orElseThrow().words());
            List<String> squares =
                    said.lines().filter(l -> l.startsWith("\u001b")).map(l -> l.replaceAll("\u001b\\[[0-9;]*m", "")).toList();
            assertThat(read(squares)).isEqualTo(where.group(1) + "?code=" + where.group(2));
        } finally {
            app.close();
        }
    }

    /** What a telephone makes of the lines: two rows of squares each, four units of quiet around. */
    private static String read(List<String> lines) throws Exception {
        int quiet = 4;
        int size = lines.get(0).length() - 2 * quiet;
        BitMatrix squares = new BitMatrix(size);
        for (int y = 0; y < size; y++) {
            for (int x = 0; x < size; x++) {
                char at = lines.get((y + quiet) / 2).charAt(x + quiet);
                if (at == '\u2588' || at == ((y + quiet) % 2 == 0 ? '\u2580' : '\u2584')) {
                    squares.set(x, y);
                }
            }
        }
        return new Decoder().decode(squares).getText();
    }

    @Test
    void aPortThatIsTakenIsSaidAndTheRestGoesOn() throws Exception {
        try (ServerSocket other = new ServerSocket(0)) {
            App app = App.on(data, "--tallledger.share=true", "--tallledger.share-port=" + other.getLocalPort());
            try {
                assertThat(app.status("/house/sharing")).isEqualTo(200);
                assertThat(app.bean(Sharing.class).isOn()).isFalse();
                assertThatThrownBy(() -> app.bean(Sharing.class).begin()).isInstanceOfSatisfying(WriteRefusedException.class,
                        w -> assertThat(w.reason().code()).isEqualTo("sharing.port"));
            } finally {
                app.close();
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"10.0.0.1, true", "172.16.5.4, true", "172.32.0.1, false", "192.168.178.20, true", "169.254.7.7, true", "8.8.8.8, false",
            "fd12::1, true", "fc00::1, true", "fe80::1, false", "2001:db8::1, false"})
    void onlyLocalAddressesAreShared(String address, boolean local) throws Exception {
        assertThat(LocalAddresses.isLocal(InetAddress.getByName(address))).isEqualTo(local);
    }

    @ParameterizedTest
    @CsvSource({"fd00::2, fd00:0:0:0:0:0:0:2", "FD00::2, fd00:0:0:0:0:0:0:2", "192.168.1.20, 192.168.1.20", "localhost, localhost",
            "a.b:c, a.b:c", "'', ''"})
    void anAddressIsKnownHoweverItIsShortened(String typed, String known) {
        assertThat(LocalAddresses.literal(typed)).isEqualTo(known);
    }
}
