package tallledger.web.sharing;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tallledger.core.house.Device;
import tallledger.web.connections.Connections;
import tallledger.web.forms.AuthorCookie;

/**
 * Who comes in from the network. Whoever is not let in gets the page that asks for a code, and nothing else; a device gets what its scope
 * holds. What it sends is written by its own author, whatever the form says. This computer itself, at its own port, passes.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DeviceGate extends OncePerRequestFilter {

    static final String COOKIE = "device";
    /** Under which pages find the device that asks. */
    static final String DEVICE = "tallledger.device";
    /** Said of a request by somebody who is not let in: what answers it shows nothing. */
    static final String STRANGER = "tallledger.stranger";
    static final String PAIR = "/pair";
    private static final String KEPT = "X-Kept-Left";
    private static final Set<String> READING = Set.of("GET", "HEAD");
    private static final int MISDIRECTED = 421;
    /** What pages are made of. */
    private static final List<String> MADE_OF = List.of("/css/", "/js/", "/fonts/", "/favicon", "/alive", "/sorry/", "/screen",
            "/service-worker.js", "/tall-ledger.webmanifest", "/icon");
    /** What is done at the computer alone: who is let in, and what holds its key. */
    private static final List<String> HERE_ONLY = List.of("/house/sharing", "/house/backup", "/missing", "/example");

    private final Sharing sharing;
    /** Asked for late: the server is set up before the store is opened. */
    private final ObjectProvider<Devices> devices;

    DeviceGate(Sharing sharing, ObjectProvider<Devices> devices) {
        this.sharing = sharing;
        this.devices = devices;
    }

    private static boolean isShared(HttpServletRequest request) {
        return Sharing.SCHEME.equals(request.getScheme());
    }

    /** The device that asks; empty for this computer itself. */
    public static Optional<Device> asking(HttpServletRequest request) {
        return Optional.ofNullable((Device) request.getAttribute(DEVICE));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!isShared(request) && !(sharing.isOurs(request.getServerName()) && !Sharing.isItself(request.getServerName()))) {
            chain.doFilter(request, response);
        } else if (!isShared(request) || !sharing.isOurs(request.getServerName()) || !isLocal(request.getLocalAddr())) {
            ended(request, response, MISDIRECTED);
        } else {
            shared(request, response, chain);
        }
    }

    private void shared(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
        Optional<Device> device = secret(request).flatMap(s -> devices.getObject().of(s));
        String path = request.getServletPath();
        boolean pairs = path.equals(PAIR) || path.startsWith(PAIR + "/");
        if (device.isEmpty() && !pairs) {
            if (READING.contains(request.getMethod())) {
                response.setHeader("Cache-Control", "no-store");
                response.sendRedirect(PAIR);
            } else {
                ended(request, response, HttpServletResponse.SC_FORBIDDEN);
            }
            return;
        }
        if (device.isEmpty()) {
            request.setAttribute(STRANGER, true);
            chain.doFilter(request, response);
            return;
        }
        kept(request).ifPresentOrElse(kept -> devices.getObject().holds(device.get(), kept), () -> devices.getObject().saw(device.get()));
        request.setAttribute(DEVICE, device.get());
        request.setAttribute(AuthorCookie.GIVEN, device.get().author().written());
        if (!pairs) {
            refused(device.get(), request.getMethod(), path).ifPresent(why -> request.setAttribute(Connections.WHY, why));
        }
        Connections.BodyReading going = Connections.of(request, device.get().id());
        try {
            chain.doFilter(new WrittenBy(request, device.get().author().written()), response);
        } finally {
            endWith(request, going);
        }
    }

    /** How many entries it says it holds that it has not sent. */
    private static Optional<Integer> kept(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(KEPT)).filter(said -> said.matches("\\d{1,6}")).map(Integer::parseInt);
    }

    /** What goes on after the filters are through ends later. */
    private static void endWith(HttpServletRequest request, Connections.BodyReading going) {
        if (!request.isAsyncStarted()) {
            going.ends();
            return;
        }
        AsyncContext answer = request.getAsyncContext();
        going.endedBy(answer::complete);
        answer.addListener(new AsyncListener() {
            @Override
            public void onComplete(AsyncEvent event) {
                going.ends();
            }

            @Override
            public void onTimeout(AsyncEvent event) {
                going.ends();
            }

            @Override
            public void onError(AsyncEvent event) {
                going.ends();
            }

            @Override
            public void onStartAsync(AsyncEvent event) {
                event.getAsyncContext().addListener(this);
            }
        });
    }

    /** What a device may not; empty where it may. */
    static Optional<String> refused(Device device, String method, String path) {
        if (MADE_OF.stream().anyMatch(path::startsWith)) {
            return Optional.empty();
        }
        if (HERE_ONLY.stream().anyMatch(path::startsWith)) {
            return Optional.of("sorry.device-here");
        }
        String own = "/surveys/" + device.survey().map(String::valueOf).orElse("");
        if (device.survey().isPresent() && !path.equals(own) && !path.startsWith(own + "/")) {
            return Optional.of("sorry.device-scope");
        }
        return device.writes() || READING.contains(method) ? Optional.empty() : Optional.of("sorry.device-reads");
    }

    private static Optional<String> secret(HttpServletRequest request) {
        return Stream.of(Optional.ofNullable(request.getCookies()).orElse(new Cookie[0])).filter(c -> c.getName().equals(COOKIE))
                .map(Cookie::getValue).findFirst();
    }

    private static boolean isLocal(String address) {
        try {
            InetAddress ours = InetAddress.getByName(address);
            return ours.isLoopbackAddress() || LocalAddresses.isLocal(ours);
        } catch (UnknownHostException none) {
            return false;
        }
    }

    /** Nothing is said, and nothing more is read. */
    private static void ended(HttpServletRequest request, HttpServletResponse response, int status) throws IOException {
        response.setStatus(status);
        response.setHeader("Connection", "close");
        response.flushBuffer();
        Connections.ConnectionEnds.end(request);
    }

    /** After the whole of a request has arrived: whoever was put out meanwhile has sent it in vain. */
    public final class StillIn extends OncePerRequestFilter {

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            if (asking(request).filter(d -> !devices.getObject().isIn(d)).isPresent()) {
                ended(request, response, HttpServletResponse.SC_FORBIDDEN);
            } else {
                chain.doFilter(request, response);
            }
        }
    }

    public StillIn stillIn() {
        return new StillIn();
    }

    /** The author of what a device sends is the device's: a name that was put into the form on its way does not count. */
    private static final class WrittenBy extends HttpServletRequestWrapper {

        private static final String FIELD = "author";
        private final String author;

        private WrittenBy(HttpServletRequest request, String author) {
            super(request);
            this.author = author;
        }

        @Override
        public String getParameter(String name) {
            String given = super.getParameter(name);
            return given != null && name.equals(FIELD) ? author : given;
        }

        @Override
        public String[] getParameterValues(String name) {
            String[] given = super.getParameterValues(name);
            return given != null && name.equals(FIELD) ? Arrays.stream(given).map(g -> author).toArray(String[]::new) : given;
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> given = new HashMap<>(super.getParameterMap());
            given.computeIfPresent(FIELD, (name, values) -> getParameterValues(name));
            return given;
        }
    }
}
