package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.rules.Rules;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.library.MachineBooks;
import tallledger.web.store.Submission;

/** From the gate to the last switch, step by step as the sheet leads, by its forms' own fields; read in a browser at the end. */
class WholeMachineTest {

    @Test
    void aRadialDrillIsSurveyedWhole() throws Exception {
        SimulatedMachine drill = KestrelVale.dunmarshR50();
        try (App app = App.empty()) {
            List<String> steps = survey(app, drill, "EVERY_GEAR", Map.of());
            List<String> wanted = new ArrayList<>(Catalogue.of(drill.description(), Rules.shipped()).stream()
                    .map(step -> step.id().written()).toList());
            wanted.removeAll(List.of("feed-plate.I.2", "feed-plate.I.3", "feed-plate.II.1", "feed-plate.II.3", "feed-plate.II.4",
                    "feed-plate.III.1", "feed-plate.III.2", "feed-plate.III.4"));
            assertThat(steps).as("every step of the catalogue in its order; feeds whose levers are proven are spared")
                    .containsExactlyElementsOf(wanted);
            Browser browser = Browser.open();
            assertThat(browser.verdict(app, 3)).contains("82 of 90 steps were done: 79 good, 2 only read, 1 not good. 8 more are spared "
                    + "by others.",
                    "Arm clamp alone: arm holds: too late, after 5.60 s instead of 0 to 3 s", "lags behind the key");
            browser.page().navigate(app.url("/surveys/3/verdict/findings"));
            assertThat(browser.page().locator(".findings li").count()).as("one finding, no more").isEqualTo(1);
            assertThat(paper(app.url("/surveys/3/verdict.pdf"))).contains("Arm clamp alone", "Voltage unbalance", "within rebuilt grade");
        }
    }

    @Test
    void aCylindricalGrinderIsSurveyedWithinItsWheelsMark() throws Exception {
        SimulatedMachine grinder = KestrelVale.eskholtC300();
        try (App app = App.empty()) {
            List<String> steps = survey(app, grinder, "EVERY_SPEED", Map.of("mounted", "WHEEL", "WHEEL.diameter", "400", "WHEEL.markedMs",
                    "35"));
            assertThat(steps).containsExactlyElementsOf(Catalogue.of(grinder.description(), Rules.shipped()).stream()
                    .map(step -> step.id().written()).toList());
            Browser browser = Browser.open();
            browser.page().navigate(app.url("/surveys/3/run?step=0-1"));
            assertThat(browser.text()).contains("Refused: at 2 000 rpm a wheel of 400 mm runs 41.9 m/s, above the 35 m/s marked on it.");
            assertThat(browser.verdict(app, 3)).contains("1 of 2 spindle speeds were run",
                    "2 was not run. Refused: at 2 000 rpm a wheel of 400 "
                            + "mm runs 41.9 m/s",
                    "Table reverses at each dog: leaves the right: too early, after 0.30 s instead of 1.50 to "
                            + "2.50 s");
        }
    }

    private static final Pattern TICKS = Pattern.compile("name=\"(safe|confirmed)\"\\s+value=\"([^\"]*)\"");

    /** Answers whatever the sheet asks for, by whatever form it holds, until it asks no more; what it asked for, in order. */
    private static List<String> survey(App app, SimulatedMachine machine, String school, Map<String, String> mounted) {
        app.bean(MachineBooks.class).add(machine.description(), "Q. Tester", Submission.fresh(0));
        Http http = new Http(app);
        http.post("/machines/1/surveys", http.form("/machines/1", "/machines/1/surveys"), "author", "Q. Tester", "role", "buyer", "scope",
                "WHOLE", "judgedAs", "WORKABLE");
        http.post("/surveys/3/plan", http.form("/surveys/3/run", "/surveys/3/plan"), "school", school, "author", "Q. Tester");
        List<String> steps = new ArrayList<>();
        Random random = new Random(5);
        while (true) {
            String sheet = http.get("/surveys/3/run").body();
            Optional<String> action = Stream.of("start", "check", "run", "step")
                    .filter(a -> sheet.contains("action=\"/surveys/3/" + a + "\"")).findFirst();
            if (action.isEmpty()) {
                assertThat(sheet).contains("Every step of the plan is made or passed over");
                return steps;
            }
            String path = "/surveys/3/" + action.get();
            Map<String, String> hidden = Http.formOf(sheet, path);
            List<Map.Entry<String, String>> fields = new ArrayList<>(hidden.entrySet());
            Matcher ticks = TICKS.matcher(sheet);
            while (ticks.find()) {
                fields.add(Map.entry(ticks.group(1), ticks.group(2)));
            }
            fields.add(Map.entry("author", "Q. Tester"));
            String key = hidden.getOrDefault("step", "");
            if (action.get().equals("run")) {
                fields.add(Map.entry("reading", machine.run(machine.description().train().routeByKey(key).orElseThrow(), random).reading()
                        .orElseThrow().typed()));
                fields.add(Map.entry("do", "record"));
            } else if (action.get().equals("start")) {
                fields.addAll(mounted.entrySet());
            } else {
                answer(machine, key, random, fields, steps);
            }
            fields.stream().map(Map.Entry::getKey)
                    .forEach(name -> assertThat(sheet).as("a field of the form at " + key).contains("name=\"" + name + "\""));
            assertThat(http.post(path, fields).statusCode()).as(path + " " + key).isEqualTo(302);
        }
    }

    private static void answer(SimulatedMachine machine, String key, Random random, List<Map.Entry<String, String>> fields,
            List<String> steps) {
        String id = key.isEmpty() ? "check-" + fields.stream().filter(f -> f.getKey().equals("check")).findFirst().orElseThrow().getValue()
                : key;
        steps.add(id);
        Step step = Catalogue.of(machine.description(), Rules.shipped()).stream().filter(s -> s.id().written().equals(id)).findFirst()
                .orElseThrow();
        if (step.recording() instanceof SpindleCheck) {
            if (id.equals("check-BRAKE")) {
                fields.add(Map.entry("seconds", "4.1"));
            }
            fields.add(Map.entry("do", "good"));
            return;
        }
        SimulatedMachine.Answer answer = machine.answer(step, Rules.shipped(), random);
        fields.addAll(answer.values().entrySet());
        fields.add(Map.entry("remark", answer.remark()));
        fields.add(Map.entry("do", answer.flagged() ? "bad" : "good"));
    }

    private static String paper(String url) throws IOException, InterruptedException {
        HttpResponse<byte[]> pdf = HttpClient.newHttpClient().send(HttpRequest.newBuilder(URI.create(url)).build(),
                HttpResponse.BodyHandlers.ofByteArray());
        try (PDDocument document = Loader.loadPDF(pdf.body())) {
            return new PDFTextStripper().getText(document).replace('\u00a0', ' ').replaceAll("\\s+", " ");
        }
    }
}
