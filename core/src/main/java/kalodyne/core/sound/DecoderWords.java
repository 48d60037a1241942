package kalodyne.core.sound;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the decoder says beside the samples: how long the sound should be, how it is kept, and complaints. */
final class DecoderWords {
    private static final Pattern DURATION = Pattern.compile("Duration: (\\d+):(\\d\\d):(\\d\\d\\.\\d+)");
    private static final Pattern ENCODING = Pattern.compile("Stream #0:\\d+.*: Audio: (\\w+)");
    private static final long PATIENCE_SECONDS = 20;

    private final CountDownLatch described = new CountDownLatch(1);
    private final Thread listener;
    private volatile double seconds;
    private volatile String encoding = "";
    private volatile String complaint = "";

    DecoderWords(InputStream words) {
        listener = new Thread(() -> listen(words), "what the decoder says");
        listener.setDaemon(true);
        listener.start();
    }

    private void listen(InputStream words) {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(words, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                hear(line);
            }
        } catch (IOException e) {
            // The program was stopped: nobody waits for its words.
            complaint = complaint.isEmpty() ? String.valueOf(e.getMessage()) : complaint;
        } finally {
            described.countDown();
        }
    }

    private void hear(String line) {
        Matcher duration = DURATION.matcher(line);
        if (duration.find()) {
            seconds = Integer.parseInt(duration.group(1)) * 3600.0
                    + Integer.parseInt(duration.group(2)) * 60.0
                    + Double.parseDouble(duration.group(3));
        }
        Matcher codec = ENCODING.matcher(line);
        if (encoding.isEmpty() && codec.find()) {
            encoding = codec.group(1);
        }
        if (line.startsWith("[info] Output #0")) {
            described.countDown();
        }
        if (complaint.isEmpty() && (line.contains("[error]") || line.contains("[fatal]"))) {
            complaint = line.replaceAll("\\[[^\\]]*\\] ?", "").strip();
        }
    }

    private void awaitDescription() {
        try {
            boolean heard = described.await(PATIENCE_SECONDS, TimeUnit.SECONDS);
            assert heard || seconds >= 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** How long the sound should be; 0 where the file does not say. */
    double seconds() {
        awaitDescription();
        return seconds;
    }

    /** Its short name: "aac". Empty where it was never told. */
    String encoding() {
        awaitDescription();
        return encoding;
    }

    /** The first complaint, once the program has ended. */
    Optional<String> complaint() {
        try {
            listener.join(TimeUnit.SECONDS.toMillis(PATIENCE_SECONDS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return complaint.isEmpty() ? Optional.empty() : Optional.of(complaint);
    }
}
