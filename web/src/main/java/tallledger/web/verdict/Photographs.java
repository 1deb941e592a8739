package tallledger.web.verdict;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.extend.FSStreamFactory;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;
import tallledger.web.works.Progress;

/**
 * Photographs of a report, read one after the other as its pages are laid out, so that they never stand in the memory all at once; each is
 * a step of the work.
 */
final class Photographs implements FSStreamFactory {

    static final String PROTOCOL = "photograph";
    /** Of the whole work: pages are text up to here, and written from there. */
    private static final double FIRST = 0.1;
    private static final double LAST = 0.9;

    /** A picture of one point, which nobody will see: the pages are thrown away. */
    private static final byte[] NOTHING = Base64.getDecoder()
            .decode("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg==");

    private final Function<String, Optional<byte[]>> kept;
    private final int all;
    private final Progress progress;
    private final Set<String> read = new HashSet<>();
    private boolean stopped;

    /** @param kept bytes by hash @param all how many there are */
    Photographs(Function<String, Optional<byte[]>> kept, int all, Progress progress) {
        this.kept = kept;
        this.all = all;
        this.progress = progress;
    }

    static Photographs none() {
        return new Photographs(hash -> Optional.empty(), 0, Progress.unwatched());
    }

    /** As the page names it. */
    static String address(String sha256) {
        return PROTOCOL + ":" + sha256;
    }

    void begun() {
        progress.at(FIRST, Reason.of(WebReason.WORK_LAYS_OUT));
    }

    /** What draws the pages swallows whatever is thrown in it. */
    void laidOut() {
        progress.at(LAST, Reason.of(WebReason.WORK_WRITES));
    }

    @Override
    public FSStream getUrl(String address) {
        byte[] bytes = stopped ? NOTHING : bytes(address.substring(address.indexOf(':') + 1));
        return new FSStream() {
            @Override
            public InputStream getStream() {
                return new ByteArrayInputStream(bytes);
            }

            @Override
            public Reader getReader() {
                return new InputStreamReader(getStream(), StandardCharsets.UTF_8);
            }
        };
    }

    private byte[] bytes(String sha256) {
        read.add(sha256);
        try {
            progress.at(FIRST + (LAST - FIRST) * Math.min(1.0, read.size() / (double) Math.max(all, 1)),
                    Reason.of(WebReason.WORK_PHOTOGRAPHS, Math.min(read.size(), all), all));
        } catch (Progress.StoppedException stop) {
            stopped = true;
            return NOTHING;
        }
        return kept.apply(sha256).orElse(new byte[0]);
    }
}
