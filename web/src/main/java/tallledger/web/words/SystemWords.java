package tallledger.web.words;

/** What is put right when a step fails, as people call it: "feed:table" reads "table: feed". */
public final class SystemWords {

    private SystemWords() {
    }

    public static String of(String system, Words words) {
        int colon = system.indexOf(':');
        if (system.startsWith("own-cycle") || system.startsWith("cycle.")) {
            return words.say("system.cycle", system.substring(system.indexOf('.') + 1));
        }
        return colon < 0 ? words.say("system." + system.replace(' ', '-'))
                : system.substring(colon + 1) + ": " + words.say("system." + system.substring(0, colon).replace(' ', '-'));
    }
}
