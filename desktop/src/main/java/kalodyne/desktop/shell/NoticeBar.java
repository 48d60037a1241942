package kalodyne.desktop.shell;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.Notice;

/** Says in place that something went wrong, or was done, until it is dismissed; nothing else is taken away meanwhile. */
final class NoticeBar extends VBox {
    private final SeverityMark mark = new SeverityMark();
    private final HBox bar = new HBox();
    private final Label title = new Label();
    private final Label text = new Label();

    NoticeBar(ObjectProperty<Optional<Notice>> notice) {
        getStyleClass().add("notice-frame");
        Styled.of(title).as("card-title").id("notice-title");
        Styled.of(text).as("finding-text").id("notice-text").wrap();
        text.setMinHeight(Region.USE_PREF_SIZE);
        VBox words = new VBox(2, title, text);
        HBox.setHgrow(words, Priority.ALWAYS);
        Button dismiss = new Button("Dismiss");
        Styled.of(dismiss).id("notice-dismiss").whole().action(() -> notice.set(Optional.empty()));
        bar.getChildren().addAll(mark, words, dismiss);
        getChildren().add(bar);
        notice.addListener((property, before, now) -> show(now));
        show(notice.get());
    }

    private void show(Optional<Notice> notice) {
        setVisible(notice.isPresent());
        setManaged(notice.isPresent());
        notice.ifPresent(present -> {
            mark.show(Optional.of(present.severity()));
            bar.getStyleClass().setAll("notice", present.severity().word());
            title.setText(present.title());
            text.setText(present.text());
        });
    }
}
