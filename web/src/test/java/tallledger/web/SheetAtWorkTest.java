package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** Steps at work: needs, stopwatch, event keys, half-typed text, passing over and coming back, kit, photographs, repair. */
class SheetAtWorkTest {

    private final App app = App.demo();

    private long whole(MachineDescription description) {
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        StoredMachine machine = library.machine(machineBooks.add(description, "Q. Tester", Submission.fresh(0)));
        return surveyBooks.open(machine, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private Page open(Browser browser, long survey, String step) {
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=" + step));
        if (page.locator(".start").count() > 0) {
            page.locator("input[name=safe]").all().forEach(c -> c.check());
            if (page.locator("input[name=mounted]").count() > 0) {
                page.locator("input[name=mounted]").first().check();
            }
            page.click(".start button.is-ink");
            page.waitForSelector("form.keeps");
        }
        return page;
    }

    @Test
    void whatMustBeFreeIsConfirmedBeforeAStepIsRecorded() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "feed.table.minus");
        page.fill("#f-distance", "100 mm");
        page.fill("#f-seconds", "375");
        page.click("button[value=good]");
        page.waitForSelector("#wrong-confirmed");
        assertThat(browser.text()).contains("3 of 3 things that changed since the last step are not confirmed");
        assertThat(page.inputValue("#f-seconds")).isEqualTo("375");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.click("button[value=good]");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("16.00 ± 0.10 mm/min is between 14.4 mm/min and 17.6 mm/min");
        open(browser, survey, "feed.table.plus");
        assertThat(browser.text()).contains("table has come to rest: count three before it is reversed", "table: lock free, as before");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void theSpaceBarRunsTheStopwatch() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "rapid.table.minus");
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("Space");
        assertThat(page.locator(".tapkey span").innerText()).isEqualTo("Stop the watch");
        page.waitForTimeout(600);
        page.keyboard().press("Space");
        assertThat(Double.parseDouble(page.inputValue("#f-seconds"))).isBetween(0.4, 3.0);
        page.focus("#f-distance");
        page.keyboard().press("Space");
        assertThat(page.locator(".tapkey span").innerText()).as("typing a blank is no key of the watch").isEqualTo("Start again");
    }

    @Test
    void eventKeysWriteTheLogAndTheTimeLineIsDrawn() {
        long survey = whole(KestrelVale.brinmoorT1().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "guard");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        for (String event : List.of("runs", "guard-opened", "stops", "guard-closed", "starts-by-itself")) {
            page.click("[data-event=" + event + "]");
            page.waitForTimeout(120);
        }
        assertThat(page.inputValue("#f-log").split("\n")).hasSize(5).allMatch(line -> line.matches("[a-z-]+ \\d+\\.\\d\\d"));
        page.click("button[value=good]");
        page.waitForSelector(".timeline");
        assertThat(browser.text()).contains("recorded as entry 3: failed", "A hazard: it moves by itself and can take a hand. Nobody "
                + "uses the machine until it is repaired.");
        page.navigate(app.url("/surveys/" + survey + "/run?step=direction"));
        assertThat(page.locator(".stopuse").innerText()).contains("Stop use.", "starts by itself: must not happen");
        page.navigate(app.url("/surveys/" + survey + "/cycles"));
        assertThat(browser.text()).contains("Guard opened and closed", "starts by itself");
        assertThat(page.locator(".timeline .is-wrong").count()).isGreaterThan(0);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void anOwnScriptGetsItsKeysAsItIsWritten() {
        long survey = whole(KestrelVale.brinmoorT1().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "own-cycle.1");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.fill("#f-title", "air vice");
        page.fill("#f-script", "opens\nholds 0-2 s\nnever drops");
        page.waitForSelector("[data-event=drops]");
        assertThat(page.locator(".eventkeys button span").allInnerTexts()).containsExactly("opens", "holds", "drops");
        page.locator("#f-script").press("Control+End");
        page.locator("#f-script").pressSequentially("\nopens x2\nrises 1.5");
        page.waitForTimeout(600);
        assertThat(page.locator(".eventkeys button span").allInnerTexts()).as("each once, and nothing half written")
                .containsExactly("opens", "holds", "drops");
        page.fill("#f-script", "opens\nholds 0-2 s\nnever drops");
        page.waitForTimeout(600);
        page.click(".eventkeys button >> nth=0");
        page.click(".eventkeys button >> nth=1");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("All 2 events came as they should.");
    }

    @Test
    void aLogInTheWrongOrderIsSaidWhereItWasTyped() {
        long survey = whole(KestrelVale.brinmoorT1().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "guard");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.fill("#f-log", "runs 5\nguard-opened 3");
        page.click("button[value=good]");
        page.waitForSelector("#wrong-log");
        assertThat(page.locator("#wrong-log").innerText()).contains("Line 2: 3 s comes before the 5 s of the line above it");
        assertThat(page.inputValue("#f-log")).isEqualTo("runs 5\nguard-opened 3");
    }

    @Test
    void whatIsHalfTypedComesBackUntilItIsRecorded() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "travel.table");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.focus("#f-value");
        page.keyboard().type("903 mm");
        page.navigate(app.url("/surveys/" + survey + "/verdict"));
        page = open(browser, survey, "travel.table");
        assertThat(page.inputValue("#f-value")).isEqualTo("903 mm");
        assertThat(page.locator(".connection").innerText()).startsWith("What you had half typed here is back.");
        assertThat(page.locator("input[name=confirmed]").first().isChecked()).isTrue();
        page.click("button[value=good]");
        page.waitForSelector(".done");
        page = open(browser, survey, "travel.table");
        assertThat(page.inputValue("#f-value")).isEmpty();
        assertThat(browser.text()).contains("903.0 ± 1.2 mm against 900 mm claimed: enough.");
    }

    @Test
    void aLostConnectionIsSaidAndNothingTypedIsLost() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "serial");
        page.fill("#f-text", "U2-771");
        page.context().setOffline(true);
        page.click("button[value=good]");
        page.waitForSelector(".connection:not([hidden])");
        assertThat(page.locator(".connection").innerText()).contains("No connection", "kept on this tablet");
        page.context().setOffline(false);
        page.waitForFunction("() => fetch('/alive', {cache: 'no-store'}).then(a => a.ok, () => false)");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        page.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(browser.text()).contains("As it stands there U2-771");
        assertThat(page.locator("tr:has-text('U2-771')").count()).isEqualTo(1);
    }

    @Test
    void aStepIsPassedOverOrComeBackTo() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "desk-claims");
        page.click(".more-of-step summary");
        page.click("text=Come back later");
        page.waitForSelector("h1:text-is('Under power on the day?')");
        assertThat(page.locator(".coming").last().innerText()).contains("Claims gathered");
        page.click(".more-of-step summary");
        page.click("text=Pass over >> nth=-1");
        page.waitForSelector("#wrong-reason");
        page.fill("#reason", "nobody answers");
        page.click("text=Pass over >> nth=-1");
        page.waitForSelector("h1:text-is('Papers asked for')");
        assertThat(page.locator(".steps li:has-text('Under power') svg").getAttribute("aria-label")).isEqualTo("passed over");
    }

    @Test
    void aStepIsDoneWithoutScript() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open(1280, 800, false);
        Page page = open(browser, survey, "trip.table.minus");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.fill("#f-log", "feed-on 0\ntrips 4\nstays-off 9");
        page.click("button[value=good]");
        assertThat(browser.text()).contains("All 3 events came as they should.");
    }

    @Test
    void aRepairedSystemIsTestedAgainUntilItIsGood() {
        long survey = whole(KestrelVale.castervaleH1().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "lock.saddle");
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.fill("#remark", "handle at the end of its thread");
        page.click("button[value=bad]");
        page.waitForSelector(".done");
        page.navigate(app.url("/surveys/" + survey + "/faults"));
        assertThat(browser.text()).contains("Saddle: lock BEFORE USE open", "Is the handle at the end of its thread? Set it a tooth back",
                "Once it is repaired, do again: Saddle: lock.");
        page.selectOption("#part", "system|lock|saddle");
        page.fill("#what", "handle set a tooth back");
        page.click("button:text-is('Mark repaired')");
        page.waitForSelector("text=repaired, to be re-tested");
        assertThat(browser.text()).contains("repaired, to be re-tested", "To be done again, and only these: Saddle: lock.",
                "saddle: lock handle set a tooth back");
        page.navigate(app.url("/surveys/" + survey + "/run"));
        assertThat(page.locator("h1").innerText()).isEqualToIgnoringCase("saddle: lock");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        page.navigate(app.url("/surveys/" + survey + "/faults"));
        assertThat(browser.text()).contains("re-tested good").doesNotContain("To be done again, and only these");
    }

    @Test
    void kitIsTickedPricedAndPromised() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/kit"));
        page.click("[aria-label='vice seen']");
        page.waitForSelector("table.kit");
        page.fill("#name", "dividing head");
        page.selectOption("#state", "MISSING");
        page.fill("#promised", "the owner");
        page.fill("#cost", "cheap");
        page.click("button:text-is('Record')");
        page.waitForSelector("#wrong-cost");
        assertThat(page.inputValue("#promised")).isEqualTo("the owner");
        page.fill("#cost", "650");
        page.click("button:text-is('Record')");
        page.waitForSelector("td:text-is('650')");
        assertThat(browser.text())
                .contains("1 seen, 1 missing; 1 promised to this buyer. To replace what is missing "
                        + "or awaited: 650.");
        page.fill("#machine", "1850");
        page.fill("#skid", "120");
        page.fill("#extras", "90");
        page.fill("#carries", "2000");
        page.click("text=Reckon");
        page.waitForSelector("text=60 kg too much");
        assertThat(browser.verdict(app, survey)).contains("dividing head, promised by the owner, is missing.",
                "2 060 kg on a lift said to carry 2 000 kg: 60 kg too much. A competent rigger decides.");
    }

    private static byte[] picture(String format) throws IOException {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(120, 90, 60));
        g.fillRect(40, 40, 200, 160);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    @Test
    void aPhotographIsTakenShownAndPrinted() throws IOException {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "castings");
        page.click(".more-of-step summary");
        page.fill("#caption", "crack by the <b>foot</b>");
        page.setInputFiles("#photo", new FilePayload("../../etc/\"passwd\"<script>.jpg", "image/jpeg", picture("jpg")));
        page.click("text=Add the photograph");
        page.waitForSelector(".thumbs img");
        assertThat((int) page.evaluate("document.querySelector('.thumbs img').naturalWidth")).isEqualTo(320);
        page.navigate(app.url("/surveys/" + survey + "/verdict/print"));
        assertThat(page.locator("body").innerText()).contains("crack by the <b>foot</b>");
        assertThat((int) page.evaluate("document.querySelector('.cover img').naturalWidth")).isEqualTo(400);
        byte[] pdf = page.request().get(app.url("/surveys/" + survey + "/verdict.pdf")).body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            int pictures = 0;
            for (PDPage sheet : document.getPages()) {
                for (COSName name : sheet.getResources().getXObjectNames()) {
                    pictures += sheet.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(pictures).as("the picture in the PDF, once, on its cover").isEqualTo(1);
        }
        assertThat(browser.complaints()).isEmpty();
    }

    /** Several at once, in the background, made smaller before they are sent; what is half typed at the step stays and can be recorded. */
    @Test
    void severalPhotographsGoWhileTheWorkGoesOn() throws IOException {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "castings");
        page.fill("#remark", "a weld");
        page.click(".more-of-step summary");
        page.fill("#caption", "the foot");
        FilePayload one = new FilePayload("a.jpg", "image/jpeg", picture("jpg"));
        page.setInputFiles("#photo", new FilePayload[] {one, new FilePayload("b.png", "image/png", picture("png")), one});
        // The connection is lost in the middle of the second.
        List<String> sends = new ArrayList<>();
        page.route("**/photos", route -> {
            sends.add(route.request().method());
            if (sends.size() == 2) {
                route.abort();
            } else {
                route.resume();
            }
        });
        page.click("text=Add the photograph");
        page.locator(".sending:has-text('3 photographs are recorded.')").waitFor();
        assertThat(page.locator(".thumbs img").count()).isEqualTo(3);
        assertThat(sends).as("one of them twice").hasSize(4);
        assertThat(page.inputValue("#remark")).isEqualTo("a weld");
        assertThat(page.inputValue("#caption")).isEmpty();
        assertThat(app.bean(tallledger.web.library.SurveyLibrary.class).survey(survey).core().photosOf("castings")).hasSize(3);
        page.locator("input[name=confirmed]").first().check();
        page.click("button[name=do][value=good]");
        page.locator(".done[data-recorded=castings]").waitFor();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatIsNoPhotographIsRefusedWhereItWasChosen() {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "castings");
        page.click(".more-of-step summary");
        page.fill("#caption", "crack");
        page.setInputFiles("#photo", new FilePayload("crack.jpg", "image/jpeg", "MZ this is no picture".getBytes(StandardCharsets.UTF_8)));
        page.click("text=Add the photograph");
        page.waitForSelector("#wrong-photo");
        assertThat(page.locator("#wrong-photo").innerText()).contains("not a JPEG or PNG, whatever it is called");
        assertThat(page.inputValue("#caption")).isEqualTo("crack");
        page.click("text=Add the photograph");
        page.locator("#wrong-photo:has-text('Choose a photograph first')").waitFor();
    }

    @Test
    void aPhotographTooLargeIsSaidBeforeItIsSent(@TempDir Path folder) throws Exception {
        long survey = whole(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = open(browser, survey, "castings");
        page.click(".more-of-step summary");
        page.setInputFiles("#photo", Files.write(folder.resolve("huge.jpg"), new byte[16 * 1024 * 1024]));
        page.click("text=Add the photograph");
        page.locator("text=That is over 15 MB").waitFor();
        assertThat(page.url()).contains("step=castings");
    }

    /** On a telephone what is read, what it must be and the key that records it are on one screen, for a speed and for a step. */
    @Test
    void onATelephoneReadingLimitAndRecordAreOnOneScreen() {
        Browser browser = Browser.open(390, 844, true);
        Page page = browser.page();
        long ready = Scenes.readySurvey(app);
        for (String path : List.of("/surveys/" + ready + "/run", "/surveys/18/run?step=play.table")) {
            page.navigate(app.url(path));
            double keys = page.locator(".thumb").boundingBox().y;
            assertThat(page.locator(".thumb .is-ink").first().boundingBox().y).as("the key that records").isBetween(keys, 844.0);
            for (String what : List.of(path.contains("step=") ? "#f-value" : "#reading", ".limit-here >> visible=true")) {
                var box = page.locator(what).first().boundingBox();
                assertThat(box.y + box.height).as(what + " of " + path).isLessThan(keys);
            }
        }
    }

    /** Past the list of steps by one link, to the first tick by one key, an event by its digit. */
    @Test
    void keysAtHand() {
        Browser browser = Browser.open();
        Page page = browser.page();
        long survey = whole(KestrelVale.dunmarshR50().description());
        page.navigate(app.url("/surveys/" + survey + "/run"));
        assertThat(page.locator("a.skip[href='#step']").count()).isEqualTo(1);
        page = open(browser, survey, "travel.arm");
        page.keyboard().press("F2");
        assertThat((Boolean) page.evaluate("() => document.activeElement.name === 'confirmed'")).isTrue();
        page = open(browser, whole(KestrelVale.brinmoorT1().description()), "guard");
        page.locator("[data-event]").first().focus();
        page.keyboard().press("2");
        page.keyboard().press("1");
        List<String> events = List.of(page.locator("[data-event]").nth(1).getAttribute("data-event"),
                page.locator("[data-event]").nth(0).getAttribute("data-event"));
        assertThat(page.inputValue("#f-log").lines().map(l -> l.replaceAll(" [\\d.]+$", "")).toList()).isEqualTo(events);
        assertThat(browser.complaints()).isEmpty();
    }
}
