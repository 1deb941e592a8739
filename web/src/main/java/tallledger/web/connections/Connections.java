package tallledger.web.connections;

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

    /** Under which the page that answers is told why something was refused before it was read. */
    public static final String WHY = "tallledger.sorry";
    private static final long LOOKED_AT_EVERY = 100;
    private static final long TO_END = TimeUnit.SECONDS.toNanos(1);
    private static final long TAKEN_WITHIN = 120_000;
    private static final Map<BodyReading, Boolean> READINGS = new ConcurrentHashMap<>();

    private ScheduledExecutorService watch;

    /** A request that is being read or answered. */
    public static final class BodyReading {

        private final int port;
        private final int ours;
        private final String whose;
        private final long began = System.nanoTime();
        /** Since it began, ns. */
        private volatile long within;
        private volatile Runnable ending;

        private BodyReading(ServletRequest request, String whose, long within) {
            this.port = request.getRemotePort();
            this.ours = request.getLocalPort();
            this.whose = whose;
            this.within = within;
        }

        public void ends() {
            READINGS.remove(this);
        }

        /** How an answer that goes on for long is ended, so that its server does not wait for it; the connection is cut a moment later. */
        public void endedBy(Runnable end) {
            ending = end;
        }

        private void cut() {
            Runnable end = ending;
            if (end != null) {
                end.run();
                within = System.nanoTime() - began + TO_END;
            } else {
                within = 0;
            }
        }

        private boolean isLate(long now) {
            return now - began >= within;
        }
    }

    /** @param patience ms */
    public static BodyReading reading(ServletRequest request, long patience) {
        return kept(new BodyReading(request, "", TimeUnit.MILLISECONDS.toNanos(patience)));
    }

    /** A request of somebody who may have to go before it is answered. */
    public static BodyReading of(ServletRequest request, String whose) {
        return kept(new BodyReading(request, whose, Long.MAX_VALUE));
    }

    private static BodyReading kept(BodyReading reading) {
        READINGS.put(reading, true);
        return reading;
    }

    /** Cuts whatever somebody is sending or being sent. */
    public static void cut(String whose) {
        READINGS.keySet().stream().filter(r -> r.whose.equals(whose)).forEach(BodyReading::cut);
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
    public static final class ConnectionEnds extends ValveBase {

        private static final String END = "tallledger.end";

        public ConnectionEnds() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            request.setAttribute(END, (Runnable) () -> response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, null));
            getNext().invoke(request, response);
        }

        /** Whatever is still to come over its connection is not read; what was answered has been sent. */
        public static void end(ServletRequest request) {
            ((Runnable) request.getAttribute(END)).run();
        }
    }

    private void cutTheLate() {
        long now = System.nanoTime();
        // A browser that asks where to put a download takes none of it meanwhile; a request that arrives has no such reason.
        getEndpoint().getConnections().forEach(c -> c.setWriteTimeout(TAKEN_WITHIN));
        READINGS.keySet().stream().filter(r -> r.ours == getLocalPort() && r.isLate(now)).forEach(late -> {
            getEndpoint().getConnections().stream().filter(c -> c.getRemotePort() == late.port).forEach(c -> c.close());
            READINGS.remove(late);
        });
    }
}
