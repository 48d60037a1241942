package kalodyne.core.levels.run;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;

/** Which of the joints that are plugged is the one of a run: its owner calls source, lead and input alike in both. */
public final class RunJoint {
    private RunJoint() {}

    /** Whether source and input of a run meet in something that is plugged. */
    public static boolean isOf(Run run, Patch patch) {
        return has(patch.devices().values(), Device::name, run.source().name())
                && has(patch.devices().values(), Device::name, run.input().device());
    }

    /** The joint of a run; of several between the same gear the one with the run's lead. */
    public static <J> Optional<J> of(Run run, Collection<J> joints, Function<J, Patch> patch) {
        return joints.stream()
                .filter(joint -> isOf(run, patch.apply(joint)))
                .min(Comparator.comparing(joint -> !has(
                        patch.apply(joint).leads().values(),
                        Lead::name,
                        run.lead().name())));
    }

    private static <T> boolean has(Collection<T> things, Function<T, String> name, String wanted) {
        return things.stream().anyMatch(thing -> name.apply(thing).equals(wanted));
    }
}
