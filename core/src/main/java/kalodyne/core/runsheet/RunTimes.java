package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.joint.rules.BusLoad;
import kalodyne.core.route.UsualFormat;
import kalodyne.core.sums.Battery;
import kalodyne.core.sums.RecordingFormat;
import kalodyne.core.sums.Spans;
import kalodyne.core.sums.Stored;
import kalodyne.core.units.Current;
import kalodyne.core.units.RunningTime;
import kalodyne.core.units.Voltage;

/** How long things last for what is intended: cards, batteries, the power of ports. */
final class RunTimes {
    private static final double SECONDS_OF_HOUR = 3600;

    /** Gear is on for so much longer than is recorded: setting up, levels, test takes; common practice. */
    private static final Duration AROUND = Duration.ofMinutes(30);

    private RunTimes() {}

    static Duration neededAwake(SheetRig rig) {
        return Duration.ofMinutes(rig.sessionPlan().minutes()).plus(AROUND);
    }

    /** How long the battery lasts that a device runs on: as its maker says, else by what it holds and draws. */
    static Optional<Duration> battery(SheetRig rig, String id) {
        return rig.powering(id).flatMap(way -> lasting(rig.device(id), way));
    }

    /** How long a device would last on a way of powering that has an end. */
    static Optional<Duration> lasting(Device device, Powering way) {
        return way.facts().quantity(Fact.RUNS_FOR).map(RunTimes::span).or(() -> computed(device, way));
    }

    private static Duration span(RunningTime time) {
        return Duration.ofSeconds(Math.round(time.hours() * SECONDS_OF_HOUR));
    }

    private static Optional<Duration> computed(Device device, Powering way) {
        Optional<Double> watts = way.facts()
                .quantity(Fact.DRAWN_VOLTAGE)
                .map(Voltage::volts)
                .flatMap(volts -> way.facts()
                        .quantity(Fact.DRAWN_CURRENT)
                        .map(Current::amperes)
                        .map(amperes -> volts * amperes));
        return device.facts()
                .quantity(Fact.STORED_ENERGY)
                .filter(energy -> energy.wattHours() > 0)
                .flatMap(energy ->
                        watts.filter(each -> each > 0).map(each -> new Battery(energy.wattHours(), each).lasting()));
    }

    /** What a recorder makes of its card: a film where it films, else the sound alone. */
    static Stored stored(SheetRig rig, Recorders recorders, String recorder) {
        return rig.device(recorder)
                .facts()
                .quantity(Fact.FILM_RATE)
                .map(rate -> Stored.film(rate.bitsPerSecond(), rate + ", film and sound"))
                .orElseGet(() -> format(rig, recorders, recorder).stored());
    }

    /** What is recorded: as intended, else as usual for what makes the numbers. */
    static RecordingFormat format(SheetRig rig, Recorders recorders, String recorder) {
        Device converter = recorders.senders(recorder).stream()
                .findFirst()
                .map(rig::device)
                .orElse(rig.device(recorder));
        return UsualFormat.of(
                converter, rig.sessionPlan().sampleRateHz(), rig.sessionPlan().bits(), recorders.channels(recorder));
    }

    /** All of them in words. */
    static List<RunSheet.Lasting> all(SheetRig rig) {
        List<RunSheet.Lasting> all = new ArrayList<>();
        Recorders recorders = rig.recorders();
        for (String id : recorders.ids()) {
            Stored format = stored(rig, recorders, id);
            Duration length = Duration.ofMinutes(rig.sessionPlan().minutes());
            Long free = rig.sessionPlan().freeBytes().get(id);
            all.add(new RunSheet.Lasting(
                    rig.name(id),
                    free == null
                            ? Spans.bytes(format.bytes(length)) + " for " + Spans.words(length) + " at "
                                    + format.words()
                            : Spans.words(format.lasting(free)) + " at " + format.words(),
                    free == null || free >= format.bytes(length)));
        }
        for (String id : rig.devices()) {
            if (rig.runsOn(id, PowerSource.BATTERY)) {
                battery(rig, id)
                        .ifPresent(span -> all.add(new RunSheet.Lasting(
                                rig.name(id),
                                "battery lasts " + Spans.words(span),
                                span.compareTo(neededAwake(rig)) >= 0)));
            }
        }
        BusLoad.of(rig.patch()).stream()
                .forEach(load -> all.add(new RunSheet.Lasting(
                        rig.name(load.port().item()), load.drawn() + " drawn of " + load.most(), load.isFed())));
        return all;
    }
}
