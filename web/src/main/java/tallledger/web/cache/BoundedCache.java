package tallledger.web.cache;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToLongFunction;

/**
 * What was used last, up to a weight all together: memory does not grow with the shelf. Whatever falls out is read again when it is asked
 * for. The newest is kept whatever it weighs.
 */
public final class BoundedCache<K, V> {

    private final Map<K, V> kept = new LinkedHashMap<>(16, 0.75f, true);
    private final long most;
    private final ToLongFunction<V> weight;
    private long weighs;

    public BoundedCache(long most, ToLongFunction<V> weight) {
        this.most = most;
        this.weight = weight;
    }

    public synchronized Optional<V> get(K key) {
        return Optional.ofNullable(kept.get(key));
    }

    public synchronized boolean has(K key) {
        return kept.containsKey(key);
    }

    public synchronized void put(K key, V value) {
        V before = kept.put(key, value);
        weighs += weight.applyAsLong(value) - (before == null ? 0 : weight.applyAsLong(before));
        Iterator<V> eldest = kept.values().iterator();
        while (weighs > most && kept.size() > 1) {
            weighs -= weight.applyAsLong(eldest.next());
            eldest.remove();
        }
    }

    public synchronized void clear() {
        kept.clear();
        weighs = 0;
    }
}
