package kalodyne.desktop;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import kalodyne.core.files.WholeFile;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

/**
 * The native part of the database. Its library would unpack and compare it at every start, and leave it behind when the
 * program is killed: here it is unpacked once for each version, into a folder of the program's own.
 */
final class NativeDatabase {
    private NativeDatabase() {}

    static void unpack(Path dataFolder) {
        String name = LibraryLoaderUtil.getNativeLibName();
        Path folder = dataFolder.resolve("native").resolve(SQLiteJDBCLoader.getVersion());
        Path file = folder.resolve(name);
        try {
            if (!Files.exists(file)) {
                String packed = LibraryLoaderUtil.getNativeLibResourcePath() + "/" + name;
                try (InputStream in = SQLiteJDBCLoader.class.getResourceAsStream(packed)) {
                    if (in == null) {
                        return;
                    }
                    WholeFile.write(file, ByteBuffer.wrap(in.readAllBytes()));
                }
            }
            System.setProperty("org.sqlite.lib.path", folder.toString());
            System.setProperty("org.sqlite.lib.name", name);
        } catch (IOException e) {
            // Then the library unpacks it where it can.
            LoggerFactory.getLogger(NativeDatabase.class).info("no {}", file, e);
        }
    }
}
