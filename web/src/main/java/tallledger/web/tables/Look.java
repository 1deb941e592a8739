package tallledger.web.tables;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.reason.Reason;

/**
 * What a table would record, line by line.
 *
 * @param <T>     what each line makes
 * @param lines   in the table's order
 * @param ignored columns nobody asked for
 */
public record Look<T>(List<TableLine<T>> lines, List<String> ignored) {

    /**
     * @param number of the line; nought where it is of none
     * @param says   what will be recorded, or why not
     * @param state  whether it is
     * @param makes  empty where it makes nothing
     */
    public record TableLine<T>(int number, Reason says, State state, List<T> makes) {

        static <T> TableLine<T> records(int number, Reason says, T makes) {
            return new TableLine<>(number, says, State.RECORDS, List.of(makes));
        }

        static <T> TableLine<T> same(int number, Reason says) {
            return new TableLine<>(number, says, State.SAME, List.of());
        }

        static <T> TableLine<T> wrong(int number, Reason says) {
            return new TableLine<>(number, says, State.WRONG, List.of());
        }
    }

    public enum State { RECORDS, SAME, WRONG }

    static <T> Look<T> wrong(int number, Reason because) {
        return new Look<>(List.of(TableLine.wrong(number, because)), List.of());
    }

    public boolean isWrong() {
        return lines.stream().anyMatch(l -> l.state == State.WRONG);
    }

    public List<T> makes() {
        List<T> all = new ArrayList<>();
        lines.forEach(l -> all.addAll(l.makes));
        return all;
    }
}
