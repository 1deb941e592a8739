package tallledger.web;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.equivalentTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
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
import tallledger.web.store.Store;

/** Imports run one way: web → practice → core, and inside core without a cycle. */
class ArchitectureTest {

    private static final JavaClasses ALL = OwnClasses.ALL;

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
    void webPackagesHaveNoCycle() {
        slices().matching("tallledger.web.(*)..").should().beFreeOfCycles().check(ALL);
    }

    /** The ledger is one package's; the shelf's lines and what was handed over have a table of their own, written through the same gate. */
    @Test
    void onlyTheStoreTouchesTheDatabase() {
        noClasses().that().resideInAPackage("tallledger.web..").and()
                .resideOutsideOfPackages("tallledger.web.store..", "tallledger.web.shelfindex..", "tallledger.web.imported..",
                        "tallledger.web.backup..", "tallledger.web")
                .should().dependOnClassesThat().resideInAnyPackage("org.apache.ibatis..", "org.mybatis..", "java.sql..", "com.zaxxer..")
                .check(ALL);
        noClasses().that().resideInAPackage("tallledger.web.backup..").should().dependOnClassesThat()
                .resideInAnyPackage("org.apache.ibatis..", "org.mybatis..").check(ALL);
        noClasses().that().resideOutsideOfPackages("tallledger.web.store..", "tallledger.web.shelfindex..", "tallledger.web.imported..")
                .should().callMethodWhere(target(name("write")).and(target(owner(equivalentTo(Store.class))))).check(ALL);
    }

    /** A page asks the library and the index; how entries lie on the disk is the store's own business. */
    @Test
    void noPageReadsRows() {
        noClasses().that().resideOutsideOfPackages("tallledger.web.store..", "tallledger.web.shelfindex..", "tallledger.web.imported..",
                "tallledger.web.library..", "tallledger.web.housebook..").should().dependOnClassesThat()
                .haveNameMatching("tallledger\\.web\\..*(BookRow|EntryRow|HeadRow|EntryCodec|Mapper)").check(ALL);
    }

    /** A key is read where a survey is closed, sealed or shown; nobody else comes near it. */
    @Test
    void keysAreSeenByFew() {
        noClasses().that().resideOutsideOfPackages("tallledger.web.keys..", "tallledger.web.sealed..", "tallledger.web.house..",
                "tallledger.web.demo..").should().dependOnClassesThat().resideInAPackage("tallledger.web.keys..").check(ALL);
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
