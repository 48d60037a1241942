package kalodyne.desktop.control;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import kalodyne.core.findings.Severity;

/** The shape of a severity: its colour never stands alone. Shows nothing, and takes no place, where there is none. */
public final class SeverityMark extends Region {
    private Tooltip tooltip;

    public SeverityMark() {
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        show(Optional.empty());
    }

    public SeverityMark(Severity severity) {
        this();
        show(Optional.of(severity));
    }

    public void show(Optional<Severity> severity) {
        getStyleClass().setAll("severity-mark");
        setVisible(severity.isPresent());
        setManaged(severity.isPresent());
        if (tooltip != null) {
            Tooltip.uninstall(this, tooltip);
        }
        severity.ifPresent(present -> {
            getStyleClass().add(present.word());
            setAccessibleText(present.word());
            tooltip = new Tooltip(present.word());
            Tooltip.install(this, tooltip);
        });
    }

    /** A larger one, for lists of findings and the ribbon. */
    public SeverityMark large() {
        getStyleClass().add("large");
        return this;
    }
}
