package kalodyne.desktop.lineup;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.lineup.tidy.Channels;
import kalodyne.core.sound.CopyFormat;

/**
 * What is wanted.
 *
 * @param levelValue in the unit of the level
 * @param keepValue in the unit of what is kept
 * @param names of songs, in order
 * @param format empty for what loses nothing
 * @param folder empty for beside each recording
 */
public record CopiesWanted(
        Channels.Usual channels,
        TidyModel.Level level,
        double levelValue,
        TidyModel.Keep keep,
        double keepValue,
        List<String> names,
        Optional<CopyFormat> format,
        Optional<Path> folder) {
    static final CopiesWanted PLAIN = new CopiesWanted(
            Channels.Usual.TOGETHER,
            TidyModel.Level.AS_IT_IS,
            0,
            TidyModel.Keep.ALL,
            0,
            List.of(),
            Optional.empty(),
            Optional.empty());

    public CopiesWanted {
        names = List.copyOf(names);
    }

    public CopiesWanted with(Channels.Usual newChannels) {
        return new CopiesWanted(newChannels, level, levelValue, keep, keepValue, names, format, folder);
    }

    public CopiesWanted with(TidyModel.Level newLevel) {
        return new CopiesWanted(channels, newLevel, newLevel.choice.usual(), keep, keepValue, names, format, folder);
    }

    public CopiesWanted with(TidyModel.Keep newKeep) {
        return new CopiesWanted(channels, level, levelValue, newKeep, newKeep.choice.usual(), names, format, folder);
    }

    /** With the level's value as it was typed. */
    public CopiesWanted level(String typed) {
        double value = level.choice.read(typed);
        return new CopiesWanted(channels, level, value, keep, keepValue, names, format, folder);
    }

    /** With the value of what is kept as it was typed. */
    public CopiesWanted keep(String typed) {
        double value = keep.choice.read(typed);
        return new CopiesWanted(channels, level, levelValue, keep, value, names, format, folder);
    }

    public CopiesWanted named(List<String> newNames) {
        return new CopiesWanted(channels, level, levelValue, keep, keepValue, newNames, format, folder);
    }

    public CopiesWanted as(Optional<CopyFormat> newFormat) {
        return new CopiesWanted(channels, level, levelValue, keep, keepValue, names, newFormat, folder);
    }

    public CopiesWanted into(Optional<Path> newFolder) {
        return new CopiesWanted(channels, level, levelValue, keep, keepValue, names, format, newFolder);
    }
}
