package tallledger.web.machine;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The parts of a machine's form as they fold, each with its fields: one of a row is called by its row, such as {@code claim2.value}. */
public enum FormPart {

    IS(), SAID("said", "saidBy", "claim"),
    SPEED("stage", "stages", "stageRows", "reverses", "interlocks", "kilowatts", "law", "efficiency", "cell", "list", "counted", "pasted",
            "tolerance"),
    MOVES("axis", "axes", "feedLevers", "feedUnit", "feedPer", "feedcell", "feedlist", "feedcounted", "threadLevers", "threadCounted",
            "threadcell", "threadlist", "threadcounted"),
    HAS("feature", "features", "volts", "hertz", "phases", "supplyKilowatts", "amperes", "heavyStart", "leadScrew", "factors", "promised",
            "reach", "buyable", "otherSpeeds");

    private final List<String> fields;

    FormPart(String... fields) {
        this.fields = List.of(fields);
    }

    /** The part a field stands in; what no other has is said of the machine itself. */
    static FormPart of(String field) {
        int end = 0;
        while (end < field.length() && Character.isLetter(field.charAt(end))) {
            end++;
        }
        String name = field.substring(0, end);
        return Arrays.stream(values()).filter(part -> part.fields.contains(name)).findFirst().orElse(IS);
    }

    /** Parts that stand open: those a machine needs, those where something is to be mended, and the one whose key was pressed. */
    static Set<FormPart> open(boolean driveOnly, Collection<String> wrong, Collection<FormPart> asked) {
        Set<FormPart> open = driveOnly ? EnumSet.of(SPEED, MOVES) : EnumSet.of(IS, SAID, SPEED);
        wrong.forEach(field -> open.add(of(field)));
        open.addAll(asked);
        return open;
    }
}
