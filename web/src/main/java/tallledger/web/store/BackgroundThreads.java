package tallledger.web.store;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Work of nobody's request, out of everybody's way. It is over before the database is closed: one still read from would stay open, and be
 * found again by whoever opens it next.
 */
@Component
public class BackgroundThreads {

    private static final Logger LOG = LoggerFactory.getLogger(BackgroundThreads.class);
    private static final int MOST_WAITED = 10_000;

    private final Set<Thread> threads = ConcurrentHashMap.newKeySet();
    private volatile boolean closing;

    /** Whether the application ends: work is left off at the next piece. */
    public boolean closing() {
        return closing;
    }

    public void begin(String name, Runnable work) {
        begin(name, Thread.MIN_PRIORITY, work);
    }

    /** Work that somebody waits for. */
    public void beginAwaited(String name, Runnable work) {
        begin(name, Thread.NORM_PRIORITY, work);
    }

    private void begin(String name, int priority, Runnable work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (DataAccessException e) {
                LOG.debug("{}: cut short: {}", name, e.getMessage());
            } finally {
                threads.remove(Thread.currentThread());
            }
        }, name);
        thread.setDaemon(true);
        thread.setPriority(priority);
        threads.add(thread);
        thread.start();
    }

    /** Not interrupted: that would close the database's file under everybody's hands. */
    @EventListener(ContextClosedEvent.class)
    void end() throws InterruptedException {
        closing = true;
        for (Thread thread : threads) {
            thread.join(MOST_WAITED);
        }
    }
}
