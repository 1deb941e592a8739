package tallledger.web.offline;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;
import tallledger.web.cache.BoundedCache;

/**
 * A device that has a survey's page already gets of its parts only those that became others since. What is compared is what is sent, so
 * nothing that changed is left out.
 */
@Component
class PocketParts extends OncePerRequestFilter {

    /** By name, each with its hash. */
    private record Pack(Map<String, String> parts) {
    }

    private static final Pattern ADDRESS = Pattern.compile("/surveys/\\d{1,18}/pocket");
    /** A device asks for a token of its own before it sends anything, so that two packs differ in nothing else. */
    private static final Pattern TOKEN = Pattern.compile("(name=\"_csrf\" value=\")[^\"]*");
    private static final String BEGINS = "<template ";
    private static final String ENDS = "</template>";
    private static final String HAS = "has";
    /** Where the number of the pack goes. */
    private static final String PLACE = "data-pack=\"\"";
    private static final int MOST_PARTS = 40_000;

    private final BoundedCache<String, Pack> sent = new BoundedCache<>(MOST_PARTS, pack -> pack.parts.size());

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !ADDRESS.matcher(request.getServletPath()).matches();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ContentCachingResponseWrapper whole = new ContentCachingResponseWrapper(response);
        chain.doFilter(request, whole);
        if (whole.getStatus() != HttpServletResponse.SC_OK) {
            whole.copyBodyToResponse();
            return;
        }
        String page = TOKEN.matcher(new String(whole.getContentAsByteArray(), StandardCharsets.UTF_8)).replaceAll("$1");
        String number = UUID.randomUUID().toString();
        Map<String, String> parts = new LinkedHashMap<>();
        Pack had = sent.get(String.valueOf(request.getParameter(HAS))).orElse(new Pack(Map.of()));
        String changed = changed(page, had, parts).replace(PLACE, "data-pack=\"" + number + "\"");
        sent.put(number, new Pack(parts));
        byte[] bytes = changed.getBytes(StandardCharsets.UTF_8);
        response.setHeader("Cache-Control", "no-store");
        response.setContentLength(bytes.length);
        response.getOutputStream().write(bytes);
    }

    /** @param parts all parts of the page, filled in here */
    private static String changed(String page, Pack had, Map<String, String> parts) {
        StringBuilder left = new StringBuilder();
        int from = 0;
        for (int at = page.indexOf(BEGINS); at >= 0; at = page.indexOf(BEGINS, from)) {
            int opened = page.indexOf('>', at) + 1;
            int end = page.indexOf(ENDS, opened) + ENDS.length();
            String name = page.substring(at, opened).replaceAll("(?s).*?data-part=\"([^\"]*)\".*", "$1");
            String hash = DigestUtils.md5DigestAsHex(page.substring(at, end).getBytes(StandardCharsets.UTF_8));
            parts.put(name, hash);
            left.append(page, from, at);
            if (hash.equals(had.parts.get(name))) {
                left.append(BEGINS).append("data-part=\"").append(name).append("\" data-same=\"yes\">").append(ENDS);
            } else {
                left.append(page, at, end);
            }
            from = end;
        }
        return left.append(page, from, page.length()).toString();
    }
}
