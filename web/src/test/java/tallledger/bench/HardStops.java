package tallledger.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipFile;
import tallledger.core.ledger.CanonicalJson;
import tallledger.practice.KestrelVale;
import tallledger.web.sealed.ArchiveCheck;

/**
 * Kills the packaged application again and again while entries are written, a survey is closed, one is handed over and a backup is taken;
 * then looks for every entry and every closing that was acknowledged, for what was left half-written, and whether what came whole over the
 * line is whole.
 */
public final class HardStops {

    private final Path data;
    private final int port;
    private final HttpClient files = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    private final Set<Long> closed = ConcurrentHashMap.newKeySet();
    private final AtomicInteger exports = new AtomicInteger();
    private final AtomicInteger backups = new AtomicInteger();
    private final AtomicInteger cut = new AtomicInteger();
    private final List<String> complaints = new CopyOnWriteArrayList<>();
    private volatile boolean over;

    private HardStops(Path data) throws IOException {
        this.data = data;
        this.port = Packaged.freePort();
    }

    public static void main(String[] args) throws Exception {
        HardStops stops = new HardStops(Files.createTempDirectory("hard-stops"));
        System.exit(stops.run(Integer.parseInt(args[0])) ? 0 : 1);
    }

    private Client client() {
        return new Client(path -> "http://localhost:" + port + path);
    }

    private boolean run(int stops) throws Exception {
        Packaged app = Packaged.application(data, port);
        Client client = client();
        Map<String, String> bring = client.form("/machines/bring", "/machines/bring");
        long machine = number(client.post("/machines/bring", bring, "author", "Q. Tester", "text",
                CanonicalJson.write(KestrelVale.dunmarshP20().description().toPayload()), "do", "record"));
        long written = open(client, machine);
        Random random = new Random(1);
        for (int stop = 1; stop <= stops; stop++) {
            long closing = open(client, machine);
            over = false;
            int round = stop;
            List<Thread> threads = List.of(new Thread(() -> write(written, round)), new Thread(() -> close(closing)),
                    new Thread(() -> export(written)), new Thread(this::backup));
            threads.forEach(Thread::start);
            // A zip with its report takes seconds on a machine that has just started: every fifth time one is waited for.
            int before = exports.get();
            for (int i = 0; stop % 5 == 0 && exports.get() == before && i < 200; i++) {
                Thread.sleep(100);
            }
            Thread.sleep(150 + random.nextInt(1_500));
            app.kill();
            over = true;
            for (Thread thread : threads) {
                thread.join();
            }
            app = Packaged.application(data, port);
            client = client();
            look(client, written, round);
            if (stop % 10 == 0) {
                System.out.printf("%d stops: %d entries and %d closings acknowledged, %d zips and %d backups came whole, %d requests "
                        + "cut off, %d complaints%n", stop, acknowledged.size(), closed.size(), exports.get(),
                        backups.get(), cut.get(), complaints.size());
            }
        }
        Set<String> there = new HashSet<>();
        HttpResponse<InputStream> zip = files.send(
                HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/surveys/" + written + "/survey.zip")).build(),
                HttpResponse.BodyHandlers.ofInputStream());
        Path last = Files.createTempFile(data, "last", ".zip");
        try (InputStream in = zip.body()) {
            Files.copy(in, last, StandardCopyOption.REPLACE_EXISTING);
        }
        try (ZipFile whole = new ZipFile(last.toFile()); InputStream ledger = whole.getInputStream(whole.getEntry("ledger.json"))) {
            String text = new String(ledger.readAllBytes(), StandardCharsets.UTF_8);
            acknowledged.stream().filter(text::contains).forEach(there::add);
        }
        app.close();
        System.out.printf("%n%d hard stops: %d entries acknowledged, %d lost; %d closings acknowledged; %d zips and %d backups came "
                + "whole; %d requests cut off; %d complaints%n", stops, acknowledged.size(),
                acknowledged.size() - there.size(), closed.size(), exports.get(), backups.get(), cut.get(), complaints.size());
        complaints.stream().limit(40).forEach(System.out::println);
        return complaints.isEmpty() && there.size() == acknowledged.size();
    }

    private static long number(HttpResponse<String> answer) throws IOException {
        String to = answer.headers().firstValue("Location").orElseThrow(() -> new IOException(answer.statusCode() + " " + answer.body()));
        return Long.parseLong(to.replaceAll(".*/(?:machines|surveys)/(\\d+).*", "$1"));
    }

    private static long open(Client client, long machine) throws IOException, InterruptedException {
        String page = "/machines/" + machine;
        return number(client.post(page + "/surveys", client.form(page, page + "/surveys"), "author", "Q. Tester", "role", "buyer",
                "scope", "WHOLE", "judgedAs", "WORKABLE"));
    }

