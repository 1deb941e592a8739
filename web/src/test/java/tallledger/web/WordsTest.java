package tallledger.web;

import tallledger.core.family.StartItem;
import tallledger.core.rules.Rules;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.blame.Blame;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.StageKind;
import tallledger.core.rules.Rule;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.motion.Axis;
import tallledger.core.plate.PlateOf;
import tallledger.core.reason.Reason;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.family.Catalogue;
import tallledger.core.evidence.SpindleCheck;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/** Every reason core can give has its words, and figures read as they should. */
class WordsTest {

    private static final Pattern CODE = Pattern.compile("(?:Reason\\.of|because|say|untested|step|[A-Z][A-Z_]{3,})\\((?:[^\"();]*\\? )?\"([a-z][a-z.-]+[a-z])\"(?: : \"([a-z][a-z.-]+)\")?");

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

    /** Every step of every family, with each of its needs, fields, events and systems, has its words. */
    @Test
    void everyStepHasItsWords() {
        Words words = App.demo().bean(Words.class);
        for (Family family : Family.values()) {
            Set<Feature> all = new HashSet<>(family.traits().features());
            all.remove(Feature.DRAWBAR);
            FitOut fitOut = new FitOut(family.traits().usual().axes(), all, SupplyPlate.UNREAD, Optional.empty());
            KestrelVale.shortlist().stream().map(SimulatedMachine::description).filter(d -> d.identity().family() == family).map(d -> d.with(fitOut)).forEach(machine ->
                    Catalogue.of(machine, Rules.shipped()).forEach(step -> {
                        Object[] about = step.about().toArray();
                        assertThat(words.say(step.name()) + words.say("step." + step.code() + ".look", about)).doesNotContain("{");
                        if (!(step.recording() instanceof SpindleCheck)) {
                            assertThat(words.say("step." + step.code() + ".do", about)).doesNotContain("{").hasSizeGreaterThan(12);
                        }
                        step.needs().forEach(need -> assertThat(words.say("need." + need.kind().name(), need.of())).isNotBlank());
                        step.recording().fields().forEach(field -> assertThat(words.say("field." + field.name())).isNotBlank());
                        assertThat(words.say(step.system().words(fitOut))).doesNotContain("{");
                    }));
            family.traits().kit(all).forEach(piece -> assertThat(words.say("kit." + piece)).isNotBlank());
            all.forEach(feature -> assertThat(words.of(feature)).isNotBlank());
        }
        CycleScripts.codes().forEach(code -> {
            assertThat(words.say("script." + code)).isNotBlank();
            CycleScripts.events(code).forEach(event -> assertThat(words.say("event." + event)).isNotBlank());
        });
        Stream.of(Axis.Role.values(), MovedBy.values(), StageKind.values(), StartItem.values(), Blame.Hunt.values(), PlateOf.values(), SpeedTable.Source.values(), Axis.Per.values(),
                CycleScript.Whose.values(), Mounted.Kind.values()).flatMap(Stream::of).forEach(constant -> assertThat(words.of((Enum<?>) constant)).isNotBlank());
        Stream.of(Rule.values()).forEach(rule -> {
            assertThat(words.say("rule." + rule)).isNotBlank();
            assertThat(words.say("rule." + rule + ".source")).isNotBlank();
            rule.shape().figures().forEach(figure -> assertThat(words.say("figure-of." + figure)).isNotBlank());
        });
        Stream.of(Rule.Group.values()).forEach(group -> assertThat(words.say("rule-group." + group) + words.say("rule-group." + group + ".about")).isNotBlank());
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
        assertThat(words.say(Reason.of("limit.SHOWN", Reason.of("limit.house-speed", new BigDecimal("6"), new BigDecimal("1400")))))
                .isEqualTo("By the plate; ±6 % of 1\u00a0400, unloaded (house rule).");
    }
}
