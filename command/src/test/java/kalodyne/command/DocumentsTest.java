package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.Words;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.route.Weight;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.core.studio.exchange.StudioTables;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What the documents tell other programs is what there is. */
class DocumentsTest {
    private static final Path ROOT = Path.of("..");
    private static final String CODE = "dc|hiss|saturation|dropout|click|agc|rumble|dull|[a-z]+\\.[a-z-]+";

    /** Each code of a finding stands once in its table, with its severity among those of the rule, and none that is not. */
    @ParameterizedTest
    @CsvSource({
        "core/src/main/java/kalodyne/core/takes core/src/main/java/kalodyne/core/takes/verdict, docs/formats/analyse.md, 9",
        "core/src/main/java/kalodyne/core/levels, docs/formats/levels.md, 9",
        "core/src/main/java/kalodyne/core/joint/rules, docs/formats/joint.md, 9",
        "core/src/main/java/kalodyne/core/runsheet, docs/formats/runsheet.md, 4"
    })
    void every_finding_is_documented(String sources, String document, int least) throws IOException {
        Set<String> written = new TreeSet<>();
        for (String source : sources.split(" ", -1)) {
            try (Stream<Path> files = Files.list(ROOT.resolve(source))) {
                for (Path file : files.filter(
                                path -> path.toString()
                                        .matches(
                                                ".*(Rule|(Rig|Ear|Knob|Take|Joint)Rules|Caution|TakeVerdict|Preparing|PhantomSteps|ReachSteps|SheetMaker).java"))
                        .toList()) {
                    Set<String> constants = new TreeSet<>();
                    all("FindingCode\\.([A-Z_0-9]+)", Files.readString(file), constants);
                    constants.forEach(constant ->
                            written.add(FindingCode.valueOf(constant).mark()));
                }
            }
        }
        Set<String> documented = new TreeSet<>();
        all("(?m)^\\| `(" + CODE + ")` \\|", Files.readString(ROOT.resolve(document)), documented);
        assertThat(documented).isEqualTo(written).hasSizeGreaterThanOrEqualTo(least);
    }

    /** What counts for the place of a way is told with its reason and by whom, the same in the document as in the program. */
    @ParameterizedTest
    @EnumSource(Weight.class)
    void every_weight_is_documented_with_its_reason(Weight weight) throws IOException {
        Weight.Row row = weight.row();
        assertThat(row.source()).isIn("common practice", "from memory");
        assertThat(Files.readString(ROOT.resolve("docs/formats/plan.md")))
                .contains("| "
                        + new DecimalFormat("0.##", DecimalFormatSymbols.getInstance(Locale.ROOT)).format(row.points())
                        + " | " + row.per() + " | "
                        + row.counts().map(each -> "`" + Words.name(each) + "`").orElse("") + " | " + row.why()
                        + " |\n");
    }

    private static void all(String pattern, String text, Set<String> found) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        while (matcher.find()) {
            found.add(matcher.group(1));
        }
    }

    /** Every file that a document links to is there. */
    @ParameterizedTest
    @CsvSource({
        "README.md",
        "docs/architecture.md",
        "CONTRIBUTING.md",
        "docs/formats/findings.md",
        "docs/formats/setup.md",
        "docs/formats/studio.md",
        "docs/formats/tables.md",
        "docs/formats/catalogue.md",
        "docs/formats/analyse.md",
        "docs/formats/circuit.md",
        "docs/formats/joint.md",
        "docs/formats/plan.md",
        "docs/formats/levels.md",
        "docs/formats/runsheet.md",
        "docs/formats/lineup.md",
        "docs/formats/tidy.md",
        "docs/formats/copy.md",
        "THIRD-PARTY.md"
    })
    void links_lead_somewhere(String document) throws IOException {
        Path file = ROOT.resolve(document);
        Set<String> targets = new TreeSet<>();
        all("\\]\\(([^)#:]+)\\)", Files.readString(file), targets);
        for (String target : targets) {
            assertThat(file.resolveSibling(target)).exists();
        }
    }

    /** The examples of the open formats can be read as they stand. */
    @ParameterizedTest
    @CsvSource({
        "studio.md, json, studio",
        "setup.md, json, studio",
        "tidy.md, json, tidy",
        "catalogue.md, json, catalogue",
        "tables.md, '', table"
    })
    void examples_can_be_read(String document, String language, String kind) throws IOException {
        Matcher example = Pattern.compile("```" + (language == null ? "" : language) + "\\n(.*?)```", Pattern.DOTALL)
                .matcher(Files.readString(ROOT.resolve("docs/formats").resolve(document)));
        int read = 0;
        while (example.find()) {
            String text = example.group(1);
            Path file = Path.of(kind);
            if (kind.equals("table")) {
                StudioTables.read(text, file);
            } else if (kind.equals("studio")) {
                StudioReader.read(text, file);
            } else if (kind.equals("tidy")) {
                JsonFormat.TIDY.read(text, file);
            } else {
                JsonFormat.CATALOGUE.read(text, file);
            }
            read++;
        }
        assertThat(read).isGreaterThan(0);
    }
}
