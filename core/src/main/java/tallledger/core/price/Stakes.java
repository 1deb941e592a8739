package tallledger.core.price;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.Mass;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * What is at stake, as typed: in one currency, converted by nobody.
 *
 * @param asking     price asked; empty where nobody said
 * @param sound      value of a sound one of its kind; empty where the user does not know
 * @param currency   as people write it behind a figure; may be empty
 */
public record Stakes(Optional<TypedNumber> asking, Optional<TypedNumber> sound, String currency, Background background, Extra extra) {

    /**
     * What else somebody knows.
     *
     * @param mass   of the machine, as typed; {@link Mass#NONE} where nobody says
     * @param scrap  what it fetches as scrap and parts
     * @param anHour what an hour of work costs in this survey; empty for the house's rate
     */
    public record Extra(Mass mass, Optional<TypedNumber> scrap, Optional<TypedNumber> anHour) {
        public static final Extra NONE = new Extra(Mass.NONE, Optional.empty(), Optional.empty());
    }

    private static final BigDecimal MOST = new BigDecimal("100000000");
    private static final int LONGEST = 8;

    /** @throws Refused naming asking, sound, currency or background */
    public static Stakes typed(String asking, String sound, String currency, String background) {
        return typed(asking, sound, currency, background, "", "", "", LengthUnit.MM);
    }

    /**
     * As typed.
     *
     * @param mass may be empty, as scrap and anHour may
     * @param of   machine whose unit a bare mass is in: kg, or lb
     * @throws Refused naming asking, sound, currency, background, mass, scrap or anHour
     */
    public static Stakes typed(String asking, String sound, String currency, String background, String mass, String scrap, String anHour,
            LengthUnit of) {
        if (currency.strip().length() > LONGEST || currency.chars().anyMatch(Character::isDigit)) {
            throw Refused.because(PriceReason.CURRENCY, currency.strip()).at("currency");
        }
        Background from = Stream.of(Background.values()).filter(b -> b.name().equals(background)).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("background"));
        Mass weighs = mass.isBlank() ? Mass.NONE : at("mass", () -> Mass.parse(mass, of));
        return new Stakes(price(asking, "asking"), price(sound, "sound"), currency.strip(), from,
                new Extra(weighs, price(scrap, "scrap"), price(anHour, "anHour")));
    }

    private static Optional<TypedNumber> price(String text, String field) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        return Optional.of(at(field, () -> {
            TypedNumber price = TypedNumber.parsePositive(text);
            if (price.value().compareTo(MOST) > 0) {
                throw Refused.because(PriceReason.PRICE_LARGE, price.typed());
            }
            return price;
        }));
    }

    private static <T> T at(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** What the reckoning starts from: a sound one's value where it is known, else what is asked. */
    public Optional<TypedNumber> start() {
        return sound.or(() -> asking);
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> kept = new HashMap<>(Map.of("currency", currency, "background", background.name()));
        kept.put("asking", asking.map(TypedNumber::typed).orElse(""));
        kept.put("sound", sound.map(TypedNumber::typed).orElse(""));
        if (!extra.equals(Extra.NONE)) {
            kept.put("mass", extra.mass.typed());
            kept.put("scrap", extra.scrap.map(TypedNumber::typed).orElse(""));
            kept.put("anHour", extra.anHour.map(TypedNumber::typed).orElse(""));
        }
        return kept;
    }

    public static Stakes from(Payload p) {
        return typed(p.text("asking"), p.text("sound"), p.text("currency"), p.text("background"), p.optionalText("mass").orElse(""),
                p.optionalText("scrap").orElse(""), p.optionalText("anHour").orElse(""), LengthUnit.MM);
    }
}
