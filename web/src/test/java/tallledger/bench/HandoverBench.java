package tallledger.bench;

import com.microsoft.playwright.Page;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tallledger.core.ledger.By;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.App;
import tallledger.web.Browser;
import tallledger.web.record.Shelves;
import tallledger.web.sealed.HandedOver;
import tallledger.web.sealed.Handover;

/** A book of 100 000 entries checked in Java and in the browser; the zip and the report of a survey of 400 entries. */
public final class HandoverBench {

    private static final int MANY = 100_000;

    private HandoverBench() {
    }

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("handover-bench");
        Path zip = folder.resolve("many.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            out.putNextEntry(new ZipEntry("ledger.json"));
            out.write("{\"books\":[{\"entries\":[".getBytes(StandardCharsets.UTF_8));
            Optional<Entry> last = Optional.empty();
            for (int i = 0; i < MANY; i++) {
                Entry e = Entry.following(last, SurveyEntries.remark(By.of(Instant.ofEpochSecond(1_700_000_000L + i), "Q. Tester, buyer"), "remark no. " + i + " of a long survey, with some words to it"));
                out.write(((i == 0 ? "" : ",") + CanonicalJson.write(e.handedOver())).getBytes(StandardCharsets.UTF_8));
                last = Optional.of(e);
            }
            out.write("],\"kind\":\"SURVEY\"}],\"format\":1,\"title\":\"many\"}".getBytes(StandardCharsets.UTF_8));
            out.closeEntry();
        }
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            boolean holds = HandedOver.check(zip, share -> { }).holds();
            System.out.printf("%d entries (%.1f MB zip) checked in Java: %s in %.2f s%n", MANY, Files.size(zip) / 1e6, holds, (System.nanoTime() - start) / 1e9);
        }
        App app = App.demo();
        LongSurvey survey = LongSurvey.of(app, 400);
        Handover handover = app.bean(Handover.class);
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            long[] size = new long[1];
            handover.write(app.bean(Shelves.class).survey(survey.id()), new OutputStream() {
                @Override
                public void write(int b) {
                    size[0]++;
                }

                @Override
                public void write(byte[] b, int from, int length) {
                    size[0] += length;
                }
            });
            System.out.printf("survey of 400 entries handed over, report and all: %.2f s, %.0f kB%n", (System.nanoTime() - start) / 1e9, size[0] / 1e3);
        }
        Path page = folder.resolve("verify.html");
        Path one = folder.resolve("one.zip");
        try (OutputStream out = Files.newOutputStream(one)) {
            handover.write(app.bean(Shelves.class).survey(survey.id()), out);
        }
        try (var in = new java.util.zip.ZipFile(one.toFile())) {
            Files.write(page, in.getInputStream(in.getEntry("verify.html")).readAllBytes());
        }
        Page browser = Browser.open().page();
        browser.setDefaultTimeout(120_000);
        browser.navigate(page.toUri().toString());
        long start = System.nanoTime();
        browser.setInputFiles("#file", zip);
        browser.waitForFunction("() => document.body.dataset.done === 'yes'");
        System.out.printf("%d entries checked in the browser: '%s' in %.2f s%n", MANY, browser.evaluate("() => document.body.dataset.found"), (System.nanoTime() - start) / 1e9);
        System.exit(0);
    }
}
