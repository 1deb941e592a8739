package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The run sheet in one hand, by taps alone. */
class PocketTest {

    private static final String HEARD = "() => { window.buzzed = []; navigator.vibrate = (ms) => { window.buzzed.push(ms); return true; };"
            + " Object.defineProperty(navigator, 'wakeLock', {value: {request: (what) => { window.locked = what;"
            + " return Promise.resolve({}); }}}); }";

    private final App app = App.demo();

    private long survey(MachineDescription description) {
        long machine = app.bean(MachineBooks.class).add(description, "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private Page open(long survey, String step) {
        Page page = Browser.phone(390).page();
        page.addInitScript("(" + HEARD + ")()");
        page.navigate(app.url("/surveys/" + survey + "/run?step=" + step));
        return page;
    }

    private static void swipe(Page page, int dx) {
        page.evaluate(
                "dx => { const on = document.querySelector('#step-name'); const at = (x, type) => on.dispatchEvent(new TouchEvent(type,"
                        + " {bubbles: true, touches: type === 'touchend' ? []"
                        + " : [new Touch({identifier: 1, target: on, clientX: x, clientY: 200})],"
                        + " changedTouches: [new Touch({identifier: 1, target: on, clientX: x, clientY: 205})]}));"
                        + " at(200, 'touchstart'); at(200 + dx, 'touchend'); }",
                dx);
    }

    /** What a thumb presses stands at the bottom, and the step fits above it. */
    @Test
    void aStepIsDoneWithTheThumb() {
        long survey = survey(KestrelVale.aldwark410().description());
        Page page = open(survey, "castings");
        Locator keys = page.locator(".thumb .button:visible");
        for (Locator key : keys.all()) {
            BoundingBox box = key.boundingBox();
            assertThat(box.y + box.height).as(key.textContent()).isLessThanOrEqualTo(844).isGreaterThan(844 - 182);
            assertThat(box.height).isGreaterThanOrEqualTo(44);
        }
        assertThat(page.locator(".closing > .button:visible").count()).as("not twice").isZero();
        page.locator("input[name=confirmed]").first().tap();
        page.locator(".thumb .is-ink").tap();
        PlaywrightAssertions.assertThat(page.locator(".done[data-recorded=castings]")).hasCount(1);
        assertThat(now(survey).entries()).last().satisfies(e -> assertThat(e.step()).isEqualTo("castings"));
        page.waitForFunction("() => window.buzzed.length === 1");
        assertThat(page.evaluate("() => window.locked")).as("the screen stays on").isEqualTo("screen");
        String next = page.locator("nav.steps a[aria-current]").getAttribute("href");
        page.locator(".thumb >> text=Later").tap();
        Browser.settle(page);
        assertThat(now(survey).steps().later()).extracting(t -> "/surveys/" + survey + "/run?step=" + t.key()).contains(next);
    }

    /** A fraction of an inch with its sign and unit, without the telephone's own keyboard. */
    @Test
    void figuresAreTypedOnItsOwnPad() {
        long survey = survey(KestrelVale.aldwark90().description());
        Page page = open(survey, "nose-round");
        Locator field = page.locator(".measure input[type=text]").first();
        field.tap();
        assertThat(field.getAttribute("inputmode")).isEqualTo("none");
        for (String key : new String[] {"1", "space", "3", "/", "1", "6", "Delete", "6", "Minus"}) {
            page.locator(".pad button[aria-label='" + key + "']").tap();
        }
        assertThat(field.inputValue()).isEqualTo("1 3/16-");
        page.locator(".pad button[aria-label=thou]").tap();
        assertThat(field.inputValue()).isEqualTo("1 3/16- thou");
        assertThat(page.locator(".pad button[aria-label=mm]").count()).as("an inch machine").isZero();
        page.locator(".pad button[aria-label=Letters]").tap();
        assertThat(field.getAttribute("inputmode")).isEqualTo("text");
        PlaywrightAssertions.assertThat(page.locator(".pad")).isHidden();
    }

    @Test
    void otherStepsAreASwipeAway() {
        long survey = survey(KestrelVale.aldwark410().description());
        Page page = open(survey, "castings");
        swipe(page, -150);
        page.waitForURL("**/run?step=missing-parts");
        swipe(page, 150);
        page.waitForURL("**/run?step=castings");
        page.locator(".thumb >> text=Next").tap();
        page.waitForURL("**/run?step=missing-parts");
        page.locator(".thumb >> text=Steps").tap();
        page.locator("nav.steps a:has-text('Serial number')").tap();
        page.waitForURL("**/run?step=serial");
    }

    @Test
    void theKeysGoToTheOtherHand() {
        long survey = survey(KestrelVale.aldwark410().description());
        Page page = open(survey, "castings");
        assertThat(page.locator(".spine nav").isVisible()).isFalse();
        double good = page.locator(".thumb .is-ink").boundingBox().x;
        page.locator(".pages-key").tap();
        page.locator("text=Keys for the left hand").tap();
        assertThat(page.locator(".thumb .is-ink").boundingBox().x).isGreaterThan(good);
        page.reload();
        assertThat(page.locator(".thumb .is-ink").boundingBox().x).as("kept").isGreaterThan(good);
    }

    /** What ends a step without a record is in the bar too; the rest of the margin is folded. */
    @Test
    void aStepIsPassedOverAndPhotographedFromTheBar() throws IOException {
        long survey = survey(KestrelVale.aldwark410().description());
        Page page = open(survey, "castings");
        assertThat(page.locator("aside.margin .beside").getAttribute("open")).isNull();
        page.locator(".beside > summary").tap();
        PlaywrightAssertions.assertThat(page.locator(".beside")).containsText("Worth");
        page.locator(".beside > summary").tap();
        FileChooser camera = page.waitForFileChooser(() -> page.locator(".thumb >> text=Photo").tap());
        assertThat(camera.isMultiple()).isTrue();
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB), "png", picture);
        camera.setFiles(new FilePayload("a.png", "image/png", picture.toByteArray()));
        PlaywrightAssertions.assertThat(page.locator("#step .sending")).containsText("One photograph is recorded.");
        assertThat(now(survey).core().photosOf("castings")).hasSize(1);
        assertThat(page.getAttribute("#photo", "capture")).isEqualTo("environment");
        page.locator(".thumb >> text=Pass over").tap();
        page.keyboard().type("under a sheet");
        page.locator("form[action$='/pass'] button").tap();
        Browser.settle(page);
        assertThat(now(survey).steps().passed()).hasSize(1);
        int head = now(survey).head();
        page.locator(".thumb button:text-is('Stopped')").tap();
        Browser.settle(page);
        assertThat(now(survey).entries().get(head).kind()).isEqualTo("STOPPED");
    }

    /** Its event keys stay above the bar, in two rows of keys as wide as a thumb. */
    @Test
    void aCycleIsTappedWithTheThumb() {
        long survey = survey(KestrelVale.aldwark410().description());
        String cycle = now(survey).steps().inScope().stream().filter(s -> s.recording() instanceof WatchedCycle).findFirst()
                .map(s -> s.id().written()).orElseThrow();
        Page page = open(survey, cycle);
        if (page.locator("input[name=safe]").count() > 0) {
            for (Locator safe : page.locator("input[name=safe]").all()) {
                safe.check();
            }
            page.check("input[name=mounted][value=NOTHING]");
            page.locator(".thumb .is-ink").tap();
        }
        Locator keys = page.locator(".eventkeys .tapkey");
        PlaywrightAssertions.assertThat(keys.first()).isVisible();
        for (Locator key : keys.all()) {
            BoundingBox box = key.boundingBox();
            assertThat(box.width).isGreaterThan(150);
            assertThat(box.height).isGreaterThanOrEqualTo(60);
            assertThat(box.y + box.height).isLessThan(844 - 160);
        }
        keys.first().tap();
        assertThat(page.inputValue("#f-log")).endsWith(" 0.00");
    }

    @ParameterizedTest
    @CsvSource({"360, castings", "390, supply", "430, 0-0", "820, castings"})
    void itIsReachable(int width, String reached) {
        Browser phone = Browser.phone(width);
        Page page = phone.page();
        for (String step : new String[] {"castings", "supply", "0-0"}) {
            page.navigate(app.url("/surveys/3/run?step=" + step));
            assertThat((int) page.evaluate("() => document.documentElement.scrollWidth")).as(step).isLessThanOrEqualTo(width);
            if (step.equals(reached)) {
                assertThat(ReachableTest.found(page)).as(step).isEmpty();
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
                page.waitForTimeout(400);
                assertThat(ReachableTest.found(page)).as(step + " in the dark").isEmpty();
            }
        }
        assertThat(phone.complaints()).isEmpty();
    }
}
