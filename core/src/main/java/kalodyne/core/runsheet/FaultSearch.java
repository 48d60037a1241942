package kalodyne.core.runsheet;

import java.util.List;
import java.util.Optional;

/**
 * A short search for what is in the way: questions one after the other, each with what is to blame if the answer is no. It ends at
 * the first no, or when all is as it should be.
 *
 * @param symptom what was noticed
 * @param probes at least one
 * @param at which is asked; as many as there are when all were answered yes
 * @param isFound whether the last answer was no
 */
public record FaultSearch(Symptom symptom, List<Probe> probes, int at, boolean isFound) {
    public FaultSearch {
        probes = List.copyOf(probes);
    }

    /**
     * A question.
     *
     * @param question can be answered by looking or listening
     * @param expected what the model expects there; may be empty
     * @param causes what may be to blame if it is not so, the likeliest first, each with what to do
     */
    public record Probe(String question, String expected, List<String> causes) {
        public Probe {
            causes = List.copyOf(causes);
        }
    }

    static FaultSearch of(Symptom symptom, List<Probe> probes) {
        return new FaultSearch(symptom, probes, 0, false);
    }

    /** What is asked now; empty where it has ended. */
    public Optional<Probe> asked() {
        return isFound || at >= probes.size() ? Optional.empty() : Optional.of(probes.get(at));
    }

    /** Where it is not as it should be. */
    public Optional<Probe> found() {
        return isFound ? Optional.of(probes.get(at)) : Optional.empty();
    }

    public FaultSearch answered(boolean isSo) {
        if (asked().isEmpty()) {
            return this;
        }
        return isSo ? new FaultSearch(symptom, probes, at + 1, false) : new FaultSearch(symptom, probes, at, true);
    }

    /** One question back. */
    public FaultSearch back() {
        return isFound
                ? new FaultSearch(symptom, probes, at, false)
                : new FaultSearch(symptom, probes, Math.max(0, at - 1), false);
    }
}
