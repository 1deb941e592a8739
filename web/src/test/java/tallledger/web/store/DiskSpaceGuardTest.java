package tallledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.unit.DataSize;

/** What is to be written counts against the room that is left, three times over. */
class DiskSpaceGuardTest {

    private static final long GIGABYTE = 1L << 30;

    @TempDir
    Path data;

    /** With one gigabyte over the margin 100 MB have room and 400 MB have none, whatever else writes meanwhile. */
    @Test
    void theSizeOfWhatIsToBeWrittenCounts() {
        long usable = data.toFile().getUsableSpace();
        assertThat(usable).isGreaterThan(2 * GIGABYTE);
        DiskSpaceGuard room = new DiskSpaceGuard(data, DataSize.ofBytes(usable - GIGABYTE));
        assertThatCode(() -> room.check(100L << 20)).doesNotThrowAnyException();
        assertThatThrownBy(() -> room.check(400L << 20)).isInstanceOfSatisfying(WriteRefusedException.class,
                not -> assertThat(not.reason().code()).isEqualTo("store.room"));
    }
}
