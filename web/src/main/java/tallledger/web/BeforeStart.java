package tallledger.web;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.springframework.util.FileSystemUtils;

/**
 * What is looked at before anything is started, so that what stands in the way is said in one sentence: the port, the folder of
 * the data, whether another Tall Ledger has it open. The lock is held until the process ends.
 */
final class BeforeStart {

    private static final String IN_USE = "in-use";
    /** Of an earlier start, stopped hard: uploads that never arrived whole. */
    private static final String LEFT_BY_THE_SERVER = "unfinished-server";
    private static final String DEMO = "demo-data-made-anew";
    private static final List<String> DEMO_FILES = List.of("tall-ledger.mv.db", "tall-ledger.trace.db", "heads.txt", "heads.txt.new");
    private static final int H2_CORRUPTED = 90030;
    private static final int H2_OLD_FORMAT = 90048;

    /** Held open for as long as the process lives. */
    @SuppressWarnings("UnusedVariable")
    private static FileLock lock;

    private BeforeStart() {
    }

    /** Why it cannot start; empty where nothing stands in the way. */
    static Optional<String> obstacle(int port, Path data, boolean demoAnew, String demoFrom) {
        return portTaken(port).or(() -> folder(data)).or(() -> demoAnew ? demoMadeAnew(data, demoFrom) : Optional.empty());
    }

    /** Bound, but never listened at: who waits for the port to answer is not answered by the question whether it is free. */
    private static Optional<String> portTaken(int port) {
        if (port == 0) {
            return Optional.empty();
        }
        try (Socket probe = new Socket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            return Optional.empty();
        } catch (IOException taken) {
            return Optional.of("Port " + port + " is taken by another program. Stop it, or choose another: --port N");
        }
    }

    private static Optional<String> folder(Path data) {
        try {
            Files.createDirectories(data);
            for (String file : DEMO_FILES) {
                if (Files.exists(data.resolve(file)) && !Files.isWritable(data.resolve(file))) {
                    throw new AccessDeniedException(file);
                }
            }
            FileChannel channel = FileChannel.open(data.resolve(IN_USE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock taken = channel.tryLock();
            if (taken == null) {
                channel.close();
                return Optional.of("The data in " + data
                        + " are open in another Tall Ledger. Use that one, stop it, or give this one a folder of its own: --data DIR");
            }
            lock = taken;
            ownersOnly(data);
            FileSystemUtils.deleteRecursively(data.resolve(LEFT_BY_THE_SERVER));
            return Optional.empty();
        } catch (OverlappingFileLockException here) {
            return Optional.of("The data in " + data
                    + " are open in another Tall Ledger. Use that one, stop it, or give this one a folder of its own: --data DIR");
        } catch (FileSystemException e) {
            return Optional.of("Nothing can be written in " + data + " (" + why(e)
                    + "). Make it writable, or choose another folder: --data DIR");
        } catch (IOException e) {
            return Optional.of("The data in " + data + " cannot be used: " + e.getMessage());
        }
    }

    /** The key lies in it, and every word somebody said: nobody else's business. */
    private static void ownersOnly(Path data) throws IOException {
        if (Files.getFileStore(data).supportsFileAttributeView(PosixFileAttributeView.class)) {
            Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("rwx------"));
        }
    }

    private static String why(FileSystemException e) {
        return e.getReason() != null ? e.getReason()
                : e instanceof AccessDeniedException ? "no leave to write"
                        : e.getClass()
                                .getSimpleName();
    }

    /** The demo is made anew; only what an earlier demo left is ever taken away. */
    private static Optional<String> demoMadeAnew(Path data, String from) {
        try {
            if (Files.exists(data.resolve(DEMO_FILES.get(0))) && !Files.exists(data.resolve(DEMO))) {
                return Optional.of("The folder " + data
                        + " holds data that no demo made; they are not touched. Choose another folder for the demo.");
            }
            for (String file : DEMO_FILES) {
                Files.deleteIfExists(data.resolve(file));
            }
            Files.writeString(data.resolve(DEMO), "bin/demo makes the data in this folder anew at each start.\n");
            if (!from.isBlank() && Files.exists(Path.of(from))) {
                unpack(Path.of(from), data);
            }
            return Optional.empty();
        } catch (IOException e) {
            return Optional.of("The demo's old data cannot be taken away: " + e.getMessage());
        }
    }

    /** Made once, at the build, and packed as a backup is; without it the application makes its own. */
    private static void unpack(Path made, Path data) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(made))) {
            for (ZipEntry file = zip.getNextEntry(); file != null; file = zip.getNextEntry()) {
                Files.copy(zip, data.resolve(Path.of(file.getName()).getFileName()), StandardCopyOption.REPLACE_EXISTING);
            }
        }
    }

    /** A failed start in one sentence. */
    static String sentence(Throwable failed, Path data) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && (sql.getErrorCode() == H2_CORRUPTED || sql.getErrorCode() == H2_OLD_FORMAT)) {
                return "The database in " + data + " cannot be read: it is damaged or cut short. Put back a copy of the whole folder; "
                        + "what is there now is not touched.";
            }
        }
        Throwable root = failed;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return "Tall Ledger did not start: " + String.valueOf(root.getMessage()).lines().findFirst()
                .orElse(root.getClass().getSimpleName());
    }
}
