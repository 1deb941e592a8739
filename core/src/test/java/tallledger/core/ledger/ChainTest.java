package tallledger.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ChainTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:30:00Z");

    private static Draft draft(String text) {
        return new Draft(AT, "Q. Tester", "REMARK", "", Map.of("text", text), Optional.empty());
    }

    private static List<Entry> chain(String... texts) {
        List<Entry> entries = new ArrayList<>();
        for (String text : texts) {
            entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft(text)));
        }
        return entries;
    }

    /** Keys sorted, no spaces, shortest escapes (RFC 8785, 3.2.2); non-ASCII stays as it is. */
    @Test
    void writesCanonicalJson() {
        assertThat(CanonicalJson.write(Map.of("b", List.of(1, true), "a", "é\"\\\n\u0001", "A", Map.of())))
                .isEqualTo("{\"A\":{},\"a\":\"é\\\"\\\\\\n\\u0001\",\"b\":[1,true]}");
    }

    @Test
    void fractionsHaveNoPlaceInAnEntry() {
        assertThatThrownBy(() -> CanonicalJson.write(0.1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theFirstEntryHasSixtyFourZerosBeforeIt() {
        Entry first = chain("one").get(0);
        assertThat(first.canonical()).isEqualTo("{\"at\":\"2026-05-09T08:30:00Z\",\"author\":\"Q. Tester\",\"kind\":\"REMARK\",\"payload\":{\"text\":\"one\"},"
                + "\"previous\":\"0000000000000000000000000000000000000000000000000000000000000000\",\"sequence\":1,\"step\":\"\"}");
        assertThat(first.hash()).hasSize(64);
    }

    @Test
    void aWholeChainHasNoBreak() {
        assertThat(Chain.firstBreak(chain("one", "two", "three"))).isEmpty();
    }

    @Test
    void oneChangedCharacterBreaksItAndTheCheckSaysWhere() {
        List<Entry> entries = chain("one", "two", "three");
        Entry two = entries.get(1);
        entries.set(1, new Entry(2, draft("twp"), two.previous(), two.hash()));
        assertThat(Chain.firstBreak(entries)).get().satisfies(b -> {
            assertThat(b.sequence()).isEqualTo(2);
            assertThat(b.because().code()).isEqualTo("chain.changed");
        });
    }

    @Test
    void aMissingEntryAndAnEntryOfAnotherChainAreFound() {
        List<Entry> entries = chain("one", "two", "three");
        assertThat(Chain.firstBreak(List.of(entries.get(0), entries.get(2)))).get().extracting(b -> b.because().code()).isEqualTo("chain.missing");
        entries.set(1, Entry.following(Optional.of(chain("other").get(0)), draft("two")));
        assertThat(Chain.firstBreak(entries)).get().extracting(b -> b.because().code()).isEqualTo("chain.unlinked");
    }
}
