package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;

/**
 * A survey's entries, each decoded once.
 *
 * @param entries all of them
 * @param events  what each says, by its number; a stray says nothing
 * @param strays  those that cannot be decoded, each with its reason
 * @param struck  struck entries, with the entry that strikes each
 */
public record Decoded(List<Entry> entries, Map<Integer, Event> events, List<Stray> strays, Map<Integer, Entry> struck) {

    private static final Decoded NOTHING = new Decoded(List.of(), Map.of(), List.of(), Map.of());

    /** An entry with what it says. */
    public record Happened(Entry entry, Event event) {
    }

    public static Decoded of(List<Entry> entries) {
        return NOTHING.grown(entries);
    }

    /** The same book with newer entries; only these are decoded. */
    public Decoded grown(List<Entry> all) {
        Map<Integer, Event> now = new HashMap<>(events);
        List<Stray> set = new ArrayList<>(strays);
        int end = end(all);
        for (int i = entries.size(); i < all.size(); i++) {
            Entry entry = all.get(i);
            boolean counts = i < end;
            Stray.guard(entry, set, () -> {
                Optional<Kind> kind = Kind.named(entry.kind());
                if (!counts) {
                    set.add(new Stray(entry, Reason.of(SurveyReason.STRAY_AFTER_CLOSED)));
                } else if (kind.isPresent()) {
                    now.put(entry.sequence(), kind.get().read(entry));
                } else {
                    set.add(new Stray(entry, Reason.of(SurveyReason.STRAY_KIND, entry.kind())));
                }
            });
        }
        return new Decoded(List.copyOf(all), Map.copyOf(now), List.copyOf(set), Map.copyOf(Chain.struck(all.subList(0, end))));
    }

    /** How many there are up to the one that closes it: what stands behind counts as nothing. */
    private static int end(List<Entry> all) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).kind().equals(Kind.CLOSED.name()) && all.get(i).damage().isEmpty()) {
                return i + 1;
            }
        }
        return all.size();
    }

    /** What counts: decoded and not struck, in order. */
    public Stream<Happened> counting() {
        return entries.stream().filter(e -> !struck.containsKey(e.sequence()))
                .flatMap(e -> event(e.sequence()).map(event -> new Happened(e, event)).stream());
    }

    public Optional<Event> event(int sequence) {
        return Optional.ofNullable(events.get(sequence));
    }
}
