package tallledger.web.config;

import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.http11.Http11NioProtocol;

/**
 * Tomcat's connections, of which those are cut whose request does not arrive in time. Its own time-outs are for each read by itself: a
 * byte every few seconds holds a connection, and the thread that reads it, for as long as somebody likes.
 */
public class Connections extends Http11NioProtocol {

    private static final long LOOKED_AT_EVERY = 100;
    private static final long TAKEN_WITHIN = 120_000;
    private static final Map<BodyReading, Boolean> READINGS = new ConcurrentHashMap<>();

    private ScheduledExecutorService watch;

    /** A request that is being read. */
    static final class BodyReading {

        private final int port;
        private final int ours;
        private final long until;

        private BodyReading(ServletRequest request, long until) {
            this.port = request.getRemotePort();
            this.ours = request.getLocalPort();
            this.until = until;
        }

        void ends() {
            READINGS.remove(this);
        }
    }

    /** @param patience ms */
    static BodyReading reading(ServletRequest request, long patience) {
        BodyReading reading = new BodyReading(request, System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(patience));
        READINGS.put(reading, true);
        return reading;
    }

    @Override
    public void start() throws Exception {
        super.start();
        watch = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "slow connections");
            thread.setDaemon(true);
            return thread;
        });
        watch.scheduleWithFixedDelay(this::cutTheLate, LOOKED_AT_EVERY, LOOKED_AT_EVERY, TimeUnit.MILLISECONDS);
    }

    @Override
    public void stop() throws Exception {
        if (watch != null) {
            watch.shutdownNow();
        }
        super.stop();
    }

    /** Gives each request the means to end its connection at once. */
    static final class ConnectionEnds extends ValveBase {

        private static final String END = "tallledger.end";

        ConnectionEnds() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            request.setAttribute(END, (Runnable) () -> response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, null));
            getNext().invoke(request, response);
        }

        /** Whatever is still to come over its connection is not read; what was answered has been sent. */
        static void end(ServletRequest request) {
            ((Runnable) request.getAttribute(END)).run();
        }
    }

    private void cutTheLate() {
        long now = System.nanoTime();
        // A browser that asks where to put a download takes none of it meanwhile; a request that arrives has no such reason.
        getEndpoint().getConnections().forEach(c -> c.setWriteTimeout(TAKEN_WITHIN));
        READINGS.keySet().stream().filter(r -> r.ours == getLocalPort() && r.until <= now).forEach(late -> {
            getEndpoint().getConnections().stream().filter(c -> c.getRemotePort() == late.port).forEach(c -> c.close());
            READINGS.remove(late);
        });
    }
}
