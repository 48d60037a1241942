package kalodyne.core.levels.rig;

import java.util.LinkedHashMap;
import java.util.Map;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.rig.Sides.Side;

/** The drafts of one device, by their ids and by the parts of the device that they stand for. */
final class DraftBook {
    private final String station;
    private final Map<PointId, PointDraft> drafts = new LinkedHashMap<>();

    /** Of a socket one for each signal, of a stage one for each side. */
    private final Map<String, Map<Side, PointDraft>> parts = new LinkedHashMap<>();

    /** Of stages with a volume: what there is before it. */
    private final Map<String, Map<Side, PointDraft>> beforeVolume = new LinkedHashMap<>();

    /** Of stages with an insert: what is sent to it. */
    private final Map<String, Map<Side, PointDraft>> beforeInsert = new LinkedHashMap<>();

    DraftBook(String station) {
        this.station = station;
    }

    PointDraft add(PointId id, String label) {
        PointDraft draft = new PointDraft(id, station, label);
        drafts.put(id, draft);
        return draft;
    }

    void know(String part, Side side, PointDraft draft) {
        parts.computeIfAbsent(part, each -> new LinkedHashMap<>()).put(side, draft);
    }

    void knowBeforeVolume(String part, Side side, PointDraft draft) {
        beforeVolume.computeIfAbsent(part, each -> new LinkedHashMap<>()).put(side, draft);
    }

    void knowBeforeInsert(String part, Side side, PointDraft draft) {
        beforeInsert.computeIfAbsent(part, each -> new LinkedHashMap<>()).put(side, draft);
    }

    Map<PointId, PointDraft> all() {
        return drafts;
    }

    /** The draft of an id; null where there is none. */
    PointDraft get(PointId id) {
        return drafts.get(id);
    }

    boolean has(String part) {
        return parts.containsKey(part);
    }

    Map<Side, PointDraft> of(String part) {
        return parts.getOrDefault(part, Map.of());
    }

    Map<Side, PointDraft> beforeInsert(String part) {
        return beforeInsert.getOrDefault(part, Map.of());
    }

    Map<Side, PointDraft> beforeVolume(String part) {
        return beforeVolume.getOrDefault(part, Map.of());
    }
}
