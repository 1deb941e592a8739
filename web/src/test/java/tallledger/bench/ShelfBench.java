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
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.App;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.store.Submission;

/**
 * The shelf with a hundred machines and with ten thousand, half of them under survey: a page, found, sorted, the last; and all lines made
 * anew.
 */
public final class ShelfBench {

    private static final int MEASURED = 100;
    private static final List<String> ASKED = List.of("/", "/?q=shed%2017", "/?family=LATHE&sort=PUT_RIGHT", "/?state=NOT_BEGUN&sort=NAME",
            "/?place=shed%2099&sort=WORST", "/?sort=OFFER&page=9999");

    private ShelfBench() {
    }

    public static void main(String[] args) throws Exception {
        Path data = Files.createTempDirectory("shelf-bench");
        try (App app = App.on(data)) {
            fill(app, 0, 100);
            measure(app, 100);
            fill(app, 100, 10_000);
            measure(app, 10_000);
        }
        long start = System.nanoTime();
        try (App app = App.on(data, "--tallledger.rebuild-shelf=true")) {
            made(app);
            System.out.printf("all 10 000 lines made anew, with the start: %.1f s%n", (System.nanoTime() - start) / 1e9);
        }
        start = System.nanoTime();
        try (App app = App.on(data)) {
            app.status("/");
            System.out.printf("started again to its first page: %.1f s%n", (System.nanoTime() - start) / 1e9);
        }
    }

    private static void fill(App app, int from, int to) {
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        List<MachineDescription> kinds = KestrelVale.shortlist().stream().map(SimulatedMachine::description).toList();
        for (int i = from; i < to; i++) {
            MachineDescription d = kinds.get(i % kinds.size());
            Identity id = d.identity();
            MachineDescription own = new MachineDescription(new Identity(id.name() + " no. " + i, id.maker(), id.model(), id.family(),
                    "S" + i, id.year(), "shed " + i % 137, id.offeredBy(), id.unit()),
                    d.claims(), d.train(), d.plate(), d.motor(), d.feeds(), d.threads(), d.fitOut());
            long machine = machineBooks.add(own, "Q. Tester", Submission.fresh(0));
            if (i % 2 == 0) {
                surveyBooks.open(library.machine(machine), "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
            }
        }
        made(app);
    }

    private static void made(App app) {
        while (app.bean(ShelfIndex.class).page(ShelfQuery.ALL).waiting() > 0) {
            Thread.onSpinWait();
        }
    }

    private static void measure(App app, int machines) throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        for (String asked : ASKED) {
            double[] millis = new double[MEASURED];
            for (int i = -MEASURED; i < MEASURED; i++) {
                double took = time(client, app.url(asked));
                if (i >= 0) {
                    millis[i] = took;
                }
            }
            Arrays.sort(millis);
            System.out.printf("%6d machines %-32s %6.1f ms p50 %6.1f ms p95%n", machines, asked, millis[MEASURED / 2],
                    millis[MEASURED * 95 / 100]);
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
