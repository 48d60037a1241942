package kalodyne.desktop.lineup;

import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.core.lineup.tidy.Proposal;
import kalodyne.core.lineup.tidy.Tidy;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** What would be written, a row a copy, with what there is to know beneath; what cannot be written says why. */
final class PreviewTable extends GridPane {
    private static final List<String> HEADS =
            List.of("Copy", "from", "to", "gain", "peak, dBFS", "loudness, LUFS", "kept as");

    private int rows;

    PreviewTable() {
        setId("tidy-table");
        getStyleClass().add("preview-table");
        for (int column = 0; column < HEADS.size(); column++) {
            ColumnConstraints constraints = new ColumnConstraints();
            constraints.setHgrow(column == 0 ? Priority.ALWAYS : Priority.SOMETIMES);
            constraints.setHalignment(column == 0 ? HPos.LEFT : HPos.RIGHT);
            getColumnConstraints().add(constraints);
        }
    }

    void show(Optional<Tidy.Preview> preview) {
        getChildren().clear();
        rows = 0;
        setVisible(preview.isPresent());
        preview.ifPresent(this::fill);
    }

    private void fill(Tidy.Preview preview) {
        row(HEADS, "head");
        for (Tidy.Refused refused : preview.refused()) {
            row(List.of(refused.file().getFileName().toString()), "name");
            note(refused.problem(), "problem");
        }
        for (Proposal proposal : preview.proposals()) {
            row(cells(proposal), proposal.canBeWritten() ? "name" : "second");
            if (!proposal.canBeWritten()) {
                note(proposal.problem(), "problem");
            }
            proposal.notes().forEach(each -> note(each, "second"));
        }
    }

    private static List<String> cells(Proposal proposal) {
        return List.of(
                proposal.target().getFileName().toString(),
                Print.moment(proposal.fromSeconds()),
                Print.moment(proposal.toSeconds()),
                proposal.gain().toString(),
                proposal.peakAfter().isSilence()
                        ? "silent"
                        : Print.decimal(proposal.peakAfter().dbfs(), 1),
                proposal.lufsAfter().map(lufs -> Print.decimal(lufs, 1)).orElse("–"),
                proposal.format().words());
    }

    private void row(List<String> cells, String style) {
        for (int column = 0; column < cells.size(); column++) {
            Label label = new Label(cells.get(column));
            label.getStyleClass().addAll("cell", column == 0 ? style : style.equals("name") ? "number" : style);
            if (column > 0) {
                label.setMinWidth(Region.USE_PREF_SIZE);
            }
            add(label, column, rows);
        }
        rows++;
    }

    private void note(String words, String style) {
        Label label = Styled.of(new Label(words))
                .as("preview-note", style, "small")
                .wrap()
                .node();
        add(label, 0, rows, HEADS.size(), 1);
        GridPane.setHalignment(label, HPos.LEFT);
        rows++;
    }
}
