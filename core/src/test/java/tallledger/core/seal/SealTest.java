package tallledger.core.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.util.Base64;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.ledger.Authorship;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;

/** A seal and its fingerprint: signed as RFC 8032 says, broken by any change of what it covers. */
class SealTest {

    private static KeyPair pair() throws Exception {
        return KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
    }

    private static Seal seal(KeyPair pair) {
        return Seal.of("ab".repeat(32), 7, "Q. Tester, buyer", "2026-05-09T10:00:00Z",
                Map.of("ledger.json", "cd".repeat(32), "report.pdf", "ef".repeat(32)), pair.getPublic(), pair.getPrivate());
    }

    @Test
    void everyPartOfItIsSigned() throws Exception {
        Seal s = seal(pair());
        assertThat(s.isSigned()).isTrue();
        for (Seal other : List.of(new Seal("ac" + s.lastHash().substring(2), s.count(), s.closedBy(), s.closedAt(), s.publicKey(),
                s.files(), s.signature()),
                new Seal(s.lastHash(), 8, s.closedBy(), s.closedAt(), s.publicKey(), s.files(), s.signature()),
                new Seal(s.lastHash(), 7, "Q. Tester, seller", s.closedAt(), s.publicKey(), s.files(), s.signature()),
                new Seal(s.lastHash(), 7, s.closedBy(), "2026-05-09T10:00:01Z", s.publicKey(), s.files(), s.signature()),
                new Seal(s.lastHash(), 7, s.closedBy(), s.closedAt(), Base64.getEncoder().encodeToString(Seal.bytes(pair().getPublic())),
                        s.files(), s.signature()),
                new Seal(s.lastHash(), 7, s.closedBy(), s.closedAt(), s.publicKey(), Map.of("ledger.json", "cd".repeat(32)), s.signature()),
                new Seal(s.lastHash(), 7, s.closedBy(), s.closedAt(), s.publicKey(), s.files(), "AAAA"),
                new Seal(s.lastHash(), 7, s.closedBy(), s.closedAt(), "no key", s.files(), s.signature()))) {
            assertThat(other.isSigned()).as(other.toString()).isFalse();
        }
    }

    @Test
    void itIsReadAsItWasWritten() throws Exception {
        Seal s = seal(pair());
        Map<String, Object> fields = new HashMap<>(Map.of("format", 1, "lastHash", s.lastHash(), "count", 7, "closedBy", s.closedBy(),
                "closedAt", s.closedAt(), "publicKey", s.publicKey(), "files", s.files(), "signature", s.signature()));
        assertThat(Seal.from(fields)).isEqualTo(s);
        assertThat(s.written()).startsWith(
                "{\"closedAt\":\"2026-05-09T10:00:00Z\",\"closedBy\":\"Q. Tester, buyer\",\"count\":7,\"files\":{\"ledger.json\":");
        fields.put("format", 2);
        assertThatThrownBy(() -> Seal.from(fields)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Seal.from(Map.of("format", 1))).isInstanceOf(IllegalArgumentException.class);
    }

    /** RFC 8032, 7.1, test 1: the key of that secret; its fingerprint is the SHA-256 of these 32 bytes. */
    @Test
    void aKeyIsKnownByTenWords() {
        byte[] key = HexFormat.of().parseHex("d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a");
        Fingerprint print = Fingerprint.of(key);
        assertThat(print.hex()).isEqualTo("21fe31dfa154a261626bf854046fd2271b7bed4b6abe45aa58877ef47f9721b9");
        assertThat(Fingerprint.read(print.hex())).contains(print);
        assertThat(Fingerprint.read(print.hex().toUpperCase(java.util.Locale.ROOT))).isEmpty();
        assertThat(Fingerprint.read("")).isEmpty();
        assertThat(print.words().split(" ")).hasSize(10);
        assertThat(print.words()).startsWith(Fingerprint.list().get(0x21) + " " + Fingerprint.list().get(0xfe));
        assertThat(new HashSet<>(Fingerprint.list())).as("no word stands for two bytes").hasSize(256);
    }

    /** A book gone through: whole, then each kind of change at its entry. */
    @Test
    void aBookIsCheckedEntryByEntry() {
        SurveyBook book = new SurveyBook(Machines.twelve(), Scope.WHOLE, 10);
        for (int i = 0; i < 4; i++) {
            book.write(SurveyEntries.remark(Authorship.of(book.now(), SurveyBook.ME), "no. " + i));
        }
        List<Map<String, Object>> entries = book.entries().stream().map(e -> e.handedOver()).toList();
        assertThat(check(entries)).isEmpty();
        for (String part : List.of("at", "kind", "step", "payload", "zone")) {
            List<Map<String, Object>> changed = new java.util.ArrayList<>(entries);
            Map<String, Object> other = new HashMap<>(entries.get(2));
            other.put(part, part.equals("payload") ? Map.of("text", "other") : "other");
            changed.set(2, other);
            assertThat(check(changed)).as(part).containsExactly(new Found(Found.What.ENTRY_CHANGED, "SURVEY 3"));
        }
        Map<String, Object> unlinked = new HashMap<>(entries.get(3));
        unlinked.put("previous", "0".repeat(64));
        assertThat(check(List.of(entries.get(0), entries.get(1), entries.get(2), unlinked)))
                .containsExactly(new Found(Found.What.ENTRY_UNLINKED, "SURVEY 4"));
        assertThat(check(List.of(entries.get(0), entries.get(2)))).containsExactly(new Found(Found.What.ENTRY_MISSING, "SURVEY 2"));
        Map<String, Object> fraction = new HashMap<>(entries.get(1));
        fraction.put("payload", Map.of("text", 1.5));
        assertThat(check(List.of(entries.get(0), fraction))).containsExactly(new Found(Found.What.ENTRY_CHANGED, "SURVEY 2"));
    }

    private static List<Found> check(List<Map<String, Object>> entries) {
        BookCheck check = new BookCheck("SURVEY");
        entries.forEach(check::take);
        return check.found();
    }
}
