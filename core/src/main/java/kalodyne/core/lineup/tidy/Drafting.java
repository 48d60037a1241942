package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sums.Clocks;
import kalodyne.core.takes.timing.BeatFit;
import kalodyne.core.units.Print;

/** From a recording to its copies: which stretches, which channels. */
final class Drafting {
    private static final double MILLION = 1e6;

    private final TidyPlan plan;

    Drafting(TidyPlan plan) {
        this.plan = plan;
    }

    /** A stretch by the clock that it is to have. */
    private record Piece(
            String name, ClockLine clock, double seconds, List<SoundTags.Mark> marks, List<String> notes) {}

    List<CopyDraft> drafts(Path file, Progress progress) throws IOException {
        SoundHeader head = header(file);
        List<Piece> pieces = pieces(file, head, progress);
        List<FilePart> parts = plan.channels().parts(head.channels());
        List<CopyDraft> drafts = new ArrayList<>();
        for (FilePart part : parts) {
            if (part.most() > head.channels()) {
                throw new UnfitPlan("It has " + Print.counted(head.channels(), "channel") + ", and "
                        + (part.name().isEmpty() ? "the plan" : "\"" + part.name() + "\"") + " wants channel "
                        + part.most() + ".");
            }
            for (Piece piece : pieces) {
                drafts.add(new CopyDraft(
                        file,
                        head,
                        part,
                        piece.name(),
                        piece.clock(),
                        piece.seconds(),
                        plan.sampleRateHz().orElse(head.sampleRateHz()),
                        piece.marks(),
                        piece.notes()));
            }
        }
        return drafts;
    }

    private static SoundHeader header(Path file) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            if (stream.header().frames() == 0) {
                // It does not say how long it is: that is known once all was read.
                int count = stream.next();
                while (count > 0) {
                    count = stream.next();
                }
            }
            return stream.header();
        }
    }

    private List<Piece> pieces(Path file, SoundHeader head, Progress progress) throws IOException {
        if (plan.cut() instanceof Cut.TopAndTail cut) {
            return topAndTail(Envelope.read(file, progress), cut);
        }
        if (plan.cut() instanceof Cut.Songs cut) {
            Envelope envelope = Envelope.read(file, progress);
            return cut.isMarked() ? marked(envelope, cut, head) : songs(envelope, cut);
        }
        if (plan.cut() instanceof Cut.Bars cut) {
            return List.of(bars(file, cut, progress));
        }
        return List.of(whole(head.seconds(), List.of(), List.of()));
    }

    private static Piece whole(double seconds, List<SoundTags.Mark> marks, List<String> notes) {
        return new Piece("", new ClockLine(0, 0), seconds, marks, notes);
    }

    private static Piece piece(String name, KeptStretch stretch, List<String> notes) {
        return new Piece(name, new ClockLine(stretch.fromSeconds(), 0), stretch.seconds(), List.of(), notes);
    }

    private static List<Piece> topAndTail(Envelope envelope, Cut.TopAndTail cut) {
        SoundFinder finder = new SoundFinder(envelope);
        List<KeptStretch> found = finder.sounding(Double.MAX_VALUE, cut.leaveSeconds());
        if (!finder.canTell() || found.isEmpty()) {
            return List.of(whole(
                    envelope.seconds(),
                    List.of(),
                    List.of("Quiet and sound cannot be told apart in it, so nothing was cut.")));
        }
        KeptStretch all = new KeptStretch(
                "", found.get(0).fromSeconds(), found.get(found.size() - 1).toSeconds());
        String note = "Cut: " + Print.moment(all.fromSeconds()) + " at the beginning, "
                + Print.moment(envelope.seconds() - all.toSeconds()) + " at the end.";
        return List.of(piece("", all, List.of(note)));
    }

    private static List<KeptStretch> named(Envelope envelope, Cut.Songs cut) {
        List<KeptStretch> found = new SoundFinder(envelope).sounding(cut.pauseSeconds(), cut.leaveSeconds());
        List<KeptStretch> named = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            String name = i < cut.names().size() ? cut.names().get(i) : "song " + (i + 1);
            named.add(new KeptStretch(
                    name, found.get(i).fromSeconds(), found.get(i).toSeconds()));
        }
        return named;
    }

    private static List<Piece> songs(Envelope envelope, Cut.Songs cut) {
        List<KeptStretch> named = named(envelope, cut);
        if (named.isEmpty()) {
            return List.of(whole(envelope.seconds(), List.of(), List.of("Nothing sounds in it.")));
        }
        List<String> count = cut.names().isEmpty() || cut.names().size() == named.size()
                ? List.of()
                : List.of("The plan names " + Print.counted(cut.names().size(), "song") + "; "
                        + Print.counted(named.size(), "stretch").replace("stretchs", "stretches")
                        + " between pauses were found.");
        return named.stream().map(each -> piece(each.name(), each, count)).toList();
    }

    private List<Piece> marked(Envelope envelope, Cut.Songs cut, SoundHeader head) {
        int rate = plan.sampleRateHz().orElse(head.sampleRateHz());
        List<SoundTags.Mark> marks = named(envelope, cut).stream()
                .map(each -> new SoundTags.Mark(Math.round(each.fromSeconds() * rate), each.name()))
                .toList();
        return List.of(whole(envelope.seconds(), marks, List.of()));
    }

    private static Piece bars(Path file, Cut.Bars cut, Progress progress) throws IOException {
        BeatFit.Reading reading = BeatFit.read(file, cut.beatsPerMinute(), done -> progress.report(0.5 * done));
        BeatFit fit = reading.found().orElseThrow(() -> new UnfitPlan(reading.problem()));
        Envelope envelope = Envelope.read(file, done -> progress.report(0.5 + 0.5 * done));
        double bar = cut.beatsOfBar() * Clocks.secondsOfBeat(cut.beatsPerMinute());
        // Played faster than the tempo, the same bars take less of the recording.
        double drift = 1 / (1 + fit.driftPpm() / MILLION) - 1;
        List<KeptStretch> sounding = new SoundFinder(envelope).sounding(Double.MAX_VALUE, 0);
        double end = sounding.isEmpty()
                ? envelope.seconds()
                : sounding.get(sounding.size() - 1).toSeconds();
        double bars = Math.ceil((end - fit.firstSeconds()) / (1 + drift) / bar - 1e-3);
        double before = cut.beforeBars() * bar;
        return new Piece(
                "",
                new ClockLine(fit.firstSeconds() - before * (1 + drift), drift),
                before + bars * bar,
                List.of(),
                List.of("First hit at " + Print.decimal(fit.firstSeconds(), 3) + " s, "
                        + Print.decimal(bars, 0) + " bars, " + Print.signed(fit.driftPpm(), 0)
                        + " ppm against the tempo, now exact."));
    }
}
