package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.reason.Reason;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/** Every reason core can give has its words, and figures read as they should. */
class WordsTest {

    private static final Pattern CODE = Pattern.compile("(?:Reason\\.of|because|say|untested|step)\\((?:[^\"();]*\\? )?\"([a-z][a-z.-]+[a-z])\"(?: : \"([a-z][a-z.-]+)\")?");

    @Test
    void everyReasonHasItsSentence() throws IOException {
        Properties words = new Properties();
        for (String book : List.of("messages", "steps")) {
            try (Reader reader = Files.newBufferedReader(Path.of("src/main/resources/" + book + ".properties"))) {
                words.load(reader);
            }
        }
        TreeSet<String> codes = new TreeSet<>();
        for (String root : List.of("../core/src/main/java", "src/main/java")) {
            try (Stream<Path> files = Files.walk(Path.of(root))) {
                for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    Matcher code = CODE.matcher(Files.readString(file));
                    while (code.find()) {
                        codes.add(code.group(1));
                        if (code.group(2) != null) {
                            codes.add(code.group(2));
                        }
                    }
                }
            }
        }
        assertThat(codes).hasSizeGreaterThan(90).contains("number.missing", "plate.suspect", "statement.coverage");
        codes.removeIf(code -> code.endsWith("."));
        assertThat(words.keySet()).containsAll(codes.stream().filter(code -> code.contains(".")).toList());
    }

    @Test
    void figuresGroupThousandsAndKeepWhatWasTyped() {
        assertThat(Figures.plain(new BigDecimal("1400"))).isEqualTo("1\u00a0400");
        assertThat(Figures.plain(new BigDecimal("2.5E+2"))).isEqualTo("250");
        assertThat(Figures.plain(new BigDecimal("31.50"))).isEqualTo("31.50");
        assertThat(Figures.percent(new BigDecimal("-0.0893"))).isEqualTo("−8.9\u00a0%");
    }

    @Test
    void aReasonInsideAReasonIsWordedToo() {
        Words words = App.demo().bean(Words.class);
        assertThat(words.say(Reason.of("limit.plate", Reason.of("limit.house-speed", new BigDecimal("6"), new BigDecimal("1400")))))
                .isEqualTo("Plate value; ±6 % of 1\u00a0400, unloaded (house rule).");
    }
}
