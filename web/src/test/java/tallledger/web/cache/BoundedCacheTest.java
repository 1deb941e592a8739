package tallledger.web.cache;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class BoundedCacheTest {

    private final BoundedCache<String, Integer> recent = new BoundedCache<>(10, Integer::longValue);

    private List<Boolean> has(String... keys) {
        return List.of(keys).stream().map(recent::has).toList();
    }

    @Test
    void whatWasNotUsedLongestFallsOutFirst() {
        recent.put("a", 4);
        recent.put("b", 3);
        recent.put("c", 3);
        assertThat(recent.get("a")).contains(4);
        recent.put("d", 1);
        assertThat(has("a", "b", "c", "d")).containsExactly(true, false, true, true);
        recent.put("e", 3);
        assertThat(has("a", "c", "d", "e")).containsExactly(true, false, true, true);
    }

    @Test
    void aBookThatGrowsWeighsWhatItWeighsNow() {
        recent.put("a", 4);
        recent.put("a", 8);
        recent.put("b", 2);
        assertThat(has("a", "b")).containsExactly(true, true);
        recent.put("b", 3);
        assertThat(has("a", "b")).containsExactly(false, true);
        recent.put("c", 7);
        assertThat(has("b", "c")).containsExactly(true, true);
    }

    @Test
    void theNewestStaysWhateverItWeighs() {
        recent.put("a", 4);
        recent.put("b", 50);
        assertThat(has("a", "b")).containsExactly(false, true);
        recent.clear();
        assertThat(has("b")).containsExactly(false);
        recent.put("a", 10);
        assertThat(has("a")).containsExactly(true);
    }

    @Test
    void anAnswerIsReckonedOnce() {
        AtomicInteger reckoned = new AtomicInteger();
        Memo<Integer, Integer> squares = new Memo<>(2, n -> reckoned.incrementAndGet() * 0 + n * n);
        assertThat(List.of(squares.of(3), squares.of(3), squares.of(4), squares.of(5), squares.of(3))).containsExactly(9, 9, 16, 25, 9);
        assertThat(reckoned).hasValue(4);
    }
}
