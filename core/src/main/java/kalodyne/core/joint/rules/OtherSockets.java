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
                                .map(offer -> moved(trial, "Go into " + trial.name(to), offer))
                                .stream());
        Stream<Cure> from = trial.beside(ends.from())
                .flatMap(out ->
                        trial
                                .best(out, ends.to())
                                .map(offer -> moved(trial, "Come from " + trial.name(out), offer))
                                .stream());
        return Stream.concat(into, from).toList();
    }

    private static Cure moved(Trial trial, String words, Offers.Offer offer) {
        return trial.cure(
                Cure.Kind.SOCKET,
                words + (offer.leads().isEmpty() ? "" : ", with " + offer.words()),
                trial.without().plugging(offer.pluggings()),
                offer.pluggings());
    }
}
