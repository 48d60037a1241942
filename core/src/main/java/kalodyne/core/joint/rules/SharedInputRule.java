package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/** Two sources in inputs of one channel: the mic and the line socket of a mixer's channel, or both of a combined hole. */
final class SharedInputRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        return rig.patch().devices().keySet().stream().flatMap(id -> check(rig, id));
    }

    private static Stream<Finding> check(WholeRig rig, String id) {
        Device device = rig.patch().devices().get(id);
        List<Socket> fed = device.sockets().stream()
                .filter(socket -> rig.isPlugged(new Spot(id, socket.id())) && rig.isFed(new Spot(id, socket.id())))
                .toList();
        List<Finding> found = new ArrayList<>();
        for (int i = 1; i < fed.size(); i++) {
            Socket second = fed.get(i);
            fed.subList(0, i).stream()
                    .filter(first -> device.isOneInput(first, second))
                    .limit(1)
                    .flatMap(first -> found(device, id, first, second))
                    .forEach(found::add);
        }
        return found.stream();
    }

    private static Stream<Finding> found(Device device, String id, Socket first, Socket second) {
        return Joint.found(
                FindingCode.INPUT_SHARED,
                Severity.WRONG,
                new Spot(id, second.id()),
                new Figure(2, "sources"),
                "Two sources in one channel",
                first.name() + " and " + second.name() + " of " + device.name()
                        + " are one channel with one knob: use one of them at a time.",
                "Move one of them to another channel");
    }
}
