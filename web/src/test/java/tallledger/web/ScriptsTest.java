package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.javascript.jscomp.AbstractCommandLineRunner;
import com.google.javascript.jscomp.CheckLevel;
import com.google.javascript.jscomp.CompilationLevel;
import com.google.javascript.jscomp.Compiler;
import com.google.javascript.jscomp.CompilerOptions;
import com.google.javascript.jscomp.CompilerOptions.Environment;
import com.google.javascript.jscomp.CompilerOptions.LanguageMode;
import com.google.javascript.jscomp.DiagnosticGroups;
import com.google.javascript.jscomp.JSError;
import com.google.javascript.jscomp.Result;
import com.google.javascript.jscomp.SourceFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The pages' scripts: read by a linter, and their rules tested by node's own runner. */
class ScriptsTest {

    private static final Path SCRIPTS = Path.of("src/main/resources/static/js");
    private static final Path WORKER = Path.of("src/main/resources/static/service-worker.js");
    private static final Path TESTS = Path.of("src/test/js");

    @Test
    void theLinterFindsNothing() throws IOException {
        List<String> found = lint(scripts());
        assertThat(found).isEmpty();
    }

    @Test
    void theLinterFindsWhatIsWrong() throws IOException {
        assertThat(lint(List.of(SourceFile.fromCode("wrong.js", "export function f(a) { const unused = 1; return b + a; }\n"))))
                .anyMatch(e -> e.contains("variable b is undeclared")).anyMatch(e -> e.contains("unused"));
    }

    /** Rules without a page: counts, logs, drafts, where a pasted block goes. */
    @Test
    void nodesOwnRunnerFindsNothing() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("node", "--test"));
        command.addAll(files(TESTS, ".test.js").stream().map(Path::toString).toList());
        assertThat(command).hasSizeGreaterThan(6);
        Process node;
        try {
            node = new ProcessBuilder(command).redirectErrorStream(true).start();
        } catch (IOException missing) {
            throw new AssertionError(
                    "The scripts' tests need node 18 or later; bin/test installs it where it may. As root: apt-get install nodejs",
                    missing);
        }
        String said = new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(node.waitFor()).as(said).isZero();
        assertThat(said).contains("# fail 0").doesNotContain("# pass 0");
    }

    /** Each script but the entry is used by another; nobody imports a name that is not there (the linter's business). */
    @Test
    void everyScriptIsUsed() throws IOException {
        String all = files(SCRIPTS, ".js").stream().filter(f -> !f.toString().contains("alpine")).map(ScriptsTest::read).reduce("",
                String::concat);
        for (Path script : files(SCRIPTS, ".js")) {
            String name = script.getFileName().toString();
            assertThat(all.contains("\"./" + name + "\"") || List.of("ledger.js", "alpine-csp.min.js").contains(name)).as(name).isTrue();
            assertThat(read(script).lines().filter(line -> line.length() > 140 && !name.contains(".min.")).toList()).as(name).isEmpty();
        }
    }

    private static List<SourceFile> scripts() throws IOException {
        return Stream.concat(files(SCRIPTS, ".js").stream(), Stream.of(WORKER)).filter(f -> !f.toString().contains(".min."))
                .map(f -> SourceFile.fromCode(f.getFileName().toString(), read(f))).toList();
    }

    private static List<String> lint(List<SourceFile> scripts) throws IOException {
        Compiler compiler = new Compiler(new PrintStream(new ByteArrayOutputStream(), true, StandardCharsets.UTF_8));
        CompilerOptions options = new CompilerOptions();
        CompilationLevel.BUNDLE.setOptionsForCompilationLevel(options);
        options.setLanguage(LanguageMode.UNSTABLE);
        options.setChecksOnly(true);
        options.setChunkOutputType(CompilerOptions.ChunkOutputType.ES_MODULES);
        options.setCheckTypes(false);
        options.setWarningLevel(DiagnosticGroups.CHECK_TYPES, CheckLevel.OFF);
        options.setEnvironment(Environment.BROWSER);
        Stream.of(DiagnosticGroups.CHECK_VARIABLES, DiagnosticGroups.UNUSED_LOCAL_VARIABLE, DiagnosticGroups.SUSPICIOUS_CODE,
                DiagnosticGroups.UNDEFINED_VARIABLES, DiagnosticGroups.CHECK_USELESS_CODE, DiagnosticGroups.CONST,
                DiagnosticGroups.MODULE_LOAD, DiagnosticGroups.DEPRECATED)
                .forEach(group -> options.setWarningLevel(group, CheckLevel.ERROR));
        // What is vendored is imported by its own name and not read by the linter: an empty module stands for it.
        List<SourceFile> all = new ArrayList<>(scripts);
        all.add(SourceFile.fromCode("noble/sha2.js", "export const sha256 = null;"));
        Result result = compiler.compile(AbstractCommandLineRunner.getBuiltinExterns(Environment.BROWSER), all, options);
        return Stream.concat(result.errors.stream(), result.warnings.stream()).map(JSError::toString).toList();
    }

    private static List<Path> files(Path folder, String ending) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(f -> f.toString().endsWith(ending)).sorted().toList();
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException lost) {
            throw new AssertionError(lost);
        }
    }
}
