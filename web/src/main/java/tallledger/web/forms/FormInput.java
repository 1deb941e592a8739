package tallledger.web.forms;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import tallledger.core.ledger.PlainText;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * What was typed into a form, kept whatever happens, and what was wrong with it, field by field. Core's factories refuse
 * nonsense; {@link #attempt} puts the refusal beside the field and the page shows both again.
 */
public class FormInput {

    private final MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
    private final Map<String, Reason> errors = new LinkedHashMap<>();
    private LengthUnit unit = LengthUnit.MM;

    public static FormInput blank() {
        return new FormInput();
    }

    public static FormInput of(MultiValueMap<String, String> fields) {
        FormInput typed = new FormInput();
        typed.fields.addAll(fields);
        typed.in(typed.get("unit").equals(LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM);
        typed.fields.forEach((name, values) -> values.stream().flatMap(value -> PlainText.fault(value).stream()).findFirst()
                .ifPresent(fault -> typed.refuse(name, fault)));
        return typed;
    }

    /** The same text with a clean slate, to look at one part of the form on its own. */
    public FormInput withoutErrors() {
        FormInput same = new FormInput();
        same.fields.addAll(fields);
        same.unit = unit;
        return same;
    }

    /** What is wrong is said in the unit of this machine. */
    public void in(LengthUnit machine) {
        unit = machine;
    }

    /** The text of a field, empty when it was not sent. */
    public String get(String name) {
        return Optional.ofNullable(fields.getFirst(name)).orElse("");
    }

    public boolean has(String name) {
        return !get(name).isBlank();
    }

    /** Whether the form had this field at all, be it empty. */
    public boolean isSent(String name) {
        return fields.containsKey(name);
    }

    /** Fields the form had, in order. */
    public List<String> names() {
        return List.copyOf(fields.keySet());
    }

    public List<String> all(String name) {
        return fields.getOrDefault(name, List.of());
    }

    /** Whether a check box or radio of this name holds a value. */
    public boolean holds(String name, String value) {
        return all(name).contains(value);
    }

    public void set(String name, String value) {
        fields.set(name, value);
    }

    /** One more value of a field that holds several. */
    public void add(String name, String value) {
        fields.add(name, value);
    }

    public void remove(String name) {
        fields.remove(name);
    }

    public void refuse(String field, Reason reason) {
        errors.putIfAbsent(field, reason);
    }

    /** Runs a factory; a refusal is noted at the field it names, else at this one, and gives nothing. */
    public <T> Optional<T> attempt(String field, Supplier<T> factory) {
        try {
            return Optional.of(factory.get());
        } catch (Refused refused) {
            refuse(refused.field().orElse(field), refused.reason());
            return Optional.empty();
        }
    }

    /** A constant by name; a forged or missing name is refused like any other slip. */
    public <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
        Optional<E> found = Stream.of(type.getEnumConstants()).filter(c -> c.name().equals(get(field))).findFirst();
        if (found.isEmpty()) {
            refuse(field, Reason.of(CommonReason.CHOICE_UNKNOWN));
        }
        return found;
    }

    public Reason error(String field) {
        return errors.containsKey(field) ? InUnit.of(errors.get(field), unit) : null;
    }

    public boolean isWrong(String field) {
        return errors.containsKey(field);
    }

    public boolean isClean() {
        return errors.isEmpty();
    }

    public Map<String, Reason> errors() {
        Map<String, Reason> said = new LinkedHashMap<>();
        errors.forEach((field, why) -> said.put(field, InUnit.of(why, unit)));
        return said;
    }

    public int wholeOr(String field, int otherwise) {
        return get(field).matches("\\d{1,9}") ? Integer.parseInt(get(field)) : otherwise;
    }
}
