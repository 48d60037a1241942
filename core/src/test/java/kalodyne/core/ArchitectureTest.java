package kalodyne.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The rooms of the core and what each may know, as docs/architecture.md tells. */
class ArchitectureTest {
    /** A room may use those before it. */
    private static final List<String> ORDER = List.of(
            "files",
            "units",
            "sums",
            "json",
            "findings",
            "circuit",
            "gear",
            "catalogue",
            "joint",
            "gain",
            "calibration",
            "rig",
            "listening",
            "route",
            "run",
            "levels",
            "players",
            "sound",
            "measure",
            "takes",
            "timing",
            "copies",
            "lineup",
            "tidy",
            "causes",
            "verdict",
            "recording",
            "runsheet",
            "paper",
            "setup",
            "studio",
            "shelf",
            "log",
            "exchange",
            "demo");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("kalodyne.core");

    private static final ArchRule NO_INTERFACE = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..", "kalodyne.desktop..", "kalodyne.command..");

    @Test
    void core_knows_no_interface_code() {
        NO_INTERFACE.check(CORE);
    }

    /** The rule itself can fail: a class that breaks it is caught. */
    @Test
    void the_rule_would_catch_interface_code() {
        JavaClasses bad = new ClassFileImporter().importClasses(KnowsScreens.class);
        assertThat(NO_INTERFACE.evaluate(bad).hasViolation()).isTrue();
    }

    private static final class KnowsScreens {
        @SuppressWarnings("unused")
        private final java.awt.Point screen = new java.awt.Point();
    }

    @Test
    void rooms_have_no_cycles() {
        slices().matching("kalodyne.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void rooms_use_only_those_before_them() {
        assertThat(CORE.stream().map(each -> room(each.getPackageName())).distinct())
                .containsExactlyInAnyOrderElementsOf(ORDER);
        for (int i = 0; i < ORDER.size(); i++) {
            for (String later : ORDER.subList(i + 1, ORDER.size())) {
                noClasses()
                        .that()
                        .resideInAPackage(packages(ORDER.get(i)))
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage(packages(later))
                        .check(CORE);
            }
        }
    }

    private static String room(String packageName) {
        return packageName.replaceFirst("kalodyne\\.core\\.", "").replaceFirst("\\..*", "");
    }

    private static String packages(String room) {
        return "kalodyne.core." + room + "..";
    }

    @Test
    void logarithms_of_levels_are_taken_in_units_only() {
        noClasses()
                .that()
                .resideOutsideOfPackage("kalodyne.core.units..")
                .should()
                .callMethod(Math.class, "log10", double.class)
                .check(CORE);
    }

    /** The way back from decibels has one place too: powers of ten look like any other in the classes, not in the sources. */
    @Test
    void decibels_become_ratios_in_units_only() throws IOException {
        Pattern fromDecibels = Pattern.compile("Math\\.pow\\(10, .*/ (10|20)\\)");
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java/kalodyne/core"))) {
            List<Path> others = sources.filter(file -> file.toString().endsWith(".java"))
                    .filter(file -> !file.getParent().endsWith("units"))
                    .toList();
            assertThat(others).hasSizeGreaterThan(500);
            for (Path file : others) {
                assertThat(Files.readString(file)).as(file.toString()).doesNotContainPattern(fromDecibels);
            }
        }
    }
}
