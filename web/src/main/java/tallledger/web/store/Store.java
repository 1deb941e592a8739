package tallledger.web.store;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;

/**
 * The one gate every write goes through, one at a time: is there room, has everybody been told what is missing; then the
 * transaction; then the store is forced to the device. Only after that the caller may say "recorded".
 *
 * <p>A commit alone is not enough: H2 hands the bytes to the operating system and does not wait for the disk, so a power cut right
 * after the answer would take them. {@code CHECKPOINT SYNC} forces the file (about a millisecond here).
 */
@Component
public class Store {

    private static final Logger LOG = LoggerFactory.getLogger(Store.class);
    /** The database, or the file beneath it, is closed. */
    private static final List<Integer> CLOSED = List.of(90098, 90007, 90067, 90028, 90031);

    private final HikariDataSource source;
    private final TransactionTemplate transaction;
    private final DiskSpaceGuard room;
    private final Heads heads;
    private final ReentrantLock gate = new ReentrantLock(true);
    private final List<Runnable> undone = new CopyOnWriteArrayList<>();
    /** What follows once the present write is on the device; used under the gate only. */
    private final List<Runnable> afterwards = new ArrayList<>();

    Store(HikariDataSource source, PlatformTransactionManager transactions, DiskSpaceGuard room, Heads heads) {
        this.source = source;
        this.transaction = new TransactionTemplate(transactions);
        this.room = room;
        this.heads = heads;
    }

    /** What to forget when a write was undone: things read inside it. */
    public void whenUndone(Runnable forget) {
        undone.add(forget);
    }

    /** From inside a write: to be done once it is on the device. */
    void afterwards(Runnable then) {
        afterwards.add(then);
    }

    /** Waits for whoever is writing: what can be read of an entry before, is noted after. */
    public void await() {
        gate.lock();
        gate.unlock();
    }

    /** Waits for whoever is writing, and makes sure that what was written is on the device. */
    void settle() {
        write(0, () -> true);
    }

    /**
     * Writes all of it or nothing; inside another write it is part of that.
     *
     * @param bytes about as many as it adds to the store
     * @throws WriteRefusedException where there is no room, somebody must be told something first, or the store fails
     */
    public <T> T write(long bytes, Supplier<T> work) {
        if (gate.isHeldByCurrentThread()) {
            return work.get();
        }
        gate.lock();
        try {
            room.check(bytes);
            if (!heads.missing().isEmpty()) {
                throw new WriteRefusedException(Reason.of(WebReason.STORE_UNTOLD, heads.missing().size()));
            }
            T result = transaction.execute(status -> work.get());
            force();
            afterwards.forEach(Runnable::run);
            return result;
        } catch (DataAccessException | TransactionException failed) {
            undone.forEach(Runnable::run);
            reopen(failed);
            throw new WriteRefusedException(Reason.of(WebReason.STORE_FAILED), failed);
        } catch (RuntimeException refused) {
            if (!afterwards.isEmpty()) {
                undone.forEach(Runnable::run);
            }
            throw refused;
        } finally {
            afterwards.clear();
            gate.unlock();
        }
    }

    /**
     * Writes what can be made again at any time. It is not forced to the device, and where there is no room, or nothing may be written, it
     * is left.
     *
     * @return whether it was written
     */
    public boolean derived(long bytes, Runnable work) {
        if (!heads.missing().isEmpty()) {
            return false;
        }
        gate.lock();
        try {
            room.check(bytes);
            transaction.executeWithoutResult(status -> work.run());
            return true;
        } catch (WriteRefusedException | DataAccessException | TransactionException left) {
            LOG.debug("Not kept: {}", left.getMessage());
            return false;
        } finally {
            gate.unlock();
        }
    }

    private void force() {
        try (Connection connection = source.getConnection(); Statement statement = connection.createStatement()) {
            statement.execute("checkpoint sync");
        } catch (SQLException e) {
            throw new org.springframework.dao.DataAccessResourceFailureException("the store could not be forced to the device", e);
        }
    }

    /** A store that closed itself (no room, a failing disk) opens again with the next connection, once the old ones are gone. */
    public void reopen(Throwable failed) {
        LOG.warn("The store failed: {}", root(failed).getMessage());
        HikariPoolMXBean pool = source.getHikariPoolMXBean();
        if (pool != null && isClosed(failed)) {
            pool.softEvictConnections();
        }
    }

    private static boolean isClosed(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && CLOSED.contains(sql.getErrorCode()) || cause instanceof java.io.IOException
                    || cause.getClass().getName().startsWith("org.h2.mvstore")) {
                return true;
            }
        }
        return false;
    }

    private static Throwable root(Throwable failed) {
        Throwable root = failed;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root;
    }
}
