package tallledger.web;

import com.tngtech.archunit.ArchConfiguration;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;

/**
 * The classes of all modules without their tests, read once for all tests that look at them. What they use of libraries is known by name
 * only: no rule here asks for more.
 */
final class OwnClasses {

    static final JavaClasses ALL = read();

    private OwnClasses() {
    }

    private static JavaClasses read() {
        ArchConfiguration.get().setResolveMissingDependenciesFromClassPath(false);
        return new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("tallledger");
    }
}
