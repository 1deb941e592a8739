package tallledger.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ChainTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:30:00Z");

    private static Draft draft(String text) {
        return Draft.of(Authorship.of(AT, "Q. Tester, seller"), "REMARK", "", Map.of("text", text));
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
        assertThat(first.canonical())
                .isEqualTo("{\"at\":\"2026-05-09T08:30:00Z\",\"attachments\":[],\"author\":{\"name\":\"Q. Tester\",\"role\":\"seller\"},"
                        + "\"format\":2,\"kind\":\"REMARK\",\"payload\":{\"text\":\"one\"},"
                        + "\"previous\":\"0000000000000000000000000000000000000000000000000000000000000000\","
                        + "\"sequence\":1,\"step\":\"\",\"zone\":\"Z\"}");
        assertThat(first.hash()).hasSize(64);
        assertThat(first.isWhole()).isTrue();
    }

    /** Written before entries named their format; the hash was worked out with sha256sum. */
    @Test
    void anEntryOfTheFirstFormatStaysReadable() {
        Draft old = Draft.of(Authorship.of(AT, "Q. Tester"), "REMARK", "", Map.of("text", "one"));
        Entry entry = new Entry(1, 1, old, Entry.BEFORE_FIRST, "cd737b887bbf3928cf402218612124beb027ae0296e5f1991da9a217a3a0f595");
        assertThat(entry.canonical())
                .isEqualTo("{\"at\":\"2026-05-09T08:30:00Z\",\"author\":\"Q. Tester\",\"kind\":\"REMARK\",\"payload\":{\"text\":\"one\"},"
                        + "\"previous\":\"0000000000000000000000000000000000000000000000000000000000000000\","
                        + "\"sequence\":1,\"step\":\"\"}");
        assertThat(entry.isWhole()).isTrue();
        assertThat(new Entry(2, 1, old, Entry.BEFORE_FIRST, entry.hash()).isWhole()).isFalse();
    }

    @Test
    void whereItWasWrittenWhoWroteItAndWhatHangsOnItAreInTheHash() {
        Authorship by = Authorship.of(AT, ZoneId.of("Europe/London"), "Q. Tester");
        Attachment picture = new Attachment("photograph", "a".repeat(64), "image/png");
        Draft draft = new Draft(by, "PHOTO", "", Map.of(), List.of(picture), Optional.empty());
        List<Draft> others = List.of(
                new Draft(Authorship.of(AT, ZoneId.of("Europe/Paris"), "Q. Tester"), "PHOTO", "", Map.of(), List.of(picture),
                        Optional.empty()),
                new Draft(Authorship.of(AT, by.zone(), "Q. Tester, buyer"), "PHOTO", "", Map.of(), List.of(picture), Optional.empty()),
                new Draft(by, "PHOTO", "", Map.of(), List.of(new Attachment("photograph", "a".repeat(64), "image/jpeg")), Optional.empty()),
                new Draft(by, "PHOTO", "", Map.of(), List.of(), Optional.empty()));
        String hash = Entry.following(Optional.empty(), draft).hash();
        assertThat(others).extracting(d -> Entry.following(Optional.empty(), d).hash()).doesNotHaveDuplicates().doesNotContain(hash);
        assertThat(by.there().getHour()).isEqualTo(9);
    }

    @Test
    void aRoleStandsBehindTheLastComma() {
        assertThat(Author.parse(" J. Marsh , seller ")).isEqualTo(new Author("J. Marsh", "seller"));
        assertThat(Author.parse("Marsh, J., seller").role()).isEqualTo("seller");
        assertThat(Author.parse("Marsh, J.")).as("a name written backwards").isEqualTo(new Author("Marsh, J.", ""));
        assertThat(List.of(Author.parse("Marsh,").name(), Author.parse(", seller").name())).containsExactly("Marsh,", ", seller");
        assertThat(Author.parse("Marsh").or("buyer").written()).isEqualTo("Marsh, buyer");
        assertThat(Author.parse("Marsh, seller").or("buyer").role()).isEqualTo("seller");
        assertThatThrownBy(() -> Author.parse("  ")).hasMessageContaining("author.missing");
        assertThatThrownBy(() -> Author.parse("x".repeat(81))).hasMessageContaining("text.long");
        assertThatThrownBy(() -> Author.parse("x, " + "y".repeat(81))).hasMessageContaining("text.long");
        assertThat(Author.parse("x".repeat(80)).name()).hasSize(80);
    }

    @Test
    void aWholeChainHasNoBreak() {
        assertThat(Chain.firstBreak(chain("one", "two", "three"))).isEmpty();
    }

    @Test
    void oneChangedCharacterBreaksItAndTheCheckSaysWhere() {
        List<Entry> entries = chain("one", "two", "three");
        Entry two = entries.get(1);
        entries.set(1, new Entry(Entry.FORMAT, 2, draft("twp"), two.previous(), two.hash()));
        assertThat(Chain.firstBreak(entries)).get().satisfies(b -> {
            assertThat(b.sequence()).isEqualTo(2);
            assertThat(b.because().code()).isEqualTo("chain.changed");
        });
    }

    @Test
    void aMissingEntryAndAnEntryOfAnotherChainAreFound() {
        List<Entry> entries = chain("one", "two", "three");
        assertThat(Chain.firstBreak(List.of(entries.get(0), entries.get(2)))).get().extracting(b -> b.because().code())
                .isEqualTo("chain.missing");
        entries.set(1, Entry.following(Optional.of(chain("other").get(0)), draft("two")));
        assertThat(Chain.firstBreak(entries)).get().extracting(b -> b.because().code()).isEqualTo("chain.unlinked");
    }

    /** What stands behind the entry that closes a book fits the chain and is a break all the same, whoever counts on from where. */
    @Test
    void nothingFollowsTheEntryThatCloses() {
        List<Entry> entries = new ArrayList<>(chain("one"));
        entries.add(Entry.following(Optional.of(entries.get(0)), Draft.of(Authorship.of(AT, "Q"), "CLOSED", "", Map.of())));
        assertThat(Chain.firstBreak(entries)).isEmpty();
        entries.add(Entry.following(Optional.of(entries.get(1)), draft("more")));
        for (Optional<Chain.Break> found : List.of(Chain.firstBreak(entries),
                Chain.firstBreak(Optional.of(entries.get(1)), entries.subList(2, 3)))) {
            assertThat(found.orElseThrow().sequence()).isEqualTo(3);
            assertThat(found.orElseThrow().because().code()).isEqualTo("chain.after-closed");
        }
    }
}
