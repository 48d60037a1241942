package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.files.FileNames;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.Broadcast;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.TagChunks;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.units.Print;

/** Cleans up recordings after a plan: first everything is proposed, then it is written. */
public final class Tidy {
    private final TidyPlan plan;

    public Tidy(TidyPlan plan) {
        this.plan = plan;
    }

    /**
     * A recording that nothing can be proposed for.
     *
     * @param problem why, as sentences
     */
    public record Refused(Path file, String problem) {}

    /** What could be written of several recordings. */
    public record Preview(List<Proposal> proposals, List<Refused> refused) {
        public Preview {
            proposals = List.copyOf(proposals);
            refused = List.copyOf(refused);
        }

        public boolean isWhole() {
            return refused.isEmpty() && proposals.stream().allMatch(Proposal::canBeWritten);
        }
    }

    /**
     * Measures recordings and proposes copies.
     *
     * @throws java.util.concurrent.CancellationException where the progress asked to stop
     */
    public Preview preview(List<Path> files, Progress progress) {
        List<Levelling.Measured> measured = new ArrayList<>();
        List<Refused> refused = new ArrayList<>();
        for (int i = 0; i < files.size(); i++) {
            int which = i;
            Progress share = done -> progress.report((which + done) / files.size());
            try {
                measured.addAll(measure(files.get(i), share));
            } catch (UnreadableSound e) {
                refused.add(new Refused(files.get(i), e.problem() + " " + e.remedy()));
            } catch (UnfitPlan e) {
                refused.add(new Refused(files.get(i), e.getMessage()));
            } catch (IOException e) {
                refused.add(new Refused(files.get(i), "Reading failed: " + e.getMessage() + "."));
            }
        }
        return new Preview(proposals(measured), refused);
    }

    private List<Levelling.Measured> measure(Path file, Progress progress) throws IOException {
        List<CopyDraft> drafts = new Drafting(plan).drafts(file, done -> progress.report(0.5 * done));
        List<Levelling.Measured> measured = new ArrayList<>();
        for (int i = 0; i < drafts.size(); i++) {
            int which = i;
            Progress share = done -> progress.report(0.5 + 0.5 * (which + done) / drafts.size());
            measured.add(measure(drafts.get(i), share));
        }
        return measured;
    }

    /** Of channels that are added up, also how loud they are apart. */
    private static Levelling.Measured measure(CopyDraft draft, Progress progress) throws IOException {
        if (!draft.part().isMono()) {
            return new Levelling.Measured(draft, heard(draft, draft.part(), progress), Optional.empty());
        }
        FilePart apart = new FilePart(draft.part().name(), draft.part().picks(), false);
        return new Levelling.Measured(
                draft,
                heard(draft, draft.part(), done -> progress.report(0.5 * done)),
                Optional.of(heard(draft, apart, done -> progress.report(0.5 + 0.5 * done))));
    }

    private static CopyLevels heard(CopyDraft draft, FilePart part, Progress progress) throws IOException {
        try (SoundStream stream =
                CopyDraft.open(draft.source(), draft.clock(), draft.seconds(), draft.sampleRateHz(), part, 1)) {
            return CopyLevels.of(stream, progress);
        }
    }

    private List<Proposal> proposals(List<Levelling.Measured> measured) {
        Levelling levelling = new Levelling(plan, measured);
        Set<Path> taken = new HashSet<>();
        return measured.stream()
                .map(each -> proposal(each, levelling.level(each), taken))
                .toList();
    }

    private Proposal proposal(Levelling.Measured measured, Levelling.Levelled levelled, Set<Path> taken) {
        CopyDraft draft = measured.draft();
        CopyFormat format =
                plan.format().orElseGet(() -> CopyFormat.keeping(draft.header().format()));
        Path target = target(draft, format);
        List<String> notes = new ArrayList<>(draft.notes());
        notes.addAll(levelled.notes());
        return new Proposal(
                draft.source(),
                target,
                draft.part(),
                draft.clock(),
                draft.seconds(),
                draft.sampleRateHz(),
                draft.header().sampleRateHz(),
                format,
                measured.heard(),
                levelled.gain(),
                draft.marks(),
                notes,
                levelled.problem().isEmpty() ? taken(target, taken) : levelled.problem());
    }

