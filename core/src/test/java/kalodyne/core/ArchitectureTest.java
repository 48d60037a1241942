package kalodyne.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The rooms of the core and what each may know, as docs/architecture.md tells. */
class ArchitectureTest {
    /**
     * The packages of the core, each of which may use those before it; what stands before the first dot is the room. Every rule
     * below follows from this list.
     */
    private static final List<String> PACKAGES = List.of(
            "units",
            "findings",
            "files",
            "files.json",
            "sums",
            "gear",
            "gear.file",
            "gear.catalogue",
            "gear.shelf",
            "joint.circuit",
            "joint",
            "joint.rules",
            "levels.gain",
            "levels.calibration",
            "levels.rig",
            "levels.listening",
            "levels",
            "route",
            "sound",
            "sound.measure",
            "sound.copies",
            "hearing.players",
            "hearing",
            "recording",
            "takes",
            "takes.timing",
            "takes.causes",
            "takes.verdict",
            "practice",
            "lineup",
            "lineup.tidy",
            "runsheet",
            "rigmap",
            "paper",
            "studio.practised",
            "studio.setup",
            "studio",
            "studio.log",
            "studio.exchange",
            "demo");

    private static final int MOST_FLOORS = 9;

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
    void packages_use_only_those_before_them() {
        assertThat(CORE.stream().map(each -> name(each.getPackageName())).collect(Collectors.toSet()))
                .as("every package is in the list")
                .containsExactlyInAnyOrderElementsOf(PACKAGES);
        List<String> upward = CORE.stream()
                .flatMap(each -> each.getDirectDependenciesFromSelf().stream())
                .filter(use -> place(use.getTargetClass()) > place(use.getOriginClass()))
                .map(Dependency::getDescription)
                .toList();
        assertThat(upward).isEmpty();
    }

    /** A stranger reads from the ground up: how often does somebody have to climb? */
    @Test
    void rooms_stand_on_few_floors() {
        Map<String, Integer> floors = new HashMap<>();
        List<String> rooms =
                PACKAGES.stream().map(ArchitectureTest::room).distinct().toList();
        for (int again = 0; again < rooms.size(); again++) {
            CORE.stream()
                    .flatMap(each -> each.getDirectDependenciesFromSelf().stream())
                    .filter(use -> place(use.getTargetClass()) >= 0)
                    .forEach(use -> {
                        String from = room(name(use.getOriginClass().getPackageName()));
                        String to = room(name(use.getTargetClass().getPackageName()));
                        if (!from.equals(to)) {
                            floors.merge(from, floors.getOrDefault(to, 1) + 1, Math::max);
                        }
                    });
        }
        assertThat(floors.values().stream().max(Integer::compare).orElseThrow()).isLessThanOrEqualTo(MOST_FLOORS);
    }

    private static int place(JavaClass type) {
        return PACKAGES.indexOf(name(type.getPackageName()));
    }

    private static String name(String packageName) {
        return packageName.replaceFirst("^kalodyne\\.core\\.", "");
    }

    private static String room(String name) {
        return name.replaceFirst("\\..*", "");
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
