package tallledger.web.stories;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Connection.KeyVal;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import tallledger.web.App;

/** Somebody at the pages: opens a form, fills in what the story names, leaves the rest as it stands there, and presses a key. */
final class Visitor {

    private final App app;
    private final String author;
    private final HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL).build();
    private final List<String> refusals = new ArrayList<>();

    Visitor(App app, String author) {
        this.app = app;
        this.author = author;
    }

    Document open(String path) {
        return read(HttpRequest.newBuilder(URI.create(app.url(path))).GET().build());
    }

    byte[] file(String path) {
        try {
            return client.send(HttpRequest.newBuilder(URI.create(app.url(path))).GET().build(),
                    HttpResponse.BodyHandlers.ofByteArray()).body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What was refused on the way, in the words of the page. */
    List<String> refusals() {
        return refusals;
    }

    /** The form of a page that posts to an address ending so; {@link Missing} where there is none. */
    static Filled form(Document page, String action) {
        return page.select("form[method=post]").stream().filter(f -> f.attr("action").endsWith(action)).findFirst()
                .map(f -> new Filled((FormElement) f)).orElseThrow(() -> new Missing("no form for " + action + " on " + page.location()
                        + ": " + page.select("form[method=post]").eachAttr("action")));
    }

    static Filled filled(Element form) {
        return new Filled((FormElement) form);
    }

    /** A form as it is being filled in. */
    static final class Filled {
        private final FormElement form;
        private final Map<String, List<String>> fields = new LinkedHashMap<>();

        private Filled(FormElement form) {
            this.form = form;
            for (KeyVal field : form.formData()) {
                fields.computeIfAbsent(field.key(), k -> new ArrayList<>()).add(field.value());
            }
        }

        boolean has(String name) {
            return form.elements().stream().anyMatch(e -> e.attr("name").equals(name));
        }

        List<String> names() {
            return form.elements().eachAttr("name").stream().distinct().toList();
        }

        String value(String name) {
            return String.join("\n", fields.getOrDefault(name, List.of()));
        }

        boolean isChoice(String name) {
            return !form.select("select[name=" + name + "]").isEmpty();
        }

        /** Types into a field or chooses from it; a choice may be named as it is shown. */
        Filled set(String name, String value) {
            if (!has(name)) {
                throw new Missing("no field " + name + " in " + form.attr("action") + ", only " + names());
            }
            fields.put(name, new ArrayList<>(List.of(value)));
            return this;
        }

        Filled choose(String name, String shown) {
            Element option = form.select("[name=" + name + "] option").stream()
                    .filter(o -> o.text().equalsIgnoreCase(shown) || o.attr("value").equals(shown)).findFirst()
                    .orElseThrow(() -> new Missing("no choice “" + shown + "” for " + name + ", only "
                            + form.select("[name=" + name + "] option").eachText()));
            return set(name, option.attr("value"));
        }

        /** Chooses what is shown with more behind its name. */
        Filled chooseFrom(String name, String begins) {
            return set(name, form.select("[name=" + name + "] option").stream().filter(o -> o.text().startsWith(begins + ","))
                    .map(o -> o.attr("value")).findFirst()
                    .orElseThrow(() -> new Missing("no choice “" + begins + "” for " + name + ", only "
                            + form.select("[name=" + name + "] option").eachText())));
        }

        /** Ticks one box, or all boxes of a name where no value is given. */
        Filled tick(String name, String... values) {
            List<String> on = values.length > 0 ? List.of(values) : form.select("[type=checkbox][name=" + name + "]").eachAttr("value");
            on.stream().filter(v -> form.select("[name=\"" + name + "\"]").eachAttr("value").contains(v))
                    .forEach(v -> fields.computeIfAbsent(name, k -> new ArrayList<>()).add(v));
            return this;
        }

        Filled clear(String name) {
            fields.remove(name);
            return this;
        }
    }

    /** Presses a key of a form: its name and value, or none. */
    Document press(Filled filled, String name, String value) {
        if (filled.has("author") && filled.value("author").isBlank()) {
            filled.set("author", author);
        }
        Map<String, List<String>> all = new LinkedHashMap<>(filled.fields);
        if (!name.isEmpty()) {
            all.put(name, List.of(value));
        }
        return send(all, filled.form.attr("action"));
    }

    /** Presses a key that posts the form to an address of its own, ending so. */
    Document pressTo(Filled filled, String action) {
        Element key = filled.form.select("button[formaction$=" + action + "]").stream().findFirst()
                .orElseThrow(() -> new Missing("no key for " + action + ", only " + filled.form.select("button").eachText()));
        return send(filled.fields, key.attr("formaction"));
    }

    private Document send(Map<String, List<String>> fields, String action) {
        String body = fields.entrySet().stream().flatMap(e -> e.getValue().stream().map(v -> enc(e.getKey()) + "=" + enc(v)))
                .collect(Collectors.joining("&"));
        Document answer = read(HttpRequest.newBuilder(URI.create(app.url(action.replaceFirst("#.*", ""))))
                .header("Content-Type", "application/x-www-form-urlencoded").POST(HttpRequest.BodyPublishers.ofString(body)).build());
        refusals.addAll(wrong(answer));
        return answer;
    }

    /** What the page would say of it while it is typed. */
    String weighed(Filled filled, String path) {
        String body = filled.fields.entrySet().stream().flatMap(e -> e.getValue().stream().map(v -> enc(e.getKey()) + "=" + enc(v)))
                .collect(Collectors.joining("&"));
        return read(HttpRequest.newBuilder(URI.create(app.url(path))).header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)).build()).text();
    }

    Document press(Filled filled) {
        return press(filled, "", "");
    }

    /** What a page says is wrong, where it was typed. */
    static List<String> wrong(Document page) {
        return page.select("[id^=wrong-]").eachText();
    }

    private Document read(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 500) {
                throw new AssertionError(request.uri() + " answered " + answer.statusCode());
            }
            return Jsoup.parse(answer.body(), answer.uri().toString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String enc(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** A form, field or key that the story asks for and no page has. */
    static final class Missing extends RuntimeException {
        private static final long serialVersionUID = 1;

        Missing(String what) {
            super(what);
        }
    }
}
