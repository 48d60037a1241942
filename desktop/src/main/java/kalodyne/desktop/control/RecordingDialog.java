package kalodyne.desktop.control;

import javafx.stage.FileChooser;

/** The dialog that asks for a recording. */
public final class RecordingDialog {
    private RecordingDialog() {}

    /** Offers the endings of sound and of films; all others too. */
    public static FileChooser chooser(String title) {
        FileChooser files = new FileChooser();
        files.setTitle(title);
        files.getExtensionFilters()
                .addAll(
                        new FileChooser.ExtensionFilter(
                                "Recordings",
                                "*.wav",
                                "*.WAV",
                                "*.wave",
                                "*.aif",
                                "*.aiff",
                                "*.flac",
                                "*.mp3",
                                "*.m4a",
                                "*.aac",
                                "*.ogg",
                                "*.opus",
                                "*.mp4",
                                "*.mov",
                                "*.mkv"),
                        new FileChooser.ExtensionFilter("All files", "*.*"));
        return files;
    }
}
