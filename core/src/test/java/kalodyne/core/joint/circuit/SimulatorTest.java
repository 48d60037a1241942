package kalodyne.core.joint.circuit;

import java.nio.file.Path;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.testing.Simulator;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The same circuits solved here and by a general circuit simulator. */
class SimulatorTest {
    @TempDir
    Path folder;

    /** A pickup with its pots and lead, a microphone on phantom power, transformers, followers, spacings of frequencies. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "V1 s 0 AC 1 45\nR1 s a 6.5k\nL1 a p 2.4\nC1 p 0 120p\nR2 p out 1\nR3 out 0 250k\nC2 t 0 22n\nR4 out t 250k\n"
                        + "C3 out 0 500p\nR5 out 0 1meg\n.ac dec 7 20 50k\n.op",
                "V1 p 0 DC 48\nR1 p h 6.8k\nR2 p c 6.8k\nI1 h 0 1.5m AC 0.1m 30\nI2 c 0 dc 1.5m\nC1 h hi 10u\nC2 c ci 10u\n"
                        + "R3 hi ci 3k\nR4 hi 0 1meg\nR5 ci 0 1meg\nL9 h 0 1k\n.ac oct 2 20 20k\n.op",
                "V1 a 0 AC 2\nR1 a b 10k\nL1 b 0 100\nL2 s 0 0.7\nK1 L1 L2 0.999\nL3 u v 1\nK2 L1 L3 0.9\nK3 L2 L3 0.9\nR2 s 0 1k\n"
                        + "R3 u 0 600\nR4 v 0 1\n.ac lin 5 50 1050\n.op",
                "V1 in 0 DC 1 AC 1\nR1 in x 1k\nE1 e 0 x 0 10\nR2 e y 1k\nC1 y 0 1n\nG1 z 0 y in 2m\nR3 z 0 1k\nV2 z w 0\nR4 w 0 5k\n"
                        + "H1 h 0 V2 100\nR5 h k 10\nF1 k 0 V1 3\nR6 k 0 47\n.ac dec 3 1 1meg\n.op"
            })
    void agrees_on(String lines) throws Exception {
        Simulator.assertAgrees("title\n" + lines + "\n.end\n", folder);
    }

    static Stream<String> madeAtRandom() {
        return IntStream.range(0, 60).mapToObj(SimulatorTest::madeAtRandom);
    }

    private static String madeAtRandom(int seed) {
        Random random = new Random(seed);
        int nodes = 3 + random.nextInt(10);
        StringBuilder text = new StringBuilder("made with " + seed + "\nV1 n0 0 DC 1 AC 1\n");
        for (int node = 1; node < nodes; node++) {
            // Each is tied to one before it, so that none is adrift.
            text.append("RT%d n%d n%d %s%n".formatted(node, node, random.nextInt(node), size(random, 1)));
        }
        for (int i = 0; i < 2 * nodes; i++) {
            int from = random.nextInt(nodes);
            int to = random.nextInt(nodes + 1);
            if (from != to) {
                String ends = i + " n" + from + " " + (to == nodes ? "0" : "n" + to) + " ";
                switch (random.nextInt(4)) {
                    case 0 -> text.append("R").append(ends).append(size(random, 10));
                    case 1 -> text.append("C").append(ends).append(size(random, 1e-12));
                    case 2 ->
                        text.append("L%s m%d %s%nRL%d m%d %s 33%n"
                                .formatted(
                                        ends.split(" ", -1)[0] + " " + ends.split(" ", -1)[1],
                                        i,
                                        size(random, 1e-5),
                                        i,
                                        i,
                                        ends.split(" ", -1)[2]));
                    default -> text.append("G").append(ends).append("n0 n1 ").append(size(random, 1e-9));
                }
                text.append('\n');
            }
        }
        return text.append(".ac dec 3 20 20k\n.op\n.end\n").toString();
    }

    private static String size(Random random, double least) {
        return NetlistNumber.write(least * Math.pow(10, 5 * random.nextDouble()));
    }

    @ParameterizedTest
    @MethodSource
    void madeAtRandom(String text) throws Exception {
        Simulator.assertAgrees(text, folder);
    }
}
