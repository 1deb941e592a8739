package tallledger.web.cache;

import java.util.function.Function;

/**
 * Answers that were reckoned once and are asked for again: the last few are kept, so that nothing grows with the shelf. Reckoned
 * outside the lock, nobody waits for another's answer.
 */
public final class Memo<K, V> {

    private final BoundedCache<K, V> kept;
    private final Function<K, V> reckon;

    /** @param most answers kept */
    public Memo(int most, Function<K, V> reckon) {
        this.reckon = reckon;
        this.kept = new BoundedCache<>(most, answer -> 1);
    }

    public V of(K asked) {
        return kept.get(asked).orElseGet(() -> {
            V answer = reckon.apply(asked);
            kept.put(asked, answer);
            return answer;
        });
    }
}
