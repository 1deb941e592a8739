package tallledger.web.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Collections;
import java.util.Enumeration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.WebUtils;
import tallledger.web.connections.Connections;

/**
 * What is sent here, looked at before any of it is read: from a page of this application and of no other, no larger than what it is for,
 * of a length that is said. Then it is read to its end, of so many at once and within so much time: whoever sends a byte now and then
 * keeps nobody else waiting.
 */
final class Arriving extends OncePerRequestFilter {

    /** Largest bodies, bytes: a form, a photograph or a table with its form, a short film, an archive to be checked. */
    static final long A_FORM = 1_048_576;
    static final long A_FILE = 16L * 1024 * 1024;
    static final long A_FILM = 61L * 1024 * 1024;
    static final long A_SOUND = 21L * 1024 * 1024;
    static final long AN_ARCHIVE = 701L * 1024 * 1024;
    /** Of the threads that answer, so many may be reading at a time; the others show pages. */
    private static final int AT_ONCE = 100;
    private static final int LARGE_AT_ONCE = 4;
    /** So much of what is refused is read to its end. */
    private static final long MOST_THROWN_AWAY = 256L * 1024 * 1024;
    /** Slower than this over the whole is too slow, bytes a second. */
    private static final long SLOWEST = 500_000;
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");
    private static final Set<String> OWN = Set.of("same-origin", "none");

    private final Semaphore places = new Semaphore(AT_ONCE);
    private final Semaphore largePlaces = new Semaphore(LARGE_AT_ONCE);
    private final long patience;

    /** @param patience longest time for a form to arrive, ms */
    Arriving(long patience) {
        this.patience = patience;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (READING.contains(request.getMethod())) {
            Optional<Refusal> notShown = ofDevice(request);
            if (notShown.isPresent()) {
                answer(notShown.get(), request, response);
            } else {
                chain.doFilter(request, response);
            }
            return;
        }
        Optional<Refusal> refused = refused(request);
        Semaphore place = request.getContentLengthLong() > A_FILE ? largePlaces : places;
        if (!place.tryAcquire()) {
            answer(refused.orElse(new Refusal(HttpServletResponse.SC_SERVICE_UNAVAILABLE, "sorry.busy")), request, response);
            // The server would read to the end what is refused, for as long as that takes.
            Connections.ConnectionEnds.end(request);
            return;
        }
        try {
            if (refused.isPresent()) {
                answer(refused.get(), request, response);
            }
            arrive(request, refused.isEmpty());
        } finally {
            place.release();
        }
        if (refused.isEmpty()) {
            chain.doFilter(request, response);
        }
    }

    private static void answer(Refusal because, HttpServletRequest request, HttpServletResponse response)
            throws ServletException, IOException {
        response.setStatus(because.status);
        response.setHeader("Connection", "close");
        request.setAttribute(Connections.WHY, because.code);
        request.getRequestDispatcher("/sorry/unread").forward(new Unread(request), response);
        response.flushBuffer();
    }

    private record Refusal(int status, String code) {
    }

    /** A request whose body nobody is to read, while the answer to it is made. */
    private static final class Unread extends HttpServletRequestWrapper {

        Unread(HttpServletRequest request) {
            super(request);
        }

        @Override
        public String getMethod() {
            return "GET";
        }

        @Override
        public String getContentType() {
            return null;
        }

        @Override
        public String getParameter(String name) {
            return null;
        }

        @Override
        public String[] getParameterValues(String name) {
            return null;
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return Map.of();
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.emptyEnumeration();
        }
    }

    private static Optional<Refusal> refused(HttpServletRequest request) {
        long length = request.getContentLengthLong();
        boolean hasFiles = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT).startsWith("multipart/");
        if (ofDevice(request).isPresent()) {
            return ofDevice(request);
        }
        if (isElsewheres(request)) {
            return Optional.of(new Refusal(HttpServletResponse.SC_FORBIDDEN, "sorry.elsewhere"));
        }
        if (length < 0) {
            return Optional.of(new Refusal(HttpServletResponse.SC_LENGTH_REQUIRED, "sorry.no-length"));
        }
        if (length > (hasFiles ? largest(request.getRequestURI()) : A_FORM)) {
            return Optional.of(new Refusal(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, tooLarge(request.getRequestURI())));
        }
        // The token itself stands in the form; that a browser was given one is known before the form is read.
        return hasFiles && WebUtils.getCookie(request, "XSRF-TOKEN") == null
                ? Optional.of(new Refusal(HttpServletResponse.SC_FORBIDDEN, "sorry.form-expired"))
                : Optional.empty();
    }

    private static long largest(String address) {
        return address.equals("/check") ? AN_ARCHIVE
                : address.endsWith("/films") ? A_FILM
                        : address.endsWith("/sounds") ? A_SOUND : A_FILE;
    }

    /** What is said of a body that is too large for its address. */
    static String tooLarge(String address) {
        return address.endsWith("/photos") ? "sorry.photo-large"
                : address.endsWith("/films") ? "sorry.film-large"
                        : address.endsWith("/sounds") ? "sorry.sound-large" : "sorry.too-large";
    }

    /** What a device asks for beyond what it was let in for (sharing.DeviceGate). */
    private static Optional<Refusal> ofDevice(HttpServletRequest request) {
        return Optional.ofNullable((String) request.getAttribute(Connections.WHY))
                .map(code -> new Refusal(HttpServletResponse.SC_FORBIDDEN, code));
    }

    /** Sent by a page of another address, be it another port of this machine. */
    private static boolean isElsewheres(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        return site != null && !OWN.contains(site)
                || origin != null && !origin.equals(request.getScheme() + "://" + request.getHeader("Host"));
    }

    /** What is refused is read as well, and thrown away: a browser that is cut off while it sends hears no answer. */
    private void arrive(HttpServletRequest request, boolean isWanted) throws IOException {
        long length = request.getContentLengthLong();
        Connections.BodyReading reading = Connections.reading(request, patience + Math.max(0, length) * 1_000 / SLOWEST);
        try {
            if (isWanted) {
                request.getParameterMap();
            } else if (length <= MOST_THROWN_AWAY) {
                request.getInputStream().transferTo(OutputStream.nullOutputStream());
            }
        } finally {
            reading.ends();
        }
    }
}
