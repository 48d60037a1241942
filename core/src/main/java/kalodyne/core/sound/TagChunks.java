package kalodyne.core.sound;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads and writes what a WAV file says of itself: the chunks "bext", "cue " and, inside "LIST", "labl". */
public final class TagChunks {
    /** A chunk of words that is longer is damaged. */
    private static final int MOST_BYTES = 1 << 20;

    private static final int CUE_BYTES = 24;
    private static final long IN_LONG_SIZES = 0xFFFFFFFFL;

    private TagChunks() {}

    /** What a file says of itself: nothing where it is no WAV, and as much as can be read where it is damaged. */
    public static SoundTags read(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
            HeadBytes bytes = new HeadBytes(file, channel, ByteOrder.LITTLE_ENDIAN);
            if (bytes.size() < 12 || !HeadBytes.fourLetters(bytes.at(0, 12), 8).equals("WAVE")) {
                return SoundTags.NONE;
            }
            Found found = new Found();
            long at = 12;
            while (at + 8 <= bytes.size()) {
                ByteBuffer head = bytes.at(at, 8);
                String id = HeadBytes.fourLetters(head, 0);
                long length = found.length(id, Integer.toUnsignedLong(head.getInt(4)));
                if (length <= MOST_BYTES && at + 8 + length <= bytes.size()) {
                    found.accept(id, bytes.at(at + 8, (int) length));
                }
                at += 8 + length + (length & 1);
            }
            return found.tags();
        }
    }

    /** What was found so far. */
    private static final class Found {
        private Optional<Broadcast> broadcast = Optional.empty();
        private long longData = IN_LONG_SIZES;
        private final Map<Integer, Long> places = new LinkedHashMap<>();
        private final Map<Integer, String> names = new LinkedHashMap<>();

        long length(String id, long stated) {
            return id.equals("data") && stated == IN_LONG_SIZES ? longData : stated;
        }

        void accept(String id, ByteBuffer body) {
            switch (id) {
                case "ds64" -> longData = body.limit() >= 16 ? Math.max(0, body.getLong(8)) : longData;
                case "bext" -> {
                    byte[] all = new byte[body.limit()];
                    body.get(all);
                    broadcast = all.length >= Broadcast.LEAST_BYTES ? Optional.of(new Broadcast(all)) : broadcast;
                }
                case "cue " -> acceptPlaces(body);
                case "LIST" -> acceptNames(body);
                default -> {
                    // Not about where or when.
                }
            }
        }

        private void acceptPlaces(ByteBuffer body) {
            for (int at = 4; at + CUE_BYTES <= body.limit(); at += CUE_BYTES) {
                places.put(body.getInt(at), Integer.toUnsignedLong(body.getInt(at + 20)));
            }
        }

        private void acceptNames(ByteBuffer body) {
            if (body.limit() < 4 || !HeadBytes.fourLetters(body, 0).equals("adtl")) {
                return;
            }
            int at = 4;
            while (at + 12 <= body.limit()) {
                int length = body.getInt(at + 4);
                if (length < 4 || length > body.limit() - at - 8) {
                    return;
                }
                if (HeadBytes.fourLetters(body, at).equals("labl")) {
                    byte[] letters = new byte[length - 4];
                    body.get(at + 12, letters);
                    names.put(body.getInt(at + 8), new String(letters, StandardCharsets.UTF_8).replace("\0", ""));
                }
                at += 8 + length + (length & 1);
            }
        }

        SoundTags tags() {
            List<SoundTags.Mark> marks = new ArrayList<>();
            places.forEach((id, frame) -> marks.add(new SoundTags.Mark(frame, names.getOrDefault(id, ""))));
            return new SoundTags(broadcast, marks);
        }
    }

    // --- writing -----------------------------------------------------------------------------------------------

    /** The chunks, to stand before the samples. */
    static byte[] write(SoundTags tags) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        tags.broadcast().ifPresent(broadcast -> all.writeBytes(chunk("bext", broadcast.bytes())));
        if (!tags.marks().isEmpty()) {
            all.writeBytes(chunk("cue ", places(tags.marks())));
            all.writeBytes(chunk("LIST", names(tags.marks())));
        }
        return all.toByteArray();
    }

    private static byte[] places(List<SoundTags.Mark> marks) {
        byte[] all = new byte[4 + CUE_BYTES * marks.size()];
        ByteBuffer body = numbers(all).putInt(marks.size());
        for (int i = 0; i < marks.size(); i++) {
            // 32 bits are all there is for a place: one further behind cannot be told.
            int frame = (int) Math.min(IN_LONG_SIZES, marks.get(i).frame());
            body.putInt(i + 1)
                    .putInt(frame)
                    .put(letters("data"))
                    .putInt(0)
                    .putInt(0)
                    .putInt(frame);
        }
        return all;
    }

    private static byte[] names(List<SoundTags.Mark> marks) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.writeBytes(letters("adtl"));
        for (int i = 0; i < marks.size(); i++) {
            byte[] name = marks.get(i).name().getBytes(StandardCharsets.UTF_8);
            // It ends with a zero.
            byte[] label = new byte[4 + name.length + 1];
            numbers(label).putInt(i + 1).put(name);
            body.writeBytes(chunk("labl", label));
        }
        return body.toByteArray();
    }

    private static byte[] chunk(String id, byte[] body) {
        byte[] all = new byte[8 + body.length + (body.length & 1)];
        numbers(all).put(letters(id)).putInt(body.length).put(body);
        return all;
    }

    private static ByteBuffer numbers(byte[] bytes) {
        return ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }

    private static byte[] letters(String four) {
        return four.getBytes(StandardCharsets.US_ASCII);
    }
}
