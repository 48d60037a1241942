package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;

/** The same gear by another socket beside the present one. */
final class OtherSockets {
    private OtherSockets() {}

    static List<Cure> of(Trial trial, Ends ends) {
        Stream<Cure> into = trial.beside(ends.to())
                .flatMap(to ->
                        trial
                                .best(ends.from(), to)
                                .map(offer -> trial.moved("Go into " + trial.name(to), offer))
                                .stream());
        Stream<Cure> from = trial.beside(ends.from())
                .flatMap(out ->
                        trial
                                .best(out, ends.to())
                                .map(offer -> trial.moved("Come from " + trial.name(out), offer))
                                .stream());
        return Stream.concat(into, from).toList();
    }
}
