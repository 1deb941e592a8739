package tallledger.web.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;

/**
 * A machine's book, read.
 *
 * @param id          its book
 * @param version     sequence of its newest description that can be read
 * @param description that description
 * @param entries     all versions
 * @param strays      versions that cannot be read, and why
 * @param broken      where its chain breaks
 */
public record StoredMachine(long id, int version, MachineDescription description, List<Entry> entries, Map<Integer, Reason> strays,
        Optional<Chain.Break> broken) {

    public String name() {
        return description.identity().name();
    }

    /** Sequence of its last entry: what a form shown now has seen. */
    public int head() {
        return entries.get(entries.size() - 1).sequence();
    }

    public Optional<Entry> entry(int sequence) {
        return entries.stream().filter(e -> e.sequence() == sequence).findFirst();
    }

    /** One version of its description; empty where it cannot be read, or never was. */
    public Optional<MachineDescription> version(int which) {
        return which == version ? Optional.of(description)
                : entry(which)
                        .filter(e -> !strays.containsKey(which) && !e.kind().equals(MachineBooks.PUT_AWAY)
                                && !e.kind().equals(MachineBooks.TAKEN_OUT))
                        .map(e -> MachineDescription.from(e.payload()));
    }

    /** The entry that put it away; empty while it stands on the shelf. */
    public Optional<Entry> away() {
        return entries.stream().filter(e -> e.damage().isEmpty()
                && (e.kind().equals(MachineBooks.PUT_AWAY) || e.kind().equals(MachineBooks.TAKEN_OUT))).reduce((a, b) -> b)
                .filter(e -> e.kind().equals(MachineBooks.PUT_AWAY));
    }

    /** Why it was put away, in somebody's words. */
    public String awayBecause() {
        return away().flatMap(e -> e.payload().optionalText("why")).orElse("");
    }

    /** Who described it last. */
    public String lastAuthor() {
        return entry(version).orElseThrow().author();
    }

    /** The hash of the description it stands at. */
    public String hash() {
        return entry(version).orElseThrow().hash();
    }
}
