package tallledger.core.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.seal.Found.What;

/** A handed-over survey held against its seal: whole it holds; each thing that is changed is found, and said where. */
class SealCheckTest {

    private static final Authorship ME = Authorship.of(Instant.parse("2026-05-09T08:30:00Z"), "Q. Tester, buyer");
    private static final String PHOTO = "ab".repeat(32);
    private static final String SOUND = "ef".repeat(32);
    private static final String OTHER = "cd".repeat(32);
    private static final KeyPair KEY = pair();

    private static KeyPair pair() {
        try {
            return KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
        } catch (java.security.NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What was handed over, as it can be changed piece by piece. */
    private static final class Handed {

        private final Map<String, List<Map<String, Object>>> books = new LinkedHashMap<>();
        private final Map<String, String> files = new HashMap<>(Map.of("ledger.json", "01".repeat(32), "report.pdf", "02".repeat(32),
                "photos/" + PHOTO + ".jpg", PHOTO, "sounds/" + SOUND + ".wav", SOUND));
        private Optional<Seal> seal;

        Handed() {
            List<Entry> house = chain(Draft.of(ME, "RULED", "", Map.of("why", "a house’s own number")));
            List<Entry> machine = chain(Draft.of(ME, "DESCRIBED", "", Map.of("name", "P20")),
                    Draft.of(ME, "DESCRIBED", "", Map.of("name", "P20 again")));
            List<Entry> survey = chain(Draft.of(ME, "OPENED", "", Map.of("machineVersion", 1, "machineHash", machine.get(0).hash(), "rules",
                    1, "rulesHash", house.get(0).hash())),
                    Draft.of(ME, "DESCRIPTION_ADOPTED", "", Map.of("machineVersion", 2, "machineHash", machine.get(1).hash())),
                    new Draft(ME, "PHOTO", "", Map.of("caption", "ways"),
                            List.of(new Attachment("photograph", PHOTO, "image/jpeg"), new Attachment("small", OTHER, "image/jpeg"),
                                    new Attachment("sound", SOUND, "audio/wav")),
                            Optional.empty()),
                    Draft.of(ME, "CLOSED", "", Map.of("key", Fingerprint.of(Seal.bytes(KEY.getPublic())).hex())));
            books.put("HOUSE", handed(house));
            books.put("MACHINE", handed(machine));
            books.put("SURVEY", handed(survey));
            Entry end = survey.get(3);
            seal = Optional.of(Seal.of(end.hash(), 4, "Q. Tester, buyer", end.at().toString(), files, KEY.getPublic(), KEY.getPrivate()));
            files.put("seal.json", "03".repeat(32));
            files.put("verify.html", "04".repeat(32));
        }

        private static List<Entry> chain(Draft... drafts) {
            List<Entry> entries = new ArrayList<>();
            for (Draft draft : drafts) {
                entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
            }
            return entries;
        }

        private static List<Map<String, Object>> handed(List<Entry> entries) {
            return new ArrayList<>(entries.stream().map(Entry::handedOver).toList());
        }

        void put(String book, int entry, String field, Object value) {
            Map<String, Object> changed = new HashMap<>(books.get(book).get(entry - 1));
            changed.put(field, value);
            books.get(book).set(entry - 1, changed);
        }

        /** Signed anew, with whatever key. */
        void seal(String lastHash, int count, String by, String at, KeyPair key) {
            Map<String, String> sealed = new HashMap<>(seal.orElseThrow().files());
            seal = Optional.of(Seal.of(lastHash, count, by, at, sealed, key.getPublic(), key.getPrivate()));
        }

        Found.CheckedArchive checked() {
            Map<String, BookCheck> checks = new LinkedHashMap<>();
            books.forEach((kind, entries) -> {
                BookCheck check = new BookCheck("undefined");
                entries.forEach(check::take);
                check.called(kind);
                checks.put(kind, check);
            });
            return SealCheck.of(checks, files, seal, "P20");
        }
    }

    private static Found found(What what, String where) {
        return new Found(what, where);
    }

    @Test
    void whatWasHandedOverWholeHolds() {
        Found.CheckedArchive checked = new Handed().checked();
        assertThat(checked.found()).isEmpty();
        assertThat(checked.holds()).isTrue();
        assertThat(checked.closed()).isTrue();
        assertThat(checked.unheld()).containsExactly("verify.html");
        assertThat(checked.key()).contains(Fingerprint.of(Seal.bytes(KEY.getPublic())));
        assertThat(checked.entries()).isEqualTo(4);
        assertThat(checked.title()).isEqualTo("P20");
        assertThat(checked.seal().orElseThrow().fingerprint()).isEqualTo(Fingerprint.of(Seal.bytes(KEY.getPublic())));
    }

    private static Arguments change(String what, Consumer<Handed> made, Found... expected) {
        return Arguments.of(what, made, List.of(expected));
    }

    static Stream<Arguments> changes() {
        return Stream.of(
                change("an entry of the machine", h -> h.put("MACHINE", 2, "zone", "Europe/Oslo"), found(What.ENTRY_CHANGED, "MACHINE 2")),
                change("the house cut off before what it is judged by", h -> h.books.get("HOUSE").clear(),
                        found(What.DESCRIPTION_OTHER, "SURVEY 1")),
                change("no house at all", h -> h.books.remove("HOUSE"), found(What.DESCRIPTION_OTHER, "SURVEY 1")),
                change("a version gone that was adopted later", h -> h.books.get("MACHINE").remove(1),
                        found(What.DESCRIPTION_OTHER, "SURVEY 2")),
                change("the machine of another, whole in itself",
                        h -> h.books.put("MACHINE", Handed.handed(Handed.chain(Draft.of(ME, "DESCRIBED", "", Map.of("name", "other")),
                                Draft.of(ME, "DESCRIBED", "", Map.of("name", "other again"))))),
                        found(What.DESCRIPTION_OTHER, "SURVEY 1"),
                        found(What.DESCRIPTION_OTHER, "SURVEY 2")),
                change("a photograph gone", h -> {
                    h.files.remove("photos/" + PHOTO + ".jpg");
                }, found(What.PHOTO_MISSING, "photos/" + PHOTO), found(What.FILE_MISSING, "photos/" + PHOTO + ".jpg")),
                change("a photograph of another under its name", h -> h.files.put("photos/" + PHOTO + ".jpg", OTHER),
                        found(What.PHOTO_OTHER, "photos/" + PHOTO + ".jpg"), found(What.FILE_CHANGED, "photos/" + PHOTO + ".jpg")),
                change("a photograph more", h -> h.files.put("photos/" + OTHER + ".png", OTHER),
                        found(What.FILE_EXTRA, "photos/" + OTHER + ".png")),
                change("a recording gone", h -> h.files.remove("sounds/" + SOUND + ".wav"),
                        found(What.SOUND_MISSING, "sounds/" + SOUND), found(What.FILE_MISSING, "sounds/" + SOUND + ".wav")),
                change("another recording under its name", h -> h.files.put("sounds/" + SOUND + ".wav", OTHER),
                        found(What.SOUND_OTHER, "sounds/" + SOUND + ".wav"), found(What.FILE_CHANGED, "sounds/" + SOUND + ".wav")),
                change("another report", h -> h.files.put("report.pdf", OTHER), found(What.FILE_CHANGED, "report.pdf")),
                change("no report", h -> h.files.remove("report.pdf"), found(What.FILE_MISSING, "report.pdf")),
                change("the page that checks, where its seal does not name it: anybody's own", h -> h.files.put("verify.html", OTHER)),
                change("no page", h -> h.files.remove("verify.html")),
                change("another page than the one sealed", h -> {
                    Map<String, String> sealed = new HashMap<>(h.seal.orElseThrow().files());
                    sealed.put("verify.html", "04".repeat(32));
                    h.seal = h.seal.map(s -> Seal.of(s.lastHash(), s.count(), s.closedBy(), s.closedAt(), sealed, KEY.getPublic(),
                            KEY.getPrivate()));
                    h.files.put("verify.html", OTHER);
                }, found(What.FILE_CHANGED, "verify.html")),
                change("an entry behind the closing, the seal thrown away", h -> {
                    Map<String, Object> end = h.books.get("SURVEY").get(3);
                    Entry last = Entry.handedOver(end, 4);
                    h.books.get("SURVEY").add(Entry.following(Optional.of(last), Draft.of(ME, "REMARK", "", Map.of("text", "good")))
                            .handedOver());
                    h.seal = Optional.empty();
                }, found(What.ENTRY_AFTER, "SURVEY 5")),
                change("the seal thrown away", h -> h.seal = Optional.empty(), found(What.SEAL_MISSING, "seal.json")),
                change("the end cut off", h -> h.books.get("SURVEY").remove(3), found(What.SEAL_CHAIN, "SURVEY 3"),
                        found(What.SEAL_CLOSING, "seal.json")),
                change("sealed again over fewer entries", h -> {
                    Map<String, Object> third = h.books.get("SURVEY").get(2);
                    h.books.get("SURVEY").remove(3);
                    h.seal((String) third.get("hash"), 3, "Q. Tester, buyer", (String) third.get("at"), KEY);
                }, found(What.SEAL_CLOSING, "seal.json")),
                change("the seal of another count", h -> h.seal(h.seal.orElseThrow().lastHash(), 5, "Q. Tester, buyer",
                        "2026-05-09T08:30:00Z", KEY), found(What.SEAL_CHAIN, "SURVEY 4")),
                change("the seal of another end", h -> h.seal(OTHER, 4, "Q. Tester, buyer", "2026-05-09T08:30:00Z", KEY),
                        found(What.SEAL_CHAIN, "SURVEY 4")),
                change("closed by somebody else", h -> h.seal(h.seal.orElseThrow().lastHash(), 4, "Q. Tester, seller",
                        "2026-05-09T08:30:00Z", KEY), found(What.SEAL_CLOSING, "seal.json")),
                change("closed at another time", h -> h.seal(h.seal.orElseThrow().lastHash(), 4, "Q. Tester, buyer", "2026-05-09T08:30:01Z",
                        KEY), found(What.SEAL_CLOSING, "seal.json")),
                change("sealed again with another key", h -> h.seal(h.seal.orElseThrow().lastHash(), 4, "Q. Tester, buyer",
                        "2026-05-09T08:30:00Z", pair()), found(What.KEY_OTHER, "seal.json")),
                change("another key named, not signed with it",
                        h -> h.seal = h.seal.map(s -> new Seal(s.lastHash(), s.count(), s.closedBy(), s.closedAt(),
                                Base64.getEncoder().encodeToString(Seal.bytes(pair().getPublic())), s.files(), s.signature())),
                        found(What.SIGNATURE_WRONG, "seal.json"), found(What.KEY_OTHER, "seal.json")),
                change("no key that could be one",
                        h -> h.seal = h.seal.map(s -> new Seal(s.lastHash(), s.count(), s.closedBy(), s.closedAt(), "no key", s.files(),
                                s.signature())),
                        found(What.SIGNATURE_WRONG, "seal.json"), found(What.KEY_OTHER, "seal.json")),
                change("no survey", h -> {
                    h.books.remove("SURVEY");
                    h.seal = Optional.empty();
                }, found(What.LEDGER_UNREADABLE, "ledger.json")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("changes")
    void whatWasChangedIsFound(String what, Consumer<Handed> change, List<Found> expected) {
        Handed handed = new Handed();
        change.accept(handed);
        Found.CheckedArchive checked = handed.checked();
        assertThat(checked.found()).containsExactlyInAnyOrderElementsOf(expected);
        assertThat(checked.holds()).isEqualTo(expected.isEmpty());
    }

    /** Not closed, it has no seal, and none is missed. */
    @Test
    void aSurveyThatIsOpenNeedsNoSeal() {
        Handed handed = new Handed();
        handed.books.get("SURVEY").remove(3);
        handed.seal = Optional.empty();
        Found.CheckedArchive checked = handed.checked();
        assertThat(checked.holds()).isTrue();
        assertThat(checked.closed()).isFalse();
    }

    /** A closing entry from before authors had a role, or that says neither, is read as it stands. */
    @Test
    void whoClosedItIsReadAsItWasWritten() {
        for (Map.Entry<Object, String> author : Map.<Object, String>of("Q. Tester", "Q. Tester", Map.of("name", "Q. Tester", "role", ""),
                "Q. Tester", Map.of("name", "Q. Tester", "role", "buyer"), "Q. Tester, buyer").entrySet()) {
            BookCheck check = new BookCheck("SURVEY");
            check.take(Map.of("author", author.getKey(), "at", "2026-05-09T08:30:00Z", "kind", "CLOSED"));
            assertThat(check.lastBy()).isEqualTo(author.getValue());
            assertThat(check.lastAt()).isEqualTo("2026-05-09T08:30:00Z");
            assertThat(check.isClosed()).isTrue();
            assertThat(check.key()).as("it names no key").isEmpty();
        }
    }

    /** Strangers' nonsense where attachments, versions and hashes should stand is passed over, not stumbled on. */
    @Test
    void nonsenseNamesNothing() {
        BookCheck check = new BookCheck("SURVEY");
        check.take(Map.of("attachments",
                List.of("text", Map.of("use", "small", "sha256", OTHER), Map.of("use", "photograph", "sha256", PHOTO)),
                "payload", Map.of("machineVersion", "one", "machineHash", OTHER, "rules", 1, "rulesHash", "", "key", 7)));
        check.take(Map.of("attachments", "none", "payload", "none"));
        assertThat(check.attached("photograph")).containsExactly(PHOTO);
        assertThat(check.against(Map.of())).isEmpty();
        assertThat(check.key()).isEmpty();
        assertThat(check.count()).isEqualTo(2);
    }

    /** Of very many that name what is not there, eighty are said. */
    @Test
    void notEveryOneOfThousandsIsSaid() {
        BookCheck check = new BookCheck("SURVEY");
        for (int i = 0; i < 1_000; i++) {
            check.take(Map.of("payload", Map.of("machineVersion", 9, "machineHash", OTHER)));
        }
        assertThat(check.against(Map.of())).hasSize(80).first().isEqualTo(found(What.DESCRIPTION_OTHER, "SURVEY 1"));
    }

    @Test
    void aFindingSaysWhatAndWhere() {
        assertThat(found(What.FILE_CHANGED, "report.pdf").says().code()).isEqualTo("found.file-changed");
        assertThat(found(What.FILE_CHANGED, "report.pdf").says().arguments()).containsExactly("report.pdf");
    }

    /** A file's hash that is no text, a count that is none: not a seal. */
    @Test
    void whatIsNoSealIsNotRead() {
        Map<String, Object> fields = new HashMap<>(Map.of("format", 1, "lastHash", OTHER, "count", 4, "closedBy", "Q", "closedAt", "now",
                "publicKey", "", "files", Map.of("a", OTHER), "signature", ""));
        assertThat(Seal.from(fields).files()).containsEntry("a", OTHER);
        for (Map.Entry<String, Object> bent : Map.<String, Object>of("files", Map.of("a", 1), "count", "4", "lastHash", 7, "signature",
                List.of()).entrySet()) {
            Map<String, Object> changed = new HashMap<>(fields);
            changed.put(bent.getKey(), bent.getValue());
            assertThatThrownBy(() -> Seal.from(changed)).as(bent.getKey()).isInstanceOf(IllegalArgumentException.class);
        }
    }
}
