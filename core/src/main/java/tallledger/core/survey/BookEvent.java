package tallledger.core.survey;

import java.util.List;
import java.util.Map;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;

/** What begins, governs and ends the book of a survey, and what people put into it beside the work. */
public sealed interface BookEvent extends Event {

    /** The survey begins. */
    record Opened(int version, String hash, int rules, String rulesHash, String role, Scope scope, Grade judgedAs) implements BookEvent {
        static Opened from(Entry entry) {
            Payload p = entry.payload();
            return new Opened(p.whole("machineVersion"), p.optionalText("machineHash").orElse(""),
                    p.has("rules") ? p.whole("rules") : House.FIRST, p.optionalText("rulesHash").orElse(""),
                    p.optionalText("role").orElse(entry.by().author().role()),
                    p.optionalText("scope").map(Scope::valueOf).orElse(Scope.WHOLE), p.optionalText("judgedAs").map(Grade::valueOf)
                            .orElse(Grade.WORKABLE));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("machineVersion", version, "machineHash", hash, "rules", rules, "rulesHash", rulesHash, "scope", scope.name(),
                    "judgedAs", judgedAs.name());
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.opened(this, entry);
        }
    }

    /** A newer version of the description is judged by from here on. */
    record DescriptionAdopted(int version, String hash) implements BookEvent {
        static DescriptionAdopted from(Entry entry) {
            return new DescriptionAdopted(entry.payload().whole("machineVersion"), entry.payload().optionalText("machineHash").orElse(""));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("machineVersion", version, "machineHash", hash);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.descriptionAdopted(this, entry);
        }
    }

    /** A newer version of the house's rules is judged by from here on. */
    record RulesAdopted(int version, String hash) implements BookEvent {
        static RulesAdopted from(Entry entry) {
            return new RulesAdopted(entry.payload().whole("rules"), entry.payload().optionalText("rulesHash").orElse(""));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("rules", version, "rulesHash", hash);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.rulesAdopted(this, entry);
        }
    }

    /** The machine is judged as of this grade: what is outside it is a finding. */
    record JudgedAs(Grade grade) implements BookEvent {
        static JudgedAs from(Entry entry) {
            return new JudgedAs(Grade.valueOf(entry.payload().text("judgedAs")));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("judgedAs", grade.name());
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.judgedAs(this, entry);
        }
    }

    /** Somebody remarked something. */
    record Remarked(String text) implements BookEvent {
        static Remarked from(Entry entry) {
            return new Remarked(entry.payload().text("text"));
        }

        @Override
        public String remark() {
            return text;
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("text", text);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.remark(this, entry);
        }
    }

    /** A photograph was taken. */
    record PhotoTaken(Photo photo) implements BookEvent {
        static PhotoTaken from(Entry entry) {
            return new PhotoTaken(Photo.from(entry));
        }

        @Override
        public Map<String, Object> toPayload() {
            return photo.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.photo(this, entry);
        }
    }

    /** A short film was taken. */
    record ClipTaken(Clip clip) implements BookEvent {
        static ClipTaken from(Entry entry) {
            return new ClipTaken(Clip.from(entry));
        }

        @Override
        public Map<String, Object> toPayload() {
            return clip.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.clip(this, entry);
        }
    }

    /** A sound was recorded. */
    record SoundTaken(Recording recording) implements BookEvent {
        static SoundTaken from(Entry entry) {
            return new SoundTaken(Recording.from(entry));
        }

        @Override
        public Map<String, Object> toPayload() {
            return recording.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.sound(this, entry);
        }
    }

    /** Something was drawn over a photograph. @param photo the entry it was taken in */
    record PhotoMarked(int photo, List<PictureMark> marks) implements BookEvent {

        public PhotoMarked {
            marks = List.copyOf(marks);
        }

        static PhotoMarked from(Entry entry) {
            return new PhotoMarked(entry.payload().whole("photo"), entry.payload().parts("marks").stream().map(PictureMark::from).toList());
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("photo", photo, "marks", marks.stream().map(PictureMark::toPayload).toList());
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.photoMarked(this, entry);
        }
    }

    /**
     * The camera was started or stopped, or is found to run ahead.
     *
     * @param seconds how much earlier than its entry it was started, for a shift
     */
    record Camera(What what, int seconds) implements BookEvent {

        /** What was done. */
        public enum What { STARTED, STOPPED, SHIFTED }

        static Camera from(Entry entry) {
            Payload p = entry.payload();
            return new Camera(What.valueOf(p.text("what")), p.has("seconds") ? p.whole("seconds") : 0);
        }

        @Override
        public Map<String, Object> toPayload() {
            return this.what == What.SHIFTED ? Map.of("what", what.name(), "seconds", seconds) : Map.of("what", what.name());
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.camera(this, entry);
        }
    }

    /** An earlier entry does not count. */
    record Struck(int target, String reason) implements BookEvent {
        static Struck from(Entry entry) {
            return new Struck(entry.draft().strikes().orElseThrow(), entry.payload().text("reason"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("reason", reason);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.strike(this, entry);
        }
    }

    /** The survey is closed. @param key fingerprint of the key it is sealed with */
    record Closed(String key) implements BookEvent {
        static Closed from(Entry entry) {
            return new Closed(entry.payload().text("key"));
        }

        @Override
        public Map<String, Object> toPayload() {
            return Map.of("key", key);
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.closed(this, entry);
        }
    }
}
