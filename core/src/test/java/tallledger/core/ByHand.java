package tallledger.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/**
 * Lists of results that were gone through by hand, under src/test/resources/by-hand. A result that changes must be meant: what came
 * instead is left under target/by-hand, to be gone through again line by line.
 */
public final class ByHand {

    private ByHand() {
    }

    public static void check(String name, Stream<String> results) {
        List<String> lines = results.map(line -> line.replace("\n", " ").stripTrailing()).toList();
        try {
            Path came = Path.of("target/by-hand", name + ".txt");
            Files.createDirectories(came.getParent());
            Files.write(came, lines);
            assertThat(lines).containsExactlyElementsOf(Files.readAllLines(Path.of("src/test/resources/by-hand", name + ".txt")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
