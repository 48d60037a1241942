package kalodyne.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import kalodyne.core.demo.Boathouse;
import kalodyne.desktop.testing.Models;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What can be printed, read back by a general library. */
class PaperModelTest {
    @TempDir
    Path folder;

    private Models models;
    private PaperModel paper;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        SheetModel sheet = new SheetModel(models.studio(), Models.CLOCK, new AtomicLong()::get);
        sheet.look();
        paper = new PaperModel(models.studio(), sheet, Models.CLOCK);
    }

    @AfterEach
    void close() {
        models.close();
    }

    @Test
    void every_printable_is_a_document_with_its_words() throws IOException {
        assertThat(paper.printables()).hasSizeGreaterThan(6);
        for (PaperModel.Printable each : paper.printables()) {
            Path file =
                    folder.resolve(each.fileName().replace(".pdf", each.paper().replaceAll("\\W", "") + ".pdf"));
            paper.print(file, each);
            assertThat(models.studio().noticeProperty().get())
                    .hasValueSatisfying(
                            notice -> assertThat(notice.title()).isEqualTo(each.name() + ": ready to print"));
            try (PDDocument document = Loader.loadPDF(file.toFile())) {
                String text = new PDFTextStripper().getText(document);
                assertThat(text).as(each.name()).isNotBlank().doesNotContain("null", "NaN", "Optional[");
                assertThat(document.getNumberOfPages()).isPositive();
            }
        }
    }

    @Test
    void where_it_cannot_be_written_that_is_told() throws IOException {
        PaperModel.Printable sheet = paper.recallSheets(Optional.empty()).get(0);
        Path blocked = Files.writeString(folder.resolve("blocked"), "a file where the folder should be");
        paper.print(blocked.resolve("sheet.pdf"), sheet);
        assertThat(models.studio().noticeProperty().get()).hasValueSatisfying(notice -> {
            assertThat(notice.title()).isEqualTo("Recall sheet: was not written");
            assertThat(notice.text()).contains("Choose a folder that you may write in");
        });
    }

    /** Names of files take what every system takes. */
    @Test
    void files_are_called_after_the_setup() {
        models.studio().setups().rename("Trio: “late” / 2");
        assertThat(paper.printables().get(0).fileName()).isEqualTo("Run sheet Trio late  2.pdf");
    }
}
