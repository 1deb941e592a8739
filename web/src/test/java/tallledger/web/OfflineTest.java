package tallledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.zip.GZIPInputStream;
import javax.imageio.ImageIO;
import org.assertj.core.data.TemporalUnitWithinOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.drive.Speed;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.SentLater;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.safety.SpeedGate;
import tallledger.core.survey.Kind;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.practice.SimulatedSound;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** A phone goes on without a connection, and what it kept is in the record when the connection is back: each entry once, in its order. */
class OfflineTest {

    private static final String READY = "() => document.documentElement.dataset.packed && navigator.serviceWorker.controller";
    private static final String BACK = "() => window.dispatchEvent(new Event('online'))";
    private static final int MOST = 400_000;

    private final App app = App.demo();

    private long survey(MachineDescription description) {
        long machine = app.bean(MachineBooks.class).add(description, "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private long aldwark410() {
        return survey(KestrelVale.aldwark410().description());
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static String run(long survey, String step) {
        return "/surveys/" + survey + "/run?step=" + step;
    }

    /** A phone that has been on the run sheet once. */
    private Page phone(long survey, String... scripts) {
        Page phone = Browser.phone(390).page();
        List.of(scripts).forEach(phone::addInitScript);
        phone.navigate(app.url(run(survey, "castings")));
        phone.waitForFunction(READY);
        return phone;
    }

    private Page cut(Page phone) {
        phone.context().setOffline(true);
        return phone;
    }

    private void open(Page phone, long survey, String step) {
        phone.navigate(app.url(run(survey, step)));
        assertThat(phone.locator("#step .lost")).containsText("No connection");
    }

    private static void record(Page phone) {
        phone.locator("#step input[name=confirmed]").all().forEach(Locator::check);
        phone.locator(".thumb .is-ink").tap();
    }

    private static void recorded(Page phone, String says) {
        assertThat(phone.locator(".kept-now")).containsText(says);
    }

    private static void backAgain(Page phone) {
        phone.context().setOffline(false);
        try {
            phone.evaluate(BACK);
        } catch (PlaywrightException loadedAnewMeanwhile) {
            // Chromium had told it already.
        }
    }

    /** And the page is one of the server's again. */
    private static void allSent(Page phone, int entries) {
        assertThat(phone.locator("body:not(:has(main[data-pack])) .kept-list summary")).containsText(entries + " sent and judged");
    }

    private List<Entry> since(long survey, int head) {
        return now(survey).entries().stream().filter(e -> e.sequence() > head).toList();
    }

    @Test
    void stepsAreOpenedAndRecordedAndSentInTheirOrder() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = cut(phone(survey));
        open(phone, survey, "castings");
        assertThat(phone.locator("#step")).containsText("Go round it with a lamp");
        phone.fill("#remark", "a weld at the foot");
        record(phone);
        recorded(phone, "Kept here, not judged yet: Castings and repairs, Remark a weld at the foot (Good)");
        assertThat(phone.locator("#step-name")).not().hasText("Castings and repairs");
        assertThat(phone.locator("nav.steps a:has-text('Castings and repairs')")).containsText("kept here");
        phone.reload();
        assertThat(phone.locator(".kept-list summary")).containsText("1 kept here, not judged yet");
        open(phone, survey, "missing-parts");
        phone.locator("#step input[name=confirmed]").all().forEach(Locator::check);
        phone.locator(".thumb button:has-text('Not good')").tap();
        recorded(phone, "(Not good)");
        assertThat(now(survey).head()).as("nothing came in yet").isEqualTo(head);
        Instant sent = Instant.now();
        backAgain(phone);
        allSent(phone, 2);
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("castings", "missing-parts");
        assertThat(since(survey, head)).allSatisfy(e -> {
            assertThat(e.at()).isBefore(sent);
            assertThat(SentLater.of(e).orElseThrow().received()).isAfterOrEqualTo(sent.minusMillis(1));
        });
        assertThat(now(survey).steps().all()).last().matches(StepResult::isBad, "as the person pressed it");
        phone.locator(".kept-list summary").tap();
        assertThat(phone.locator(".kept-list")).containsText("entry " + (head + 2));
        phone.locator(".kept-list .keys .button").tap();
        assertThat(phone.locator(".kept-list")).hasCount(0);
        phone.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(phone.locator("main")).containsText("kept on its device without a connection, sent");
    }

    /** The clock of a phone may show anything: how long ago it was is what its own clock counted. */
    @Test
    void aWrongClockMovesNoEntry() {
        long off = 3_600_000;
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = phone(survey, "{ const real = Date.now; Date.now = () => real() + " + off + "; }");
        cut(phone);
        open(phone, survey, "castings");
        Instant made = Instant.now();
        record(phone);
        recorded(phone, "Castings");
        backAgain(phone);
        allSent(phone, 1);
        Entry entry = since(survey, head).get(0);
        assertThat(entry.at()).isCloseTo(made, new TemporalUnitWithinOffset(4, java.time.temporal.ChronoUnit.SECONDS));
        assertThat(SentLater.of(entry).orElseThrow().fast()).isBetween(Duration.ofMillis(off - 2000), Duration.ofMillis(off + 2000));
        phone.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(phone.locator("main")).containsText("whose clock was 60 min ahead");
    }

    @Test
    void theStartChecksAreAskedAndAMarkRefuses() {
        long survey = survey(KestrelVale.eskholtC300().description());
        int head = now(survey).head();
        String route = now(survey).folded().steps().get(0).key();
        BigDecimal rpm = now(survey).folded().table().nominal(now(survey).folded().steps().get(0)).orElseThrow();
        Page phone = cut(phone(survey));
        open(phone, survey, route);
        assertThat(phone.locator("#step-name")).hasText("Before the spindle starts");
        phone.locator(".thumb .is-ink").tap();
        assertThat(phone.locator("#step .lost")).containsText("Look at each and tick it: 0 of");
        phone.locator("#step input[name=safe]").all().forEach(Locator::check);
        phone.check("input[name=mounted][value=WHEEL]");
        phone.fill("[name='WHEEL.diameter']", "400");
        phone.locator(".thumb .is-ink").tap();
        assertThat(phone.locator("#step .lost")).containsText("what is marked on it");
        phone.fill("[name='WHEEL.markedRpm']", rpm.subtract(BigDecimal.TEN).toPlainString());
        phone.locator(".thumb .is-ink").tap();
        recorded(phone, "Start checks");
        assertThat(phone.locator("#step .wrong")).containsText("The wheel is marked");
        assertThat(phone.locator("#step input[name=reading]")).hasCount(0);
        backAgain(phone);
        allSent(phone, 1);
        assertThat(since(survey, head)).extracting(Entry::kind).containsExactly(Kind.START_CONFIRMED.name());
        phone.navigate(app.url(run(survey, route)));
        assertThat(phone.locator("#step .refused .wrong")).containsText("marked");
    }

    @Test
    void aSpeedIsRunAfterItsStartChecks() {
        long survey = aldwark410();
        int head = now(survey).head();
        String route = now(survey).folded().steps().get(0).key();
        Page phone = cut(phone(survey));
        open(phone, survey, route);
        phone.locator("#step input[name=safe]").all().forEach(Locator::check);
        phone.check("input[name=mounted][value=NOTHING]");
        phone.locator(".thumb .is-ink").tap();
        phone.locator(".thumb .is-ink").tap();
        assertThat(phone.locator("#step .lost")).containsText("Type the reading");
        phone.fill("#reading", "31.9");
        phone.locator(".thumb .is-ink").tap();
        recorded(phone, "Reading, rpm 31.9");
        assertThat(phone.locator("#step input[name=reading]").or(phone.locator("#step .task").first()).first()).isVisible();
        backAgain(phone);
        allSent(phone, 2);
        assertThat(now(survey).folded().runs()).singleElement()
                .satisfies(r -> assertThat(r.record().reading().orElseThrow().rpm()).isEqualByComparingTo("31.9"));
        assertThat(since(survey, head)).extracting(Entry::kind).containsExactly("START_CONFIRMED", "RUN");
    }

    @Test
    void whatMayStopUseStopsAllRunsUntilItIsSent() {
        long survey = aldwark410();
        String route = now(survey).folded().steps().get(0).key();
        Page phone = cut(phone(survey));
        open(phone, survey, "isolator");
        phone.locator("#step input[name=confirmed]").all().forEach(Locator::check);
        phone.locator(".thumb button:has-text('Not good')").tap();
        recorded(phone, "(Not good)");
        open(phone, survey, route);
        assertThat(phone.locator("#step .wrong")).containsText("that may stop use, and it has not been judged yet");
        assertThat(phone.locator("#step input[name=safe]")).hasCount(0);
        open(phone, survey, "castings");
        assertThat(phone.locator("#step")).containsText("Go round it with a lamp");
        backAgain(phone);
        allSent(phone, 1);
        phone.waitForFunction("() => document.documentElement.dataset.packed");
        cut(phone);
        open(phone, survey, route);
        assertThat(phone.locator("#step .wrong")).containsText("Stops use");
    }

    /** A log that only the server can judge stops runs as well, until whoever stood there says that it was as it should be. */
    @Test
    void whatIsNotJudgedYetMayBeSaidToBeGood() {
        long survey = aldwark410();
        String route = now(survey).folded().steps().get(0).key();
        Page phone = cut(phone(survey));
        open(phone, survey, "emergency-stop");
        phone.locator("#step input[name=safe]").all().forEach(Locator::check);
        phone.check("input[name=mounted][value=NOTHING]");
        phone.locator(".thumb .is-ink").tap();
        assertThat(phone.locator(".eventkeys .tapkey").first()).isVisible();
        phone.locator(".eventkeys .tapkey:not(.is-never)").all().forEach(Locator::tap);
        record(phone);
        recorded(phone, "(Record)");
        open(phone, survey, route);
        assertThat(phone.locator("#step .wrong")).containsText("or you say above that it was as it should be");
        phone.locator("button:has-text('It was as it should be')").tap();
        assertThat(phone.locator("#reading")).isVisible();
        backAgain(phone);
        allSent(phone, 2);
    }

    /** An entry of a survey that was closed meanwhile stays here and keeps nothing behind it waiting. */
    @Test
    void aSurveyClosedMeanwhileKeepsNothingWaiting() {
        long closed = aldwark410();
        Page phone = cut(phone(closed));
        open(phone, closed, "castings");
        record(phone);
        recorded(phone, "Castings");
        Http http = new Http(app);
        String close = "/surveys/" + closed + "/close";
        assertThat(http.post(close, http.form("/surveys/" + closed + "/handover", close), "author", "Q. Tester", "read", "yes")
                .statusCode())
                .isEqualTo(302);
        backAgain(phone);
        assertThat(phone.locator(".kept-list summary")).containsText("1 not recorded");
        assertThat(phone.locator(".kept-list")).containsText("closed");
        phone.waitForFunction("() => document.documentElement.dataset.packed");
        cut(phone);
        open(phone, closed, "missing-parts");
        record(phone);
        assertThat(phone.locator("#step .lost")).containsText("This survey is closed");
    }

    /** A device that is shut out forgets the surveys it had; what it recorded stays. */
    @Test
    void aDeviceThatIsShutOutKeepsNoSurvey() {
        long survey = aldwark410();
        Page phone = cut(phone(survey));
        open(phone, survey, "castings");
        record(phone);
        recorded(phone, "Castings");
        phone.route("**/surveys/*/pocket/stand", route -> route.fulfill(new Route.FulfillOptions().setStatus(403)));
        backAgain(phone);
        assertThat(phone.locator(".kept-list")).containsText("not let in any more");
        assertThat(phone.locator(".kept-list summary")).containsText("1 kept here");
        assertThat(phone.evaluate("async () => (await caches.keys()).length")).isEqualTo(0);
    }

    /** Let in anew for another survey alone, a device sends that one's and keeps the other's. */
    @Test
    void aSurveyItMayNotOpenKeepsNothingWaiting() {
        long before = aldwark410();
        long own = aldwark410();
        Page phone = phone(before);
        phone.navigate(app.url(run(own, "castings")));
        phone.waitForFunction(READY);
        cut(phone);
        open(phone, before, "castings");
        record(phone);
        recorded(phone, "Castings");
        open(phone, own, "castings");
        record(phone);
        recorded(phone, "Castings");
        phone.route("**/surveys/" + before + "/pocket/stand", route -> route.fulfill(new Route.FulfillOptions().setStatus(403)));
        int head = now(own).head();
        backAgain(phone);
        assertThat(phone.locator(".kept-list summary")).containsText("1 kept here, not judged yet; 1 sent and judged");
        assertThat(since(own, head)).extracting(Entry::step).containsExactly("castings");
    }

    /** Both stand at the step with both readings; nothing is dropped, and the rest goes on. */
    @Test
    void whatAnotherRecordedThereMeanwhileIsShownWithBoth() {
        long survey = aldwark410();
        Page phone = cut(phone(survey));
        Page other = cut(phone(survey));
        open(phone, survey, "castings");
        phone.fill("#remark", "one sees a crack");
        record(phone);
        recorded(phone, "one sees a crack");
        open(phone, survey, "missing-parts");
        record(phone);
        recorded(phone, "Good");
        open(other, survey, "castings");
        other.fill("#remark", "the other none");
        record(other);
        recorded(other, "the other none");
        backAgain(other);
        allSent(other, 1);
        int head = now(survey).head();
        backAgain(phone);
        assertThat(phone.locator(".kept-list summary")).containsText("1 that another also recorded; 1 sent and judged");
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("missing-parts");
        Locator clash = phone.locator(".kept-list li:has-text('one sees a crack')");
        assertThat(clash.locator(".theirs")).containsText("the other none");
        clash.locator("button:has-text('Record mine too')").tap();
        allSent(phone, 2);
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("missing-parts", "castings");
        assertThat(now(survey).steps().all().stream().filter(r -> r.step().id().written().equals("castings"))).hasSize(2);
    }

    @Test
    void whatIsRefusedIsTakenUpAtItsStepWithAllThatWasTyped() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = cut(phone(survey));
        open(phone, survey, "barrel-travel");
        Locator field = phone.locator("#step .measure input[type=text]").first();
        field.fill("about a hand");
        phone.fill("#remark", "no rule at hand");
        record(phone);
        recorded(phone, "about a hand");
        open(phone, survey, "castings");
        record(phone);
        backAgain(phone);
        assertThat(phone.locator(".kept-list summary")).containsText("1 not recorded; 1 sent and judged");
        assertThat(phone.locator(".kept-list .wrong").first()).containsText("about a hand");
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("castings");
        phone.locator("button:has-text('Take it up at its step')").tap();
        phone.waitForURL("**/run?step=barrel-travel");
        assertThat(phone.locator("#step .measure input[type=text]").first()).hasValue("about a hand");
        assertThat(phone.locator("#remark")).hasValue("no rule at hand");
    }

