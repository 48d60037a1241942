package kalodyne.core.hearing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import kalodyne.core.joint.Transfer;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Sound through a rig, sample by sample in volts: each joint with its response, each stage with its gain, its noise, and what it cuts off. A
 * control that is turned moves over one block. Not for several threads at once.
 */
public final class Auralisation {
    /** Samples that are made together. */
    public static final int BLOCK = 512;

    /** What is heard by ears is written with this as full scale; nothing safe is louder. */
    public static final double EARS_FULL_SCALE_DB_SPL = 120;

    /** What makes less of the noise at an end than this part of its power is not made: 30 dB below. */
    private static final double LEAST_SHARE = 1e-3;

    /** A joint whose response bends by less has none. */
    private static final double FLAT_DB = 0.02;

    private static final double LOWEST_HEARD_HZ = 20;
    private static final double HIGHEST_HEARD_HZ = 20_000;

    private final Listening listening;
    private final int sampleRateHz;
    private final List<Stage> stages;
    private final List<Output> outputs;
    private long frame;

    /** Begins with silence behind it. */
    Auralisation(Listening listening, int sampleRateHz) {
        this.listening = listening;
        this.sampleRateHz = sampleRateHz;
        Making making = new Making(listening, sampleRateHz, new Hiss());
        stages = making.stages();
        outputs = IntStream.range(0, listening.channels())
                .mapToObj(side -> new Output(
                        listening.end(side), making.buffer(listening.end(side).point())))
                .toList();
    }

    /** Goes on with the controls elsewhere, if nothing else is; tells whether it does. */
    boolean turn(Listening turned) {
        boolean isTurned = listening.isTurned(turned);
        if (isTurned) {
            stages.forEach(stage -> stage.turn(turned.flow()));
        }
        return isTurned;
    }

    /**
     * Makes the next block.
     *
     * @param played what the player gives, a channel or two, with 1 for the loudest peak that is described; may end before the block does
     * @param heard filled with what is at the ends, full scale 1
     */
    void next(float[][] played, int count, float[][] heard) {
        for (Stage stage : stages) {
            stage.next(played, count, (double) frame / sampleRateHz, 1.0 / sampleRateHz);
        }
        for (int side = 0; side < heard.length; side++) {
            outputs.get(Math.min(side, outputs.size() - 1)).into(heard[side]);
        }
        frame += BLOCK;
    }

    /** A signal on its way to a stage. */
    private static final class Incoming {
        private final double[] from;
        private final double ratio;
        private final Optional<Convolver> response;

        Incoming(double[] from, double ratio) {
            this.from = from;
            this.ratio = ratio;
            response = Optional.empty();
        }

        Incoming(double[] from, Convolver response) {
            this.from = from;
            ratio = 0;
            this.response = Optional.of(response);
        }

        void addTo(double[] sum) {
            if (response.isPresent()) {
                response.get().add(from, sum);
                return;
            }
            for (int i = 0; i < BLOCK; i++) {
                sum[i] += ratio * from[i];
            }
        }
    }

    /** Which channel of what is played a source gives. */
    private enum Channel {
        LEFT,
        RIGHT,
        BOTH;

        double of(float[][] played, int i) {
            if (played.length == 1 || this == LEFT) {
                return played[0][i];
            }
            return this == RIGHT ? played[1][i] : 0.5 * (played[0][i] + played[1][i]);
        }
    }

    /** A point of the flow. */
    private static final class Stage {
        private final int index;
        private final double[] buffer = new double[BLOCK];
        private final List<Incoming> incoming = new ArrayList<>();
        private final Hiss hiss;

        /** Of the loudest peak that is played here; 0 where nothing is. */
        private double volts;

        private Channel channel = Channel.BOTH;
        private double inputNoise;
        private double outputNoise;
        private double hum;
        private double ceiling = Double.POSITIVE_INFINITY;
        private double ratio;
        private double turned;

        Stage(int index, Hiss hiss) {
            this.index = index;
            this.hiss = hiss;
        }

