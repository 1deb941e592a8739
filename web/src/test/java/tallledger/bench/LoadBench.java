package tallledger.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Twenty people read and five write on the packaged application with demo data, for so many minutes: what fails, how long pages and
 * entries take, and what the process takes of memory, by kind. Not a test: figures depend on the machine.
 */
public final class LoadBench {

    private static final int READERS = 20;
    private static final int WRITERS = 5;
    private static final List<Integer> SURVEYS = List.of(3, 5, 8, 10, 18);
    private static final List<String> PAGES = List.of("/", "/surveys/3/run", "/surveys/5/speeds", "/surveys/8/faults",
            "/surveys/10/movement",
            "/surveys/18/kit", "/surveys/3/verdict", "/surveys/5/entries", "/surveys/8/accuracy", "/house");

    private final Queue<Long> reads = new ConcurrentLinkedQueue<>();
    private final Queue<Long> writes = new ConcurrentLinkedQueue<>();
    private final Queue<String> failures = new ConcurrentLinkedQueue<>();
    private final AtomicInteger stale = new AtomicInteger();
    private volatile boolean over;

    private LoadBench() {
    }

    public static void main(String[] args) throws Exception {
        new LoadBench().run(Duration.ofSeconds(Math.round(Double.parseDouble(args.length > 0 ? args[0] : "10") * 60)));
    }

    private void run(Duration length) throws Exception {
        Path data = Files.createTempDirectory("load");
        int port = Packaged.freePort();
        try (Packaged app = Packaged.application(data, port, "--tallledger.demo=true")) {
            List<Thread> threads = new ArrayList<>();
            for (int i = 0; i < READERS + WRITERS; i++) {
                int who = i;
                threads.add(new Thread(() -> {
                    if (who < WRITERS) {
                        write(app, who);
                    } else {
                        read(app, who);
                    }
                }));
            }
            threads.forEach(Thread::start);
            Instant end = Instant.now().plus(length);
            while (Instant.now().isBefore(end)) {
                Thread.sleep(Math.min(60_000, Math.max(1, Duration.between(Instant.now(), end).toMillis())));
                System.out.printf("%5d s: %d pages, %d entries, %d stale forms, %d failures; %s%n",
                        length.minus(Duration.between(Instant.now(),
                                end)).toSeconds(),
                        reads.size(), writes.size(), stale.get(), failures.size(), memory(app));
            }
            over = true;
            for (Thread thread : threads) {
                thread.join();
            }
            System.out.println("pages   " + spread(reads));
            System.out.println("entries " + spread(writes));
            failures.stream().limit(20).forEach(System.out::println);
            System.out.println(app.nativeMemory());
        }
    }

    private static String spread(Queue<Long> times) {
        long[] sorted = times.stream().mapToLong(Long::longValue).sorted().toArray();
        return sorted.length == 0 ? "none"
                : String.format("%d: p50 %.1f ms, p95 %.1f ms, most %.1f ms", sorted.length, at(sorted, 0.5),
                        at(sorted,
                                0.95),
                        at(sorted, 1));
    }

    private static double at(long[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, share * sorted.length)] / 1e6;
    }

    private static String memory(Packaged app) throws IOException {
        return Arrays.stream(Files.readString(Path.of("/proc/" + app.pid() + "/status")).split("\n")).filter(l -> l.startsWith("VmRSS")
                || l.startsWith("VmHWM")).map(l -> l.replaceAll("\\s+", " ")).reduce((a, b) -> a + ", " + b).orElse("");
    }

    private void read(Packaged app, int who) {
        Random random = new Random(who);
        HttpClient client = HttpClient.newHttpClient();
        while (!over) {
            String page = PAGES.get(random.nextInt(PAGES.size()));
            long began = System.nanoTime();
            try {
                HttpResponse<String> answer = client.send(HttpRequest.newBuilder(URI.create(app.url(page))).timeout(Duration.ofSeconds(60))
                        .build(), HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() == 200) {
                    reads.add(System.nanoTime() - began);
                } else {
                    failures.add(page + " answered " + answer.statusCode());
                }
            } catch (IOException | InterruptedException failed) {
                failures.add(page + ": " + failed);
            }
        }
    }

    private void write(Packaged app, int who) {
        Client client = new Client(app::url);
        String page = "/surveys/" + SURVEYS.get(who) + "/entries";
        for (int n = 0; !over; n++) {
            try {
                var form = client.form(page, page + "/remark");
                long began = System.nanoTime();
                HttpResponse<String> answer = client.post(page + "/remark", form, "author", "Q. Tester " + who, "text", "load " + n);
                if (answer.statusCode() == 302) {
                    writes.add(System.nanoTime() - began);
                } else if (answer.statusCode() == 409) {
                    stale.incrementAndGet();
                } else {
                    failures.add("a remark was answered " + answer.statusCode());
                }
                Thread.sleep(200);
            } catch (Exception failed) {
                failures.add("a remark: " + failed);
            }
        }
    }
}
