package tallledger.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Reads pages and posts their forms as a browser would, with cookies of its own. */
final class Client {

    private static final Pattern HIDDEN = Pattern.compile("<input type=\"hidden\" name=\"([^\"]+)\" value=\"([^\"]*)\"");

    private final HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).connectTimeout(Duration.ofSeconds(5))
            .build();
    private final UnaryOperator<String> address;

    /** @param address makes a whole address of a path; asked anew each time, since a restart may move it */
    Client(UnaryOperator<String> address) {
        this.address = address;
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(address.apply(path))).timeout(Duration.ofSeconds(30)).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** The hidden fields of the first form of a page that posts to an address. */
    Map<String, String> form(String page, String action) throws IOException, InterruptedException {
        String html = get(page).body();
        int start = html.indexOf("action=\"" + action + "\"");
        if (start < 0) {
            throw new IOException(page + " has no form for " + action);
        }
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher hidden = HIDDEN.matcher(html.substring(start, html.indexOf("</form>", start)));
        while (hidden.find()) {
            fields.put(hidden.group(1), hidden.group(2));
        }
        return fields;
    }

    HttpResponse<String> post(String path, Map<String, String> fields, String... more) throws IOException, InterruptedException {
        Map<String, String> all = new LinkedHashMap<>(fields);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        return client.send(request(path, all), HttpResponse.BodyHandlers.ofString());
    }

    /** The answer as a file. */
    HttpResponse<Path> file(String path, Map<String, String> fields, Path to) throws IOException, InterruptedException {
        return client.send(request(path, fields), HttpResponse.BodyHandlers.ofFile(to));
    }

    private HttpRequest request(String path, Map<String, String> fields) {
        String body = fields.entrySet().stream().map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
                .collect(Collectors.joining("&"));
        return HttpRequest.newBuilder(URI.create(address.apply(path))).timeout(Duration.ofSeconds(30))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)).build();
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