    private String taken(Path target, Set<Path> others) {
        if (!others.add(target)) {
            return "Another copy would have the same name. Give parts and songs different names.";
        }
        return Files.exists(target) && !plan.replaces()
                ? "There is a file of this name already. It stays as it is. Choose another folder."
                : "";
    }

    private Path target(CopyDraft draft, CopyFormat format) {
        StringBuilder name = new StringBuilder(FileNames.stem(draft.source()));
        boolean isPlain = draft.part().name().isEmpty() && draft.song().isEmpty();
        name.append(draft.part().name().isEmpty() ? "" : " " + draft.part().name());
        name.append(draft.song().isEmpty() ? "" : " " + draft.song());
        name.append(isPlain ? " tidy" : "").append('.').append(format.ending());
        Path beside = draft.source().toAbsolutePath().getParent();
        return plan.folder().orElse(beside).toAbsolutePath().resolve(FileNames.allowed(name.toString()));
    }

    // --- writing -----------------------------------------------------------------------------------------------

    /**
     * Writes a copy, and beside it what was done, as JSON.
     *
     * @throws kalodyne.core.sound.copies.UnwritableCopy where it cannot be written; says why
     */
    public CopyWriter.Written write(Proposal proposal, Progress progress) throws IOException {
        try (SoundStream stream = CopyDraft.open(
                proposal.source(),
                proposal.clock(),
                proposal.seconds(),
                proposal.sampleRateHz(),
                proposal.part(),
                proposal.gain().ratio())) {
            Copy copy = Copy.as(proposal.format()).with(tags(proposal)).replacing(plan.replaces());
            boolean isUntouched = isUntouched(proposal, stream);
            CopyWriter.Written written =
                    CopyWriter.write(stream, proposal.target(), isUntouched ? copy.undithered() : copy, progress);
            CopyRecord.write(proposal.target(), CopyRecord.node(proposal), written);
            return written;
        }
    }

    /** Samples that have no more bits than the copy and only moved need no dither. */
    private static boolean isUntouched(Proposal proposal, SoundStream stream) {
        return proposal.gain().db() == 0
                && !proposal.part().isMono()
                && proposal.clock().drift() == 0
                && proposal.sampleRateHz() == proposal.sourceRateHz()
                && stream.header().format().resolutionBits()
                        <= proposal.format().bits();
    }

    private SoundTags tags(Proposal proposal) throws IOException {
        Optional<Broadcast> had = TagChunks.read(proposal.source()).broadcast();
        int rate = proposal.sampleRateHz();
        Optional<Broadcast> broadcast = plan.timeReference().isPresent()
                ? Optional.of(had.orElseGet(() -> blank(proposal.source()))
                        .withTimeReference(plan.timeReference().getAsLong()))
                : had.map(each -> each.withTimeReference(moved(each.timeReference(), proposal)));
        return new SoundTags(
                broadcast.map(each -> each.withHistory("A=PCM,F=" + rate + ",W="
                        + proposal.format().bits() + ",T=Kalodyne; "
                        + Print.decimal(proposal.gain().db(), 2) + " dB")),
                proposal.marks());
    }

    /** In samples of the recording's rate it counts since midnight, in those of the copy it is to count. */
    private static long moved(long reference, Proposal proposal) {
        double ratio = (double) proposal.sampleRateHz() / proposal.sourceRateHz();
        return Math.round(reference * ratio + proposal.fromSeconds() * proposal.sampleRateHz());
    }

    private static Broadcast blank(Path source) {
        return Broadcast.of(FileNames.stem(source), LocalDateTime.now(ZoneId.systemDefault()), 0);
    }
}
