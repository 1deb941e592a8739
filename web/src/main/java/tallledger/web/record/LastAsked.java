package tallledger.web.record;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Answers that were reckoned once and are asked for again: the last few are kept, so that nothing grows with the shelf. Reckoned
 * outside the lock, nobody waits for another's answer.
 */
public final class LastAsked<K, V> {

    private final Map<K, V> kept;
    private final Function<K, V> reckon;

    /** @param most answers kept */
    public LastAsked(int most, Function<K, V> reckon) {
        this.reckon = reckon;
        this.kept = Collections.synchronizedMap(new LinkedHashMap<>(most, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        });
    }

    public V of(K asked) {
        V known = kept.get(asked);
        if (known == null) {
            known = reckon.apply(asked);
            kept.put(asked, known);
        }
        return known;
    }
}
