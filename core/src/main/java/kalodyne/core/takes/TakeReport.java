package kalodyne.core.takes;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.measure.Hum;
import kalodyne.core.sound.measure.Loudness;
import kalodyne.core.sound.measure.Pair;
import kalodyne.core.units.DigitalLevel;

/**
 * What was measured in a take.
 *
 * @param file where it lies
 * @param header what its head says
 * @param channels one report a channel
 * @param loudness of all channels together
 * @param pairs how the first two channels go together, the third and the fourth, and so on
 * @param findings what is wrong with it, whatever it was meant for, worst first
 */
public record TakeReport(
        Path file,
        SoundHeader header,
        List<ChannelReport> channels,
        Loudness loudness,
        List<Pair> pairs,
        List<Finding> findings) {
    /** No input is so quiet with something plugged into it (common practice). */
    static final DigitalLevel NOTHING = new DigitalLevel(-90);

    private static final double MUSIC_DB = 12;

    public TakeReport {
        channels = List.copyOf(channels);
        pairs = List.copyOf(pairs);
        findings = List.copyOf(findings);
    }

    /** The same with other findings. */
    public TakeReport with(List<Finding> found) {
        return new TakeReport(file, header, channels, loudness, pairs, found);
    }

    public double seconds(long frame) {
        return (double) frame / header.sampleRateHz();
    }

    /** The place that is all of it. */
    public Place whole() {
        return new Place.Stretch(OptionalInt.empty(), 0, header.seconds());
    }

    /** The channel with the highest peak, as far as can be told before it was cut off. */
    public ChannelReport loudest() {
        return channels.stream()
                .max(Comparator.comparing(ChannelReport::likelyPeak))
                .orElseThrow();
    }

    /** Level of the loud places of the loudest channel: mean square, in decibels re full scale 1. */
    public double loudDb() {
        return channels.stream()
                .mapToDouble(channel -> channel.heard().loudDb())
                .max()
                .orElseThrow();
    }

    /** Whether some channel is loud and quiet in turn, as music is. */
    boolean moves() {
        return channels.stream().anyMatch(channel -> channel.heard().range() > MUSIC_DB);
    }

    /** The hum of the channel that has most of it to the ear. */
    public Optional<Hum> hum() {
        return channels.stream()
                .map(channel -> channel.heard().hum())
                .flatMap(Optional::stream)
                .max(Comparator.comparingDouble(Hum::heardPower));
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

    /** The first channel of a pair; the second is the next one. */
    static int channelOfPair(int pair) {
        return 2 * pair;
    }

    /** Whether samples that the file promises could not be read. */
    public boolean isIncomplete() {
        return header.fault().map(SoundHeader.SizeFault::samplesMissing).orElse(false);
    }
}
