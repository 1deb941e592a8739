package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.machine.MachineDescription;
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
            assertThat(box.y + box.height).as(key.textContent()).isLessThanOrEqualTo(844).isGreaterThan(844 - 132);
            assertThat(box.height).isGreaterThanOrEqualTo(44);
        }
        assertThat(page.locator(".closing > .button:visible").count()).as("not twice").isZero();
        page.locator("input[name=confirmed]").first().tap();
        page.locator(".thumb .is-ink").tap();
        PlaywrightAssertions.assertThat(page.locator(".done[data-recorded=castings]")).hasCount(1);
        assertThat(now(survey).entries()).last().satisfies(e -> assertThat(e.step()).isEqualTo("castings"));
        assertThat(page.evaluate("() => window.buzzed.length")).as("a short buzz").isEqualTo(1);
        assertThat(page.evaluate("() => window.locked")).as("the screen stays on").isEqualTo("screen");
        String next = page.locator("nav.steps a[aria-current]").getAttribute("href");
        page.locator(".thumb >> text=Come back later").tap();
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

    @ParameterizedTest
    @ValueSource(ints = {360, 390, 430})
    void itIsReachable(int width) {
        Browser phone = Browser.phone(width);
        Page page = phone.page();
        for (String step : new String[] {"castings", "supply", "0-0"}) {
            page.navigate(app.url("/surveys/3/run?step=" + step));
            assertThat((int) page.evaluate("() => document.documentElement.scrollWidth")).as(step).isLessThanOrEqualTo(width);
            if (width == 360) {
                assertThat(ReachableTest.found(page)).as(step).isEmpty();
            }
        }
        assertThat(phone.complaints()).isEmpty();
    }
}
