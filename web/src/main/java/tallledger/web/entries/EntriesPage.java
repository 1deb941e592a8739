package tallledger.web.entries;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * A page of the ledger, newest first.
 *
 * @param lines   of this page
 * @param chosen  how many entries the filter lets through
 * @param newer   entry that leads to the page before; empty on the first
 * @param older   entry that leads to the page after; empty on the last
 * @param kinds   every kind the survey has, for the filter
 * @param authors everybody who wrote in it
 * @param refused why the number asked for leads nowhere
 */
public record EntriesPage(List<EntryLine> lines, int chosen, Optional<Integer> newer, Optional<Integer> older, List<String> kinds,
        List<String> authors, Optional<Reason> refused) {

    static final int A_PAGE = 100;

    /**
     * What of the ledger is asked for.
     *
     * @param at   number of an entry, as typed; the page it stands on is shown, or the newest where it is empty
     * @param from number of the entry the page begins with, from another page: it begins there whatever was written since
     * @param kind only entries of this kind; empty for all
     * @param by   only what this person wrote; empty for all
     */
    public record EntriesQuery(String at, String from, String kind, String by) {

        boolean lets(Entry entry) {
            return (kind.isEmpty() || entry.kind().equals(kind)) && (by.isEmpty() || entry.author().equals(by));
        }
    }

    static EntriesPage of(StoredSurvey survey, EntriesQuery asked, Words words) {
        List<Entry> all = survey.entries();
        List<Entry> chosen = new ArrayList<>(all.stream().filter(asked::lets).toList());
        Collections.reverse(chosen);
        Optional<Integer> number = number(asked.at).filter(n -> n >= 1 && n <= survey.head());
        Optional<Reason> refused = asked.at.isBlank() || number.isPresent() ? Optional.empty()
                : Optional.of(Reason.of(WebReason.ENTRIES_NONE, asked.at.strip(), survey.head()));
        // The entry asked for, or the next older one that the filter lets through.
        int from = number.map(n -> place(chosen, n) / A_PAGE * A_PAGE).or(() -> number(asked.from).map(n -> place(chosen, n))).orElse(0);
        int to = Math.min(chosen.size(), from + A_PAGE);
        return new EntriesPage(EntryLine.of(survey, chosen.subList(from, to), words), chosen.size(),
                from == 0 ? Optional.empty() : Optional.of(chosen.get(Math.max(0, from - A_PAGE)).sequence()),
                to == chosen.size() ? Optional.empty() : Optional.of(chosen.get(to).sequence()),
                all.stream().map(Entry::kind).distinct().sorted().toList(), all.stream().map(Entry::author).distinct().sorted().toList(),
                refused);
    }

    private static int place(List<Entry> chosen, int number) {
        return IntStream.range(0, chosen.size()).filter(i -> chosen.get(i).sequence() <= number).findFirst()
                .orElse(Math.max(0, chosen.size() - 1));
    }

    /** How much of the ledger this is. */
    public Reason says(int all) {
        return chosen < all ? Reason.of(WebReason.ENTRIES_SHOWN, lines.size(), chosen, all)
                : lines.size() < all
                        ? Reason.of(WebReason.ENTRIES_PAGE, lines.size(), all)
                        : Reason.of(WebReason.ENTRIES_ALL, all);
    }

    private static Optional<Integer> number(String typed) {
        return typed.strip().matches("\\d{1,9}") ? Optional.of(Integer.valueOf(typed.strip())) : Optional.empty();
    }
}
