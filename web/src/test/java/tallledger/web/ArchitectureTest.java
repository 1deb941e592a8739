package tallledger.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.house.House;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/** Imports run one way: web → practice → core, and inside core without a cycle. */
class ArchitectureTest {

    private static final JavaClasses ALL = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("tallledger");

    @Test
    void importsRunFromWebToPracticeToCore() {
        layeredArchitecture().consideringOnlyDependenciesInLayers()
                .layer("core").definedBy("tallledger.core..")
                .layer("practice").definedBy("tallledger.practice..")
                .layer("web").definedBy("tallledger.web..")
                .whereLayer("web").mayNotBeAccessedByAnyLayer()
                .whereLayer("practice").mayOnlyBeAccessedByLayers("web")
                .check(ALL);
    }

    @Test
    void coreKnowsOnlyJavaAndNumerics() {
        noClasses().that().resideInAPackage("tallledger.core..").should().dependOnClassesThat()
                .resideOutsideOfPackages("java..", "javax.xml..", "org.w3c.dom..", "org.xml.sax..", "org.hipparchus..", "tallledger.core..")
                .check(ALL);
        noClasses().that().resideInAnyPackage("tallledger.core..", "tallledger.practice..").should().dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "javax.sql..").check(ALL);
    }

    @Test
    void corePackagesHaveNoCycle() {
        slices().matching("tallledger.core.(*)..").should().beFreeOfCycles().check(ALL);
    }

    /** Nothing judges by rules of its own: they are given. Where a house's book begins, and what asks for no figure, is named. */
    @Test
    void nobodyTakesTheShippedRulesForThemselves() {
        noClasses().that().doNotHaveFullyQualifiedName(House.class.getName()).and()
                .doNotHaveFullyQualifiedName(CycleScripts.class.getName())
                .should().callMethod(Rules.class, "shipped").check(ALL);
        noClasses().that().resideOutsideOfPackages("tallledger.core.house..", "tallledger.practice..").should()
                .callMethod(House.class, "shipped", List.class).check(ALL);
    }

    /** What was judged is a value; its sentence is only said. Whoever needs a figure asks for the figure. */
    @Test
    void nobodyReadsAFigureOutOfASentence() {
        noClasses().that().resideOutsideOfPackages("tallledger.core.reason..", "tallledger.web.words..").and()
                .doNotHaveFullyQualifiedName("tallledger.core.survey.WrittenReason").should().callMethod(Reason.class, "arguments")
                .check(ALL);
    }

    @Test
    void onlyTheRecordTouchesTheStore() {
        noClasses().that().resideInAPackage("tallledger.web..").and().resideOutsideOfPackages("tallledger.web.record..", "tallledger.web")
                .should().dependOnClassesThat().resideInAnyPackage("org.apache.ibatis..", "org.mybatis..", "java.sql..").check(ALL);
    }

    /** Code and templates are read by people, line by line. */
    @ParameterizedTest
    @ValueSource(strings = {"src/main/resources/templates", "src", "../core/src", "../practice/src"})
    void linesAreShort(String folder) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of(folder))) {
            List<Path> read = files.filter(f -> f.toString().endsWith(".java") || f.toString().endsWith(".html")).toList();
            assertThat(read).isNotEmpty();
            for (Path file : read) {
                assertThat(Files.readAllLines(file).stream().filter(line -> line.length() > 140)).as(file.toString()).isEmpty();
            }
        }
    }

    @Test
    void nothingUpdatesOrDeletesAnEntry() throws IOException {
        String statements = Files.readString(Path.of("src/main/resources/mappers/LedgerMapper.xml"));
        assertThat(statements).doesNotContainIgnoringCase("<update").doesNotContainIgnoringCase("<delete")
                .doesNotContainIgnoringCase("merge into");
    }
}
