package tallledger.web.words;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.context.NoSuchMessageException;
import org.springframework.stereotype.Component;
import tallledger.core.drive.DriveTrain;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Kind;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Task;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;
import tallledger.web.cache.Memo;

/** Turns core's reasons into sentences from {@code messages.properties}. */
@Component("words")
public class Words {

    private static final MathContext THREE = new MathContext(3);

    private static final int MOST_KEPT = 6_000;

    private final MessageSource messages;
    /** A page says the same again at every look, and a sentence costs more than to find it. */
    private final Memo<Reason, String> said = new Memo<>(MOST_KEPT, this::sentence);

    Words(MessageSource messages) {
        this.messages = messages;
    }

    /** The sentence for a reason; a nested reason is worded first. */
    public String say(Reason reason) {
        return said.of(reason);
    }

    private String sentence(Reason reason) {
        Object[] arguments = reason.arguments().stream().map(this::worded).toArray();
        return messages.getMessage(reason.code(), arguments, Locale.ROOT);
    }

    /** A reason that a record kept: a release may say it in other words since, or not at all; then its code and figures stand for it. */
    public String kept(Reason reason) {
        try {
            return say(reason);
        } catch (NoSuchMessageException | IllegalArgumentException older) {
            return reason.code() + " " + joined(reason.arguments().stream().map(String::valueOf).toList());
        }
    }

    public String say(String code, Object... arguments) {
        return say(Reason.named(code, arguments));
    }

    /** A short word where there is one, else the whole. */
    public String shortly(String code, Reason whole) {
        String brief = messages.getMessage(code, null, "", Locale.ROOT);
        return brief.isEmpty() ? say(whole) : brief;
    }

    /** A figure of core in the unit of a machine: "1.97 thou", "0.05 mm". */
    public String in(LengthUnit machine, BigDecimal value, Unit unit) {
        return say(InUnit.of(Quantity.of(value, unit), machine));
    }

    /** A reckoned figure of core to three digits in the unit of a machine. */
    public String quantity(LengthUnit machine, double value, Unit unit) {
        return in(machine, new BigDecimal(value).round(THREE), unit);
    }

    /** An amount to the whole unit of its currency, which stands before it where it is a sign and behind it where it is letters. */
    public String money(double amount, String currency) {
        String whole = Figures.plain(BigDecimal.valueOf(amount).setScale(0, java.math.RoundingMode.HALF_UP));
        return withCurrency(whole, currency);
    }

    /** A sign stands before the figure, letters behind it. */
    public static String withCurrency(String figure, String currency) {
        return currency.isEmpty() ? figure
                : currency.chars().anyMatch(Character::isLetter) ? figure + "\u00a0" + currency : currency + figure;
    }

    /** What is offered: an amount; where nothing is safe to offer, that in words, never a bare nought. */
    public String offer(double amount, String currency) {
        return amount < 0.5 ? say("money.none-yet") : money(amount, currency);
    }

    /** A reckoned figure to three digits. */
    public String figure(double value) {
        return Figures.plain(new BigDecimal(value).round(THREE));
    }

    /** What a field of a form is called; one without words by its own name. */
    public String field(String name) {
        return messages.getMessage("field." + name, null, name, Locale.ROOT);
    }

    /** What a step or a speed is called. */
    public String name(Task task, DriveTrain train) {
        return String.valueOf(worded(task.name(train)));
    }

    /** What was recorded; a newer description may not have the speed any more. */
    public String recorded(Recording recording, DriveTrain train) {
        return recording.isOfRoom() ? say("sound.of-room")
                : train.routeByKey(recording.task()).map(train::name).orElseGet(() -> say("sound.of-gone"));
    }

    /** The word for a constant, such as {@code Severity.SOON}. */
    public String of(Enum<?> constant) {
        return messages.getMessage(constant.getDeclaringClass().getSimpleName() + "." + constant.name(), null, Locale.ROOT);
    }

    /** A kind of entry; one that this version does not know by its own name. */
    public String kind(String name) {
        return Kind.named(name).map(this::of).orElse(name);
    }

    private Object worded(Object argument) {
        if (argument instanceof Reason nested) {
            return say(nested);
        } else if (argument instanceof BigDecimal number) {
            return Figures.plain(number);
        } else if (argument instanceof Shown shown) {
            return Figures.shown(shown);
        } else if (argument instanceof Quantity quantity) {
            return say(InUnit.of(quantity, LengthUnit.MM));
        } else if (argument instanceof Enum<?> constant) {
            return of(constant);
        } else if (argument instanceof List<?> list) {
            return joined(list.stream().map(item -> String.valueOf(worded(item))).toList());
        }
        return argument;
    }

    /** Sentences follow each other; anything else is parted by commas. */
    private static String joined(List<String> parts) {
        StringBuilder joined = new StringBuilder();
        for (String part : parts) {
            joined.append(joined.isEmpty() ? "" : joined.charAt(joined.length() - 1) == '.' ? " " : ", ").append(part);
        }
        return joined.toString();
    }
}
