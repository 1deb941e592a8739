package tallledger.web.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.survey.Footage;

/** Entry numbers drawn together where they follow one another: 3, 4, 5, 7 reads 3–5, 7. */
@Component("refs")
public class Refs {

    private static final int MOST_PLACES = 4;

    /** Entries {@code from} to {@code to}. */
    public record EntryRange(int from, int to) {
    }

    /** As text: "3–5, 7". */
    public String text(List<Integer> entries) {
        return String.join(", ", of(entries).stream().map(r -> r.from() == r.to() ? "" + r.from() : r.from() + "–" + r.to()).toList());
    }

    /** Where in films entries were made from: each place once, in their order, a few of them. */
    public List<FilmMoment> played(Footage footage, List<Integer> entries) {
        Map<Integer, FilmMoment> moments = footage.moments();
        return moments.isEmpty() ? List.of()
                : entries.stream().filter(moments::containsKey).map(moments::get).distinct().limit(MOST_PLACES).toList();
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
