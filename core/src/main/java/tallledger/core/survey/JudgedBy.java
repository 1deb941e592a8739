package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.ledger.Payload;

/**
 * Which version of the machine's description, or of the house's rules, an entry says the survey judges by.
 *
 * @param version its number in the machine's or the house's book
 * @param hash    of the entry that holds it, as it was when it was adopted; empty where the record does not name it
 * @param entry   the survey's entry that says so
 */
public record JudgedBy(int version, String hash, Entry entry) {

    /**
     * Every naming of a description that was not struck and can be read, newest first: the first that the machine's book has is judged by.
     */
    public static List<JudgedBy> descriptions(List<Entry> entries) {
        return newestFirst(entries, Set.of(Kind.OPENED.name(), Kind.DESCRIPTION_ADOPTED.name()), "machineVersion", "machineHash");
    }

    /** The same of the house's rules. None in a survey opened before they had versions: it judges by the first. */
    public static List<JudgedBy> rules(List<Entry> entries) {
        return newestFirst(entries, Set.of(Kind.OPENED.name(), Kind.RULES_ADOPTED.name()), "rules", "rulesHash");
    }

    /** As which grade the machine is judged: what its newest entry says that was not struck; workable where none does. */
    public static Grade grade(List<Entry> entries) {
        return gradeSaid(entries).what();
    }

    /** The same with the entry that says it. */
    public static NotedEntry<Grade> gradeSaid(List<Entry> entries) {
        Map<Integer, Entry> struck = Chain.struck(entries);
        NotedEntry<Grade> grade = new NotedEntry<>(Grade.WORKABLE, 1);
        for (Entry entry : entries) {
            boolean says = entry.kind().equals(Kind.OPENED.name()) || entry.kind().equals(Kind.JUDGED_AS.name());
            if (says && !struck.containsKey(entry.sequence()) && entry.damage().isEmpty()) {
                String named = entry.payload().fields().get("judgedAs") instanceof String text ? text : "";
                NotedEntry<Grade> before = grade;
                grade = Stream.of(Grade.values()).filter(g -> g.name().equals(named)).findFirst()
                        .map(g -> new NotedEntry<>(g, entry.sequence()))
                        .orElse(before);
            }
        }
        return grade;
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
