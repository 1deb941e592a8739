package tallledger.web.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.web.store.Unfinished;
import tallledger.web.store.WriteRefusedException;

class BackupsTest {

    @TempDir
    Path folder;

    /** Where the copy fails midway, and where it cannot even be begun. */
    @Test
    void nothingIsLeftOfABackupThatFailed() throws Exception {
        Files.writeString(folder.resolve("heads.txt"), "1 1 " + "0".repeat(64) + "\n");
        HikariDataSource closed = new HikariDataSource();
        closed.setJdbcUrl("jdbc:h2:mem:gone");
        closed.close();
        for (Path data : new Path[] {folder, folder.resolve("not there")}) {
            assertThatThrownBy(() -> new Backups(closed, data, new Unfinished(data), null).taken())
                    .isInstanceOfSatisfying(WriteRefusedException.class, not -> assertThat(not.reason().code()).isEqualTo("backup.failed"));
        }
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactly(folder.resolve("heads.txt"));
        }
    }
}
