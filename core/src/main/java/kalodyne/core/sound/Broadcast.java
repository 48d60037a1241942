package kalodyne.core.sound;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;

/**
 * The chunk "bext" of a broadcast wave file (EBU Tech 3285): who made it, when, and which sample of the day its first one is. What this
 * program does not know of it stays as it is.
 */
public final class Broadcast {
    private static final int DESCRIPTION_BYTES = 256;
    private static final int ORIGINATOR_AT = 256;
    private static final int ORIGINATOR_BYTES = 32;
    private static final int DATE_AT = 320;
    private static final int TIME_AT = 330;
    private static final int TIME_REFERENCE_AT = 338;
    private static final int VERSION_AT = 346;
    /** All but the history of how it was coded, which may be of any length. */
    static final int LEAST_BYTES = 602;

    private static final String MADE_BY = "Kalodyne";

    private final byte[] body;

    /** Copies what it is given, filled up to the least length. */
    Broadcast(byte[] body) {
        this.body = Arrays.copyOf(body, Math.max(LEAST_BYTES, body.length));
    }

    /**
     * One of a file that had none.
     *
     * @param description what it is; cut to 256 bytes of plain letters
     * @param began when its first sample was
     * @param timeReference samples since midnight
     */
    public static Broadcast of(String description, LocalDateTime began, long timeReference) {
        Broadcast made = new Broadcast(new byte[LEAST_BYTES]);
        made.put(0, DESCRIPTION_BYTES, description);
        made.put(ORIGINATOR_AT, ORIGINATOR_BYTES, MADE_BY);
        made.put(DATE_AT, 10, began.toLocalDate().toString());
        made.put(TIME_AT, 8, began.toLocalTime().truncatedTo(ChronoUnit.SECONDS).toString());
        made.number().putShort(VERSION_AT, (short) 1);
        return made.withTimeReference(timeReference);
    }

    private void put(int at, int bytes, String text) {
        byte[] plain = text.getBytes(StandardCharsets.US_ASCII);
        System.arraycopy(plain, 0, body, at, Math.min(bytes, plain.length));
    }

    private ByteBuffer number() {
        return ByteBuffer.wrap(body).order(ByteOrder.LITTLE_ENDIAN);
    }

    /** What it is. */
    public String description() {
        int end = 0;
        while (end < DESCRIPTION_BYTES && body[end] != 0) {
            end++;
        }
        return new String(body, 0, end, StandardCharsets.US_ASCII);
    }

    /** How many samples after midnight its first one is. */
    public long timeReference() {
        return number().getLong(TIME_REFERENCE_AT);
    }

    /** The same of a file that begins at another time. */
    public Broadcast withTimeReference(long samples) {
        Broadcast changed = new Broadcast(body);
        changed.number().putLong(TIME_REFERENCE_AT, Math.max(0, samples));
        return changed;
    }

    /** The same with one more line about how it came to be. */
    public Broadcast withHistory(String line) {
        int end = body.length;
        while (end > LEAST_BYTES && body[end - 1] == 0) {
            end--;
        }
        byte[] added = (line + "\r\n").getBytes(StandardCharsets.US_ASCII);
        byte[] longer = Arrays.copyOf(body, end + added.length);
        System.arraycopy(added, 0, longer, end, added.length);
        return new Broadcast(longer);
    }

    /** As it lies in a file. */
    byte[] bytes() {
        return body.clone();
    }
}
