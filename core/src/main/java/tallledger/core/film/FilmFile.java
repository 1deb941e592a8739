package tallledger.core.film;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * A film by what it is known again by. Its bytes stay where they are: the hash says which film it is, whatever it is called later.
 *
 * @param sha256  of its bytes
 * @param name    of its file when it was first opened
 * @param bytes   how many
 * @param seconds how long it is; empty where its file does not say
 * @param rate    frames a second, where they could be told
 * @param width   px; nought where it has no picture
 * @param height  px
 * @param sound   whether it has any
 * @param from    where it comes from: who sent or made it
 * @param made    when it was made, as somebody says; may be empty
 */
public record FilmFile(String sha256, String name, long bytes, Optional<BigDecimal> seconds, Optional<FrameRate> rate, int width,
        int height, boolean sound, String from, String made) {

    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_TEXT = 120;
    /** No film of a machine is longer, h. */
    private static final int MOST_HOURS = 12;
    private static final int SECONDS_AN_HOUR = 3600;
    private static final int MOST_SIDE = 20_000;

    public FilmFile {
        if (!sha256.matches("[0-9a-f]{64}")) {
            throw Refused.because(FilmReason.FILM_HASH).at("film");
        }
        if (name.isBlank()) {
            throw Refused.because(FilmReason.FILM_NAME).at("name");
        }
        if (from.isBlank()) {
            throw Refused.because(FilmReason.FILM_FROM).at("from");
        }
        if (from.length() > LONGEST_TEXT || made.length() > LONGEST_TEXT || name.length() > LONGEST_NAME) {
            throw Refused.because(CommonReason.TEXT_LONG, Math.max(from.length(), Math.max(made.length(), name.length())),
                    from.length() > LONGEST_TEXT || made.length() > LONGEST_TEXT ? LONGEST_TEXT : LONGEST_NAME)
                    .at(from.length() > LONGEST_TEXT ? "from" : made.length() > LONGEST_TEXT ? "made" : "name");
        }
        if (bytes <= 0) {
            throw Refused.because(FilmReason.FILM_SIZE, bytes).at("film");
        }
        if (width < 0 || height < 0 || width > MOST_SIDE || height > MOST_SIDE) {
            throw Refused.because(FilmReason.FILM_SIDE, width + " × " + height).at("film");
        }
        seconds.filter(s -> s.signum() <= 0 || s.compareTo(BigDecimal.valueOf((long) MOST_HOURS * SECONDS_AN_HOUR)) > 0).ifPresent(s -> {
            throw Refused.because(FilmReason.FILM_LENGTH, s, MOST_HOURS).at("film");
        });
    }

    /** As a page says it, every part as text. @throws Refused naming the field */
    public static FilmFile typed(Map<String, String> said) {
        String bytes = said.getOrDefault("bytes", "");
        String seconds = said.getOrDefault("length", "").strip();
        if (!bytes.matches("\\d{1,15}")) {
            throw Refused.because(FilmReason.FILM_SIZE, shortened(bytes)).at("film");
        }
        if (!seconds.isEmpty() && !seconds.matches("\\d{1,9}(?:\\.\\d{1,9})?")) {
            throw Refused.because(FilmReason.FILM_LENGTH, shortened(seconds), MOST_HOURS).at("film");
        }
        String name = said.getOrDefault("name", "").strip();
        return new FilmFile(said.getOrDefault("film", ""), name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                Long.parseLong(bytes), seconds.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(seconds)),
                FrameRate.parse(said.getOrDefault("times", "")), side(said.getOrDefault("width", "")),
                side(said.getOrDefault("height", "")),
                said.getOrDefault("sound", "").equals("yes"), said.getOrDefault("from", "").strip(),
                said.getOrDefault("made", "").strip());
    }

    private static String shortened(String typed) {
        return typed.length() > 20 ? typed.substring(0, 20) : typed;
    }

    private static int side(String typed) {
        if (!typed.matches("\\d{0,6}")) {
            throw Refused.because(FilmReason.FILM_SIDE, shortened(typed)).at("film");
        }
        return typed.isEmpty() ? 0 : Integer.parseInt(typed);
    }

    /** Whether a second is in it; every one is where nobody knows its length. */
    public boolean holds(BigDecimal second) {
        return second.signum() >= 0 && seconds.map(s -> second.compareTo(s.add(BigDecimal.ONE)) <= 0).orElse(true);
    }

    public static FilmFile from(Payload p) {
        Optional<FrameRate> rate = p.has("rate")
                ? Optional.of(new FrameRate(p.decimal("rate"), p.decimal("longest"), p.flag("varies")))
                : Optional.empty();
        return new FilmFile(p.text("sha256"), p.text("name"), Long.parseLong(p.text("bytes")), p.optionalDecimal("seconds"), rate,
                p.whole("width"), p.whole("height"), p.flag("sound"), p.text("from"), p.text("made"));
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("sha256", sha256, "name", name, "bytes", String.valueOf(bytes), "width", width,
                "height", height, "sound", sound, "from", from, "made", made));
        seconds.ifPresent(s -> fields.put("seconds", s.toPlainString()));
        rate.ifPresent(r -> {
            fields.put("rate", r.perSecond().toPlainString());
            fields.put("longest", r.longest().toPlainString());
            fields.put("varies", r.varies());
        });
        return fields;
    }
}