        void turn(Flow flow) {
            turned = flow.gainAt(index).ratio();
        }

        void next(float[][] played, int count, double seconds, double step) {
            Arrays.fill(buffer, 0);
            if (volts > 0) {
                for (int i = 0; i < count; i++) {
                    buffer[i] = volts * channel.of(played, i);
                }
            }
            incoming.forEach(each -> each.addTo(buffer));
            if (hum > 0) {
                for (int i = 0; i < BLOCK; i++) {
                    buffer[i] += hum * Mains.at(seconds + i * step);
                }
            }
            if (inputNoise > 0) {
                hiss.add(buffer, inputNoise);
            }
            double rising = (turned - ratio) / BLOCK;
            for (int i = 0; i < BLOCK; i++) {
                ratio += rising;
                buffer[i] *= ratio;
            }
            ratio = turned;
            if (outputNoise > 0) {
                hiss.add(buffer, outputNoise);
            }
            if (ceiling < Double.POSITIVE_INFINITY) {
                for (int i = 0; i < BLOCK; i++) {
                    buffer[i] = Math.max(-ceiling, Math.min(ceiling, buffer[i]));
                }
            }
        }
    }

    /** The voltage of the top of a sine. */
    static double top(Level level) {
        return level.volts() * Math.sqrt(2);
    }

    /** From volts at an end to what is heard or written, full scale 1. */
    static double scale(End end) {
        boolean isTrack = end.kind() == End.Kind.TRACK;
        return 1 / top(isTrack ? end.zero() : end.zero().plus(new Gain(EARS_FULL_SCALE_DB_SPL)));
    }

    /** An end, on its own scale. */
    private static final class Output {
        private final double[] from;
        private final double scale;
        private final double steps;

        Output(End end, double[] from) {
            this.from = from;
            boolean isTrack = end.kind() == End.Kind.TRACK;
            scale = Auralisation.scale(end);
            steps = isTrack && end.bits().isPresent() ? Math.pow(2, end.bits().getAsInt() - 1.0) : 0;
        }

        void into(float[] heard) {
            for (int i = 0; i < BLOCK; i++) {
                double sample = scale * from[i];
                heard[i] = (float)
                        (steps == 0
                                ? Math.max(-1, Math.min(1, sample))
                                : Math.max(-steps, Math.min(steps - 1, Math.rint(sample * steps))) / steps);
            }
        }
    }

    /** Puts the stages together. */
    private static final class Making {
        private final Listening listening;
        private final Flow flow;
        private final int sampleRateHz;
        private final Hiss hiss;
        private final FlowLevels levels;
        private final Map<Integer, Stage> made = new HashMap<>();
        private final Map<PointId, Integer> index = new HashMap<>();

        Making(Listening listening, int sampleRateHz, Hiss hiss) {
            this.listening = listening;
            this.sampleRateHz = sampleRateHz;
            this.hiss = hiss;
            flow = listening.flow();
            levels = FlowLevels.of(flow);
            for (int i = 0; i < flow.points().size(); i++) {
                index.put(flow.points().get(i).id(), i);
            }
        }

        double[] buffer(int point) {
            return made.get(point).buffer;
        }

        List<Stage> stages() {
            Set<Integer> needed = needed();
            List<Stage> stages = new ArrayList<>();
            for (int i = 0; i < flow.points().size(); i++) {
                if (needed.contains(i)) {
                    Stage stage = stage(i);
                    made.put(i, stage);
                    stages.add(stage);
                }
            }
            return stages;
        }

        /** What leads to an end. */
        private Set<Integer> needed() {
            Set<Integer> needed = new HashSet<>();
            for (int side = 0; side < listening.channels(); side++) {
                needed.add(listening.end(side).point());
            }
            for (int i = flow.points().size() - 1; i >= 0; i--) {
                if (needed.contains(i)) {
                    flow.points().get(i).feeds().forEach(feed -> needed.add(feed.from()));
                    leaks(i).forEach(way -> needed.add(index.get(way.from())));
                }
            }
            return needed;
        }

