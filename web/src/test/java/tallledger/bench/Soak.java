package tallledger.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Leaves the packaged application running on demo data of its own: two people write, one reads, every connection is retired after
 * half a minute, and every few minutes it is started again, stopped properly and killed in turn. Every entry that was acknowledged is
 * looked for afterwards, by its number and its words, and every answer that is not what it should be is counted and told.
 */
public final class Soak {

    private static final int WRITERS = 2;
    private static final Duration BETWEEN_STARTS = Duration.ofSeconds(150);
    private static final List<Integer> SURVEYS = List.of(3, 5, 8, 10, 18, 20);
    private static final List<String> PAGES = List.of("/", "/machines/1", "/house", "/surveys/3/run", "/surveys/5/speeds",
            "/surveys/8/faults", "/surveys/10/movement", "/surveys/18/kit",
            "/surveys/20/verdict", "/surveys/20/verdict.pdf", "/surveys/20/verdict/print", "/surveys/20/survey.zip", "/surveys/20/drawings",
            "/surveys/18/handover", "/check", "/house/backup", "/surveys/3/entries");
    private static final Pattern RECORDED = Pattern.compile("(?:done=|#entry-)(\\d+)");

    private final Path data;
    private final int port;
    private final Map<String, Integer> acknowledged = new ConcurrentHashMap<>();
    private final List<String> complaints = new java.util.concurrent.CopyOnWriteArrayList<>();
    private final AtomicInteger read = new AtomicInteger();
    private final AtomicInteger stale = new AtomicInteger();
    private final AtomicInteger cut = new AtomicInteger();
    /** Held for writing while the application is stopped. */
    private final ReadWriteLock running = new ReentrantReadWriteLock();
    private volatile boolean over;
    private Packaged app;

    private Soak(Path data, int port) {
        this.data = data;
        this.port = port;
    }

    public static void main(String[] args) throws Exception {
        Duration length = Duration.ofSeconds(Math.round(Double.parseDouble(args[0]) * 60));
        Soak soak = new Soak(Files.createTempDirectory("soak"), Packaged.freePort());
        System.exit(soak.run(length) ? 0 : 1);
    }

