package kalodyne.core.gear.file;

import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.CalibratedTaper;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/** What a control does along its travel, and its dial. */
public final class TaperForms {
    private static final Words<Gain> GAIN = Words.of(Quantity.GAIN);

    private static final ObjectForm<LinearTaper> LINEAR = ObjectForm.of(f -> new LinearTaper(
            f.value("lowest", GAIN, LinearTaper::lowest), f.value("highest", GAIN, LinearTaper::highest)));

    private static final ObjectForm<AudioTaper> AUDIO =
            ObjectForm.of(f -> new AudioTaper(f.value("highest", GAIN, AudioTaper::highest)));

    private static final ObjectForm<CalibratedTaper.Point> POINT = ObjectForm.of(f -> new CalibratedTaper.Point(
            f.value("position", JsonForm.NUMBER, CalibratedTaper.Point::position),
            f.value("gain", GAIN, CalibratedTaper.Point::gain)));

    private static final ObjectForm<PanTaper> PAN =
            ObjectForm.of(f -> new PanTaper(f.value("middle", GAIN, PanTaper::middle), PanTaper.Side.RIGHT));

    /** One of five, each known by its own field. */
    public static final ObjectForm<Taper> TAPER = ObjectForm.of(f -> f.when("linear", LinearTaper.class)
            .<Taper>map(linear -> linear.value("linear", LINEAR, it -> it))
            .or(() -> f.when("audio", AudioTaper.class).map(audio -> audio.value("audio", AUDIO, it -> it)))
            .or(() -> f.when("steps", SteppedTaper.class)
                    .map(stepped -> new SteppedTaper(stepped.list("steps", GAIN, SteppedTaper::steps))))
            .or(() -> f.when("points", CalibratedTaper.class)
                    .map(it -> new CalibratedTaper(it.list("points", POINT, CalibratedTaper::points))))
            .or(() -> f.when("pan", PanTaper.class).map(pan -> pan.value("pan", PAN, it -> it)))
            .orElseThrow(() -> new UnreadableQuantity(
                    "It tells nothing of the travel.", "Choose one of linear, audio, steps, points and pan.")));

    public static final ObjectForm<Dial> DIAL = ObjectForm.of(
            f -> Dial.between(f.text("lowest", dial -> dial.clock(0)), f.text("highest", Dial::highestClock)));

    private TaperForms() {}
}
