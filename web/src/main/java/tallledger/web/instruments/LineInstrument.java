package tallledger.web.instruments;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import tallledger.core.instrument.Instrument;
import tallledger.core.instrument.InstrumentKind;
import tallledger.core.instrument.InstrumentLine;
import tallledger.core.instrument.InstrumentReason;
import tallledger.core.reason.Refused;

/**
 * An instrument at the other end of lines of text (docs/INSTRUMENTS.md): a file that a bridge adds lines to, or a socket on this machine
 * that answers {@code read KIND} with one.
 *
 * @param where as the settings say it
 */
record LineInstrument(String where) {

    private static final String FILE = "file:";
    private static final String SOCKET = "socket:";
    /** An older line is not of this reading. */
    private static final Duration FRESH = Duration.ofSeconds(10);
    private static final int WAIT_MS = 2_000;
    private static final int TAIL = 8_192;

    /** @param where empty where there is none @throws IllegalArgumentException for what is neither a file nor a socket on this machine */
    static Optional<LineInstrument> at(String where) {
        if (where.isBlank()) {
            return Optional.empty();
        }
        if (!where.startsWith(FILE) && !where.matches(SOCKET + "(localhost|127\\.0\\.0\\.1):\\d{2,5}")) {
            throw new IllegalArgumentException("tallledger.instrument is file:PATH or socket:localhost:PORT, not " + where);
        }
        return Optional.of(new LineInstrument(where));
    }

    Instrument reading(InstrumentKind kind) {
        return new Instrument() {
            @Override
            public InstrumentKind kind() {
                return kind;
            }

            @Override
            public String read(ReadingFor asked) {
                return line(kind).typed();
            }
        };
    }

    private InstrumentLine line(InstrumentKind kind) {
        try {
            return where.startsWith(FILE) ? last(Path.of(where.substring(FILE.length())), kind) : answer(kind);
        } catch (IOException none) {
            throw Refused.because(InstrumentReason.ANSWERS_NOT, where);
        }
    }

    /** The newest line of that kind in a file that was added to just now. */
    private static InstrumentLine last(Path file, InstrumentKind kind) throws IOException {
        Duration old = Duration.between(Files.getLastModifiedTime(file).toInstant(), Instant.now());
        if (old.compareTo(FRESH) > 0) {
            throw Refused.because(InstrumentReason.OLD, old.toSeconds());
        }
        byte[] tail;
        try (RandomAccessFile open = new RandomAccessFile(file.toFile(), "r")) {
            long from = Math.max(0, open.length() - TAIL);
            open.seek(from);
            tail = new byte[(int) (open.length() - from)];
            open.readFully(tail);
        }
        List<String> lines = new ArrayList<>(new String(tail, StandardCharsets.UTF_8).lines().toList());
        Collections.reverse(lines);
        for (String one : lines) {
            if (one.strip().toLowerCase(Locale.ROOT).startsWith(kind.name().toLowerCase(Locale.ROOT) + " ")) {
                return InstrumentLine.parse(one).orElseThrow();
            }
        }
        throw Refused.because(InstrumentReason.NOTHING_READ, kind);
    }

    private InstrumentLine answer(InstrumentKind kind) throws IOException {
        int port = Integer.parseInt(where.substring(where.lastIndexOf(':') + 1));
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), WAIT_MS);
            socket.getOutputStream().write(("read " + kind.name().toLowerCase(Locale.ROOT) + "\n").getBytes(StandardCharsets.UTF_8));
            socket.getOutputStream().flush();
            InstrumentLine read = InstrumentLine.parse(firstLine(socket))
                    .orElseThrow(() -> Refused.because(InstrumentReason.NOTHING_READ, kind));
            if (read.kind() != kind) {
                throw Refused.because(InstrumentReason.NOTHING_READ, kind);
            }
            return read;
        }
    }

    /** The whole line within the time of one reading, and no longer than a line may be; more of it is left where it is. */
    private static String firstLine(Socket socket) throws IOException {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(WAIT_MS);
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        while (line.size() <= InstrumentLine.LONGEST) {
            long left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime());
            if (left <= 0) {
                throw new SocketTimeoutException("no whole line in time");
            }
            socket.setSoTimeout((int) left);
            int one = socket.getInputStream().read();
            if (one < 0 || one == '\n') {
                break;
            }
            line.write(one);
        }
        return line.toString(StandardCharsets.UTF_8).strip();
    }
}
