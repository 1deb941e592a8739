package tallledger.web.live;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The pages that are open on each survey, wherever they are: each is told of what is written, and of who is at which step. What is told
 * goes out from one thread, so nobody who writes waits for somebody who listens.
 */
@Component
public class Watchers implements SmartLifecycle {

    /** Of one survey, and of all. */
    private static final int MOST = 300;
    private static final int BEAT_EVERY = 3;

    /** What an open page tells of itself. */
    public record Watcher(Whose whose, String step, String name) {
    }

    private record Open(Watcher watcher, SseEmitter line) {
    }

    private final Map<Long, List<Open>> bySurvey = new ConcurrentHashMap<>();
    private final ScheduledExecutorService teller = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "live");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean running;

    Watchers() {
        // A line that nobody holds any more is found by speaking into it.
        teller.scheduleWithFixedDelay(() -> bySurvey.forEach((survey, open) -> open.forEach(o -> send(survey, o, SseEmitter.event()
                .comment("")))), BEAT_EVERY, BEAT_EVERY, TimeUnit.SECONDS);
    }

    /** Another page; empty where there are so many that no more can be told. */
    Optional<SseEmitter> open(long survey, Watcher watcher, Map<String, Object> first) {
        if (bySurvey.values().stream().mapToInt(List::size).sum() >= MOST) {
            return Optional.empty();
        }
        SseEmitter line = new SseEmitter(0L);
        Open open = new Open(watcher, line);
        Runnable gone = () -> gone(survey, open);
        line.onCompletion(gone);
        line.onTimeout(gone);
        line.onError(failed -> gone.run());
        bySurvey.computeIfAbsent(survey, s -> new CopyOnWriteArrayList<>()).add(open);
        teller.execute(() -> {
            send(survey, open, event("head", first));
            tellWhoIsThere(survey);
        });
        return Optional.of(line);
    }

    private void gone(long survey, Open open) {
        List<Open> all = bySurvey.getOrDefault(survey, List.of());
        if (all.remove(open)) {
            later(() -> tellWhoIsThere(survey));
        }
    }

    private void later(Runnable work) {
        if (!teller.isShutdown()) {
            teller.execute(work);
        }
    }

    /** Whether anybody looks: what nobody would be told need not be put into words. */
    public boolean isWatched(long survey) {
        return !bySurvey.getOrDefault(survey, List.of()).isEmpty();
    }

    /** Tells every open page of a survey. @param what put into words by the thread that tells */
    public void tell(long survey, String name, Supplier<Map<String, Object>> what) {
        later(() -> {
            Map<String, Object> said = what.get();
            bySurvey.getOrDefault(survey, List.of()).forEach(o -> send(survey, o, event(name, said)));
        });
    }

    /** What others are at: each with who, and the key of the step. Somebody with a phone and a laptop is one person, and no other. */
    public List<Watcher> others(long survey, Whose own) {
        Map<String, Watcher> others = new LinkedHashMap<>();
        bySurvey.getOrDefault(survey, List.of()).stream().map(Open::watcher)
                .filter(w -> !w.whose.id().equals(own.id()) && !w.whose.isNamedAs(own) && !w.step.isEmpty())
                .forEach(w -> others.put(w.whose.id(), w));
        return List.copyOf(others.values());
    }

    private void tellWhoIsThere(long survey) {
        bySurvey.getOrDefault(survey, List.of()).forEach(o -> {
            List<Map<String, String>> there = new ArrayList<>();
            others(survey, o.watcher.whose).forEach(w -> there.add(Map.of("who", w.whose.name(), "step", w.step, "name", w.name)));
            send(survey, o, event("there", Map.of("there", there)));
        });
    }

    private static SseEmitter.SseEventBuilder event(String name, Map<String, Object> what) {
        return SseEmitter.event().name(name).data(what, MediaType.APPLICATION_JSON);
    }

    private void send(long survey, Open open, SseEmitter.SseEventBuilder event) {
        try {
            open.line.send(event);
        } catch (IOException | RuntimeException nobody) {
            gone(survey, open);
        }
    }

    @Override
    public void start() {
        running = true;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Before the server stops, which waits for whatever it answers still. */
    @Override
    public void stop() {
        running = false;
        teller.shutdownNow();
        bySurvey.values().forEach(open -> open.forEach(o -> o.line.complete()));
    }
}
