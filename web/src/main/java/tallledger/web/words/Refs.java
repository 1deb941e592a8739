package tallledger.web.words;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Entry numbers drawn together where they follow one another: 3, 4, 5, 7 reads 3–5, 7. */
@Component("refs")
public class Refs {

    /** Entries {@code from} to {@code to}. */
    public record EntryRange(int from, int to) {
    }

    /** As text: "3–5, 7". */
    public String text(List<Integer> entries) {
        return String.join(", ", of(entries).stream().map(r -> r.from() == r.to() ? "" + r.from() : r.from() + "–" + r.to()).toList());
    }

    public List<EntryRange> of(List<Integer> entries) {
        List<EntryRange> ranges = new ArrayList<>();
        for (int entry : entries) {
            EntryRange last = ranges.isEmpty() ? null : ranges.get(ranges.size() - 1);
            if (last != null && last.to() + 1 == entry) {
                ranges.set(ranges.size() - 1, new EntryRange(last.from(), entry));
            } else {
                ranges.add(new EntryRange(entry, entry));
            }
        }
        return ranges;
    }
}
