package tallledger.web;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A plain client that posts forms as a browser would, so that stale and repeated posts can be made on purpose. */
final class Http {

    private static final Pattern HIDDEN = Pattern.compile("<input type=\"hidden\" name=\"([^\"]+)\" value=\"([^\"]*)\"");

    private final App app;
    private final HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    Http(App app) {
        this.app = app;
    }

    HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(app.url(path))).GET().build());
    }

    /** The hidden fields of the first form of a page that posts to an address. */
    Map<String, String> form(String page, String action) {
        String html = get(page).body();
        int start = html.indexOf("action=\"" + action + "\"");
        if (start < 0) {
            throw new AssertionError(page + " has no form for " + action);
        }
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher hidden = HIDDEN.matcher(html.substring(start, html.indexOf("</form>", start)));
        while (hidden.find()) {
            fields.put(hidden.group(1), hidden.group(2));
        }
        return fields;
    }

    HttpResponse<String> post(String path, Map<String, String> fields, String... more) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        String body = all.entrySet().stream().map(e -> enc(e.getKey()) + "=" + enc(e.getValue())).collect(Collectors.joining("&"));
        return send(HttpRequest.newBuilder(URI.create(app.url(path))).header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)).build());
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            return client.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String enc(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
