package tallledger.web.store;

import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/**
 * Files that are being made, to be taken away and deleted. They lie beside the data, where there is room if there is any; what a hard stop
 * left of them is cleared at the next start.
 */
@Component
public class Unfinished {

    private static final String PREFIX = "unfinished-";
    /** Folders named in application.properties: where the server keeps its own, in use already, and where what is uploaded arrives. */
    private static final String SERVER = PREFIX + "server";
    private static final String UPLOADS = PREFIX + "uploads";

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
                if (!file.endsWith(SERVER)) {
                    FileSystemUtils.deleteRecursively(file);
                }
            }
        }
        Files.createDirectories(data.resolve(UPLOADS));
    }
}
