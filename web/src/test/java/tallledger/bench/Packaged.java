package tallledger.bench;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A program of its own that answers on a port: the packaged application as its users start it, or something to hold it against. */
final class Packaged implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(120);

    private final Process process;
    private final int port;
    private final Duration start;

    private Packaged(Process process, int port, Duration start) {
        this.process = process;
        this.port = port;
        this.start = start;
    }

    /** As bin/tall-ledger starts it. */
    static Packaged application(Path data, int port, String... more) throws IOException, InterruptedException {
        Path app = Path.of(System.getProperty("bench.home", "."), "target/app").toAbsolutePath().normalize();
        Path options = app.resolve("../../../bin/java.options").normalize();
        List<String> command = new ArrayList<>(List.of("@" + options));
        command.addAll(List.of(System.getProperty("bench.java", "").split(" ")));
        command.removeIf(String::isEmpty);
        command.addAll(List.of("-XX:SharedArchiveFile=" + app.resolve("classes.jsa"), "-Xlog:cds=off", "-jar",
                app.resolve("tall-ledger.jar").toString(), "--server.port=" + port, "--tallledger.data=" + data));
        command.addAll(List.of(more));
        return start(command, port, data.resolve("log.txt").toFile());
    }

    /** A main class from the class path. */
    static Packaged main(Class<?> type, int port, File log) throws IOException, InterruptedException {
        return start(List.of("-cp", System.getProperty("java.class.path"), type.getName(), "--server.port=" + port), port, log);
    }

    private static Packaged start(List<String> arguments, int port, File log) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(System.getProperty("java.home") + "/bin/java"));
        command.addAll(arguments);
        Instant began = Instant.now();
        Process process = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(log))
                .start();
        while (Duration.between(began, Instant.now()).compareTo(PATIENCE) < 0 && process.isAlive()) {
            try (Socket socket = new Socket("localhost", port)) {
                return new Packaged(process, port, Duration.between(began, Instant.now()));
            } catch (IOException notYet) {
                Thread.sleep(20);
            }
        }
        process.destroyForcibly();
        throw new IOException("did not start; see " + log);
    }

    String url(String path) {
        return "http://localhost:" + port + path;
    }

    long pid() {
        return process.pid();
    }

    /** Memory by kind, as the virtual machine reckons it; empty where it was not told to. */
    String nativeMemory() throws IOException {
        Process asked = new ProcessBuilder(System.getProperty("java.home") + "/bin/jcmd", String.valueOf(pid()), "VM.native_memory",
                "summary")
                .redirectErrorStream(true).start();
        return new String(asked.getInputStream().readAllBytes());
    }

    /** From the start of the process to the first connection taken. */
    Duration start() {
        return start;
    }

    /** As a power cut takes it. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
