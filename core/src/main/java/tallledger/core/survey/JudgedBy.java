package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;

/**
 * Which version of the machine's description an entry says the survey judges by.
 *
 * @param version its number in the machine's book
 * @param hash    of the entry that holds it, as it was when it was adopted
 * @param entry   the survey's entry that says so
 */
public record JudgedBy(int version, String hash, Entry entry) {

    private static final Set<String> KINDS = Set.of(Kind.OPENED.name(), Kind.DESCRIPTION_ADOPTED.name());

    /** Every one that was not struck and can be read, newest first: the first that the machine's book has is judged by. */
    public static List<JudgedBy> newestFirst(List<Entry> entries) {
        Map<Integer, Entry> struck = Chain.struck(entries);
        List<JudgedBy> all = new ArrayList<>();
        for (Entry entry : entries) {
            if (KINDS.contains(entry.kind()) && !struck.containsKey(entry.sequence()) && entry.damage().isEmpty()) {
                Payload p = entry.payload();
                if (p.fields().get("machineVersion") instanceof Number number) {
                    all.add(new JudgedBy(number.intValue(), p.optionalText("machineHash").orElse(""), entry));
                }
            }
        }
        Collections.reverse(all);
        return all;
    }
}
