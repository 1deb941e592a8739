package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import java.io.IOException;
import java.io.Reader;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.blame.Blame;
import tallledger.core.blame.Check;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.StartItem;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.motion.Axis;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.PlateOf;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Reason;
import tallledger.core.reason.ReasonCode;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyPlate;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.housebook.ChecksTable;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/** Every reason core can give has its words, and figures read as they should. */
class WordsTest {

    /** Words of data: their keys are a family's, a script's or a constant's, and other tests of this class go through them. */
    private static final List<String> OF_DATA = List.of("step.", "system.", "event.", "script.", "field.", "need.", "kit.", "rule.",
            "rule-group.", "figure-of.", "do.", "mark.", "start.",
            "movement.", "marked.", "look.", "word.", "walk.", "hint.", "report.", "gauge-field.", "priced-by.", "repair-about.");

    private static Properties words() throws IOException {
        Properties words = new Properties();
        for (String book : List.of("messages", "steps")) {
            try (Reader reader = Files.newBufferedReader(Path.of("src/main/resources/" + book + ".properties"))) {
                words.load(reader);
            }
        }
        return words;
    }

    /** Everything that can be said, from the enums of all packages. */
    private static List<ReasonCode> said() {
        return OwnClasses.ALL.stream()
                .filter(c -> c.isAssignableTo(ReasonCode.class) && c.isEnum() && c.reflect().isEnum())
                .flatMap(c -> Stream.of((ReasonCode[]) c.reflect().getEnumConstants())).toList();
    }

    private static List<String> keys(ReasonCode code) {
        return code.row().isEmpty() ? List.of(code.code()) : code.row().stream().map(which -> code.code() + "." + which.name()).toList();
    }

    /** Every code of every package has its sentence, and the sentence wants no more than the code has. */
    @Test
    void everyReasonHasItsSentence() throws IOException {
        Properties words = words();
        List<ReasonCode> said = said();
        assertThat(said).hasSizeGreaterThan(350);
        assertThat(said).extracting(ReasonCode::code).doesNotHaveDuplicates();
        for (ReasonCode code : said) {
            for (String key : keys(code)) {
                assertThat(words).as(code.toString()).containsKey(key);
                int most = Pattern.compile("\\{(\\d+)").matcher(words.getProperty(key)).results()
                        .mapToInt(m -> Integer.parseInt(m.group(1))).max().orElse(-1);
                assertThat(most).as(key + " of " + code.arguments()).isLessThan(code.arguments().size());
            }
        }
    }

    /** And no sentence is left that nothing says: not a code, not a constant, not a page. */
    @Test
    void everySentenceIsSaid() throws IOException {
        Set<String> known = new HashSet<>();
        said().forEach(code -> known.addAll(keys(code)));
        StringBuilder sources = new StringBuilder();
        for (String root : List.of("../core/src/main/java", "src/main/java", "src/main/resources/templates",
                "src/main/resources/static/js")) {
            try (Stream<Path> files = Files.walk(Path.of(root))) {
                for (Path file : files.filter(Files::isRegularFile).toList()) {
                    sources.append(Files.readString(file));
                }
            }
        }
        Pattern.compile("[A-Za-z][\\w-]*(?:\\.[\\w-]+)*").matcher(sources).results().forEach(m -> known.add(m.group()));
        List<String> unsaid = words().stringPropertyNames().stream().filter(key -> !known.contains(key))
                .filter(key -> OF_DATA.stream().noneMatch(key::startsWith))
                .filter(key -> !isOfConstant(key)).sorted().toList();
        assertThat(unsaid).isEmpty();
    }

    /** {@code Severity.SOON}: the word for a constant of an enum there is. */
    private static boolean isOfConstant(String key) {
        int dot = key.indexOf('.');
        return dot > 0 && ENUMS.getOrDefault(key.substring(0, dot), Set.of()).contains(key.substring(dot + 1));
    }

    private static final Map<String, Set<String>> ENUMS = OwnClasses.ALL.stream()
            .filter(c -> c.isEnum() && c.reflect().isEnum())
            .collect(Collectors.toMap(JavaClass::getSimpleName, c -> Stream.of(c.reflect().getEnumConstants())
                    .map(e -> ((Enum<?>) e).name()).collect(Collectors.toSet()),
                    (one, other) -> Stream.concat(one.stream(), other.stream()).collect(Collectors.toSet())));

