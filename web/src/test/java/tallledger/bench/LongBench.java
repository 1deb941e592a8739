package tallledger.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.App;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/**
 * Long books, many readers, a long shelf: server time of the pages of a survey of 3 000 entries, of 20 readers at once, and the heap with
 * 200 surveys.
 */
public final class LongBench {

    private static final int USUAL = 400;
    private static final int ENTRIES = 3_000;
    private static final int READERS = 20;
    private static final int PAGES_EACH = 100;
    private static final int SURVEYS = 200;
    private static final int MEASURED = 100;
    private static final List<String> READ = List.of("/", "/surveys/3/run", "/surveys/3/entries", "/surveys/3/speeds", "/surveys/5/verdict",
            "/machines/1");

    private LongBench() {
    }

    public static void main(String[] args) throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        String usual = "/surveys/" + LongSurvey.of(App.demo(), USUAL).id();
        for (String page : List.of("/run", "/verdict")) {
            print(USUAL + " entries, " + page, measured(client, App.demo().url(usual + page), () -> null));
        }
        LongSurvey survey = LongSurvey.of(App.demo(), ENTRIES);
        String base = "/surveys/" + survey.id();
        for (String page : List.of("/run", "/entries", "/entries?at=1500", "/entries?kind=RUN", "/verdict", "/speeds")) {
            print(ENTRIES + " entries, " + page, measured(client, App.demo().url(base + page), () -> null));
        }
        print("run, growing", measured(client, App.demo().url(base + "/run"), () -> {
            survey.grow();
            return null;
        }));
        readers();
        heap(client);
        System.exit(0);
    }

    private static double[] measured(HttpClient client, String url, Callable<Void> before) throws Exception {
        double[] millis = new double[MEASURED];
        for (int i = -MEASURED; i < MEASURED; i++) {
            before.call();
            double took = time(client, url);
            if (i >= 0) {
                millis[i] = took;
            }
        }
        return millis;
    }

    /** Everybody reads one page after the other without a pause. */
    private static void readers() throws Exception {
        ExecutorService readers = Executors.newFixedThreadPool(READERS);
        List<Callable<List<Double>>> work = new ArrayList<>();
        for (int r = 0; r < READERS; r++) {
            int first = r;
            work.add(() -> {
                HttpClient own = HttpClient.newHttpClient();
                List<Double> took = new ArrayList<>();
                for (int i = 0; i < PAGES_EACH; i++) {
                    took.add(time(own, App.demo().url(READ.get((first + i) % READ.size()))));
                }
                return took;
            });
        }
        List<Double> all = new ArrayList<>();
        for (Future<List<Double>> done : readers.invokeAll(work)) {
            all.addAll(done.get());
        }
        readers.shutdown();
        print(READERS + " readers at once", all.stream().mapToDouble(Double::doubleValue).toArray());
    }

    private static void heap(HttpClient client) throws Exception {
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        SurveyBooks surveyBooks = App.demo().bean(SurveyBooks.class);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        double before = used();
        List<Long> ids = new ArrayList<>();
        for (int i = 0; i < SURVEYS; i++) {
            long machine = machineBooks.add(KestrelVale.castervaleU2().description(), "Q. Tester", Submission.fresh(0));
            ids.add(surveyBooks.open(library.machine(machine), "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0)));
        }
        for (long id : ids) {
            time(client, App.demo().url("/surveys/" + id + "/run"));
        }
        time(client, App.demo().url("/"));
        System.out.printf("heap %.0f MB, %.0f MB more after %d surveys were opened%n", used(), used() - before, SURVEYS);
        print("shelf of " + SURVEYS + " more machines", measured(client, App.demo().url("/"), () -> null));
    }

    private static double used() {
        System.gc();
        return (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / 1e6;
    }

    private static void print(String what, double[] millis) {
        Arrays.sort(millis);
        System.out.printf("%-32s %8.1f ms p50 %8.1f ms p95%n", what, millis[millis.length / 2], millis[millis.length * 95 / 100]);
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
