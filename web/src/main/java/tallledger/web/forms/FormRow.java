package tallledger.web.forms;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** One row of a form's table: its fields are called by the row, such as {@code claim2.value}. */
public record FormRow(FormInput typed, String name) {

    /** What a field of it is called in the whole form. */
    public String field(String part) {
        return name + "." + part;
    }

    public String get(String part) {
        return typed.get(field(part));
    }

    public boolean has(String part) {
        return typed.has(field(part));
    }

    /** Whether anything stands in one of these fields. */
    public boolean hasAny(String... parts) {
        return List.of(parts).stream().anyMatch(this::has);
    }

    public void set(String part, String value) {
        typed.set(field(part), value);
    }

    public <E extends Enum<E>> Optional<E> choice(String part, Class<E> type) {
        return typed.choice(field(part), type);
    }

    /** A constant by name where one was chosen; else this. */
    public <E extends Enum<E>> E choiceOr(String part, Class<E> type, E otherwise) {
        return has(part) ? choice(part, type).orElse(otherwise) : otherwise;
    }

    public <T> Optional<T> attempt(String part, Supplier<T> factory) {
        return typed.attempt(field(part), factory);
    }
}
