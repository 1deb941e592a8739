package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.Lever;
import tallledger.core.rules.Rules;
import tallledger.practice.KestrelVale;
import tallledger.web.forms.CsvRows;
import tallledger.web.forms.FormInput;

/**
 * Core's own readers are held to this in core; these are the ones that stand before them: of tables, plates, descriptions, and each field
 * of the form a machine is described in. Whatever is typed, each answers or refuses within 50 ms, or, where a whole table of 60 000 signs
 * may be pasted, within 200.
 */
class HostileFormTest {

    private static final long ALLOWED = 50;
    private static final List<String> PIECES = List.of("1", "a", " ", ",", ";", "-", "1 ", "1,", "1\n", "\n", "\t", "\"", "\",", "x ",
            "/", "1/",
            "1*", "1..", "..", ": ", "A: ", "+ ", "=", "(", "[", "]\n[", "|", "1-1 ", "m ", "\u00a0");

    private static Stream<String> texts(int length) {
        return PIECES.stream().map(piece -> piece.repeat(length / piece.length()))
                .flatMap(text -> Stream.of(text, "1" + text + "1", "a: " + text + " 1"));
    }

    private static void quick(String name, long allowed, Runnable read, List<String> slow) {
        long took = Long.MAX_VALUE;
        // A pause of the machine is no fault of the reader's.
        for (int again = 0; again < 5 && took > allowed; again++) {
            long begun = System.nanoTime();
            read.run();
            took = Math.min(took, (System.nanoTime() - begun) / 1_000_000);
        }
        if (took > allowed) {
            slow.add(name + " takes " + took + " ms");
        }
    }

    private static void throwAt(String name, long allowed, int length, Consumer<String> reader, List<String> slow) {
        texts(length).forEach(text -> quick(name + " of “" + text.substring(0, Math.min(12, text.length())) + "”, " + length, allowed,
                () -> {
                    try {
                        reader.accept(text);
                    } catch (RuntimeException refused) {
                        assertThat(refused.getMessage()).isNotNull();
                    }
                }, slow));
    }

    @Test
    void tablesAndDescriptionsAnswerAtOnce() {
        List<String> slow = new ArrayList<>();
        List<Lever> levers = List.of(new Lever("lever", List.of("A", "B", "C")), new Lever("knob", List.of("1", "2")));
        throwAt("CsvRows", 200, 60_000, CsvRows::read, slow);
        for (int length : new int[] {300, 5_000, 19_900}) {
            throwAt("PlatePaste", 200, length, text -> PlatePaste.read(text, levers), slow);
            throwAt("DescriptionText", 200, length, text -> DescriptionText.read(text, Rules.shipped()), slow);
        }
        assertThat(slow).isEmpty();
    }

    /** Every field that there is, in turn, the others as they were. */
    @Test
    void everyFieldOfTheFormAnswersAtOnce() {
        MachineDescription machine = KestrelVale.dunmarshP20().description();
        List<String> slow = new ArrayList<>();
        List<String> fields = new ArrayList<>(MachineForm.write(machine).names());
        fields.addAll(List.of("said", "list", "counted", "feedlist", "feedcounted", "threadlist", "threadLevers", "pasted", "interlocks",
                "otherSpeeds", "factors", "promised"));
        for (String field : fields.stream().distinct().filter(f -> !f.matches("(cell|claim|axis)([1-9]\\d*)(\\..*)?")).toList()) {
            for (String text : PIECES.stream().map(piece -> "1" + piece.repeat(5_000 / piece.length()) + "1").toList()) {
                quick(field + " of “" + text.substring(0, 12) + "”", 4 * ALLOWED, () -> {
                    FormInput typed = MachineForm.write(machine);
                    typed.set(field, text);
                    TakenAlong.take(typed, machine.fitOut().axes());
                    MachineForm.description(typed, Optional.of(machine), Rules.shipped());
                    assertThat(typed.errors()).isNotNull();
                }, slow);
            }
        }
        assertThat(slow).isEmpty();
    }

    /** All that take one text and nothing that would have to be made up. */
    @Test
    void everyReaderOfOneTextAnswersAtOnce() throws Exception {
        List<String> slow = new ArrayList<>();
        List<String> found = new ArrayList<>();
        for (Method method : readers()) {
            found.add(method.getDeclaringClass().getSimpleName() + "." + method.getName());
            for (int length : new int[] {300, 10_000}) {
                throwAt(found.get(found.size() - 1), ALLOWED, length, text -> call(method, text), slow);
            }
        }
        assertThat(found).contains("StageReader.labels", "ClaimFields.tied", "ChecksTable.parse", "RepairsTable.parse");
        assertThat(slow).isEmpty();
    }

    private static List<Method> readers() throws IOException, ClassNotFoundException {
        List<Method> readers = new ArrayList<>();
        Path classes = Path.of("target/classes");
        List<String> names;
        try (Stream<Path> files = Files.walk(classes.resolve("tallledger"))) {
            names = files.map(f -> classes.relativize(f).toString()).filter(f -> f.endsWith(".class"))
                    .map(f -> f.replace('/', '.').replaceAll("\\.class$", "")).sorted().toList();
        }
        for (String name : names) {
            for (Method method : Class.forName(name, false, HostileFormTest.class.getClassLoader()).getDeclaredMethods()) {
                boolean reads = Modifier.isStatic(method.getModifiers()) && !Modifier.isPrivate(method.getModifiers())
                        && !method.isSynthetic() && method.getReturnType() != void.class
                        && List.of(method.getParameterTypes()).equals(List.of(String.class));
                if (reads) {
                    method.setAccessible(true);
                    readers.add(method);
                }
            }
        }
        return readers;
    }

    private static void call(Method method, String text) {
        try {
            method.invoke(null, text);
        } catch (InvocationTargetException thrown) {
            assertThat(thrown.getCause()).as(method.getName()).isInstanceOf(RuntimeException.class);
        } catch (IllegalAccessException e) {
            throw new IllegalStateException(e);
        }
    }
}
