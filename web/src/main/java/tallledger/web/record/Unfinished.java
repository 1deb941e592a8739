package tallledger.web.record;

import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Files that are being made, to be taken away and deleted. They lie beside the data, where there is room if there is any; what a hard stop
 * left of them is cleared at the next start.
 */
@Component
public class Unfinished {

    private static final String PREFIX = "unfinished-";

    private final Path data;

    public Unfinished(@Value("${tallledger.data}") Path data) {
        this.data = data;
    }

    /** A new file, empty; whoever asked deletes it. */
    public Path file(String suffix) throws IOException {
        return Files.createTempFile(data, PREFIX, suffix);
    }

    /** What a hard stop left; before anybody can ask for a new one. */
    @PostConstruct
    void clear() throws IOException {
        try (DirectoryStream<Path> left = Files.newDirectoryStream(data, PREFIX + "*")) {
            for (Path file : left) {
                Files.deleteIfExists(file);
            }
        }
    }
}
