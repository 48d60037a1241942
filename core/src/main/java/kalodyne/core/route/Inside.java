package kalodyne.core.route;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;

/** What feeds what inside a device, from its sockets through its stages. */
final class Inside {
    private final Device device;
    private final Map<String, Stage> stages;

    Inside(Device device) {
        this.device = device;
        this.stages = device.stages().stream().collect(Collectors.toMap(Stage::id, Function.identity()));
    }

    /** The stages from a socket to a stage, both ends of the way included; empty where it does not get there. */
    Optional<List<Stage>> way(String socket, String stage) {
        return way(socket, stages.get(stage), new HashSet<>());
    }

    private Optional<List<Stage>> way(String socket, Stage to, Set<String> seen) {
        if (to == null || !seen.add(to.id())) {
            return Optional.empty();
        }
        for (String from : to.from()) {
            String bare = Stage.fedBy(from);
            if (bare.equals(socket)) {
                return Optional.of(new ArrayList<>(List.of(to)));
            }
            Optional<List<Stage>> before = way(socket, stages.get(bare), seen);
            if (before.isPresent()) {
                before.get().add(to);
                return before;
            }
        }
        return Optional.empty();
    }

    /** The stages from a socket to another one; none of them where both are wired to each other. */
    Optional<List<Stage>> between(String in, Socket out) {
        if (out.ties().parallelTo().filter(in::equals).isPresent()) {
            return Optional.of(List.of());
        }
        return out.from().stream().flatMap(stage -> way(in, stage).stream()).findFirst();
    }

    /** The stages from a socket to each converter that it feeds, or to what a digital socket sends. */
    List<List<Stage>> converters(String in) {
        return recorded().flatMap(stage -> way(in, stage).stream()).toList();
    }

    /** The stages from a socket to the first converter behind it; none where there is none. */
    List<Stage> recording(String in) {
        return converters(in).stream().findFirst().orElse(List.of());
    }

    private Stream<String> recorded() {
        return Stream.concat(
                        device.stages().stream()
                                .filter(stage -> stage.kind() == StageKind.TO_DIGITAL)
                                .map(Stage::id),
                        device.sockets().stream().flatMap(Ports::recorded).flatMap(pair -> pair.from().stream()))
                .distinct();
    }

    /** Whether some socket of one port feeds each socket of another one. */
    boolean passes(Port in, Port out) {
        return out.parts().stream()
                .map(part -> device.socket(part).orElseThrow())
                .allMatch(socket -> in.parts().stream()
                        .anyMatch(part -> between(part, socket).isPresent()));
    }

    /** How many converters the sockets of a port feed. */
    int tracks(Port in) {
        return (int) in.parts().stream()
                .flatMap(part -> converters(part).stream())
                .map(way -> way.get(way.size() - 1).id())
                .distinct()
                .count();
    }
}