    private boolean run(Duration length) throws Exception {
        app = start("--tallledger.demo=true");
        Instant end = Instant.now().plus(length);
        List<Thread> threads = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            int who = i;
            threads.add(new Thread(() -> write(who)));
        }
        threads.add(new Thread(this::look));
        threads.forEach(Thread::start);
        int starts = 0;
        while (Instant.now().isBefore(end)) {
            Thread.sleep(Math.max(1, Math.min(BETWEEN_STARTS.toMillis(), Duration.between(Instant.now(), end).toMillis())));
            restart(++starts % 2 == 0);
            compare();
            System.out.printf("%s  %d acknowledged, %d pages read, %d stale forms, %d starts, %d complaints%n",
                    Duration.between(end.minus(length), Instant.now()).toSeconds() + " s",
                    acknowledged.size(), read.get(), stale.get(), starts, complaints.size());
        }
        over = true;
        for (Thread thread : threads) {
            thread.join();
        }
        compare();
        app.close();
        System.out.printf("%nsoak of %d min: %d entries acknowledged, %d found; %d pages read; %d stale forms said so; %d requests cut "
                + "off by a kill; %d starts; %d complaints%n", length.toMinutes(),
                acknowledged.size(), acknowledged.size() - lost.size(), read.get(), stale.get(), cut.get(), starts, complaints.size());
        complaints.stream().limit(40).forEach(System.out::println);
        return complaints.isEmpty();
    }

    private final List<String> lost = new ArrayList<>();

    private Packaged start(String... more) throws IOException, InterruptedException {
        List<String> settings = new ArrayList<>(List.of("--spring.datasource.hikari.max-lifetime=30000"));
        settings.addAll(List.of(more));
        return Packaged.application(data, port, settings.toArray(String[]::new));
    }

    /** A kill comes at any moment; a proper stop waits for nobody either. */
    private void restart(boolean kill) throws IOException, InterruptedException {
        if (kill) {
            app.kill();
        } else {
            app.close();
        }
        running.writeLock().lock();
        try {
            app = start();
        } finally {
            running.writeLock().unlock();
        }
    }

    private String url(String path) {
        running.readLock().lock();
        try {
            return app.url(path);
        } finally {
            running.readLock().unlock();
        }
    }

    private void write(int who) {
        Random random = new Random(who);
        Client client = new Client(this::url);
        for (int n = 0; !over; n++) {
            String text = "soak " + who + "-" + n + ".";
            int survey = SURVEYS.get(random.nextInt(SURVEYS.size()));
            try {
                String page = "/surveys/" + survey + "/entries";
                HttpResponse<String> answer = client.post(page + "/remark", client.form(page, page + "/remark"), "author",
                        "Q. Tester " + who, "text", text);
                if (answer.statusCode() == 302) {
                    int sequence = recorded(answer);
                    acknowledged.put(survey + " " + text, sequence);
                } else if (answer.statusCode() == 409) {
                    stale.incrementAndGet();
                } else {
                    complain(" a remark was answered " + answer.statusCode());
                }
                Thread.sleep(120 + random.nextInt(120));
            } catch (IOException whileStarting) {
                cut.incrementAndGet();
                pause();
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    private static int recorded(HttpResponse<String> answer) {
        Matcher number = RECORDED.matcher(answer.headers().firstValue("Location").orElse(""));
        return number.find() ? Integer.parseInt(number.group(1)) : 0;
    }

    private void look() {
        Client client = new Client(this::url);
        for (int n = 0; !over; n++) {
            String path = PAGES.get(n % PAGES.size());
            try {
                int status = client.get(path).statusCode();
                read.incrementAndGet();
                if (status != 200) {
                    complain(" " + path + " answered " + status);
                }
                Thread.sleep(150);
            } catch (IOException whileStarting) {
                cut.incrementAndGet();
                pause();
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    private void complain(String what) {
        complaints.add(Instant.now() + what);
        System.out.println(Instant.now() + what);
    }

    private static void pause() {
        try {
            Thread.sleep(400);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** All pages of a ledger, newest first. */
    private static String ledger(Client client, int survey) throws IOException, InterruptedException {
        StringBuilder all = new StringBuilder();
        Optional<String> page = Optional.of("/surveys/" + survey + "/entries");
        while (page.isPresent()) {
            String html = client.get(page.get()).body();
            all.append(html);
            page = Pattern.compile("rel=\"next\" href=\"([^\"]+)\"").matcher(html).results().findFirst()
                    .map(m -> m.group(1).replace("&amp;", "&"));
        }
        return all.toString();
    }

    /** Every acknowledged entry stands in its book, once, under the number it was given. */
    private void compare() throws IOException, InterruptedException {
        Client client = new Client(this::url);
        for (int survey : SURVEYS) {
            // What is acknowledged while the page is on its way cannot be on it.
            Map<String, Integer> before = Map.copyOf(acknowledged);
            String html = ledger(client, survey);
            if (!html.contains("the chain holds")) {
                complain(" survey " + survey + ": the chain is not said to hold");
            }
            before.entrySet().stream().filter(e -> e.getKey().startsWith(survey + " ")).forEach(e -> {
                String text = e.getKey().substring(e.getKey().indexOf(' ') + 1);
                int at = html.indexOf(text);
                int row = at < 0 ? -1 : html.lastIndexOf("id=\"entry-", at);
                boolean right = row >= 0 && (e.getValue() == 0 || html.startsWith("id=\"entry-" + e.getValue() + "\"", row))
                        && html.indexOf(text, at + 1) < 0;
                if (!right && !lost.contains(e.getKey())) {
                    lost.add(e.getKey());
                    complain(" survey " + survey + ": entry " + e.getValue() + " (" + text + ") is not where it was acknowledged");
                }
            });
        }
    }
}
