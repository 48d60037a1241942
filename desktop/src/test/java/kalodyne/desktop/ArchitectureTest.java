package kalodyne.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the parts of the desktop may know of each other, as docs/architecture.md tells. */
class ArchitectureTest {
    /** The whole program takes much memory, which the tests in windows need afterwards. */
    private static JavaClasses all;

    @BeforeAll
    static void read() {
        all = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("kalodyne");
    }

    @AfterAll
    static void forget() {
        all = null;
    }

    @Test
    void packages_have_no_cycles() {
        slices().matching("kalodyne.desktop.(*)..").should().beFreeOfCycles().check(all);
        slices().matching("kalodyne.(*)..").should().beFreeOfCycles().check(all);
    }

    @ParameterizedTest
    @CsvSource({
        // Models know properties, never nodes.
        "kalodyne.desktop.model.., javafx.scene..",
        "kalodyne.desktop.job.., javafx.scene..",
        // The shell knows what a room is, not which there are; rooms do not know each other.
        "kalodyne.desktop.shell.., kalodyne.desktop.levels..",
        "kalodyne.desktop.shell.., kalodyne.desktop.takes..",
        "kalodyne.desktop.shell.., kalodyne.desktop.shelf..",
        "kalodyne.desktop.shelf.., kalodyne.desktop.levels..",
        "kalodyne.desktop.shelf.., kalodyne.desktop.takes..",
        "kalodyne.desktop.levels.., kalodyne.desktop.shelf..",
        "kalodyne.desktop.takes.., kalodyne.desktop.shelf..",
        "kalodyne.desktop.levels.., kalodyne.desktop.takes..",
        "kalodyne.desktop.takes.., kalodyne.desktop.levels..",
        "kalodyne.desktop.control.., kalodyne.desktop.model..",
        "kalodyne.command.., javafx..",
        "kalodyne.command.., kalodyne.desktop.."
    })
    void knows_nothing_of(String packages, String others) {
        noClasses()
                .that()
                .resideInAPackage(packages)
                .should()
                .dependOnClassesThat()
                .resideInAPackage(others)
                .check(all);
    }

    /** Windows too are tested where a decimal comma and a dotless i would show what depends on the locale. */
    @Test
    void windows_are_tested_under_another_locale() {
        assertThat(Locale.getDefault().getCountry()).isEqualTo("TR");
    }

    /** What was imported is the whole program: a rule over nothing would always hold. */
    @Test
    void sees_every_module() {
        assertThat(all.stream().map(JavaClass::getPackageName).collect(Collectors.toSet()))
                .contains(
                        "kalodyne.core.levels", "kalodyne.command", "kalodyne.desktop.shell", "kalodyne.desktop.takes");
    }
}
