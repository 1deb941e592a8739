package tallledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;

class BackgroundThreadsTest {

    /** The piece at hand is finished, the next one left off; a piece that failed is no reason to wait. */
    @Test
    void theDatabaseIsClosedAfterTheWorkIsOver() throws Exception {
        BackgroundThreads background = new BackgroundThreads();
        CountDownLatch begun = new CountDownLatch(1);
        AtomicBoolean over = new AtomicBoolean();
        background.begin("failing", () -> {
            throw new DataAccessResourceFailureException("gone");
        });
        background.begin("pieces", () -> {
            begun.countDown();
            while (!background.closing()) {
                Thread.onSpinWait();
            }
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                return;
            }
            over.set(true);
        });
        begun.await();
        background.end();
        assertThat(over).isTrue();
    }
}
