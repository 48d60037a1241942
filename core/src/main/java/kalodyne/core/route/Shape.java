package kalodyne.core.route;

import java.util.List;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.SignalKind;

/**
 * What ports of a kind have in common: what joins two of one shape joins all of it.
 *
 * @param connectors of its sockets, one or two
 * @param forms a hole or pins, of each
 * @param signal what it is made for
 * @param channels how many signals it carries: 1, or 2 for left and right
 */
record Shape(List<Connector> connectors, List<Form> forms, SignalKind signal, int channels) {
    Shape {
        connectors = List.copyOf(connectors);
        forms = List.copyOf(forms);
    }

    /** Whether it is stronger than what a microphone or a guitar gives. */
    boolean isStrong() {
        return signal == SignalKind.LINE || signal == SignalKind.HEADPHONE;
    }

    boolean isDigital() {
        return signal == SignalKind.DIGITAL;
    }
}
