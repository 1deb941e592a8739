package tallledger.web.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every colour of the pages has a name, and in each look what is written stands out from what it is written on (WCAG 2.2, 1.4.3). */
class LooksTest {

    private static final Path STYLE = Path.of("src/main/resources/static/css/ledger.css");
    private static final Pattern NAMED = Pattern.compile("--([a-z-]+): (?:light-dark\\((#[0-9a-f]+), (#[0-9a-f]+)\\)|(#[0-9a-f]+));");
    private static final List<String> WRITTEN = List.of("ink", "slate", "verdigris", "oxide", "ochre", "faint", "ink-over");
    private static final List<String> ON = List.of("paper", "sheet", "wash");

    private static String style() {
        try {
            return Files.readString(STYLE);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Colours of a look by name. */
    private static Map<String, String> look(String name) {
        String style = style();
        String block = name.equals("strong") ? after(style, ":root[data-look=\"strong\"] {") : after(after(style, "@supports"), ":root");
        Map<String, String> colours = new HashMap<>();
        Matcher named = NAMED.matcher(block.substring(0, block.indexOf('}')));
        while (named.find()) {
            colours.put(named.group(1), named.group(4) != null ? named.group(4) : named.group(name.equals("dark") ? 3 : 2));
        }
        return colours;
    }

    private static String after(String text, String mark) {
        return text.substring(text.indexOf(mark) + mark.length());
    }

    /** WCAG's own ratio of two luminances. */
    private static double contrast(String one, String other) {
        double a = luminance(one);
        double b = luminance(other);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(String colour) {
        String hex = colour.length() == 4 ? colour.replaceAll("([0-9a-f])", "$1$1") : colour;
        return 0.2126 * part(hex, 1) + 0.7152 * part(hex, 3) + 0.0722 * part(hex, 5);
    }

    private static double part(String hex, int from) {
        double c = Integer.parseInt(hex.substring(from, from + 2), 16) / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    @ParameterizedTest
    @CsvSource({"light, 4.5, 3", "dark, 4.5, 3", "strong, 7, 7"})
    void whatIsWrittenStandsOut(String look, double text, double edge) {
        Map<String, String> colours = look(look);
        assertThat(colours).containsKeys(WRITTEN.toArray(String[]::new)).containsKeys(ON.toArray(String[]::new));
        for (String on : ON) {
            for (String written : WRITTEN) {
                assertThat(contrast(colours.get(written), colours.get(on))).as(look + ": " + written + " on " + on).isGreaterThan(text);
            }
            assertThat(contrast(colours.get("rule-dark"), colours.get(on))).as(look + ": an edge on " + on).isGreaterThan(edge);
        }
        assertThat(contrast(colours.get("ink"), colours.get("tint"))).as(look + ": ink on tint").isGreaterThan(text);
    }

    /** Where light-dark is not known, the light look is the same. */
    @Test
    void theLightLookIsTheSameWithoutIt() {
        Map<String, String> light = look("light");
        String first = after(style(), ":root, [data-theme] {");
        Matcher named = NAMED.matcher(first.substring(0, first.indexOf('}')));
        Map<String, String> plain = new HashMap<>();
        while (named.find()) {
            plain.put(named.group(1), named.group(4));
        }
        assertThat(plain).isEqualTo(light);
    }

    /** A colour without a name would be the same in the dark. The squares to be photographed are black on white everywhere. */
    @Test
    void everyColourHasAName() {
        String rest = after(style(), "/* Inheriting box-sizing");
        assertThat(rest.lines().filter(l -> Pattern.compile("#[0-9a-f]{3,6}\\b|rgba?\\(").matcher(l).find())
                .filter(l -> !l.startsWith(".qr-")))
                .isEmpty();
    }
}
