package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What stands in the way of a start is said in one sentence, before anything is made or taken away. */
class StartsTest {

    private record Ended(int code, List<String> said) {
    }

    private static Process process(Path data, int port, Path log, String... more) throws IOException {
        List<String> command = new java.util.ArrayList<>(List.of(System.getProperty("java.home") + "/bin/java",
                "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp", System.getProperty("java.class.path"), "tallledger.web.TallLedger",
                "--server.port=" + port, "--tallledger.data=" + data, "--tallledger.warm=false"));
        command.addAll(List.of(more));
        return new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile()).start();
    }

    private static Ended ended(Path data, int port, String... more) throws IOException, InterruptedException {
        Path log = Files.createTempFile("start", ".txt");
        Process process = process(data, port, log, more);
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new AssertionError("it goes on: " + Files.readString(log));
        }
        return new Ended(process.exitValue(), Files.readAllLines(log));
    }

    /** A port that stays taken while the test runs. */
    private static ServerSocket taken() throws IOException {
        return new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
    }

    @Test
    void aTakenPortIsSaidBeforeTheDemoDataAreMade(@TempDir Path data) throws Exception {
        try (ServerSocket other = taken()) {
            Ended ended = ended(data, other.getLocalPort(), "--tallledger.demo=true", "--tallledger.demo-anew=true");
            assertThat(ended.code).isNotZero();
            assertThat(ended.said).containsExactly("Port " + other.getLocalPort()
                    + " is taken by another program. Stop it, or choose another: --port N");
            assertThat(data).isEmptyDirectory();
        }
    }

    @Test
    void dataOpenInAnotherAreLeftToIt(@TempDir Path data) throws Exception {
        int port = freePort();
        Process first = process(data, port, Files.createTempFile("start", ".txt"));
        try {
            waitFor(port);
            Ended second = ended(data, freePort(), "--tallledger.demo=true", "--tallledger.demo-anew=true");
            assertThat(second.code).isNotZero();
            assertThat(second.said).singleElement().asString().startsWith("The data in " + data + " are open in another Tall Ledger.");
            assertThat(data.resolve("tall-ledger.mv.db")).exists();
            assertThat(first.isAlive()).isTrue();
        } finally {
            first.destroyForcibly().waitFor();
        }
    }

    /** A file where a folder should be cannot be written in by anybody, root included. */
    @Test
    void aFolderThatCannotBeWrittenIsSaid(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("data"), "no folder");
        Ended ended = ended(file, freePort());
        assertThat(ended.code).isNotZero();
        assertThat(ended.said).singleElement().asString().startsWith("Nothing can be written in " + file);
    }

    @Test
    void dataThatNoDemoMadeAreNotTakenAwayForOne(@TempDir Path data) throws Exception {
        Path own = Files.writeString(data.resolve("tall-ledger.mv.db"), "somebody's survey");
        Ended ended = ended(data, freePort(), "--tallledger.demo=true", "--tallledger.demo-anew=true");
        assertThat(ended.said).singleElement().asString().contains("holds data that no demo made; they are not touched");
        assertThat(own).hasContent("somebody's survey");
    }

    @Test
    void aDamagedDatabaseIsSaidInOneSentence(@TempDir Path data) throws Exception {
        Files.write(data.resolve("tall-ledger.mv.db"), new byte[9000]);
        Ended ended = ended(data, freePort());
        assertThat(ended.code).isNotZero();
        assertThat(ended.said).hasSizeLessThan(4).last().asString().startsWith("The database in " + data + " cannot be read");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void waitFor(int port) throws InterruptedException {
        for (int i = 0; i < 400; i++) {
            try {
                new Socket("localhost", port).close();
                return;
            } catch (IOException notYet) {
                Thread.sleep(100);
            }
        }
        throw new AssertionError("the first did not start");
    }
}