    /** Every step of every family, with each of its needs, fields, events and systems, has its words. */
    @Test
    void everyStepHasItsWords() throws IOException {
        Words words = App.demo().bean(Words.class);
        Set<String> priced = ChecksTable.parse(Files.readString(Path.of("src/main/resources/house/checks.csv"))).stream().map(Check::about)
                .collect(Collectors.toSet());
        for (Family family : Family.values()) {
            Set<Feature> all = new HashSet<>(family.traits().features());
            all.remove(Feature.DRAWBAR);
            FitOut fitOut = new FitOut(family.traits().usual().axes(), all, SupplyPlate.UNREAD, Optional.empty(), "work head 45");
            KestrelVale.shortlist().stream().map(SimulatedMachine::description).filter(d -> d.identity().family() == family)
                    .map(d -> d.with(fitOut)).map(WordsTest::withEverySaidThing)
                    .forEach(machine -> Catalogue.of(machine, Rules.shipped()).forEach(step -> {
                        assertThat(words.say(step.name()) + words.say(step.says("look"))).doesNotContain("{");
                        if (!(step.recording() instanceof SpindleCheck)) {
                            assertThat(words.say(step.says("do"))).doesNotContain("{").hasSizeGreaterThan(12);
                        }
                        step.needs().forEach(need -> assertThat(words.say("need." + need.kind().name(), need.of())).isNotBlank());
                        step.recording().fields().forEach(field -> assertThat(words.say("field." + field.name())).isNotBlank());
                        assertThat(words.say(step.system().words(fitOut))).doesNotContain("{");
                        // What can be bad has a price, or what is not looked at would be worth nothing.
                        assertThat(step.ifBad() == Severity.NOTE || priced.contains(step.system().name()))
                                .as(step.id().written() + " of " + step.system().name()).isTrue();
                    }));
            family.traits().kit(all).forEach(piece -> assertThat(words.say("kit." + piece)).isNotBlank());
            all.forEach(feature -> assertThat(words.of(feature)).isNotBlank());
        }
        // Every drive to start from has its name, and every such name its drive.
        assertThat(words().stringPropertyNames().stream().filter(key -> key.startsWith("start.")))
                .containsExactlyInAnyOrderElementsOf(
                        Stream.concat(said().stream().map(ReasonCode::code).filter(c -> c.startsWith("start.")),
                                Stream.of(Family.values()).flatMap(f -> f.traits().startingFrom().stream()).map(s -> "start." + s.code())
                                        .distinct())
                                .toList());
        CycleScripts.codes().forEach(code -> {
            assertThat(words.say("script." + code)).isNotBlank();
            CycleScripts.events(code).forEach(event -> assertThat(words.say("event." + event)).isNotBlank());
        });
        Stream.of(Axis.Role.values(), MovedBy.values(), StageKind.values(), StartItem.values(), Blame.Hunt.values(), PlateOf.values(),
                SpeedTable.Source.values(), Axis.Per.values(),
                CycleScript.Whose.values(), Mounted.Kind.values()).flatMap(Stream::of)
                .forEach(constant -> assertThat(words.of((Enum<?>) constant)).isNotBlank());
        Stream.of(Rule.values()).forEach(rule -> {
            assertThat(words.say("rule." + rule)).isNotBlank();
            assertThat(words.say("rule." + rule + ".source")).isNotBlank();
            rule.shape().figures().forEach(figure -> assertThat(words.say("figure-of." + figure)).isNotBlank());
        });
        Stream.of(Rule.Group.values())
                .forEach(group -> assertThat(words.say("rule-group." + group) + words.say("rule-group." + group + ".about")).isNotBlank());
    }

    /** With what people say that makes steps: something counted, something redone, and a thread plate. */
    private static MachineDescription withEverySaidThing(MachineDescription d) {
        List<Claim> claims = List.of(new Claim(Claim.Attribute.COLLETS, "31", Claim.Source.SELLER, ""),
                new Claim(Claim.Attribute.REDONE, "new panel", Claim.Source.SELLER, ""));
        SpeedPlate threads = new SpeedPlate(List.of(new Lever("knob", List.of("1"))), Map.of(List.of("1"), PlateCell.parse("8")),
                Optional.empty());
        return new MachineDescription(d.identity(), claims, d.train(), d.plate(), d.motor(), d.feeds(),
                Optional.of(new ThreadPlate(threads, ThreadPlate.Counted.PER_INCH)), d.fitOut());
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
        assertThat(words.say(Reason.named("limit.SHOWN", Reason.named("limit.house-speed", new BigDecimal("6"), new BigDecimal("1400")))))
                .isEqualTo("By the plate; ±6 % of 1\u00a0400, unloaded (house rule).");
    }
}
