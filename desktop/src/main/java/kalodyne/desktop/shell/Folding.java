package kalodyne.desktop.shell;

import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.control.Tabs;

/**
 * How the parts of the window stand where there is little room for its text: findings behind a tab in place of beside the room, and
 * of the list of rooms only the numbers, in the bar at the top only the names. Nothing gets narrower than its words (WCAG 2.2, reflow).
 */
final class Folding {
    /** Widths of the window in the size of its text. */
    private static final double BESIDE = 70;

    private static final double WITH_TITLES = 54;

    private final BorderPane frame;
    private final ScrollPane page;
    private final FindingsPane findings;
    private final RoomList rooms;
    private final TopBar bar;
    private final ToggleButton roomTab = new ToggleButton();
    private final ToggleButton findingsTab = new ToggleButton();
    private final Tabs tabs =
            Styled.of(new Tabs(roomTab, findingsTab)).as("fold-tabs").node();
    private boolean isFolded;
    private boolean hasFindings;

    /**
     * Of a window.
     *
     * @param middle where the room stands; its tabs come above the page in it
     */
    Folding(BorderPane frame, VBox middle, ScrollPane page, FindingsPane findings, RoomList rooms, TopBar bar) {
        this.frame = frame;
        this.page = page;
        this.findings = findings;
        this.rooms = rooms;
        this.bar = bar;
        roomTab.setId("fold-room");
        findingsTab.setId("fold-findings");
        findingsTab.selectedProperty().addListener(change -> show());
        middle.getChildren().add(middle.getChildren().indexOf(page), tabs);
        middle.getChildren().add(findings);
        VBox.setVgrow(findings, Priority.ALWAYS);
        show();
    }

    /** Another width of the window, in the size of its text. */
    void fit(double ems) {
        isFolded = ems < BESIDE;
        rooms.showTitles(ems >= WITH_TITLES);
        bar.showTools(ems >= BESIDE);
        show();
    }

    /** Another room, or other findings of it. */
    void show(String room, int count, boolean isWorthShowing) {
        hasFindings = isWorthShowing;
        roomTab.setText(room);
        findingsTab.setText("What was noticed" + (count == 0 ? "" : " · " + count));
        show();
    }

    /** Brings the room to the front, where it is behind its findings. */
    void showRoom() {
        roomTab.setSelected(true);
    }

    private void show() {
        boolean areTabs = isFolded && hasFindings;
        boolean isBehind = areTabs && findingsTab.isSelected();
        Styled.of(tabs).shown(areTabs);
        Styled.of(page).shown(!isBehind);
        VBox middle = (VBox) frame.getCenter();
        if (isFolded && frame.getRight() != null) {
            frame.setRight(null);
            middle.getChildren().add(findings);
        } else if (!isFolded && frame.getRight() == null) {
            middle.getChildren().remove(findings);
            frame.setRight(findings);
        }
        Styled.of(findings).shown(hasFindings && (!isFolded || isBehind));
        findings.getStyleClass().remove("folded");
        if (isFolded) {
            findings.getStyleClass().add("folded");
        }
    }
}
