package kalodyne.core.sound.measure;

import java.util.List;

/**
 * Hum: tones at whole multiples of the frequency of the mains.
 *
 * @param fundamentalHz as measured, near 50 or 60 Hz
 * @param lines the multiples that stand out, lowest first
 * @param isFromPauses whether it was found in pauses, where nothing else sounds, and not only under the music
 */
public record Hum(double fundamentalHz, List<Line> lines, boolean isFromPauses) {
    public Hum {
        lines = List.copyOf(lines);
    }

    /**
     * One tone of it.
     *
     * @param harmonic which multiple of the fundamental
     * @param hertz where it was found
     * @param power mean square, full scale 1
     */
    public record Line(int harmonic, double hertz, double power) {}

    /** Mean square of all of it. */
    public double power() {
        return lines.stream().mapToDouble(Line::power).sum();
    }

    /** The same, as the ear counts it. */
    public double heardPower() {
        return lines.stream()
                .mapToDouble(line -> line.power() * Weighting.power(line.hertz()))
                .sum();
    }

    /**
     * Whether even multiples rule: pulses of a rectifier come twice in a period of the mains, what is induced by a coil or a loop
     * once, upside down every other time.
     */
    public boolean isOfRectifier() {
        double even = 0;
        double odd = 0;
        for (Line line : lines) {
            double heard = line.power() * line.harmonic();
            even += line.harmonic() % 2 == 0 ? heard : 0;
            odd += line.harmonic() % 2 == 0 ? 0 : heard;
        }
        return even > 2 * odd;
    }
}
