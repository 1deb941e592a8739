package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Claim;

/** What is noted of films that others made of the machine: which they are, where they are cut, what was said in them. */
public sealed interface FilmEvent extends Event {

    /** A film is looked at from here on. */
    record FilmOpened(FilmFile film) implements FilmEvent {
        static FilmOpened from(Entry entry) {
            return new FilmOpened(FilmFile.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return film.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.filmOpened(this, entry);
        }
    }

    /** The film is cut there: what is before and after may be days apart. */
    record FilmCut(String film, BigDecimal second) implements FilmEvent {
        static FilmCut from(Entry entry) {
            return new FilmCut(entry.payload().text("film"), entry.payload().decimal("second"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("film", film, "second", second.toPlainString());
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.filmCut(this, entry);
        }
    }

    /**
     * What is said in a film, as text with times; the text lies in the store under its hash.
     *
     * @param speaker who speaks
     * @param lines   how many
     */
    record NarrationKept(String film, String speaker, int lines, Attachment text) implements FilmEvent {

        /** What the text is to its entry. */
        public static final String TEXT = "narration";

        static NarrationKept from(Entry entry) {
            Payload p = entry.payload();
            Attachment text = entry.draft().attachments().stream().filter(a -> a.use().equals(TEXT)).findFirst().orElseThrow();
            return new NarrationKept(p.text("film"), p.text("speaker"), p.whole("lines"), text);
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("film", film, "speaker", speaker, "lines", lines);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.narration(this, entry);
        }
    }

    /**
     * What a person makes of something that was said: in a film, or in answer to a question.
     *
     * @param answer  what it is
     * @param speaker who said it
     * @param words   letter for letter
     * @param key     of what was found in the narration, so that it is not offered again; empty for what was typed by hand
     * @param said    when, as somebody says it; empty for what is in a film, which has its second
     * @param claim   what it claims; there for a claim only
     */
    record Heard(Answer answer, String speaker, String words, String key, String said, Optional<Claim> claim) implements FilmEvent {

        /** What a thing said in a film is. */
        public enum Answer {
            /** Somebody says so. */
            CLAIM,
            /** The film shows it. */
            SHOWN,
            /** Somebody says so, and the film shows it. */
            BOTH,
            /** Neither. */
            NEITHER
        }

        static Heard from(Entry entry) {
            Payload p = entry.payload();
            return new Heard(Answer.valueOf(p.text("answer")), p.text("speaker"), p.text("words"), p.text("key"), p.text("said"),
                    p.has("claim") ? Optional.of(Claim.from(p.part("claim"))) : Optional.empty());
        }

        @Override
        public Map<String, Object> toPayload() {
            Map<String, Object> payload = new HashMap<>(
                    Map.of("answer", answer.name(), "speaker", speaker, "words", words, "key", key, "said", said));
            claim.ifPresent(c -> payload.put("claim", c.toPayload()));
            return payload;
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.heard(this, entry);
        }
    }

    /**
     * Somebody was asked to film something.
     *
     * @param to    who
     * @param tasks keys of the speeds and steps that were asked for, in their order
     */
    record LetterSent(String to, List<String> tasks) implements FilmEvent {

        public LetterSent {
            tasks = List.copyOf(tasks);
        }

        static LetterSent from(Entry entry) {
            return new LetterSent(entry.payload().text("to"), entry.payload().texts("tasks"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("to", to, "tasks", tasks);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.letterSent(this, entry);
        }
    }
}
