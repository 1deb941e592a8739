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
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.net.ssl.SSLContext;

/** A plain client that posts forms as a browser would, so that stale and repeated posts can be made on purpose. */
public final class Http {

    private static final Pattern HIDDEN = Pattern.compile("<input type=\"hidden\" name=\"([^\"]+)\" value=\"([^\"]*)\"");

    /** The verdict, part by part. */
    public static final List<String> VERDICT = List.of("/verdict", "/verdict/findings", "/verdict/claims", "/verdict/statement",
            "/verdict/money", "/verdict/record");

    private final CookieManager cookies = new CookieManager();
    private final UnaryOperator<String> address;
    private final HttpClient client;

    public Http(App app) {
        this(app::url, HttpClient.newBuilder());
    }

    private Http(UnaryOperator<String> address, HttpClient.Builder client) {
        this.address = address;
        this.client = client.cookieHandler(cookies).build();
    }

    /** Another device, that believes who is shown to it. */
    public static Http over(String base, SSLContext believing) {
        return new Http(path -> base + path, HttpClient.newBuilder().sslContext(believing));
    }

    /** One of its own, as it would send it. */
    String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals(name)).findFirst().orElseThrow().toString();
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address.apply(path))).GET().build());
    }

    /** With a head of its own. */
    HttpResponse<String> getWith(String path, String head, String value) {
        return send(HttpRequest.newBuilder(URI.create(address.apply(path))).header(head, value).GET().build());
    }

    /** All that the verdict of a survey says, part after part. */
    public String verdict(long survey) {
        return VERDICT.stream().map(part -> get("/surveys/" + survey + part).body()).collect(Collectors.joining("\n"));
    }

    /** The hidden fields of the first form of a page that posts to an address. */
    public Map<String, String> form(String page, String action) {
        return formOf(get(page).body(), action);
    }

    /** The same of a page that was read already. */
    static Map<String, String> formOf(String html, String action) {
        int start = html.indexOf("action=\"" + action + "\"");
        if (start < 0) {
            throw new AssertionError("no form for " + action);
        }
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher hidden = HIDDEN.matcher(html.substring(start, html.indexOf("</form>", start)));
        while (hidden.find()) {
            fields.put(hidden.group(1), hidden.group(2));
        }
        return fields;
    }

    public HttpResponse<String> post(String path, Map<String, String> fields, String... more) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        return post(path, List.copyOf(all.entrySet()));
    }

    /** The same with heads of its own, as a page of elsewhere would send it. */
    HttpResponse<String> postFrom(Map<String, String> heads, String path, Map<String, String> fields, String... more) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address.apply(path)))
                .header("Content-Type",
                        "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body(all.entrySet())));
        heads.forEach(request::header);
        return send(request.build());
    }

    private static String body(java.util.Collection<Map.Entry<String, String>> fields) {
        return fields.stream().map(e -> enc(e.getKey()) + "=" + enc(e.getValue())).collect(Collectors.joining("&"));
    }

    /** With fields that may stand there more than once, as boxes that are ticked do. */
    public HttpResponse<String> post(String path, List<Map.Entry<String, String>> fields) {
        return send(HttpRequest.newBuilder(URI.create(address.apply(path))).header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body(fields))).build());
    }

    /** A photograph of so many bytes, all nought, as a browser would send it. */
    HttpResponse<String> upload(String path, Map<String, String> fields, long size) {
        StringBuilder head = new StringBuilder();
        fields.forEach((name, value) -> head.append("--edge\r\nContent-Disposition: form-data; name=\"").append(name).append("\"\r\n\r\n")
                .append(value).append("\r\n"));
        head.append("--edge\r\nContent-Disposition: form-data; name=\"photo\"; filename=\"huge.jpg\"\r\nContent-Type: image/jpeg\r\n\r\n");
        byte[] start = head.toString().getBytes(StandardCharsets.UTF_8);
        byte[] end = "\r\n--edge--\r\n".getBytes(StandardCharsets.UTF_8);
        java.io.InputStream zeros = new java.io.InputStream() {
            private long left = size;

            @Override
            public int read() {
                return left-- > 0 ? 0 : -1;
            }

            @Override
            public int read(byte[] into, int from, int length) {
                if (left <= 0) {
                    return -1;
                }
                int count = (int) Math.min(length, left);
                left -= count;
                return count;
            }
        };
        var whole = new java.io.SequenceInputStream(
                java.util.Collections.enumeration(java.util.List.of(new java.io.ByteArrayInputStream(start), zeros,
                        new java.io.ByteArrayInputStream(end))));
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.fromPublisher(HttpRequest.BodyPublishers.ofInputStream(() -> whole),
                start.length + size + end.length);
        return send(HttpRequest.newBuilder(URI.create(address.apply(path))).header("Content-Type", "multipart/form-data; boundary=edge")
                .POST(body).build());
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
