package tallledger.core.kit;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * One piece of kit, or one paper.
 *
 * @param name     what it is
 * @param state    where it stands
 * @param promised who promised it, empty where nobody did
 * @param choice   name of the group it belongs to where only one of several is to be had; empty otherwise
 * @param cost     to replace it, in the user's money
 * @param until    the day a warranty ends or an awaited one comes
 * @param note     anything else
 * @param count    how many of it there are, where somebody counted
 * @param warranty what is promised for it, as it is said: "two years", "parts only"; empty where nothing is
 */
public record KitItem(String name, State state, String promised, String choice, Optional<BigDecimal> cost, Optional<LocalDate> until,
        String note, Optional<Integer> count, String warranty) {

    public static final int LONGEST = 120;

    public enum State { NOT_LOOKED_FOR, SEEN, MISSING, AWAITED }

    public KitItem {
        name = name.strip();
        promised = promised.strip();
        choice = choice.strip();
        note = note.strip();
        warranty = warranty.strip();
        if (name.isEmpty()) {
            throw Refused.because(KitReason.KIT_NAME).at("name");
        }
        for (var field : Map.of("name", name, "promised", promised, "choice", choice, "note", note, "warranty", warranty).entrySet()) {
            if (field.getValue().length() > LONGEST) {
                throw Refused.because(CommonReason.TEXT_LONG, field.getValue().length(), LONGEST).at(field.getKey());
            }
        }
        cost.filter(c -> c.signum() < 0).ifPresent(c -> {
            throw Refused.because(KitReason.KIT_COST, c).at("cost");
        });
    }

    /** One that nobody counted. */
    public static KitItem parse(String name, State state, String promised, String choice, String cost, String until, String note) {
        return parse(name, state, promised, choice, cost, until, note, "", "");
    }

    public static KitItem parse(String name, State state, String promised, String choice, String cost, String until, String note,
            String count, String warranty) {
        return new KitItem(name, state, promised, choice, cost.isBlank() ? Optional.empty() : Optional.of(amount(cost)), date(until), note,
                count.isBlank() ? Optional.empty() : Optional.of(counted(count.strip())), warranty);
    }

    /** The same in another state. */
    public KitItem in(State other) {
        return new KitItem(name, other, promised, choice, cost, until, note, count, warranty);
    }

    private static int counted(String typed) {
        if (!typed.matches("\\d{1,4}") || typed.matches("0+")) {
            throw Refused.because(KitReason.KIT_COUNTED, typed).at("count");
        }
        return Integer.parseInt(typed);
    }

    private static BigDecimal amount(String typed) {
        try {
            return TypedNumber.parse(typed).value();
        } catch (Refused refused) {
            throw refused.at("cost");
        }
    }

    private static Optional<LocalDate> date(String typed) {
        try {
            return typed.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(typed.strip()));
        } catch (DateTimeParseException e) {
            throw Refused.because(KitReason.KIT_UNTIL, typed).at("until");
        }
    }

    public boolean isPromised() {
        return !promised.isEmpty();
    }

    /** Whether its date is past: an awaited one is overdue, a warranty has run out. */
    public boolean isPast(LocalDate today) {
        return until.filter(u -> u.isBefore(today)).isPresent();
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("name", name, "state", state.name(), "promised", promised, "choice", choice,
                "note", note));
        cost.ifPresent(c -> fields.put("cost", c.toPlainString()));
        until.ifPresent(u -> fields.put("until", u.toString()));
        count.ifPresent(c -> fields.put("count", String.valueOf(c)));
        if (!warranty.isEmpty()) {
            fields.put("warranty", warranty);
        }
        return fields;
    }

    public static KitItem from(Payload p) {
        return parse(p.text("name"), State.valueOf(p.text("state")), p.text("promised"), p.text("choice"),
                p.optionalText("cost").orElse(""), p.optionalText("until").orElse(""), p.text("note"),
                p.optionalText("count").orElse(""), p.optionalText("warranty").orElse(""));
    }
}
