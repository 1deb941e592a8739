package tallledger.core.kit;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.kit.KitItem.State;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.reason.Reason;

/**
 * Every item as it stands now. Of a choose-one-of group one goes with the machine: one seen is enough, and it counts as one piece.
 *
 * @param items   in the order first named
 * @param entries the entry each item stands by, by its name
 */
public record KitList(List<KitItem> items, Map<String, Integer> entries) {

    public static final KitList EMPTY = new KitList(List.of(), Map.of());

    public KitList {
        items = List.copyOf(items);
        entries = Map.copyOf(entries);
    }

    /**
     * What it all comes to, in pieces.
     *
     * @param toReplace what costs to replace what is missing, and what is awaited until it has come
     * @param unpriced  how many of those missing nobody priced
     */
    public record Sum(int pieces, int promised, int seen, int missing, int awaited, int unlooked, BigDecimal toReplace, int unpriced) {
    }

    /** The list with one item as it stands now, in its old place or at the end. */
    public KitList with(KitItem item, int entry) {
        Map<String, KitItem> byName = new LinkedHashMap<>();
        items.forEach(i -> byName.put(i.name(), i));
        byName.put(item.name(), item);
        Map<String, Integer> by = new HashMap<>(entries);
        by.put(item.name(), entry);
        return new KitList(new ArrayList<>(byName.values()), by);
    }

    /** Entries of every item, in order. */
    public List<Integer> allEntries() {
        return entries.values().stream().sorted().toList();
    }

    public Optional<KitItem> named(String name) {
        return items.stream().filter(i -> i.name().equals(name)).findFirst();
    }

    /** Whether another of its choose-one-of group was seen, so that this one is not owed. */
    public boolean isSettledByChoice(KitItem item) {
        return !item.choice().isEmpty() && items.stream().anyMatch(i -> i.choice().equals(item.choice()) && i.state() == State.SEEN
                && !i.equals(item));
    }

    /** The groups of which one goes with the machine, by their names. */
    public Map<String, List<KitItem>> choices() {
        Map<String, List<KitItem>> groups = new LinkedHashMap<>();
        items.stream().filter(i -> !i.choice().isEmpty()).forEach(i -> groups.computeIfAbsent(i.choice(), k -> new ArrayList<>()).add(i));
        groups.values().removeIf(g -> g.size() < 2);
        return groups;
    }

    /** Missing and owed: not there, and no other of its group stands for it; of a group with none there, the cheapest one. */
    public List<KitItem> owed() {
        return notThere(List.of(State.MISSING));
    }

    /** What is owed, and what is awaited until it has come: of a group the cheapest one. */
    public List<KitItem> notThere() {
        return notThere(List.of(State.MISSING, State.AWAITED));
    }

    private List<KitItem> notThere(List<State> states) {
        List<KitItem> owed = new ArrayList<>();
        Map<String, KitItem> groups = new LinkedHashMap<>();
        for (KitItem item : items) {
            if (!states.contains(item.state()) || isSettledByChoice(item)) {
                continue;
            }
            if (item.choice().isEmpty()) {
                owed.add(item);
            } else {
                groups.merge(item.choice(), item, (a, b) -> cost(b).compareTo(cost(a)) < 0 ? b : a);
            }
        }
        owed.addAll(groups.values());
        return owed;
    }

    private static BigDecimal cost(KitItem item) {
        return item.cost().orElse(BigDecimal.valueOf(Long.MAX_VALUE));
    }

    public Sum sum() {
        List<KitItem> owed = owed();
        BigDecimal toReplace = notThere().stream().flatMap(i -> i.cost().stream())
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        Map<String, List<KitItem>> groups = choices();
        Map<String, State> pieces = new LinkedHashMap<>();
        items.forEach(i -> pieces.merge(groups.containsKey(i.choice()) ? "one of " + i.choice() : "the " + i.name(), i.state(),
                (a, b) -> BEST.indexOf(a) <= BEST.indexOf(b) ? a : b));
        return new Sum(pieces.size(), (int) items.stream().filter(KitItem::isPromised).count(), count(pieces, State.SEEN), owed.size(),
                count(pieces, State.AWAITED), count(pieces, State.NOT_LOOKED_FOR), toReplace,
                (int) owed.stream().filter(i -> i.cost().isEmpty()).count());
    }

    /** What a group stands as: the first of these that one of it does. */
    private static final List<State> BEST = List.of(State.SEEN, State.AWAITED, State.NOT_LOOKED_FOR, State.MISSING);

    private static int count(Map<String, State> pieces, State state) {
        return (int) pieces.values().stream().filter(state::equals).count();
    }

    /** What was promised to this buyer and is not there. */
    public List<NotedEntry<Reason>> broken() {
        return owed().stream().filter(KitItem::isPromised)
                .map(i -> new NotedEntry<>(Reason.of(KitReason.KIT_PROMISED_MISSING, i.name(), i.promised()), entries.get(i.name())))
                .toList();
    }
}
