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
 * Which version of the machine's description, or of the house's rules, an entry says the survey judges by.
 *
 * @param version its number in the machine's or the house's book
 * @param hash    of the entry that holds it, as it was when it was adopted; empty where the record does not name it
 * @param entry   the survey's entry that says so
 */
public record JudgedBy(int version, String hash, Entry entry) {

    /** Every naming of a description that was not struck and can be read, newest first: the first that the machine's book has is judged by. */
    public static List<JudgedBy> descriptions(List<Entry> entries) {
        return newestFirst(entries, Set.of(Kind.OPENED.name(), Kind.DESCRIPTION_ADOPTED.name()), "machineVersion", "machineHash");
    }

    /** The same of the house's rules. None in a survey opened before they had versions: it judges by the first. */
    public static List<JudgedBy> rules(List<Entry> entries) {
        return newestFirst(entries, Set.of(Kind.OPENED.name(), Kind.RULES_ADOPTED.name()), "rules", "rulesHash");
    }

    private static List<JudgedBy> newestFirst(List<Entry> entries, Set<String> kinds, String version, String hash) {
        Map<Integer, Entry> struck = Chain.struck(entries);
        List<JudgedBy> all = new ArrayList<>();
        for (Entry entry : entries) {
            if (kinds.contains(entry.kind()) && !struck.containsKey(entry.sequence()) && entry.damage().isEmpty()) {
                Payload p = entry.payload();
                if (p.fields().get(version) instanceof Number number) {
                    all.add(new JudgedBy(number.intValue(), p.optionalText(hash).orElse(""), entry));
                }
            }
        }
        Collections.reverse(all);
        return all;
    }
}
