package tallledger.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import tallledger.web.App;

/** Server time of each main view with the demo data: 200 requests each after 100 to warm up, one at a time over loopback. */
public final class PageBench {

    private static final int WARM_UP = 100;
    private static final int MEASURED = 200;

    private PageBench() {
    }

    public static void main(String[] args) throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        System.out.printf("%-28s %8s %8s%n", "page", "p50 ms", "p95 ms");
        for (String path : List.of("/", "/machines/1", "/machines/1/edit", "/surveys/2/run", "/surveys/9/run", "/surveys/2/speeds", "/surveys/17/speeds",
                "/surveys/2/faults", "/surveys/2/entries", "/house",
                "/surveys/2/movement", "/surveys/2/threads", "/surveys/9/cycles", "/surveys/2/kit", "/machines/1/fitout", "/surveys/4/verdict",
                "/surveys/2/verdict", "/surveys/2/verdict/print", "/surveys/2/verdict.pdf")) {
            double[] millis = new double[MEASURED];
            for (int i = -WARM_UP; i < MEASURED; i++) {
                double took = time(client, App.demo().url(path));
                if (i >= 0) {
                    millis[i] = took;
                }
            }
            Arrays.sort(millis);
            System.out.printf("%-28s %8.1f %8.1f%n", path, millis[MEASURED / 2], millis[MEASURED * 95 / 100]);
        }
        longSurvey(client);
        System.exit(0);
    }

    /** The run sheet of a survey of 400 entries, as it stands and right after each further entry. */
    private static void longSurvey(HttpClient client) throws Exception {
        LongSurvey survey = LongSurvey.of(App.demo(), 400);
        for (boolean grows : new boolean[] {false, true}) {
            double[] millis = new double[MEASURED];
            for (int i = -WARM_UP; i < MEASURED; i++) {
                if (grows) {
                    survey.grow();
                }
                double took = time(client, App.demo().url("/surveys/" + survey.id() + "/run"));
                if (i >= 0) {
                    millis[i] = took;
                }
            }
            Arrays.sort(millis);
            System.out.printf("%-28s %8.1f %8.1f%n", grows ? "run, 400+ entries, growing" : "run, 400 entries", millis[MEASURED / 2], millis[MEASURED * 95 / 100]);
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
