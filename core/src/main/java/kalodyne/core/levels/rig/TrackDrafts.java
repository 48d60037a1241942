package kalodyne.core.levels.rig;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.rig.PointDraft.Link;
import kalodyne.core.levels.rig.Sides.Side;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Level;

/** The converters of a device and the tracks behind them. */
final class TrackDrafts {
    static final Level USUAL_FULL_SCALE = new Level(18);

    private static final DigitalLevel USUAL_CONVERTER_NOISE = new DigitalLevel(-95);
    private static final int USUAL_BITS = 24;

    private final String id;
    private final Device device;
    private final Sides sides;
    private final DraftBook book;

    TrackDrafts(String id, Device device, Sides sides, DraftBook book) {
        this.id = id;
        this.device = device;
        this.sides = sides;
        this.book = book;
    }

    /** The noise of a converter; a usual one where nobody told. */
    static DigitalLevel noise(Stage stage) {
        return stage.facts().quantity(Fact.CONVERTER_NOISE).orElse(USUAL_CONVERTER_NOISE);
    }

    /** A usual converter behind something, of which nobody told any. */
    PointDraft usual(PointId track, String label, PointDraft behind) {
        PointDraft converter = book.add(track, label).fedBy(Link.of(behind.id(), 0));
        track(converter, USUAL_FULL_SCALE, USUAL_CONVERTER_NOISE, Optional.empty());
        return converter;
    }

    void convert(PointDraft draft, Stage stage, Optional<Level> ceiling) {
        Level fullScale = stage.facts().quantity(Fact.FULL_SCALE).orElse(USUAL_FULL_SCALE);
        track(draft, fullScale, noise(stage), ceiling);
    }

    private void track(PointDraft draft, Level fullScale, DigitalLevel noise, Optional<Level> ceiling) {
        int bits = device.bitDepths().stream()
                .filter(each -> each <= 32)
                .max(Integer::compare)
                .orElse(USUAL_BITS);
        Level rounding = DigitalLevel.quantisingNoise(bits).at(fullScale);
        draft.clippingAt(Optional.of(
                        ceiling.filter(each -> each.compareTo(fullScale) < 0).orElse(fullScale)))
                .noisy(Level.SILENCE, noise.at(fullScale).withUncorrelated(rounding))
                .ending(AimSchool.EVEN.on(new End(
                        0,
                        "",
                        OptionalInt.empty(),
                        End.Kind.TRACK,
                        fullScale,
                        -1,
                        0,
                        End.Line.PEAK,
                        OptionalInt.of(bits))));
    }

    /** Names the tracks as the computer counts them; what a mixer sends as data without saying how gets a usual converter. */
    void number() {
        for (Socket socket : device.sockets()) {
            for (ChannelPair pair : socket.channels()) {
                int first = first(pair);
                boolean isOut = pair.way() != Direction.IN && first > 0;
                for (int i = 0; isOut && i < pair.from().size(); i++) {
                    track(pair, pair.from().get(i), first + i);
                }
            }
        }
        int count = 0;
        for (Stage stage : device.stages()) {
            if (stage.kind() == StageKind.TO_DIGITAL) {
                for (Side side : sides.of(stage)) {
                    count++;
                    PointDraft draft = book.of(stage.id()).get(side);
                    if (draft != null
                            && draft.end().filter(end -> end.name().isEmpty()).isPresent()) {
                        name(draft, count);
                    }
                }
            }
        }
    }

    private void track(ChannelPair pair, String from, int number) {
        boolean isBeforeFader = pair.role() == ChannelRole.BEFORE_FADERS;
        Map<Side, PointDraft> there = isBeforeFader ? book.beforeVolume(from) : book.of(from);
        there.values().stream().findFirst().ifPresent(draft -> {
            if (draft.end().isPresent()) {
                name(draft, number);
            } else {
                PointId track = PointId.of(new Spot(id, "track-" + number));
                name(usual(track, "Track " + number, draft), number);
            }
        });
    }

    private static void name(PointDraft draft, int number) {
        draft.ending(draft.end().orElseThrow().numbered(number));
    }

    /** Of "3–4" the 3; 0 where channels have no numbers. */
    private static int first(ChannelPair pair) {
        String digits = pair.channels().replaceFirst("[^0-9].*", "");
        return digits.isEmpty() || digits.length() > 4 ? 0 : Integer.parseInt(digits);
    }
}
