package tallledger.web.sharing;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tallledger.web.store.OwnerOnlyFile;

/**
 * When each device was last heard of, and how many entries it held then that it had not sent. In a small file beside the store, so that it
 * is known after a start too: no part of the record, and lost without harm.
 */
@Component
class LastHeard implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(LastHeard.class);
    private static final String FILE = "devices-last-heard.properties";
    /** Apart from what a device holds, it is written this often at most. */
    private static final Duration OFTEN = Duration.ofMinutes(1);

    /** @param kept how many entries it held then that it had not sent */
    public record Heard(Instant at, int kept) {
    }

    private final Path file;
    private final Map<String, Heard> heard = new ConcurrentHashMap<>();
    private Instant written = Instant.EPOCH;

    LastHeard(@Value("${tallledger.data}") Path data) {
        this.file = data.resolve(FILE);
        read();
    }

    private void read() {
        Properties kept = new Properties();
        try {
            if (Files.exists(file)) {
                kept.load(new StringReader(Files.readString(file)));
            }
        } catch (IOException | IllegalArgumentException bent) {
            LOG.warn("When devices were last heard of cannot be read: {}", bent.getMessage());
        }
        kept.stringPropertyNames().forEach(device -> {
            String[] said = kept.getProperty(device).split(" ");
            if (said.length == 2 && said[0].matches("\\d{1,15}") && said[1].matches("\\d{1,9}")) {
                heard.put(device, new Heard(Instant.ofEpochMilli(Long.parseLong(said[0])), Integer.parseInt(said[1])));
            }
        });
    }

    Optional<Heard> of(String device) {
        return Optional.ofNullable(heard.get(device));
    }

    void saw(String device, Instant now) {
        heard.merge(device, new Heard(now, 0), (before, seen) -> new Heard(now, before.kept));
        if (Duration.between(written, now).compareTo(OFTEN) > 0) {
            write(now);
        }
    }

    void holds(String device, int kept, Instant now) {
        Heard before = heard.put(device, new Heard(now, kept));
        // While it sends, it holds one less each time: that is not written one by one.
        boolean news = before == null || kept > before.kept || kept == 0 && before.kept > 0;
        if (news || Duration.between(written, now).compareTo(OFTEN) > 0) {
            write(now);
        }
    }

    private synchronized void write(Instant now) {
        written = now;
        Properties kept = new Properties();
        heard.forEach((device, h) -> kept.setProperty(device, h.at.toEpochMilli() + " " + h.kept));
        try (StringWriter text = new StringWriter()) {
            kept.store(text, null);
            OwnerOnlyFile.write(file, text.toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException full) {
            LOG.warn("When devices were last heard of cannot be written: {}", full.getMessage());
        }
    }

    @Override
    public void destroy() {
        if (!heard.isEmpty()) {
            write(written);
        }
    }
}