        /** Ways that only leak to a point: they are no feeds of it. */
        private List<Listening.Way> leaks(int to) {
            Point point = flow.points().get(to);
            return listening.ways().keySet().stream()
                    .filter(way -> way.to().equals(point.id()))
                    .filter(way -> index.containsKey(way.from()) && index.get(way.from()) < to)
                    .filter(way -> point.feeds().stream().noneMatch(feed -> feed.from() == index.get(way.from())))
                    .toList();
        }

        private Stage stage(int at) {
            Point point = flow.points().get(at);
            Stage stage = new Stage(at, hiss);
            point.sound().ifPresent(sound -> {
                boolean isHeard = sound.player().equals(listening.player());
                stage.volts = isHeard ? top(sound.levels().peak()) : 0;
                stage.channel = listening.left().contains(point.id())
                        ? Channel.LEFT
                        : listening.right().contains(point.id()) ? Channel.RIGHT : Channel.BOTH;
            });
            point.feeds().forEach(feed -> stage.incoming.add(incoming(feed, point)));
            leaks(at)
                    .forEach(way -> stage.incoming.add(
                            through(index.get(way.from()), listening.ways().get(way))));
            noises(point, at, stage);
            Level caught = listening.hum().getOrDefault(point.id(), Level.SILENCE);
            stage.hum = caught.volts();
            point.ceiling().ifPresent(ceiling -> stage.ceiling = top(ceiling));
            stage.turn(flow);
            stage.ratio = stage.turned;
            return stage;
        }

        private Incoming incoming(Feed feed, Point to) {
            Transfer way = listening
                    .ways()
                    .get(new Listening.Way(flow.points().get(feed.from()).id(), to.id()));
            return way == null
                    ? new Incoming(
                            buffer(feed.from()),
                            feed.isInverted()
                                    ? -feed.gain().ratio()
                                    : feed.gain().ratio())
                    : through(feed.from(), way);
        }

        private Incoming through(int from, Transfer way) {
            double sign = way.isInverted() ? -1 : 1;
            return isFlat(way)
                    ? new Incoming(buffer(from), sign * way.atMiddle().ratio())
                    : new Incoming(buffer(from), convolver(way, sign));
        }

        private Convolver convolver(Transfer way, double sign) {
            double[] impulse = MinimumPhase.impulse(hertz -> way.at(hertz).magnitude(), sampleRateHz);
            Arrays.setAll(impulse, n -> sign * impulse[n]);
            return new Convolver(impulse, BLOCK);
        }

        private static boolean isFlat(Transfer way) {
            double middle = way.atMiddle().db();
            return way.hertz().stream()
                    .filter(hertz -> hertz >= LOWEST_HEARD_HZ && hertz <= HIGHEST_HEARD_HZ)
                    .allMatch(hertz -> Math.abs(way.gain(hertz).db() - middle) < FLAT_DB);
        }

        private void noises(Point point, int at, Stage stage) {
            double own =
                    point.sound().map(sound -> sound.levels().floor().volts()).orElse(0.0);
            double in = Math.hypot(own, point.inputNoise().volts());
            double out = withoutRounding(at, point.outputNoise().volts());
            boolean isHeard = listening.ends().stream().anyMatch(end -> levels.noiseShare(at, end) > LEAST_SHARE);
            stage.inputNoise = isHeard ? in : 0;
            stage.outputNoise = isHeard ? out : 0;
        }

        /** Rounding is done, not added as a noise. */
        private double withoutRounding(int at, double volts) {
            double rounding = flow.ends().stream()
                    .filter(end -> end.point() == at
                            && end.kind() == End.Kind.TRACK
                            && end.bits().isPresent())
                    .mapToDouble(end -> DigitalLevel.quantisingNoise(end.bits().getAsInt())
                            .at(end.zero())
                            .volts())
                    .findFirst()
                    .orElse(0);
            return Math.sqrt(Math.max(0, volts * volts - rounding * rounding));
        }
    }
}
