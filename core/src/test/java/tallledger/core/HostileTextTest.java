package tallledger.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.evidence.Values;
import tallledger.core.family.Family;
import tallledger.core.house.House;
import tallledger.core.measuring.Recording;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Scope;
import tallledger.core.unit.LengthUnit;

/**
 * Whatever is typed, reading it takes no time: ten thousand characters of each class are thrown at every reader there is, found by
 * reflection, and each answers or refuses within 200 ms: what a text can blow up takes seconds.
 */
class HostileTextTest {

    private static final int LONG = 10_000;
    private static final long ALLOWED = 200;
    private static final List<String> PIECES = List.of("1", "a", " ", ",", ".", "-", "1 ", "a ", "- ", "; ", "/", "1/", "1-", "11-", ":",
            "1:",
            "\n", "1\n", "1,", "x", "1 x ", "µ", "\"", "'", "±", "%", "e", "1e", "(", "\t", "=", "to ", "v", "|", "\u00a0", "\u2212");
    private static final List<String> TEXTS = PIECES.stream().flatMap(piece -> around(piece, LONG)).toList();
    /** As long as readers still take: a guard that refuses the longest says nothing of what it lets through. */
    private static final List<String> SHORTER = Stream.of(190, 990, 3_900, 5_900).flatMap(length -> PIECES.stream()
            .flatMap(piece -> around(piece, length))).toList();

    private static Stream<String> around(String piece, int length) {
        String text = piece.repeat(length / piece.length());
        return Stream.of(text, "1" + text, text + "1", "a" + text + "b", "1 " + text + " mm");
    }

    private record Reader(String name, java.util.function.Consumer<String> read) {
    }

    @Test
    void everyReaderAnswersAtOnce() throws Exception {
        List<Reader> readers = new ArrayList<>(statics());
        readers.addAll(records());
        assertThat(readers).hasSizeGreaterThan(60);
        List<String> slow = new ArrayList<>();
        long longest = 0;
        String which = "";
        for (Reader reader : readers) {
            for (String text : Stream.concat(TEXTS.stream(), SHORTER.stream()).toList()) {
                long took = took(reader, text);
                for (int again = 0; took > longest && again < 4; again++) {
                    // A pause of the machine is no fault of the reader's.
                    took = Math.min(took, took(reader, text));
                }
                if (took > longest) {
                    longest = took;
                    which = reader.name;
                }
                if (took > ALLOWED) {
                    slow.add(reader.name + " takes " + took + " ms for “" + text.substring(0, 12) + "”, " + text.length() + " signs");
                    break;
                }
            }
        }
        System.out.printf("%d readers of typed text; the longest answer: %d ms, %s%n", readers.size(), longest, which);
        assertThat(slow).isEmpty();
    }

    private static long took(Reader reader, String text) {
        long begun = System.nanoTime();
        reader.read.accept(text);
        return (System.nanoTime() - begun) / 1_000_000;
    }

    /** Public static methods of core that take a text first and whose other arguments can be made up. */
    private static List<Reader> statics() throws IOException, ClassNotFoundException {
        List<Reader> readers = new ArrayList<>();
        Path classes = Path.of("target/classes");
        List<String> names;
        try (Stream<Path> files = Files.walk(classes)) {
            names = files.map(f -> classes.relativize(f).toString()).filter(f -> f.endsWith(".class") && !f.contains("package-info"))
                    .map(f -> f.replace('/', '.').replaceAll("\\.class$", "")).sorted().toList();
        }
        for (String name : names) {
            Class<?> type = Class.forName(name, false, HostileTextTest.class.getClassLoader());
            for (Method method : type.getDeclaredMethods()) {
                if (Modifier.isStatic(method.getModifiers()) && !method.isSynthetic() && method.getParameterCount() > 0
                        && method.getParameterTypes()[0] == String.class && Modifier.isPublic(type.getModifiers())
                        && Modifier.isPublic(method.getModifiers())) {
                    arguments(method).ifPresent(others -> readers.add(new Reader(type.getSimpleName() + "." + method.getName(),
                            text -> call(method, others, text))));
                }
            }
        }
        return readers;
    }

    private static void call(Method method, Object[] others, String text) {
        Object[] arguments = others.clone();
        Class<?>[] types = method.getParameterTypes();
        for (int i = 0; i < arguments.length; i++) {
            arguments[i] = types[i] == String.class ? text : arguments[i];
        }
        try {
            method.invoke(null, arguments);
        } catch (InvocationTargetException thrown) {
            // Some read only what the application wrote; what matters here is that no stack and no minute is used up.
            assertThat(thrown.getCause()).as("%s.%s", method.getDeclaringClass().getSimpleName(), method.getName())
                    .isInstanceOf(RuntimeException.class);
        } catch (IllegalAccessException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Optional<Object[]> arguments(Method method) {
        Object[] made = new Object[method.getParameterCount()];
        Type[] generic = method.getGenericParameterTypes();
        for (int i = 0; i < made.length; i++) {
            Class<?> type = method.getParameterTypes()[i];
            Object one = type == String.class ? ""
                    : type.isEnum() ? type.getEnumConstants()[0]
                            : type == int.class ? (Object) 1
                                    : type == boolean.class ? (Object) false
                                            : type == BigDecimal.class ? BigDecimal.ONE
                                                    : type == Optional.class ? Optional.empty()
                                                            : type == Rules.class ? Rules.shipped()
                                                                    : type == House.class ? House.shipped(List.of())
                                                                            : type == List.class && generic[i] instanceof ParameterizedType
                                                                                    ? List.of()
                                                                                    : type == Map.class ? Map.of() : null;
            if (one == null) {
                return Optional.empty();
            }
            made[i] = one;
        }
        return Optional.of(made);
    }

    /** Each field of each way of recording, with a plausible figure in the others. */
    private static List<Reader> records() {
        Map<String, Recording<?>> ways = new HashMap<>();
        for (Family family : Family.values()) {
            new SurveyBook(Machines.twelve(family, LengthUnit.MM), Scope.WHOLE, 1).ledger().steps()
                    .forEach(step -> ways.putIfAbsent(step.recording().getClass().getName() + step.recording().code(), step.recording()));
        }
        List<Reader> readers = new ArrayList<>();
        Set<String> seen = new TreeSet<>();
        ways.values().forEach(way -> way.fields().forEach(field -> {
            if (seen.add(way.code() + " " + field.name())) {
                readers.add(new Reader(way.code() + " " + field.name(), text -> read(way, field.name(), text)));
            }
        }));
        return readers;
    }

    private static void read(Recording<?> way, String field, String text) {
        Map<String, String> typed = new HashMap<>();
        way.fields().forEach(f -> typed.put(f.name(), f.choices().isEmpty() ? "1" : f.choices().get(0).name()));
        typed.put(field, text);
        try {
            way.read(new Values(typed, LengthUnit.MM));
        } catch (Refused refused) {
            assertThat(refused.reason()).isNotNull();
        } catch (StackOverflowError deep) {
            throw new AssertionError(way.code() + " " + field + " uses up the stack", deep);
        }
    }
}
