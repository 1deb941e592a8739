package tallledger.core.ledger;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * Where in a film an entry was made from (W 4.8): nobody stood at the machine. It is said beside what the entry says, as is that one was
 * sent later.
 *
 * @param film  SHA-256 of its bytes
 * @param from  second of the film in which what is told begins
 * @param until where it ends; the same for one moment
 * @param set   second in which the picture shows what is set; empty where somebody only says so
 */
public record FilmMoment(String film, BigDecimal from, BigDecimal until, Optional<BigDecimal> set) {

    private static final String FIELD = "inFilm";
    private static final int MILLISECONDS = 3;
    private static final int SECONDS_A_MINUTE = 60;
    private static final int SECONDS_AN_HOUR = 3600;

    public FilmMoment {
        if (!film.matches("[0-9a-f]{64}")) {
            throw Refused.because(LedgerReason.MOMENT_FILM).at("form");
        }
        if (from.signum() < 0 || until.compareTo(from) < 0) {
            throw Refused.because(LedgerReason.MOMENT_BACK, shown(from), shown(until)).at("form");
        }
    }

    /** At one moment. */
    public static FilmMoment at(String film, BigDecimal second) {
        return new FilmMoment(film, second, second, Optional.empty());
    }

    /**
     * As a page says it.
     *
     * @param until empty for one moment
     * @param set   empty where nobody saw what is set
     * @throws Refused where a second is none
     */
    public static FilmMoment typed(String film, String from, String until, String set) {
        BigDecimal begins = second(from);
        return new FilmMoment(film.strip(), begins, until.isBlank() ? begins : second(until),
                set.isBlank() ? Optional.empty() : Optional.of(second(set)));
    }

    private static BigDecimal second(String typed) {
        if (!typed.strip().matches("\\d{1,6}(?:\\.\\d{1,9})?")) {
            throw Refused.because(LedgerReason.MOMENT_SECOND, typed.length() > 20 ? typed.substring(0, 20) : typed).at("form");
        }
        return new BigDecimal(typed.strip()).setScale(MILLISECONDS, RoundingMode.HALF_UP);
    }

    /** The same entry, made from there. */
    public Draft on(Draft draft) {
        Map<String, Object> payload = new HashMap<>(draft.payload());
        Map<String, Object> said = new HashMap<>(Map.of("film", film, "from", from.toPlainString(), "until", until.toPlainString()));
        set.ifPresent(s -> said.put("set", s.toPlainString()));
        payload.put(FIELD, said);
        return new Draft(draft.by(), draft.kind(), draft.step(), payload, draft.attachments(), draft.strikes());
    }

    /** Whether an entry says that it was made from a film, in a way that can be read or not. */
    public static boolean isSaid(Entry entry) {
        return entry.damage().isEmpty() && entry.draft().payload().containsKey(FIELD);
    }

    /** What an entry says of it; empty where it was made at the machine, or says it in no way that can be read. */
    public static Optional<FilmMoment> of(Entry entry) {
        try {
            if (entry.damage().isPresent() || !(entry.draft().payload().get(FIELD) instanceof Map<?, ?> said)) {
                return Optional.empty();
            }
            return Optional.of(typed((String) said.get("film"), (String) said.get("from"), (String) said.get("until"),
                    said.get("set") instanceof String set ? set : ""));
        } catch (RuntimeException bent) {
            return Optional.empty();
        }
    }

    /** h:mm:ss, or m:ss within the first hour. */
    public static String shown(BigDecimal second) {
        int s = second.intValue();
        String minutes = s / SECONDS_A_MINUTE % SECONDS_A_MINUTE + (s % SECONDS_A_MINUTE < 10 ? ":0" : ":") + s % SECONDS_A_MINUTE;
        return s < SECONDS_AN_HOUR ? minutes
                : s / SECONDS_AN_HOUR + ":" + (s / SECONDS_A_MINUTE % SECONDS_A_MINUTE < 10 ? "0" : "") + minutes;
    }

    /** Where it begins, as it is shown. */
    public String shown() {
        return shown(from);
    }

    /** Whether a second lies strictly within it. */
    public boolean holds(BigDecimal second) {
        return second.compareTo(from) > 0 && second.compareTo(until) < 0;
    }
}
