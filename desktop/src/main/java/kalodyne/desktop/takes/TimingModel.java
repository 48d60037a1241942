package kalodyne.desktop.takes;

import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import kalodyne.core.files.Progress;
import kalodyne.core.sums.Clocks;
import kalodyne.core.sums.Latency;
import kalodyne.core.takes.timing.BeatFit;
import kalodyne.core.takes.timing.RoundTrip;
import kalodyne.core.units.Print;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.TakesModel;

/** What the take that is looked at says about time: its round trip, where it is a loop-back, and how it keeps the tempo. */
public final class TimingModel {
    private static final double SECONDS_OF_MINUTE = 60;

    private final TakesModel takes;
    private final PlanModel plan;
    private final Jobs jobs;
    private final ReadOnlyStringWrapper trip = new ReadOnlyStringWrapper(this, "trip", "");
    private final ReadOnlyStringWrapper tempo = new ReadOnlyStringWrapper(this, "tempo", "");
    private Optional<RoundTrip> found = Optional.empty();

    public TimingModel(TakesModel takes, PlanModel plan, Jobs jobs) {
        this.takes = takes;
        this.plan = plan;
        this.jobs = jobs;
    }

    /** What was found, in words. */
    public ReadOnlyStringProperty tripProperty() {
        return trip.getReadOnlyProperty();
    }

    public ReadOnlyStringProperty tempoProperty() {
        return tempo.getReadOnlyProperty();
    }

    /** Name of the take; empty where there is none. */
    public Optional<String> take() {
        return takes.selection().shown().map(shown -> shown.take().name());
    }

    /** How many channels it has. */
    public int channels() {
        return takes.selection()
                .shown()
                .map(shown -> shown.report().channels().size())
                .orElse(0);
    }

    /** The tempo that is planned; empty for none. */
    public OptionalDouble planned() {
        return plan.beatsPerMinute();
    }

    /** Looks how much later one channel has what another one has. */
    public void measureTrip(int sent, int back) {
        found = Optional.empty();
        look(trip, "Looking for the round trip", (file, progress) -> {
            RoundTrip.Reading reading = RoundTrip.read(file, sent, back, progress);
            return () -> {
                found = reading.found();
                return found.map(TimingModel::words).orElse(reading.problem());
            };
        });
    }

    private static String words(RoundTrip trip) {
        double milliseconds = trip.milliseconds();
        return Print.decimal(milliseconds, 2) + " ms, " + Print.decimal(trip.samples(), 1)
                + " samples: as late as from "
                + Print.decimal(Latency.metresOfAir(milliseconds), 1) + " m away. "
                + (milliseconds >= Latency.FELT_MILLISECONDS
                        ? "Players feel that: hear yourself directly, not through the computer."
                        : "Most players do not feel that.")
                + (trip.isInverted() ? " It comes back inverted." : "");
    }

    /** Whether something was found that can be kept. */
    public boolean canKeep() {
        return found.isPresent() && !takes.isReadOnly();
    }

    /** Keeps the round trip with the setup: its run sheet tells it. */
    public void keepTrip() {
        found.ifPresent(each -> plan.roundTrip(OptionalDouble.of(Math.max(0, each.milliseconds()))));
    }

    /** Looks whether it keeps a tempo. */
    public void measureTempo(double beatsPerMinute) {
        look(tempo, "Looking for its beats", (file, progress) -> {
            BeatFit.Reading reading = BeatFit.read(file, beatsPerMinute, progress);
            return () -> reading.found().map(TimingModel::words).orElse(reading.problem());
        });
    }

    private static String words(BeatFit fit) {
        double ahead = fit.endMilliseconds();
        String drift = Math.abs(ahead) < 1
                ? "in step with the clock to its end"
                : Print.decimal(Math.abs(ahead), 0) + " ms " + (ahead > 0 ? "ahead of" : "behind") + " the clock after "
                        + Print.decimal(fit.seconds() / SECONDS_OF_MINUTE, 1) + " min, "
                        + Print.decimal(Math.abs(fit.driftPpm()), 0) + " ppm or "
                        + Print.decimal(Math.abs(Clocks.millisecondsAnHour(fit.driftPpm())), 0) + " ms an hour";
        return Print.decimal(fit.beatsPerMinute(), 2) + " beats a minute: " + drift + ". Single beats lie "
                + Print.decimal(fit.scatterMilliseconds(), 1) + " ms off. Told from " + Print.count(fit.beats())
                + " beats.";
    }

    /** Reads a file and gives what is then said on the screen's thread. */
    @FunctionalInterface
    private interface Reading {
        Supplier<String> read(Path file, Progress progress) throws Exception;
    }

    private void look(ReadOnlyStringWrapper into, String title, Reading reading) {
        Optional<Path> file = takes.selection().shown().map(shown -> takes.fileOf(shown.take()));
        if (file.isEmpty()) {
            into.set("No take is shown.");
            return;
        }
        into.set("Looking…");
        jobs.run(title, progress -> reading.read(file.get(), progress))
                .then(words -> into.set(words.get()))
                .otherwise(failure -> into.set("The take could not be read: " + failure.getMessage()))
                .whenStopped(() -> into.set("It was stopped."));
    }
}
