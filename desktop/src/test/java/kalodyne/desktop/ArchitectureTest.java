package kalodyne.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

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

    /** The rooms of the window, of which none knows another. */
    private static final List<String> ROOMS =
            List.of("shelf", "hookup", "levels", "runsheet", "takes", "lineup", "log", "practise", "convert");

    /** What rooms are made of; "shell" is the window round them, which knows what a room is, not which there are; "start" is before them. */
    private static final List<String> SHARED = List.of("job", "model", "control", "hearing", "start", "shell");

    static Stream<Arguments> walls() {
        Stream<Arguments> rooms = ROOMS.stream()
                .flatMap(room -> ROOMS.stream()
                        .filter(other -> !other.equals(room))
                        .map(other ->
                                Arguments.of("kalodyne.desktop." + room + "..", "kalodyne.desktop." + other + "..")));
        Stream<Arguments> shared = SHARED.stream()
                .flatMap(part -> ROOMS.stream()
                        .map(room ->
                                Arguments.of("kalodyne.desktop." + part + "..", "kalodyne.desktop." + room + "..")));
        Stream<Arguments> others = Stream.of(
                Arguments.of("kalodyne.desktop.model..", "javafx.scene.."),
                Arguments.of("kalodyne.desktop.job..", "javafx.scene.."),
                Arguments.of("kalodyne.desktop.control..", "kalodyne.desktop.model.."),
                Arguments.of("kalodyne.command..", "javafx.."),
                Arguments.of("kalodyne.command..", "kalodyne.desktop.."));
        return Stream.of(rooms, shared, others).flatMap(each -> each);
    }

    @ParameterizedTest
    @MethodSource("walls")
    void knows_nothing_of(String packages, String others) {
        noClasses()
                .that()
                .resideInAPackage(packages)
                .should()
                .dependOnClassesThat()
                .resideInAPackage(others)
                .check(all);
    }

    /** Models stand beside their views and know properties, never nodes. */
    @Test
    void models_know_nothing_of_nodes() {
        noClasses()
                .that()
                .haveSimpleNameEndingWith("Model")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("javafx.scene..")
                .check(all);
    }

    @Test
    void every_package_is_in_one_of_the_lists() {
        assertThat(all.stream()
                        .map(JavaClass::getPackageName)
                        .filter(name -> name.startsWith("kalodyne.desktop."))
                        .map(name -> name.split("\\.", -1)[2])
                        .collect(Collectors.toSet()))
                .containsExactlyInAnyOrderElementsOf(
                        Stream.concat(ROOMS.stream(), SHARED.stream()).toList());
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
