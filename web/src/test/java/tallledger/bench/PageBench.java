package tallledger.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import tallledger.bench.bare.BareApp;

/**
 * Server time of each main view with the demo data, of the packaged application as bin/demo starts it: 200 requests each after 150 to
 * warm up, and a round over all before, one at a time over loopback. Beside each a bare page of the same framework with as many elements,
 * and how often as long the view takes; the starts of both likewise.
 */
public final class PageBench {

    private static final int WARM_UP = 150;
    private static final int MEASURED = 200;
    private static final int STARTS = 3;
    private static final List<String> PAGES = List.of("/", "/machines/1", "/machines/1/edit", "/surveys/3/run", "/surveys/10/run",
            "/surveys/3/speeds", "/surveys/18/speeds",
            "/surveys/3/faults", "/surveys/3/entries", "/house", "/surveys/3/movement", "/surveys/3/threads", "/surveys/10/cycles",
            "/surveys/3/kit", "/machines/1/fitout", "/house/repairs", "/machines/new", "/start",
            "/surveys/5/verdict", "/surveys/3/verdict", "/surveys/3/verdict/print", "/surveys/3/verdict.pdf");
    private static final Pattern ELEMENT = Pattern.compile("<[a-z]");

    private PageBench() {
    }

    public static void main(String[] args) throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        Path data = Files.createTempDirectory("bench");
        try (Packaged app = Packaged.application(data, Packaged.freePort(), "--tallledger.demo=true"); Packaged bare = bare(data)) {
            System.out.printf("%-28s %8s %8s %9s %9s %6s%n", "page, as shipped", "p50 ms", "p95 ms", "elements", "bare p50", "times");
            // A machine at work has seen all of its pages: none is measured before.
            for (String path : PAGES) {
                measured(client, app.url(path));
                measured(client, bare.url("/bare?elements=" + elements(client, app.url(path))));
            }
            for (String path : PAGES) {
                double[] millis = measured(client, app.url(path));
                int elements = elements(client, app.url(path));
                double least = measured(client, bare.url("/bare?elements=" + elements))[MEASURED / 2];
                System.out.printf("%-28s %8.1f %8.1f %9d %9.1f %6.1f%n", path, millis[millis.length / 2], millis[millis.length * 95 / 100],
                        elements,
                        least, millis[millis.length / 2] / least);
            }
        }
        starts(data);
        posts(data);
        System.exit(0);
    }

    private static Packaged bare(Path data) throws IOException, InterruptedException {
        return Packaged.main(BareApp.class, Packaged.freePort(), data.resolve("bare.txt").toFile());
    }

    private static int elements(HttpClient client, String url) throws IOException, InterruptedException {
        String page = client.send(HttpRequest.newBuilder(URI.create(url)).build(), HttpResponse.BodyHandlers.ofString()).body();
        return (int) Math.max(1, ELEMENT.matcher(page).results().count());
    }

    /** A report takes as long as a hundred pages: fewer of it tell enough. */
    private static double[] measured(HttpClient client, String url) throws IOException, InterruptedException {
        int fewer = url.endsWith(".pdf") ? 10 : 1;
        double[] millis = new double[MEASURED / fewer];
        for (int i = -WARM_UP / fewer; i < millis.length; i++) {
            double took = time(client, url);
            if (i >= 0) {
                millis[i] = took;
            }
        }
        Arrays.sort(millis);
        return millis;
    }

    /** With the demo data there already, as on every day but the first. */
    private static void starts(Path data) throws IOException, InterruptedException {
        double[] own = new double[STARTS];
        double[] least = new double[STARTS];
        for (int i = 0; i < STARTS; i++) {
            try (Packaged app = Packaged.application(data, Packaged.freePort())) {
                own[i] = app.start().toMillis() / 1000.0;
            }
            try (Packaged bare = bare(data)) {
                least[i] = bare.start().toMillis() / 1000.0;
            }
        }
        Arrays.sort(own);
        Arrays.sort(least);
        System.out.printf("%nstart %.1f s, bare %.1f s, %.2f times%n", own[STARTS / 2], least[STARTS / 2],
                own[STARTS / 2] / least[STARTS / 2]);
    }

    /** A remark recorded: from the post to the answer, the entry on the device. */
    private static void posts(Path data) throws Exception {
        try (Packaged app = Packaged.application(data, Packaged.freePort())) {
            Client writer = new Client(app::url);
            double[] millis = new double[MEASURED];
            for (int i = -WARM_UP; i < MEASURED; i++) {
                Map<String, String> form = writer.form("/surveys/20/entries", "/surveys/20/entries/remark");
                long start = System.nanoTime();
                int status = writer.post("/surveys/20/entries/remark", form, "author", "Q. Tester", "text", "remark " + i).statusCode();
                if (status != 302) {
                    throw new IllegalStateException("a remark was answered " + status);
                }
                if (i >= 0) {
                    millis[i] = (System.nanoTime() - start) / 1e6;
                }
            }
            Arrays.sort(millis);
            System.out.printf("post of a remark: %.1f ms p50, %.1f ms p95%n", millis[MEASURED / 2], millis[MEASURED * 95 / 100]);
        }
    }

    private static double time(HttpClient client, String url) throws IOException, InterruptedException {
        long start = System.nanoTime();
        HttpResponse<byte[]> answer = client.send(HttpRequest.newBuilder(URI.create(url)).build(), HttpResponse.BodyHandlers.ofByteArray());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(url + " answered " + answer.statusCode());
        }
        return (System.nanoTime() - start) / 1e6;
    }
}
