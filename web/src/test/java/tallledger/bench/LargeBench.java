package tallledger.bench;

import com.microsoft.playwright.Page;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import tallledger.web.App;
import tallledger.web.Browser;
import tallledger.web.Http;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.ArchiveCheck;
import tallledger.web.sealed.ArchiveWriter;

/** One survey of very many entries: opened, handed over, checked, brought in elsewhere and read there. */
public final class LargeBench {

    private static final int A_BATCH = 1_000;

    private LargeBench() {
    }

    private static <T> T timed(String what, Callable<T> work) throws Exception {
        long start = System.nanoTime();
        T made = work.call();
        double took = (System.nanoTime() - start) / 1e9;
        System.gc();
        System.out.printf("%-60s %6.2f s, %d MB in use%n", what, took,
                (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20);
        return made;
    }

    private static long written(App app, int entries) {
        LongSurvey survey = LongSurvey.of(app, 1);
        for (int left = entries - app.bean(SurveyLibrary.class).survey(survey.id()).head(); left > 0; left -= A_BATCH) {
            survey.grow(Math.min(A_BATCH, left));
        }
        return survey.id();
    }

    public static void main(String[] args) throws Exception {
        int entries = args.length > 0 ? Integer.parseInt(args[0]) : 100_000;
        Path data = Files.createTempDirectory("large-bench");
        Path zip = data.resolve("large.zip");
        try (App app = App.on(data.resolve("one"))) {
            long id = timed(entries + " entries written", () -> written(app, entries));
            timed("folded", () -> app.bean(SurveyLibrary.class).survey(id));
            for (String page : List.of("/run", "/entries", "/verdict", "/verdict/print", "/handover", "")) {
                timed("page " + page, () -> new Http(app).get("/surveys/" + id + page).statusCode());
            }
            timed("handed over", () -> {
                try (OutputStream out = Files.newOutputStream(zip)) {
                    app.bean(ArchiveWriter.class).write(app.bean(SurveyLibrary.class).survey(id), out);
                }
                return null;
            });
            System.out.printf("%.1f MB%n", Files.size(zip) / 1e6);
        }
        try (App app = App.on(data.resolve("other"))) {
            timed("checked", () -> ArchiveCheck.check(zip, share -> {}).holds());
            Page page = Browser.open().page();
            page.setDefaultTimeout(600_000);
            page.navigate(app.url("/check"));
            page.setInputFiles("#file", zip);
            page.click("summary:has-text('Keep it here')");
            page.fill("#author", "Q. Buyer");
            timed("sent by the browser, checked, brought in and shown", () -> {
                page.click("text=Check it and keep it");
                page.waitForURL("**/handed/**");
                return null;
            });
            String address = page.url().replaceFirst("^https?://[^/]+", "");
            timed("shown again", () -> new Http(app).get(address).statusCode());
        }
        System.exit(0);
    }
}
