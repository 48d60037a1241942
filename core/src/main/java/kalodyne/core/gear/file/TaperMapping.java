package kalodyne.core.gear.file;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.CalibratedTaper;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Quantity;

/** What a control does along its travel, from JSON. */
public final class TaperMapping extends Mapping {
    public TaperMapping(Mapping larger) {
        super(larger);
    }

    /** The dial of a control; the usual one where none is told. */
    public Dial dial(JsonPlace control) {
        JsonPlace place = control.get("dial");
        return control.has("dial")
                ? build(place, () -> Dial.between(place.text("lowest"), place.text("highest")))
                : Dial.USUAL;
    }

    public Taper taper(JsonPlace place) {
        if (place.has("linear")) {
            JsonPlace linear = place.get("linear");
            Gain lowest = quantity(linear, "lowest", Quantity.GAIN);
            Gain highest = quantity(linear, "highest", Quantity.GAIN);
            return build(linear, () -> new LinearTaper(lowest, highest), lowest, highest);
        }
        if (place.has("audio")) {
            Gain highest = quantity(place.get("audio"), "highest", Quantity.GAIN);
            return build(place.get("audio"), () -> new AudioTaper(highest), highest);
        }
        if (place.has("steps")) {
            JsonPlace steps = place.get("steps");
            List<Gain> gains = new ArrayList<>();
            steps.items().forEach(step -> gains.add(read(step, Quantity.GAIN)));
            return build(steps, () -> new SteppedTaper(gains), gains.toArray());
        }
        JsonPlace points = place.get("points");
        List<CalibratedTaper.Point> known = new ArrayList<>();
        for (JsonPlace point : points.items()) {
            Gain gain = quantity(point, "gain", Quantity.GAIN);
            known.add(build(
                    point,
                    () -> new CalibratedTaper.Point(
                            point.node().path("position").asDouble(), gain),
                    gain));
        }
        return build(points, () -> new CalibratedTaper(known), known.toArray());
    }
}
