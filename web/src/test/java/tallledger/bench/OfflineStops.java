package tallledger.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import tallledger.practice.KestrelVale;
import tallledger.web.App;
import tallledger.web.Browser;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/**
 * Two phones that kept entries and pictures without a connection send them while their connection is cut and the server is killed again and
 * again; then looks whether each is in the record once, and in the order it was made.
 */
public final class OfflineStops {

    private static final int ENTRIES = 475;
    private static final int PICTURES = 25;
    private static final int CUTS = 20;
    private static final Duration PATIENCE = Duration.ofMinutes(15);
    private static final List<List<String>> STEPS = List.of(List.of("castings", "missing-parts", "covers"),
            List.of("plates", "oil-levels", "manual"));
    /** Into the page's own store, as its own forms are kept. */
    private static final String KEEP = """
            async ([at, survey, device, steps, entries, pictures]) => {
              const { Kept, deviceKey } = await import(at);
              const kept = await Kept.open();
              const canvas = document.createElement('canvas');
              canvas.width = 1600;
              canvas.height = 1200;
              const pen = canvas.getContext('2d');
              const every = Math.floor((entries + pictures) / pictures);
              const own = { survey, seen: Number(document.body.dataset.head), state: 'waits', what: 'photo' };
              let made = Date.now() - 3600000;
              for (let i = 0; i < entries + pictures; i++) {
                const step = steps[i % steps.length];
                const says = device + ' ' + i;
                const kind = i % every === every - 1 ? 'photos' : 'step';
                let photo = null;
                if (kind === 'photos') {
                  for (let n = 0; n < 400; n++) {
                    pen.fillStyle = 'rgb(' + [(n * 7 + i) % 256, n % 256, i % 256].join() + ')';
                    pen.fillRect(n * 4, (n * 37 + i * 11) % 1200, 60, 60);
                  }
                  photo = await new Promise(done => canvas.toBlob(done, 'image/jpeg', 0.9));
                }
                made += 3000;
                const named = kind === 'photos' ? [['caption', says]]
                  : [['remark', says], ['do', 'good'], ['confirmed', 'POWER_ISOLATED|']];
                await kept.add({ ...own, action: '/surveys/' + survey + '/' + kind, kind, step, made, key: deviceKey(), says, photo,
                  fields: [['step', step], ['author', 'Q. Tester'], ...named] });
              }
              return (await kept.all()).length;
            }""";
    private static final String STATES = "async at => { const { Kept } = await import(at); const count = {};"
            + " (await (await Kept.open()).all()).forEach(e => { count[e.state] = (count[e.state] || 0) + 1; });"
            + " return [count.waits || 0, count.sent || 0, (count.refused || 0) + (count.clash || 0)]; }";

    private OfflineStops() {
    }

    public static void main(String[] args) throws Exception {
        System.exit(run(Integer.parseInt(args[0])) ? 0 : 1);
    }

    private static boolean run(int kills) throws Exception {
        Path data = Files.createTempDirectory("offline-stops");
        long survey = survey(data);
        int port = Packaged.freePort();
        Packaged server = Packaged.application(data, port);
        List<Page> phones = new ArrayList<>();
        String script = "";
        for (int device = 0; device < STEPS.size(); device++) {
            Page phone = Browser.phone(390).page();
            phone.navigate(server.url("/surveys/" + survey + "/run?step=castings"));
            phone.waitForFunction("() => document.documentElement.dataset.packed && navigator.serviceWorker.controller");
            phone.context().setOffline(true);
            script = phone.locator("script[type=module]").getAttribute("src").replace("ledger.js", "kept.js");
            Object kept = phone.evaluate(KEEP, List.of(script, String.valueOf(survey), "device " + device, STEPS.get(device), ENTRIES,
                    PICTURES));
            System.out.println("device " + device + " holds " + kept);
            phones.add(phone);
        }
        Random chance = new Random(26);
        int cut = 0;
        int killed = 0;
        Instant began = Instant.now();
        phones.forEach(phone -> phone.context().setOffline(false));
        boolean over = false;
        int held = phones.size() * (ENTRIES + PICTURES);
        int sent = 0;
        while (!over && Duration.between(began, Instant.now()).compareTo(PATIENCE) < 0) {
            phones.forEach(phone -> quietly(() -> phone.evaluate("() => window.dispatchEvent(new Event('online'))")));
            Thread.sleep(300 + chance.nextInt(700));
            // As much of what is held is to be sent by each kill and each cut.
            if (killed < kills && sent >= held * killed / (kills + 1)) {
                server.kill();
                killed++;
                server = Packaged.application(data, port);
            } else if (cut < 2 * CUTS && sent >= held * cut / (2 * CUTS + 1)) {
                Page phone = phones.get(cut % phones.size());
                phone.context().setOffline(true);
                Thread.sleep(200 + chance.nextInt(1500));
                phone.context().setOffline(false);
                cut++;
            }
            sent = 0;
            over = true;
            for (Page phone : phones) {
                List<?> states = states(phone, script);
                sent += ((Number) states.get(1)).intValue();
                over &= ((Number) states.get(0)).intValue() == 0;
            }
        }
        for (Page phone : phones) {
            System.out.println("waiting, sent, refused: " + states(phone, script));
        }
        Duration took = Duration.between(began, Instant.now());
        server.kill();
        return found(data, survey, held, cut, killed, took);
    }

    private static List<?> states(Page phone, String script) {
        for (int tries = 0;; tries++) {
            try {
                return (List<?>) phone.evaluate(STATES, script);
            } catch (PlaywrightException leftMeanwhile) {
                if (tries == 50) {
                    throw leftMeanwhile;
                }
                phone.waitForTimeout(200);
            }
        }
    }

    private static void quietly(Runnable work) {
        try {
            work.run();
        } catch (PlaywrightException leftMeanwhile) {
            // The page was being loaded anew.
        }
    }

    private static long survey(Path data) {
        try (App app = App.on(data)) {
            long machine = app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
            return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer",
                    tallledger.core.survey.Scope.WHOLE, Submission.fresh(0));
        }
    }

    private static boolean found(Path data, long survey, int held, int cut, int killed, Duration took) throws IOException {
        try (App app = App.on(data)) {
            List<String> names = app.bean(SurveyLibrary.class).survey(survey).entries().stream().map(e -> name(e.draft().payload()))
                    .filter(n -> n.startsWith("device ")).toList();
            int distinct = new HashSet<>(names).size();
            boolean inOrder = IntStream.range(0, STEPS.size()).allMatch(device -> {
                List<Integer> of = names.stream().filter(n -> n.startsWith("device " + device + " "))
                        .map(n -> Integer.parseInt(n.substring(n.lastIndexOf(' ') + 1))).toList();
                return of.stream().sorted().toList().equals(of);
            });
            System.out.printf("%d kept on two devices, %d cuts, %d kills, %d s: %d found, %d lost, %d doubled, %s%n", held, cut, killed,
                    took.toSeconds(), distinct, held - distinct, names.size() - distinct, inOrder ? "in order" : "OUT OF ORDER");
            return distinct == held && names.size() == held && inOrder;
        }
    }

    private static String name(Map<String, Object> payload) {
        return String.valueOf(payload.getOrDefault("caption", payload.getOrDefault("remark", "")));
    }
}
