package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import kalodyne.core.files.WholeFile;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.paper.LabelSheet;
import kalodyne.core.paper.LeadLabels;
import kalodyne.core.paper.PaperSize;
import kalodyne.core.paper.PatchListPaper;
import kalodyne.core.paper.RecallPaper;
import kalodyne.core.paper.RunSheetPaper;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.runsheet.RecallSheet;
import kalodyne.core.runsheet.RigSnapshot;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.studio.setup.Setup;

/** What can be printed of the setup that is looked at. */
public final class PaperModel {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final StudioModel studio;
    private final SheetModel sheet;
    private final Clock clock;

    /**
     * A model.
     *
     * @param clock tells of which day a paper is
     */
    public PaperModel(StudioModel studio, SheetModel sheet, Clock clock) {
        this.studio = studio;
        this.sheet = sheet;
        this.clock = clock;
    }

    /**
     * Something that can be printed.
     *
     * @param name what it is
     * @param fileName that the document may have
     * @param paper what it is printed on
     * @param pdf how it comes about
     */
    public record Printable(String name, String fileName, String paper, Supplier<byte[]> pdf) {}

    private Printable printable(String name, String paper, Supplier<byte[]> pdf) {
        return new Printable(
                name, name + " " + studio.setup().name().replaceAll("[^\\p{L}\\p{N} -]", "") + ".pdf", paper, pdf);
    }

    /** All that can be printed of this setup. */
    public List<Printable> printables() {
        String name = studio.studio().name();
        String setup = studio.setup().name();
        List<PatchList.Row> rows = PatchList.of(studio.levels().rig().patch(), studio.joints());
        List<Printable> all = new ArrayList<>();
        for (PaperSize size : PaperSize.values()) {
            all.add(printable(
                    "Run sheet",
                    size.word(),
                    () -> RunSheetPaper.of(sheet.state().sheet(), name, size)));
            all.add(printable("Patch list", size.word(), () -> PatchListPaper.of(rows, name, setup, size)));
        }
        all.addAll(recallSheets(Optional.empty()));
        for (LabelSheet sheet : LabelSheet.values()) {
            all.add(printable("Lead labels", sheet.word(), () -> LeadLabels.of(rows, sheet, 0)));
        }
        return all;
    }

    /** How everything stands now, or stood when something was done. */
    public List<Printable> recallSheets(Optional<Entry> then) {
        return Stream.of(PaperSize.values())
                .map(size -> printable("Recall sheet", size.word(), () -> recallSheet(then, size)))
                .toList();
    }

    private byte[] recallSheet(Optional<Entry> then, PaperSize size) {
        Setup setup =
                then.flatMap(entry -> studio.studio().setup(entry.setupId())).orElseGet(studio::setup);
        RigSnapshot stand = then.map(
                        entry -> entry.isTake() ? setup.as(entry.stand()).stand() : entry.stand())
                .orElseGet(setup::stand);
        Patch patch = studio.studio().patch(setup.withWiring(stand.wiring().orElse(setup.wiring())));
        RecallSheet sheet = RecallSheet.of(
                patch,
                stand,
                PatchList.of(patch, JointRules.check(patch, studio.studio().devices())));
        String when = DAY.format(then.map(Entry::at).orElseGet(clock::instant).atZone(clock.getZone()));
        return RecallPaper.of(sheet, studio.studio().name(), setup.name(), "as it stood on " + when, size);
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
