package kalodyne.desktop.shell;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.Starter;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;

/** What an empty setup shows: the first thing to do. */
final class Welcome extends VBox {
    Welcome(StudioModel studio, Runnable openStudio, Runnable openDemo) {
        getStyleClass().addAll("room", "welcome");
        setId("welcome");
        Label title = Styled.of(new Label("What do you want to record?"))
                .as("room-sentence")
                .node();
        Label how =
                new Label("Begin with what is closest. It comes with typical values; correct them from the manuals.");
        Styled.of(how).as("second").wrap();
        getChildren().addAll(title, how);
        for (Starter starter : Starter.values()) {
            Button button = new Button(starter.title());
            button.setMinWidth(340);
            button.setOnAction(event -> studio.begin(starter));
            getChildren().add(button);
        }
        getChildren().addAll(link("Open a studio…", openStudio), link("Look at the demonstration studio", openDemo));
    }

    private static Button link(String words, Runnable action) {
        Button link = new Button(words);
        Styled.of(link).as("action-link").action(() -> action.run());
        return link;
    }
}