    private interface Doing {
        void once() throws IOException, InterruptedException;
    }

    /** Again and again, until the application is gone. */
    private void until(Doing doing) {
        while (!over) {
            try {
                doing.once();
            } catch (IOException gone) {
                cut.incrementAndGet();
                return;
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    private void write(long survey, int round) {
        Client client = client();
        AtomicInteger n = new AtomicInteger();
        String page = "/surveys/" + survey + "/entries";
        until(() -> {
            String text = "stop " + round + " no. " + n.incrementAndGet() + ".";
            HttpResponse<String> answer = client.post(page + "/remark", client.form(page, page + "/remark"), "author", "Q. Tester",
                    "text", text);
            if (answer.statusCode() == 302) {
                acknowledged.add(text);
            } else {
                complaints.add(text + " was answered " + answer.statusCode());
            }
        });
    }

    private void close(long survey) {
        Client client = client();
        String page = "/surveys/" + survey + "/close";
        try {
            Thread.sleep(new Random().nextInt(600));
            HttpResponse<String> answer =
                    client.post(page, client.form("/surveys/" + survey + "/handover", page), "author", "Q. Tester", "read", "yes");
            if (answer.statusCode() == 302) {
                closed.add(survey);
            } else {
                complaints.add("closing " + survey + " was answered " + answer.statusCode());
            }
        } catch (IOException gone) {
            cut.incrementAndGet();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What came whole holds, and never says it is sealed where nobody closed it. */
    private void export(long survey) {
        until(() -> {
            Path to = Files.createTempFile("handed", ".zip");
            try {
                HttpResponse<Path> answer = files
                        .send(HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/surveys/" + survey + "/survey.zip"))
                                .timeout(Duration.ofSeconds(30)).build(), HttpResponse.BodyHandlers.ofFile(to));
                if (answer.statusCode() != 200) {
                    complaints.add("a zip was answered " + answer.statusCode());
                    return;
                }
                if (!ArchiveCheck.check(to, share -> {}).holds()) {
                    complaints.add("a zip came whole and does not hold");
                }
                exports.incrementAndGet();
            } finally {
                Files.deleteIfExists(to);
            }
        });
    }

    private void backup() {
        Client client = client();
        until(() -> {
            Map<String, String> form = client.form("/house/backup", "/house/backup/begin");
            Path to = Files.createTempFile("backup", ".zip");
            try {
                HttpResponse<Path> answer = client.file("/house/backup", form, to);
                if (answer.statusCode() != 200) {
                    complaints.add("a backup was answered " + answer.statusCode());
                    return;
                }
                try (ZipFile zip = new ZipFile(to.toFile())) {
                    if (zip.getEntry("tall-ledger.mv.db") == null) {
                        complaints.add("a backup came whole without its database");
                    }
                    for (var entry : Collections.list(zip.entries())) {
                        try (InputStream in = zip.getInputStream(entry)) {
                            in.transferTo(OutputStream.nullOutputStream());
                        }
                    }
                }
                backups.incrementAndGet();
            } finally {
                Files.deleteIfExists(to);
            }
        });
    }

    /** After each start: the newest acknowledged are there, what was closed is closed, nothing half-written is left, no book is broken. */
    private void look(Client client, long written, int round) throws IOException, InterruptedException {
        String entries = client.get("/surveys/" + written + "/entries").body();
        List<String> mine = new ArrayList<>(acknowledged.stream().filter(t -> t.startsWith("stop " + round + " ")).toList());
        mine.stream().max(Comparator.comparingInt((String t) -> Integer.parseInt(t.replaceAll(".*no\\. (\\d+)\\.", "$1"))))
                .filter(t -> !entries.contains(t)).ifPresent(t -> complaints.add(t + " is lost"));
        if (!entries.contains("the chain holds")) {
            complaints.add("the chain does not hold after stop " + round);
        }
        for (long survey : closed) {
            if (!client.get("/surveys/" + survey + "/handover").body().contains("Closed and sealed")) {
                complaints.add("survey " + survey + " is open again");
            }
        }
        try (DirectoryStream<Path> arrived = Files.newDirectoryStream(data.resolve("unfinished-uploads"))) {
            arrived.forEach(file -> complaints.add("an upload is left after stop " + round));
        }
        if (!client.get("/").body().contains("Shelf")) {
            complaints.add("the shelf does not open after stop " + round);
        }
        Thread.sleep(300);
        try (DirectoryStream<Path> left = Files.newDirectoryStream(data,
                file -> file.getFileName().toString().startsWith("unfinished-") && Files.isRegularFile(file))) {
            left.forEach(file -> complaints.add(file.getFileName() + " is left after stop " + round));
        } catch (UncheckedIOException gone) {
            throw gone.getCause();
        }
    }
}
