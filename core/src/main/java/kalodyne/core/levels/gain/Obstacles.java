package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.units.Gain;

/** What of all that is wanted cannot be had, whatever the controls of a flow do, and which of them are in the way. */
final class Obstacles {
    private static final double MOST_DB = 120;
    private static final int MOST_CONFLICTS = 500;

    private final Flow flow;
    private final Demands demands;
    private final Bounds bounds;
    private final List<Hindrance> hindrances = new ArrayList<>();

    Obstacles(Flow flow, Demands demands) {
        this.flow = flow;
        this.demands = demands;
        this.bounds = demands.bounds();
    }

    /** How far the most overloaded point clips whatever is done, in dB. */
    double clipsBy() {
        return hindrances.stream()
                .filter(each -> each.kind() == Hindrance.Kind.OVERLOADED)
                .mapToDouble(each -> each.by().db())
                .max()
                .orElse(0);
    }

    boolean isOutOfBalance() {
        return hindrances.stream().anyMatch(each -> each.kind() == Hindrance.Kind.OUT_OF_BALANCE);
    }

    /** Takes back what contradicts itself, as little as is needed, and notes what it was. */
    void ease(Bounds.Ranges ranges) {
        demands.aimless();
        for (int i = 0; i < MOST_CONFLICTS; i++) {
            Bounds.Found found = bounds.greatest(ranges);
            if (found.isThere()) {
                return;
            }
            ease(found);
        }
    }

    private void ease(Bounds.Found found) {
        for (Bounds.Cause.Kind kind :
                List.of(Bounds.Cause.Kind.DRIVE, Bounds.Cause.Kind.BALANCE, Bounds.Cause.Kind.CEILING)) {
            for (int bound : found.conflict()) {
                if (bounds.cause(bound).kind() == kind) {
                    hinder(kind, bound, found);
                    return;
                }
            }
        }
        // Nothing that can be eased: controls that must stay contradict each other along two ways.
        bounds.drop(found.conflict().get(0));
    }

    private void hinder(Bounds.Cause.Kind kind, int bound, Bounds.Found found) {
        int point = bounds.cause(bound).point();
        double by = found.excess();
        List<Knob> limits = limits(found.conflict());
        switch (kind) {
            case CEILING -> {
                bounds.ease(bound, by + 1e-6);
                note(Hindrance.Kind.OVERLOADED, point, "", by, limits);
            }
            case BALANCE -> {
                bounds.drop(bound);
                note(Hindrance.Kind.OUT_OF_BALANCE, point, "", by, limits);
            }
            default -> {
                // As near to it as it comes.
                bounds.ease(bound, by + 1e-6);
                note(Hindrance.Kind.NOT_DRIVEN, point, "", by, limits);
            }
        }
    }

    private void note(Hindrance.Kind kind, int point, String end, double missing, List<Knob> limits) {
        // What is shut misses by any number.
        double by = Math.min(MOST_DB, missing);
        PointId id = flow.points().get(point).id();
        hindrances.removeIf(each ->
                each.kind() == kind && each.point().equals(id) && each.end().equals(end));
        hindrances.add(new Hindrance(kind, id, end, new Gain(by), limits));
    }

    /** The controls among some bounds. */
    private List<Knob> limits(List<Integer> some) {
        return some.stream()
                .map(bounds::knobOf)
                .filter(knob -> knob >= 0)
                .distinct()
                .map(flow.knobs()::get)
                .toList();
    }

    /** What keeps the ends from their aims with the controls as they are set in a flow. */
    List<Hindrance> misses(FlowLevels levels) {
        Bounds.Ranges whole = demands.ranges();
        demands.holdNone();
        demands.leaveNoRoom();
        demands.aimless();
        Bounds.Found least = bounds.least(whole);
        Bounds.Found most = bounds.greatest(whole);
        for (int e = 0; least.isThere() && e < flow.ends().size(); e++) {
            if (!levels.isMet(e) && !flow.ends().get(e).isTolerated(levels.aimed(e))) {
                miss(e, levels.aimed(e), least, most);
            }
        }
        return List.copyOf(hindrances);
    }

    private void miss(int e, double aimed, Bounds.Found least, Bounds.Found most) {
        End end = flow.ends().get(e);
        double by = Math.abs(end.miss(aimed).db());
        boolean isHot = aimed > end.high();
        double reach = demands.onScale(e, isHot ? least.levels() : most.levels());
        List<Integer> chain = bounds.chain(isHot ? least : most, demands.atEnd(e), isHot);
        List<Knob> limits = limits(chain);
        if (isHot ? reach < end.high() : reach > end.low()) {
            note(Hindrance.Kind.BETWEEN_CLICKS, end.point(), end.name(), by, limits);
        } else if (isHot) {
            note(Hindrance.Kind.TOO_HOT_AT_LOWEST, end.point(), end.name(), by, limits);
        } else {
            Bounds.Cause root = chain.isEmpty()
                    ? new Bounds.Cause(Bounds.Cause.Kind.SOUND, end.point())
                    : bounds.cause(chain.get(0));
            boolean clips = root.kind() == Bounds.Cause.Kind.CEILING;
            note(
                    clips ? Hindrance.Kind.CLIPS_BEFORE_AIM : Hindrance.Kind.TOO_QUIET_AT_HIGHEST,
                    clips ? root.point() : end.point(),
                    end.name(),
                    by,
                    limits);
        }
    }
}
