package tallledger.web.stories;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** All that a user sees of a survey: its pages, every form of every step, prints, the PDF, the text files of the zip. */
final class Shown {

    private static final List<String> PAGES = List.of("/run", "/speeds", "/movement", "/accuracy", "/cycles", "/faults", "/kit", "/entries",
            "/verdict", "/verdict/findings", "/verdict/claims", "/verdict/statement", "/verdict/money", "/verdict/record", "/handover",
            "/verdict/print", "/drawings", "/threads", "/cut", "/paper", "/paper/type", "/report.html");
    /** What a page names by title, label or hint is seen as well. */
    private static final List<String> SAID = List.of("title", "aria-label", "placeholder", "alt");

    /** Forms of open steps that were read already, by the units of the machine. */
    private static final Set<String> READ = new HashSet<>();

    private final Map<String, String> texts = new LinkedHashMap<>();
    private final List<String> seen = new ArrayList<>();
    private final String all;
    private final String whole;
    private final Map<String, Document> pages = new LinkedHashMap<>();

    /** @param units of the machine: what the form of a step says that nobody did was read once for all machines of these units */
    Shown(Visitor visitor, long survey, long machine, String units) {
        PAGES.forEach(page -> add(page, visitor.open("/surveys/" + survey + page)));
        Document its = visitor.open("/machines/" + machine);
        pages.put("machine", its);
        seen.add(visible(its));
        for (Element link : pages.get("/run").select("nav.steps a[href*=step=]")) {
            String key = link.attr("href").replaceFirst(".*step=", "");
            if (!link.select(".is-open").isEmpty() && !READ.add(units + " " + of(key))) {
                continue;
            }
            Document page = visitor.open("/surveys/" + survey + "/run?step=" + key);
            // The list of steps beside it is the same on each; it is read once, with the sheet itself.
            page.select("nav").remove();
            add("step " + key, page);
        }
        texts.put("refusals", unquoted(String.join("\n", visitor.refusals())));
        zip(visitor.file("/surveys/" + survey + "/survey.zip"));
        all = plain(String.join("\n", texts.values()));
        whole = plain(String.join("\n", seen));
    }

    /** A step says the same of each axis and each way; an open speed says the same of each but its figure. */
    private static String of(String key) {
        return key.matches("\\d[\\d-]*") ? "a speed" : key.replaceFirst("\\..*", "");
    }

    private void add(String name, Document page) {
        pages.put(name, page);
        String text = visible(page);
        seen.add(text);
        texts.put(name, unquoted(text));
    }

    /** By page, what was quoted from somebody left out. */
    Map<String, String> texts() {
        return texts;
    }

    Document page(String name) {
        return pages.get(name);
    }

    /** Everything, with line breaks between pages. */
    String all() {
        return all;
    }

    /** Everything with what is quoted. */
    String whole() {
        return whole;
    }

    static String visible(Document page) {
        Document copy = page.clone();
        copy.select("script, style, template, textarea, head").remove();
        StringBuilder text = new StringBuilder(lines(copy));
        for (Element element : copy.getAllElements()) {
            SAID.forEach(a -> {
                if (element.hasAttr(a)) {
                    text.append('\n').append(element.attr(a));
                }
            });
        }
        return text.toString();
    }

    /** What stands in boxes of their own stands on lines of their own. */
    private static String lines(Document page) {
        page.select("p, li, td, th, h1, h2, h3, h4, dt, dd, div, tr, text, option, label, legend, summary, figcaption, button")
                .before("\n");
        return plain(page.body().wholeText()).replaceAll("[ \t]+", " ").replaceAll("\\s*\n\\s*", "\n");
    }

    static String plain(String text) {
        return text.replace('\u00a0', ' ').replace('\u202f', ' ').replace('\u2009', ' ');
    }

    /** Without what is in quotation marks, somebody else's words, and without times, whose seconds are no figure. */
    private static String unquoted(String text) {
        return plain(text).replaceAll("“[^”]*”", "“”").replaceAll("\\d{4}-\\d\\d-\\d\\dT[\\d:.]+Z?", "");
    }

    private static String pdf(byte[] file) {
        try (PDDocument document = Loader.loadPDF(file)) {
            return new PDFTextStripper().getText(document);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void zip(byte[] file) {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                String name = entry.getName().replaceFirst(".*/", "");
                if (name.endsWith(".pdf")) {
                    // Made by the same as the verdict's own.
                    texts.put("pdf", unquoted(pdf(zip.readAllBytes())));
                } else if (name.matches(".*\\.(html|svg|txt|csv|md)") && !name.equals("verify.html")) {
                    String text = new String(zip.readAllBytes(), StandardCharsets.UTF_8);
                    texts.put("zip " + name, unquoted(name.matches(".*\\.(html|svg)") ? visible(Jsoup.parse(text)) : text));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
