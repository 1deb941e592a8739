package tallledger.web.words;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Times as people here read them. */
@Component("clocks")
public class Clocks {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm:ss", Locale.ENGLISH);

    public String at(Instant instant) {
        return TIME.format(instant.atZone(ZoneId.systemDefault()));
    }
}
