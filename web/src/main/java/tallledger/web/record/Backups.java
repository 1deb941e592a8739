package tallledger.web.record;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Enumeration;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;

/**
 * Everything that is kept, as one zip, while it goes on being written: the database as it stands at one moment, the file of heads and the key. The heads are
 * read first: what is written meanwhile is then more than they know, never less.
 */
@Component
public class Backups {

    /** What lies beside the database and belongs to it. */
    private static final List<String> BESIDE = List.of("heads.txt", "seal.key");

    private final HikariDataSource source;
    private final Path data;

    Backups(HikariDataSource source, @Value("${tallledger.data}") Path data) {
        this.source = source;
        this.data = data;
    }

    /** A backup on the disk, whole; whoever asked takes it away and deletes it. */
    public Path taken() throws IOException {
        Path whole = Files.createTempFile(data, "backup", ".zip");
        Path database = data.resolve(whole.getFileName() + ".db");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(whole))) {
            for (String name : BESIDE) {
                if (Files.exists(data.resolve(name))) {
                    zip.putNextEntry(new ZipEntry(name));
                    Files.copy(data.resolve(name), zip);
                    zip.closeEntry();
                }
            }
            copied(database);
            add(database, zip);
        } catch (IOException | RuntimeException failed) {
            Files.deleteIfExists(whole);
            throw failed;
        } finally {
            Files.deleteIfExists(database);
        }
        return whole;
    }

    private void copied(Path to) {
        try (Connection connection = source.getConnection(); PreparedStatement backup = connection.prepareStatement("backup to ?")) {
            backup.setString(1, to.toAbsolutePath().toString());
            backup.execute();
        } catch (SQLException e) {
            throw new DataAccessResourceFailureException("the database could not be copied", e);
        }
    }

    private static void add(Path database, ZipOutputStream zip) throws IOException {
        try (ZipFile copied = new ZipFile(database.toFile())) {
            for (Enumeration<? extends ZipEntry> all = copied.entries(); all.hasMoreElements();) {
                ZipEntry entry = all.nextElement();
                zip.putNextEntry(new ZipEntry(entry.getName()));
                copied.getInputStream(entry).transferTo(zip);
                zip.closeEntry();
            }
        }
    }
}
