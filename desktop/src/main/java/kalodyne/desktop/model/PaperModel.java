package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import kalodyne.core.files.WholeFile;
import kalodyne.core.paper.LabelSheet;
import kalodyne.core.paper.LeadLabels;
import kalodyne.core.paper.PaperSize;
import kalodyne.core.paper.PatchListPaper;
import kalodyne.core.paper.RunSheetPaper;
import kalodyne.core.runsheet.PatchList;

/** What can be printed of the setup that is looked at. */
public final class PaperModel {
    private final StudioModel studio;
    private final SheetModel sheet;

    public PaperModel(StudioModel studio, SheetModel sheet) {
        this.studio = studio;
        this.sheet = sheet;
    }

    /** Something that can be printed: its name, and how it comes about. */
    public record Printable(String name, String paper, Supplier<byte[]> pdf) {}

    /** All that can be printed of this setup. */
    public List<Printable> printables() {
        String name = studio.studio().name();
        String setup = studio.setup().name();
        List<PatchList.Row> rows = PatchList.of(studio.levels().rig().patch(), studio.joints());
        List<Printable> all = new ArrayList<>();
        for (PaperSize size : PaperSize.values()) {
            all.add(new Printable(
                    "Run sheet",
                    size.word(),
                    () -> RunSheetPaper.of(sheet.state().sheet(), name, size)));
            all.add(new Printable("Patch list", size.word(), () -> PatchListPaper.of(rows, name, setup, size)));
        }
        for (LabelSheet sheet : LabelSheet.values()) {
            all.add(new Printable("Lead labels", sheet.word(), () -> LeadLabels.of(rows, sheet, 0)));
        }
        return all;
    }

    /** Writes it as a PDF document; says where it is, or why not. */
    public void print(Path file, Printable what) {
        try {
            WholeFile.write(file, ByteBuffer.wrap(what.pdf().get()));
            studio.tell(what.name() + ": ready to print", file + ", " + what.paper() + ", black and white.");
        } catch (IOException e) {
            studio.notice(
                    what.name() + ": was not written",
                    file + ": " + e.getMessage() + ". Choose a folder that you may write in, on a disk with room.");
        }
    }
}
