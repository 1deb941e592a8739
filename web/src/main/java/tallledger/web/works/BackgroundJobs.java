package tallledger.web.works;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.store.BackgroundThreads;
import tallledger.web.store.Unfinished;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * Work that takes longer than a page may: it goes on by itself, says how far it is, and can be stopped. What it made waits to be taken;
 * nothing outlives a start.
 */
@Component
public class BackgroundJobs {

    private static final Logger LOG = LoggerFactory.getLogger(BackgroundJobs.class);
    private static final int MOST = 24;
    private static final int AT_ONCE = 3;

    /** What came of it. */
    public sealed interface Output permits Output.File, Output.Page {

        /** @param path deleted once the work is forgotten */
        record File(Path path, String name, MediaType type) implements Output {
        }

        /** @param address to go on to */
        record Page(String address) implements Output {
        }
    }

    /** Writes what is made. */
    @FunctionalInterface
    public interface Writing {
        void write(OutputStream out) throws IOException;
    }

    /** Does it. */
    @FunctionalInterface
    public interface Action {
        Output done(Progress progress) throws IOException;
    }

    /** Where a piece of work stands. */
    public enum State { GOES_ON, DONE, STOPPED, FAILED }

    /** One piece of work. @param key what it is of: the same is not done twice at a time @param back where whoever stops it goes on */
    public static final class BackgroundJob {

        private final String id = UUID.randomUUID().toString();
        private final String key;
        private final Reason title;
        private final String back;
        private final Progress progress = new Progress();
        private final CountDownLatch over = new CountDownLatch(1);
        private volatile State stand = State.GOES_ON;
        private volatile Output made;
        private volatile Reason failure;

        private BackgroundJob(String key, Reason title, String back) {
            this.key = key;
            this.title = title;
            this.back = back;
        }

        public String id() {
            return id;
        }

        public Reason title() {
            return title;
        }

        public String back() {
            return back;
        }

        public Progress progress() {
            return progress;
        }

        public State stand() {
            return stand;
        }

        public Optional<Output> made() {
            return Optional.ofNullable(made);
        }

        public Optional<Reason> failure() {
            return Optional.ofNullable(failure);
        }

        /**
         * It is kept to be taken, unless somebody asked it to stop in the last moment.
         *
         * @throws Progress.Stopped then, and nothing of it is left
         */
        private synchronized void done(Output it) {
            try {
                progress.at(1);
                made = it;
                stand = State.DONE;
            } catch (Progress.StoppedException stopped) {
                delete(it);
                throw stopped;
            }
        }

        private void await(Duration most) {
            try {
                over.await(most.toMillis(), TimeUnit.MILLISECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        private synchronized void forget() {
            progress.stop();
            delete(made);
        }

        private static void delete(Output made) {
            if (made instanceof Output.File file) {
                try {
                    Files.deleteIfExists(file.path());
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
        }
    }

    private final BackgroundThreads background;
    private final Unfinished unfinished;
    /** So long whoever asked is kept waiting before the page that says how far it is. */
    private final Duration patience;
    /** Oldest first. */
    private final List<BackgroundJob> works = new ArrayList<>();

    BackgroundJobs(BackgroundThreads background, Unfinished unfinished, @Value("${tallledger.patience:700ms}") Duration patience) {
        this.background = background;
        this.unfinished = unfinished;
        this.patience = patience;
    }

    /** A file written by the work; of one that could not be written whole nothing is left. */
    public Output.File file(String name, MediaType type, Writing writing) throws IOException {
        Path path = unfinished.file(".part");
        try (OutputStream out = Files.newOutputStream(path)) {
            writing.write(out);
        } catch (IOException | RuntimeException left) {
            Files.deleteIfExists(path);
            throw left;
        }
        return new Output.File(path, name, type);
    }

    /** Where whoever asked for it goes on: what was made at once is there at once, of anything else how far it is. */
    public String answer(BackgroundJob work) {
        work.await(patience);
        return "redirect:/works/" + work.id + (work.made instanceof Output.File ? "/made" : "");
    }

    /** What goes on now, oldest first. */
    public synchronized List<BackgroundJob> going() {
        return works.stream().filter(w -> w.stand() == State.GOES_ON).toList();
    }

    /**
     * Begins it, or gives the one that goes on already, or whose file was made and not forgotten.
     *
     * @throws WriteRefusedException where too many go on
     */
    public synchronized BackgroundJob begin(String key, Reason title, String back, Action doing) {
        Optional<BackgroundJob> same = works.stream()
                .filter(w -> w.key.equals(key) && (w.stand == State.GOES_ON || w.stand == State.DONE && w.made instanceof Output.File))
                .findFirst();
        if (same.isPresent()) {
            return same.get();
        }
        if (works.stream().filter(w -> w.stand == State.GOES_ON).count() >= AT_ONCE) {
            throw new WriteRefusedException(Reason.of(WebReason.WORK_MANY, AT_ONCE));
        }
        while (works.size() >= MOST) {
            BackgroundJob oldest = works.stream().filter(w -> w.stand != State.GOES_ON).findFirst().orElseThrow();
            works.remove(oldest);
            oldest.forget();
        }
        BackgroundJob work = new BackgroundJob(key, title, back);
        works.add(work);
        background.beginAwaited("work " + key, () -> run(work, doing));
        return work;
    }

    private void run(BackgroundJob work, Action doing) {
        try {
            work.done(doing.done(work.progress));
        } catch (Progress.StoppedException stopped) {
            work.stand = State.STOPPED;
        } catch (WriteRefusedException not) {
            failed(work, not.reason());
        } catch (Refused refused) {
            failed(work, refused.reason());
        } catch (IOException | RuntimeException e) {
            LOG.warn("{}: {}", work.key, e.toString());
            failed(work, Reason.of(WebReason.WORK_FAILED));
        } finally {
            // Without memory, say: whoever waits is told all the same.
            if (work.stand == State.GOES_ON) {
                failed(work, Reason.of(WebReason.WORK_FAILED));
            }
            work.over.countDown();
        }
    }

    private static void failed(BackgroundJob work, Reason because) {
        work.failure = because;
        work.stand = State.FAILED;
    }

    public synchronized Optional<BackgroundJob> work(String id) {
        return works.stream().filter(w -> w.id.equals(id)).findFirst();
    }

    public void stop(BackgroundJob work) {
        work.progress.stop();
    }

    /** Before anybody waits for it: it stops at its next word, and the database is closed only then. */
    @Order(Ordered.HIGHEST_PRECEDENCE)
    @EventListener(ContextClosedEvent.class)
    synchronized void end() {
        works.forEach(BackgroundJob::forget);
    }
}
