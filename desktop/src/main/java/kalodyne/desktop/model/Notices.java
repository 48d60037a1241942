package kalodyne.desktop.model;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** What somebody is told in the window, one thing at a time, until it is dismissed. */
final class Notices {
    private final ObjectProperty<Optional<Notice>> notice =
            new SimpleObjectProperty<>(this, "notice", Optional.empty());

    ObjectProperty<Optional<Notice>> property() {
        return notice;
    }

    void problem(String title, String text) {
        notice.set(Optional.of(Notice.problem(title, text)));
    }

    void done(String title, String text) {
        notice.set(Optional.of(Notice.done(title, text)));
    }

    /** Takes a notice back, where it is still shown. */
    void over(String title) {
        if (notice.get().filter(present -> present.title().equals(title)).isPresent()) {
            notice.set(Optional.empty());
        }
    }
}
