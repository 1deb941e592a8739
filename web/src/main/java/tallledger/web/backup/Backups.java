package tallledger.web.backup;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Enumeration;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.web.store.Heads;
import tallledger.web.store.Store;
import tallledger.web.store.Unfinished;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * Everything that is kept, as one zip, while it goes on being written: the database as it stands at one moment, the file of heads and the
 * key. The heads are read first, so that they never know more than the copy; those noted while it was made follow, so that what it holds
 * more than that is known to be its own.
 */
@Component
public class Backups {

    private static final String KEY = "seal.key";

    private static final int A_PART = 64 * 1024;

    private final HikariDataSource source;
    private final Path data;
    private final Unfinished unfinished;
    private final Store store;

    Backups(HikariDataSource source, @Value("${tallledger.data}") Path data, Unfinished unfinished, Store store) {
        this.store = store;
        this.unfinished = unfinished;
        this.source = source;
        this.data = data;
    }

    /**
     * A backup on the disk, whole; whoever asked takes it away and deletes it.
     *
     * @throws WriteRefusedException where there is no room, or it cannot be read; nothing is left of it then
     */
    public Path taken() {
        return taken(Watch.NOBODY);
    }

    /** Told how far a backup is; what it throws stops it, and nothing is left of it then. */
    public interface Watch {

        Watch NOBODY = new Watch() {
            @Override
            public void copies() {
                // Nobody watches.
            }

            @Override
            public void packs(double share) {
                // Nobody watches.
            }
        };

        void copies();

        /** @param share of the database that is packed */
        void packs(double share);
    }

    /** The same, told to somebody. */
    public Path taken(Watch watch) {
        try {
            return made(unfinished.file(".zip"), watch);
        } catch (IOException | SQLException failed) {
            throw new WriteRefusedException(Reason.of(WebReason.BACKUP_FAILED), failed);
        }
    }

    private Path made(Path whole, Watch watch) throws IOException, SQLException {
        Path database = data.resolve(whole.getFileName() + ".db");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(whole))) {
            String noted = read(Heads.FILE);
            String key = read(KEY);
            if (!key.isEmpty()) {
                put(zip, KEY, key);
            }
            watch.copies();
            copied(database);
            add(database, zip, watch);
            store.await();
            put(zip, Heads.FILE, Heads.inABackup(noted, read(Heads.FILE)));
        } catch (IOException | SQLException | RuntimeException failed) {
            Files.deleteIfExists(whole);
            throw failed;
        } finally {
            Files.deleteIfExists(database);
        }
        return whole;
    }

    private String read(String name) throws IOException {
        return Files.exists(data.resolve(name)) ? Files.readString(data.resolve(name), StandardCharsets.ISO_8859_1) : "";
    }

    private static void put(ZipOutputStream zip, String name, String content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content.getBytes(StandardCharsets.ISO_8859_1));
        zip.closeEntry();
    }

    private void copied(Path to) throws SQLException {
        try (Connection connection = source.getConnection(); PreparedStatement backup = connection.prepareStatement("backup to ?")) {
            backup.setString(1, to.toAbsolutePath().toString());
            backup.execute();
        }
    }

    private static void add(Path database, ZipOutputStream zip, Watch watch) throws IOException {
        try (ZipFile copied = new ZipFile(database.toFile())) {
            for (Enumeration<? extends ZipEntry> all = copied.entries(); all.hasMoreElements();) {
                ZipEntry entry = all.nextElement();
                zip.putNextEntry(new ZipEntry(entry.getName()));
                byte[] part = new byte[A_PART];
                long packed = 0;
                try (InputStream in = copied.getInputStream(entry)) {
                    for (int n = in.read(part); n >= 0; n = in.read(part)) {
                        zip.write(part, 0, n);
                        packed += n;
                        watch.packs(packed / (double) Math.max(1, entry.getSize()));
                    }
                }
                zip.closeEntry();
            }
        }
    }
}
