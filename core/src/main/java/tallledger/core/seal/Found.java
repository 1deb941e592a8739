package tallledger.core.seal;

import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Reason;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/**
 * Something a check of a handed-over survey found, and where.
 *
 * @param what  which sort
 * @param where a file, or a book and the entry in it
 */
public record Found(What what, String where) {

    /** What can be wrong; the same in Java and in the page that checks without it. */
    public enum What implements ReasonCode {
        ZIP_BROKEN("found.zip-broken"), ZIP_AFTER("found.zip-after"), ZIP_GAP("found.zip-gap"), ZIP_LOCAL("found.zip-local"),
        ZIP_KIND("found.zip-kind"), TOO_LARGE("found.too-large"), NAME_UNSAFE("found.name-unsafe"), NAME_TWICE("found.name-twice"),
        LEDGER_MISSING("found.ledger-missing"), LEDGER_UNREADABLE("found.ledger-unreadable"),
        LEDGER_NEWER("found.ledger-newer"), LEDGER_FORM("found.ledger-form"), ENTRY_MISSING("found.entry-missing"),
        ENTRY_UNLINKED("found.entry-unlinked"), ENTRY_CHANGED("found.entry-changed"), ENTRY_AFTER("found.entry-after"),
        DESCRIPTION_OTHER("found.description-other"),
        PHOTO_MISSING("found.photo-missing"), PHOTO_OTHER("found.photo-other"),
        SOUND_MISSING("found.sound-missing"), SOUND_OTHER("found.sound-other"), SEAL_UNREADABLE("found.seal-unreadable"),
        SEAL_FORM("found.seal-form"),
        SEAL_MISSING("found.seal-missing"), SEAL_CHAIN("found.seal-chain"), SEAL_CLOSING("found.seal-closing"),
        FILE_MISSING("found.file-missing"), FILE_CHANGED("found.file-changed"), FILE_EXTRA("found.file-extra"),
        SIGNATURE_WRONG("found.signature-wrong"), KEY_OTHER("found.key-other");

        private final Sentence sentence;

        What(String code) {
            sentence = Sentence.of(code, "where");
        }

        @Override
        public Sentence sentence() {
            return sentence;
        }
    }

    public Reason says() {
        return Reason.of(what, where);
    }

    /**
     * What a whole check comes to.
     *
     * @param found    nothing where all holds
     * @param seal     empty for a survey that was not closed: it could be cut short unseen
     * @param title    what the survey is called
     * @param entries  of the survey
     * @param closed   whether its last entry closes it
     * @param unheld   files that nothing holds: neither a seal nor the hash an entry names; anybody could have put them in or changed them
     */
    public record CheckedArchive(List<Found> found, Optional<Seal> seal, String title, int entries, boolean closed, List<String> unheld) {

        public boolean holds() {
            return found.isEmpty();
        }

        /** The key it is sealed with, where all holds: beside something changed its words would lend the change their weight. */
        public Optional<Fingerprint> key() {
            return holds() ? seal.map(Seal::fingerprint) : Optional.empty();
        }
    }
}
