package tallledger.web;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * {@code bin/restore FILE DIR}: puts a backup back. Run from its source and by the Java that is there, so that it needs nothing built:
 * whoever restores may have nothing else left. It holds the lock that a running Tall Ledger holds, and moves aside what lies there.
 */
public final class Restore {

    private static final String DATABASE = "tall-ledger.mv.db";
    private static final Set<String> NAMES = Set.of(DATABASE, "heads.txt", "seal.key");
    /** The lock of {@code BeforeStart}. */
    private static final String IN_USE = "in-use";
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

    private Restore() {
    }

    public static void main(String[] args) {
        Path data = Path.of(args[1]).toAbsolutePath().normalize();
        try (ZipFile zip = new ZipFile(args[0])) {
            List<? extends ZipEntry> files = new ArrayList<>(zip.stream().toList());
            boolean named = files.stream().allMatch(f -> NAMES.contains(f.getName()))
                    && files.stream().map(ZipEntry::getName).distinct().count() == files.size();
            if (!named || files.stream().noneMatch(f -> f.getName().equals(DATABASE))) {
                stop(args[0] + " is no backup of Tall Ledger. Nothing was changed.");
            }
            restore(zip, files, data);
        } catch (ZipException none) {
            stop(args[0] + " is no zip, is cut short or damaged. Nothing was changed.");
        } catch (IOException failed) {
            stop(failed.getMessage() + " Nothing was changed.");
        }
    }

    private static void restore(ZipFile zip, List<? extends ZipEntry> files, Path data) throws IOException {
        Path fresh = data.resolveSibling(data.getFileName() + ".new-" + ProcessHandle.current().pid());
        try {
            unpack(zip, files, fresh);
            if (Files.exists(data)) {
                moveAside(data);
            }
            Files.move(fresh, data);
        } finally {
            clear(fresh);
        }
        System.out.println("Restored to " + data + ".");
    }

    private static void moveAside(Path data) throws IOException {
        try (FileChannel channel = FileChannel.open(data.resolve(IN_USE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            if (lock == null) {
                throw new IOException("The data in " + data + " are open in a running Tall Ledger. Stop it first.");
            }
            Path before = data.resolveSibling(data.getFileName() + "-before-" + WHEN.format(LocalDateTime.now()));
            Files.move(data, before);
            System.out.println("What was in " + data + " lies in " + before + " now.");
        }
    }

    /** Whole on the device, and its owner's only, before anything is moved. */
    private static void unpack(ZipFile zip, List<? extends ZipEntry> files, Path to) throws IOException {
        Files.createDirectories(to);
        for (ZipEntry file : files) {
            Path at = to.resolve(file.getName());
            try (CheckedInputStream in = new CheckedInputStream(zip.getInputStream(file), new CRC32())) {
                Files.copy(in, at);
                if (in.getChecksum().getValue() != file.getCrc()) {
                    throw new ZipException(file.getName() + " is damaged");
                }
            }
            try (FileChannel written = FileChannel.open(at, StandardOpenOption.WRITE)) {
                written.force(true);
            }
        }
    }

    private static void clear(Path folder) throws IOException {
        for (String name : NAMES) {
            Files.deleteIfExists(folder.resolve(name));
        }
        Files.deleteIfExists(folder);
    }

    private static void stop(String sentence) {
        System.err.println(sentence);
        System.exit(1);
    }
}
