package tallledger.pictures;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tallledger.web.App;
import tallledger.web.Browser;

/** Takes the README's pictures afresh, from the demo data, at 1280 × 800. Names given as arguments take only those. */
public final class Screenshots {

    private static final Map<String, String> VIEWS = new LinkedHashMap<>();

    static {
        VIEWS.put("shelf", "/");
        VIEWS.put("start", "/start");
        VIEWS.put("machine", "/machines/1");
        VIEWS.put("run-sheet", "/surveys/3/run?step=0-2-0-0");
        VIEWS.put("speeds", "/surveys/3/speeds");
        VIEWS.put("drive", "/machines/11/drive");
        VIEWS.put("faults", "/surveys/3/faults");
        VIEWS.put("movement", "/surveys/20/movement");
        VIEWS.put("board", "/surveys/3/board");
        VIEWS.put("accuracy", "/surveys/20/accuracy");
        VIEWS.put("cycles", "/surveys/10/cycles");
        VIEWS.put("kit", "/surveys/3/kit");
        VIEWS.put("sound", "/surveys/18/sound?of=48");
        VIEWS.put("house", "/house");
        VIEWS.put("entries", "/surveys/3/entries");
        VIEWS.put("verdict", "/surveys/3/verdict");
        VIEWS.put("beside", "/beside?s=20&s=21");
    }

    private Screenshots() {
    }

    public static void main(String[] names) {
        try {
            take(Browser.open().page(), List.of(names));
            film(Browser.open().page(), List.of(names));
            inTheHand(Browser.phone(390).page(), 390, 844, "pocket", List.of(names));
            System.exit(0);
        } finally {
            System.exit(1);
        }
    }

    private static void film(Page page, List<String> names) {
        if (names.isEmpty() || names.contains("film")) {
            page.navigate(App.demo().url("/surveys/3/desk"));
            page.click("[data-film=example]");
            page.waitForSelector(".film-stage:not([hidden])");
            page.evaluate("() => { document.querySelector('video').currentTime = 12; }");
            page.waitForTimeout(800);
            page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("docs/screenshots", "film.png")));
        }
    }

    private static void inTheHand(Page page, int width, int height, String name, List<String> names) {
        if (names.isEmpty() || names.contains(name)) {
            page.setViewportSize(width, height);
            page.navigate(App.demo().url("/surveys/20/run?step=nose-round"));
            page.locator(".measure input[type=text]").first().tap();
            page.waitForTimeout(300);
            page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("docs/screenshots", name + ".png")));
        }
    }

    private static void take(Page page, List<String> names) {
        for (String sheet : List.of(VIEWS.get("run-sheet"))) {
            page.navigate(App.demo().url(sheet));
            if (page.locator(".start").count() > 0) {
                page.locator("input[name=safe]").all().forEach(check -> check.check());
                page.click(".start button.is-ink");
                page.waitForSelector(".run");
            }
        }
        VIEWS.forEach((name, path) -> {
            if (names.isEmpty() || names.contains(name)) {
                page.navigate(App.demo().url(path));
                if (name.equals("start")) {
                    page.fill("#name", "Kestrel 12");
                    page.fill("#said", "Geared head lathe, swing 410 mm, 1000 between centres, 2 hp, reground 1994.\n"
                            + "Speeds 31.5 45 63 90 125 180 250 355 500 710 1000 1400 rpm");
                    page.waitForSelector(".lever-choice");
                }
                page.waitForTimeout(300);
                page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("docs/screenshots", name + ".png")));
            }
        });
    }
}