    /** An answer that is lost on the way leaves an entry here that is there already. */
    @Test
    void aLostAnswerDoublesNothing() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = cut(phone(survey));
        open(phone, survey, "castings");
        record(phone);
        recorded(phone, "Castings");
        List<Integer> answers = new ArrayList<>();
        phone.route("**/surveys/*/step", route -> {
            if (answers.isEmpty()) {
                answers.add(route.fetch().status());
                route.abort();
            } else {
                route.resume();
            }
        });
        backAgain(phone);
        phone.waitForFunction("() => document.querySelector('.kept-list')");
        phone.evaluate(BACK);
        for (int tries = 0; tries < 40 && answers.isEmpty(); tries++) {
            phone.waitForTimeout(100);
        }
        assertThat(answers).containsExactly(200);
        assertThat(since(survey, head)).hasSize(1);
        phone.unroute("**/surveys/*/step");
        phone.evaluate(BACK);
        allSent(phone, 1);
        assertThat(since(survey, head)).hasSize(1);
    }

    @Test
    void photographsAreKeptToo() throws IOException {
        long survey = aldwark410();
        Page phone = cut(phone(survey));
        open(phone, survey, "castings");
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB), "png", picture);
        phone.evaluate("() => document.querySelectorAll('details').forEach(d => { d.open = true; })");
        phone.setInputFiles("[name=photo]", new FilePayload[] {new FilePayload("a.png", "image/png", picture.toByteArray()),
                new FilePayload("b.png", "image/png", picture.toByteArray())});
        phone.fill("[name=caption]", "the foot");
        phone.click("form[data-photos] button");
        assertThat(phone.locator(".kept-list summary")).containsText("2 kept here");
        phone.reload();
        backAgain(phone);
        allSent(phone, 2);
        assertThat(now(survey).core().photos()).hasSize(2).allMatch(p -> p.caption().equals("the foot") && p.step().equals("castings"));
    }

    /** A page that is left while it sends is no loss: the next one sends it, once. */
    /** As the speed that is open, and of the hot check as the fastest there is; sent, it is looked at by the server. */
    @Test
    void soundsAreKeptToo() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = cut(phone(survey));
        open(phone, survey, "hot-sound");
        String fastest = phone.inputValue("#sound-here [name=task]");
        open(phone, survey, "castings");
        assertThat(phone.locator("#sound-here [name=task]")).hasValue("");
        String route = now(survey).folded().table().counted().get(2).routes().get(0).key();
        open(phone, survey, route);
        assertThat(phone.locator("#sound-here [name=task]")).hasValue(route);
        phone.locator(".thumb >> text=Sound").tap();
        assertThat(phone.locator("#sound-here [data-sound=record]")).isFocused();
        phone.setInputFiles("#sound-here [name=sound]",
                new FilePayload("a.wav", "audio/wav", new SimulatedSound(8_000, 6, 0.05).ofRoom(3)));
        phone.selectOption("#sound-here [name=treated]", "NOT");
        phone.click("#sound-here button[type=submit]");
        assertThat(phone.locator("#sound-here .sending")).containsText("kept on this device");
        backAgain(phone);
        allSent(phone, 1);
        assertThat(since(survey, head)).extracting(Entry::kind).containsExactly("SOUND");
        Recording kept = now(survey).core().recordings().get(0);
        assertThat(kept.task()).isEqualTo(route);
        assertThat(kept.found()).isPresent();
        assertThat(now(survey).folded().machine().train().routeByKey(fastest).flatMap(r -> now(survey).folded().table().speedOf(r))
                .flatMap(Speed::expected)).contains(now(survey).folded().table().counted().stream().flatMap(s -> s.expected().stream())
                        .max(Double::compare).orElseThrow());
    }

    @Test
    void aPhotographGoesOnThoughItsPageIsLeft() throws IOException {
        long survey = aldwark410();
        Page phone = phone(survey);
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB), "png", picture);
        List<Route> held = new ArrayList<>();
        phone.route("**/photos", held::add);
        phone.evaluate("() => document.querySelectorAll('details').forEach(d => { d.open = true; })");
        phone.setInputFiles("[name=photo]", new FilePayload("a.png", "image/png", picture.toByteArray()));
        phone.click("form[data-photos=photo] button");
        assertThat(phone.locator(".sending")).isVisible();
        phone.waitForCondition(() -> !held.isEmpty());
        phone.unroute("**/photos");
        phone.navigate(app.url(run(survey, "missing-parts")));
        allSent(phone, 1);
        assertThat(now(survey).core().photosOf("castings")).hasSize(1);
    }

    @Test
    void aSurveyIsClosedOnlyConnected() {
        long survey = aldwark410();
        Page phone = Browser.phone(390).page();
        phone.navigate(app.url("/surveys/" + survey + "/handover"));
        cut(phone);
        phone.locator("form[action$='/close'] button[type=submit]").first().click();
        assertThat(phone.locator(".connection")).containsText("nothing was sent");
        assertThat(phone.locator(".kept-list")).hasCount(0);
    }

    /** Where nothing can be kept that is said, and what was typed stays. */
    @ParameterizedTest
    @ValueSource(strings = {"window.indexedDB.open = () => { throw new DOMException('none', 'SecurityError'); };",
            "IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError'); };"})
    void whereNothingCanBeKeptThatIsSaid(String without) {
        long survey = aldwark410();
        Page phone = Browser.phone(390).page();
        phone.addInitScript(without);
        phone.navigate(app.url(run(survey, "castings")));
        cut(phone);
        phone.fill("#remark", "still here");
        record(phone);
        assertThat(phone.locator("#step .lost")).containsText("Nothing was recorded");
        assertThat(phone.locator("#remark")).hasValue("still here");
    }

    /** Without a worker, as where the certificate is not trusted, the open page goes on by itself. */
    @Test
    void theOpenPageGoesOnWithoutAWorker() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = Browser.phone(390).page();
        phone.addInitScript("Object.defineProperty(navigator, 'serviceWorker', {value: undefined});");
        phone.navigate(app.url(run(survey, "castings")));
        phone.waitForFunction("() => document.documentElement.dataset.packed");
        cut(phone);
        phone.locator(".thumb >> text=Next").tap();
        assertThat(phone.locator("#step .lost")).containsText("do not close or reload it");
        assertThat(phone.locator("#step-name")).hasText("What is missing");
        record(phone);
        recorded(phone, "Kept here, not judged yet");
        phone.locator(".pages-key").tap();
        phone.locator(".spine nav a:has-text('Kit')").tap();
        assertThat(phone.locator("#step")).containsText("kit and papers");
        phone.locator("#step form:has(button[value=SEEN]) button[value=SEEN]").first().tap();
        recorded(phone, "seen");
        backAgain(phone);
        allSent(phone, 2);
        assertThat(since(survey, head)).extracting(Entry::kind).containsExactly("STEP", "KIT");
    }

    /** The connection may be back before the page knows of it: what was laid open from the device is recorded all the same. */
    @Test
    void whatIsLaidOpenIsRecordedThoughTheConnectionIsBack() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = cut(phone(survey));
        open(phone, survey, "castings");
        phone.fill("#remark", "back before it was known");
        phone.context().setOffline(false);
        record(phone);
        allSent(phone, 1);
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("castings");
    }

    /** A form that was on its way when the connection went comes back at its step, with its key. */
    @Test
    void aFormCutOffOnItsWayComesBack() {
        long survey = aldwark410();
        int head = now(survey).head();
        Page phone = phone(survey);
        phone.fill("#remark", "cut off");
        phone.locator("#step input[name=confirmed]").all().forEach(Locator::check);
        phone.evaluate("() => { const real = window.fetch; window.fetch = (to, how) => String(to).startsWith('/alive')"
                + " ? new Promise(there => setTimeout(() => there(new Response('')), 50)) : real(to, how); }");
        cut(phone);
        phone.locator(".thumb .is-ink").tap();
        assertThat(phone.locator("#step .lost")).containsText("No connection");
        assertThat(phone.locator("#remark")).hasValue("cut off");
        record(phone);
        recorded(phone, "cut off");
        backAgain(phone);
        allSent(phone, 1);
        assertThat(since(survey, head)).extracting(Entry::step).containsExactly("castings");
    }

    /** In one request; the largest has room to spare. */
    @ParameterizedTest
    @MethodSource("machines")
    void aSurveyFitsOnADevice(SimulatedMachine machine) throws Exception {
        long survey = survey(machine.description());
        byte[] whole = fetched("/surveys/" + survey + "/pocket");
        String page = unpacked(whole);
        assertThat(whole.length).as(machine.description().identity().name()).isLessThan(MOST);
        List<String> steps = Pattern.compile("data-step=\"([^\"]+)\"").matcher(page).results().map(m -> m.group(1)).toList();
        now(survey).folded().steps().forEach(route -> assertThat(steps).contains(route.key()));
        now(survey).steps().inScope().forEach(step -> assertThat(steps).contains(step.id().written()));
    }

    /** Fetched once, and then only what became other. */
    @Test
    void onlyWhatChangedIsFetchedAgain() throws Exception {
        long survey = aldwark410();
        String page = unpacked(fetched("/surveys/" + survey + "/pocket"));
        String has = "/surveys/" + survey + "/pocket?has=" + page.replaceAll("(?s).*data-pack=\"([^\"]+)\".*", "$1");
        String same = unpacked(fetched(has));
        assertThat(count("<template ", same)).isEqualTo(count("<template ", page)).isEqualTo(count("data-same", same));
        Http http = new Http(app);
        String form = "/surveys/" + survey + "/step";
        assertThat(http.post(form, http.form(run(survey, "castings"), form), "do", "good", "author", "Q. Tester", "confirmed",
                "POWER_ISOLATED|").statusCode()).isEqualTo(302);
        String newer = unpacked(fetched(has));
        assertThat(newer).doesNotContain("<template data-part=\"step castings\" data-same")
                .contains("<template data-part=\"step desk-claims\" data-same");
        assertThat(count("data-same", unpacked(fetched("/surveys/" + survey + "/pocket?has=nothing-known")))).isZero();
    }

    private static long count(String what, String page) {
        return Pattern.compile(what).matcher(page).results().count();
    }

    private static String unpacked(byte[] answer) throws IOException {
        return new String(new GZIPInputStream(new ByteArrayInputStream(answer)).readAllBytes());
    }

    static List<SimulatedMachine> machines() {
        return KestrelVale.shortlist();
    }

    private byte[] fetched(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient().send(HttpRequest.newBuilder(URI.create(app.url(path)))
                .header("Accept-Encoding", "gzip").build(), HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    /** What a device refuses by itself is at least what the rules of the house refuse, and where it reads a figure no more. */
    @Test
    void aDeviceIsNeverLessStrictThanTheRules() {
        Page phone = Browser.open().page();
        phone.navigate(app.url("/check"));
        String script = phone.locator("script[type=module]").getAttribute("src").replace("ledger.js", "kept-safety.js");
        List<List<String>> cases = new ArrayList<>();
        for (LengthUnit unit : LengthUnit.values()) {
            for (Mounted.Kind kind : Mounted.Kind.values()) {
                for (String rpm : List.of("", "1500", "900", "35", "1,500", "x")) {
                    for (String surface : kind == Mounted.Kind.WHEEL ? List.of("", "35", "35 m/s", "6500 ft/min", "6500") : List.of("")) {
                        for (String size : List.of("", "400", "16 in", "12.5", "400 mm", "1-9/16")) {
                            cases.add(List.of(kind.name(), rpm, surface, size, unit.name()));
                        }
                    }
                }
            }
        }
        @SuppressWarnings("unchecked")
        List<List<String>> refused = (List<List<String>>) phone.evaluate("async ([at, cases]) => {"
                + " const safety = await import(at); return cases.map(([kind, rpm, surface, size, unit]) => {"
                + " const on = safety.mounted([['mounted', kind], [kind + '.markedRpm', rpm], [kind + '.markedMs', surface],"
                + " [kind + '.diameter', size]], unit); const wrong = safety.wrongStart(1, 1, on, 0);"
                + " return [32, 899, 900, 901, 1200, 1500, 1501, 1671, 1672, 2000].map(n => wrong"
                + " || safety.overMark(on, n, {top: 2000, unmarked: 0.5, wheel: 0})); }); }", List.of(script, cases));
        int compared = 0;
        for (int c = 0; c < cases.size(); c++) {
            List<String> one = cases.get(c);
            Mounted.Kind kind = Mounted.Kind.valueOf(one.get(0));
            Optional<Mounted> on = mounted(kind, one.get(3), one.get(1), one.get(2), LengthUnit.valueOf(one.get(4)));
            for (int i = 0; i < SPEEDS.size(); i++) {
                boolean core = on.isEmpty() || SpeedGate.of(on.get(), SPEEDS.get(i), Optional.of(BigDecimal.valueOf(2000)),
                        Rules.shipped()).refused().isPresent();
                String here = refused.get(c).get(i);
                if (core) {
                    assertThat(here).as(one + " at " + SPEEDS.get(i)).isNotEmpty();
                } else if (!here.contains("plain figures")) {
                    assertThat(here).as(one + " at " + SPEEDS.get(i)).isEmpty();
                }
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(4_000);
    }

    private static final List<BigDecimal> SPEEDS = IntStream.of(32, 899, 900, 901, 1200, 1500, 1501, 1671, 1672, 2000)
            .mapToObj(BigDecimal::valueOf).toList();

    private static Optional<Mounted> mounted(Mounted.Kind kind, String size, String rpm, String surface, LengthUnit unit) {
        try {
            return Optional.of(kind == Mounted.Kind.NOTHING ? Mounted.parse(kind, "", "", "", "", unit)
                    : Mounted.parse(kind, size, rpm, surface, "", unit));
        } catch (Refused refused) {
            return Optional.empty();
        }
    }

    @Test
    void theHomeScreenOpensIt() {
        HttpResponse<String> manifest = new Http(app).get("/tall-ledger.webmanifest");
        assertThat(manifest.headers().firstValue("Content-Type").orElseThrow()).startsWith("application/manifest+json");
        assertThat(manifest.body()).contains("\"start_url\":\"/\"", "/icon-192.png");
        assertThat(app.status("/icon-192.png")).isEqualTo(200);
        assertThat(app.status("/icon-512.png")).isEqualTo(200);
        long survey = aldwark410();
        Page phone = cut(phone(survey));
        phone.navigate(app.url("/"));
        phone.waitForURL(Pattern.compile("/surveys/" + survey + "/run"));
        assertThat(phone.locator("#step .lost")).containsText("No connection");
        phone.navigate(app.url("/surveys/" + survey + "/verdict"));
        assertThat(phone.locator("#step")).containsText("That page needs the connection");
    }

    /** Forged headers make no entry of another time than the record allows, and no page of another kind. */
    @Test
    void forgedTimesAreHeldToTheRecord() {
        long survey = aldwark410();
        Instant opened = now(survey).entries().get(0).at();
        Http http = new Http(app);
        String form = "/surveys/" + survey + "/step";
        for (String[] times : new String[][] {{"0", "999999999999999"}, {"999999999999999", "0"}, {"1", "1"}}) {
            HttpResponse<String> answer = http.postFrom(Map.of("X-Kept-Made", times[0], "X-Kept-Sent", times[1]), form,
                    http.form(run(survey, "castings"), form), "do", "good", "author", "Q. Tester", "confirmed",
                    "POWER_ISOLATED|");
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
            assertThat(answer.body()).startsWith("{").contains("\"outcome\"");
            Entry entry = now(survey).entries().get(now(survey).entries().size() - 1);
            assertThat(entry.at()).isBetween(opened, Instant.now());
        }
        // A step that the machine, described anew meanwhile, has no more.
        HttpResponse<String> gone = http.postFrom(Map.of("X-Kept-Made", "1", "X-Kept-Sent", "1"), form,
                http.form(run(survey, "castings"), form), "step", "taken-off", "do", "good", "author", "Q. Tester");
        assertThat(gone.statusCode()).isEqualTo(422);
        assertThat(gone.body()).startsWith("{\"wrong\":[\"");
        HttpResponse<String> page = http.postFrom(Map.of("X-Kept-Made", "-5", "X-Kept-Sent", "x"), form,
                http.form(run(survey, "castings"), form), "do", "good", "author", "Q. Tester", "confirmed", "POWER_ISOLATED|");
        assertThat(page.statusCode()).as("an ordinary form").isEqualTo(302);
    }
}
