package tallledger.web;

import java.nio.file.Path;

/** What tests of the store do from outside their package: a disk that loses or is full, a house table saved through its page. */
public final class StoreScenes {

    private final App app;

    StoreScenes(App app) {
        this.app = app;
    }

    public static void powerCutDisk() {
        PowerCut.register();
    }

    public static Path onDevice(Path file) {
        return PowerCut.onDevice(file);
    }

    public static void diskFull(boolean full) {
        PowerCut.fill(full);
    }

    /** The house's table saved through its own form; a press that somebody was quicker than is told so. */
    public void houseSaved() {
        Http http = new Http(app);
        var form = http.form("/house/checks", "/house/checks");
        var answer = http.post("/house/checks", form, "author", "Q", "act", "save", "reason", "our own", "csv",
                "symptom,element,check,low,likely,high\nGROWLS,,Look at the oil,0,0,0\n");
        if (answer.statusCode() != 302 && answer.statusCode() != 409) {
            throw new AssertionError("the house answered " + answer.statusCode());
        }
    }
}
