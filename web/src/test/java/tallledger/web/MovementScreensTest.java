package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.store.Submission;

/** Movement, threads, and the fit-out the steps are made from. */
class MovementScreensTest {

    private final App app = App.demo();

    @Test
    void everyAxisIsDrawnWithWhatWasMeasured() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/20/movement"));
        assertThat(page.locator("section.axis").count()).isEqualTo(4);
        assertThat(browser.text()).contains("763.0 ± 1.2 mm against 760 mm claimed: enough.");
        // Claimed 760, measured 763: the inner bar spans the width, the outer 760/763 of it.
        assertThat(Double.parseDouble(page.locator(".axischart .claim").first().getAttribute("width")))
                .isCloseTo(460 * 760 / 763.0, org.assertj.core.data.Offset.offset(0.1));
        assertThat(page.locator(".axischart .backlash").count()).as("three stations on each of three screws").isEqualTo(9);
        assertThat(page.locator(".axischart .way.is-proven").count()).isEqualTo(6);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void theWheelsOnHandSayWhichThreadsAreLostAndWhatToBuy() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/3/threads"));
        assertThat(browser.text()).contains("8 of the chart’s 11 can be cut with the wheels on hand.",
                "Cannot be cut: 0.75 mm, 12 tpi, 8 tpi.", "the fewest that restore the chart: 120, 127");
        page.fill("#wheels", page.inputValue("#wheels") + " 120 127");
        page.click("text=Reckon with these");
        assertThat(browser.text()).contains("11 of the chart’s 11 can be cut");
        page.fill("#wheels", "20 forty");
        page.click("text=Reckon with these");
        assertThat(page.locator("#wrong-wheels").innerText()).contains("“forty” is not a wheel");
        page.fill("#driver", "30");
        page.fill("#driven", "60");
        page.fill("#present", "0.1");
        page.fill("#wanted", "0.2");
        page.click("aside button");
        assertThat(browser.text()).contains("Swapping 30/60 gives 4.00 times the present feed, 0.4: that overshoots 0.2 by 100 %");
    }

    @Test
    void aFeatureTakenAwayTakesItsStepsAlong() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.castervaleU2().description(), "Q. Tester", Submission.fresh(0));
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        String lede = page.locator(".lede").innerText();
        page.locator("input[name='axis0.abilities'][value=RAPID]").uncheck();
        page.click(".closing button.is-ink");
        page.waitForSelector("#wrong-axis0\\.rapid");
        assertThat(page.locator("#wrong-axis0\\.rapid").innerText()).contains("“table” has a rapid rate but no rapid");
        page.fill("[name='axis0.rapid']", "");
        page.click(".closing button.is-ink");
        page.waitForURL("**/machines/" + machine);
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        int before = Integer.parseInt(lede.replaceAll("(?s).*: (\\d+) steps.*", "$1"));
        assertThat(page.locator(".lede").innerText()).contains((before - 2) + " steps");
    }

    @Test
    void fortyAxesAndForgedFeaturesAreSaidAndKept() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.castervaleU2().description(), "Q. Tester", Submission.fresh(0));
        Http http = new Http(app);
        String path = "/machines/" + machine + "/fitout";
        Map<String, String> fields = http.form(path, path);
        fields.put("axisRows", "40");
        for (int i = 0; i < 40; i++) {
            fields.put("axis" + i + ".name", "axis " + i);
            fields.put("axis" + i + ".minus", "left");
            fields.put("axis" + i + ".plus", "right");
        }
        HttpResponse<String> answer = http.post(path, fields, "do", "save", "author", "Q");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("40 axes; up to 12 are handled.", "axis 39");
        HttpResponse<String> forged = http.post(path, http.form(path, path), "do", "save", "author", "Q", "axisRows", "0", "feature",
                "ARM_CLAMP");
        assertThat(forged.statusCode()).isEqualTo(422);
        assertThat(forged.body()).contains("arm clamp does not belong to this family (universal mill).");
    }

    @Test
    void aPhotographOfTwoHundredMegabytesIsAnsweredPlainly() throws Exception {
        Http http = new Http(app);
        HttpResponse<String> answer = http.upload("/surveys/3/photos", http.form("/surveys/3/run", "/surveys/3/photos"),
                200L * 1024 * 1024);
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("That photograph was too large, so nothing was recorded. Up to 15 MB are taken.");
    }
}
