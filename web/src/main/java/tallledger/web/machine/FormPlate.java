package tallledger.web.machine;

import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.plate.SpeedList;
import tallledger.web.forms.FormInput;

/** The plates that a description can have, and what their fields are called in its form. */
public enum FormPlate {

    /** Its levers are those of the drive. */
    SPEED("speeds", ""), FEED("feeds", "feed"), THREAD("threads", "thread");

    static final String IN_ADDRESS = "speeds|feeds|threads";

    private final String word;
    private final String prefix;

    FormPlate(String word, String prefix) {
        this.word = word;
        this.prefix = prefix;
    }

    /** In an address and in a description as text. */
    public String word() {
        return word;
    }

    /** @param word one that an address takes */
    static FormPlate at(String word) {
        return Stream.of(values()).filter(plate -> plate.word.equals(word)).findFirst().orElseThrow();
    }

    /** One cell, counted along the rows from nought. */
    String cell(int index) {
        return prefix + "cell" + index;
    }

    /** The labels of its levers in the shape in which its cells were typed. */
    public String shape() {
        return prefix + "shape";
    }

    /** Its levers, one a line; the speeds' are the drive's. */
    public String levers() {
        return prefix + "Levers";
    }

    /** Speeds, feeds or threads as they stand on it or are recited. */
    public String list() {
        return prefix + "list";
    }

    /** Positions of its levers, if somebody counted them. */
    public String counted() {
        return prefix + "counted";
    }

    /** Where the arrangements that would fit are shown on the page. */
    public String offers() {
        return "offers" + prefix;
    }

    SpeedList read(String text) {
        return switch (this) {
            case SPEED -> SpeedList.read(text);
            case FEED -> SpeedList.readFeeds(text);
            case THREAD -> SpeedList.readThreads(text);
        };
    }

    /** Whether nothing was read off it yet. */
    boolean isBlank(FormInput typed) {
        return IntStream.range(0, DriveTrain.MOST_COMBINATIONS).noneMatch(i -> typed.has(cell(i)));
    }
}
