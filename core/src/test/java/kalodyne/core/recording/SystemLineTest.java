package kalodyne.core.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.lang.reflect.Proxy;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.TargetDataLine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SystemLineTest {
    /** A line of the system that gives some blocks of one value, and then what a device gives whose plug was pulled. */
    private static InputLine line(int bits, int blocks, int saysReadyWhenGone) {
        AtomicInteger left = new AtomicInteger(blocks);
        int frame = 2 * bits / 8;
        TargetDataLine fake = (TargetDataLine) Proxy.newProxyInstance(
                SystemLineTest.class.getClassLoader(),
                new Class<?>[] {TargetDataLine.class},
                (proxy, method, given) -> {
                    return switch (method.getName()) {
                        case "available" -> left.get() > 0 ? 10 * frame : saysReadyWhenGone;
                        case "read" -> left.getAndDecrement() > 0 ? filled((byte[]) given[0], (int) given[2], bits) : 0;
                        default -> null;
                    };
                });
        return new SystemLine("Fake", fake, new AudioFormat(48_000, bits, 2, true, false));
    }

    /** Left is half of full scale, right minus a quarter of it, lowest byte first. */
    private static int filled(byte[] into, int count, int bits) {
        int bytes = bits / 8;
        for (int i = 0; i < count; i++) {
            boolean isHighest = i % bytes == bytes - 1;
            into[i] = (byte) (!isHighest ? 0 : i % (2 * bytes) < bytes ? 0x40 : 0xE0);
        }
        return count;
    }

    @ParameterizedTest
    @CsvSource({"16", "24"})
    void samples_are_read_as_they_lie(int bits) throws Exception {
        float[][] samples = new float[2][64];
        try (InputLine line = line(bits, 1, 0)) {
            assertThat(line.read(samples)).isEqualTo(10);
        }
        assertThat(samples[0][9]).isCloseTo(0.5f, within(1e-6f));
        assertThat(samples[1][9]).isCloseTo(-0.25f, within(1e-6f));
    }

    /** It stays open and running, perhaps even says that something is ready, and gives nothing for ever. */
    @ParameterizedTest
    @CsvSource({"0", "4000"})
    void a_device_that_is_gone_is_noticed_by_the_time_it_takes(int saysReady) throws Exception {
        float[][] samples = new float[2][64];
        try (InputLine line = line(16, 1, saysReady)) {
            line.read(samples);
            assertThatThrownBy(() -> {
                        while (true) {
                            assertThat(line.read(samples)).isZero();
                        }
                    })
                    .isInstanceOf(LostInput.class)
                    .hasMessage("Fake stopped giving sound. Check its plug and its power, then choose it again.");
        }
    }

    @Test
    void asking_the_system_what_it_has_never_fails() {
        assertThat(SystemInputs.all())
                .allSatisfy(input -> assertThat(input.channels()).isPositive());
    }
}
