package kalodyne.desktop.model;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongSupplier;
import kalodyne.core.runsheet.Countdown;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Step;

/** Waits that go on: ten seconds after phantom power, until a device is ready. */
final class StepWaits {
    private final Map<String, Countdown> waits = new HashMap<>();
    private final LongSupplier nanos;

    StepWaits(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** A step begins to wait; where it waits already it goes on. */
    void begin(Step step) {
        step.pause().ifPresent(pause -> waits.putIfAbsent(step.id(), new Countdown(pause, nanos)));
    }

    Optional<Duration> left(Step step) {
        return Optional.ofNullable(waits.get(step.id())).map(Countdown::left);
    }

    boolean isOver(Step step) {
        return Optional.ofNullable(waits.get(step.id()))
                .filter(Countdown::isOver)
                .isPresent();
    }

    /** Whether something of a sheet waits. */
    boolean isAny(RunSheet sheet) {
        return sheet.steps().stream().map(Step::id).anyMatch(waits::containsKey);
    }

    void end(String step) {
        waits.remove(step);
    }

    void clear() {
        waits.clear();
    }
}
