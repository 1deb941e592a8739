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
        VIEWS.put("machine", "/machines/1");
        VIEWS.put("run-sheet", "/surveys/2/run?step=0-2-0-0");
        VIEWS.put("speeds", "/surveys/2/speeds");
        VIEWS.put("drive", "/machines/10/drive");
        VIEWS.put("faults", "/surveys/2/faults");
        VIEWS.put("step", "/surveys/21/run?step=clamp-arm");
        VIEWS.put("movement", "/surveys/19/movement");
        VIEWS.put("threads", "/surveys/2/threads");
        VIEWS.put("cycles", "/surveys/9/cycles");
        VIEWS.put("kit", "/surveys/2/kit");
        VIEWS.put("fit-out", "/machines/12/fitout");
        VIEWS.put("house", "/house");
        VIEWS.put("entries", "/surveys/2/entries");
        VIEWS.put("verdict", "/surveys/2/verdict");
    }

    private Screenshots() {
    }

    public static void main(String[] names) {
        try {
            take(Browser.open().page(), List.of(names));
            System.exit(0);
        } finally {
            System.exit(1);
        }
    }

    private static void take(Page page, List<String> names) {
        for (String sheet : List.of(VIEWS.get("run-sheet"), VIEWS.get("step"))) {
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
                page.waitForTimeout(300);
                page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("docs/screenshots", name + ".png")));
            }
        });
    }
}
