package kalodyne.core.takes;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import kalodyne.core.findings.Finding;
import kalodyne.core.sound.WavHeader;
import kalodyne.core.units.DigitalLevel;

/**
 * What was measured in a take.
 *
 * @param file where it lies
 * @param header what its head says
 * @param channels one report a channel
 * @param findings what is wrong with it, whatever it was meant for, worst first
 */
public record TakeReport(Path file, WavHeader header, List<ChannelReport> channels, List<Finding> findings) {
    /** No input is so quiet with something plugged into it (common practice). */
    static final DigitalLevel NOTHING = new DigitalLevel(-90);

    public TakeReport {
        channels = List.copyOf(channels);
        findings = List.copyOf(findings);
    }

    public double seconds(long frame) {
        return (double) frame / header.sampleRateHz();
    }

    /** The channel with the highest peak, as far as can be told before it was cut off. */
    public ChannelReport loudest() {
        return channels.stream()
                .max(Comparator.comparing(ChannelReport::likelyPeak))
                .orElseThrow();
    }

    public boolean isClipped() {
        return channels.stream().anyMatch(ChannelReport::isClipped);
    }

    /** How many places are cut off, over all channels. */
    public int clipPlaces() {
        return channels.stream().mapToInt(ChannelReport::clipPlaceCount).sum();
    }

    /** Whether nothing was recorded: what is below this is the noise of an open input or of rounding. */
    public boolean isSilent() {
        return loudest().peakLevel().compareTo(NOTHING) < 0;
    }

    /** Whether samples that the file promises could not be read. */
    public boolean isIncomplete() {
        return header.fault().map(WavHeader.SizeFault::samplesMissing).orElse(false);
    }
}
