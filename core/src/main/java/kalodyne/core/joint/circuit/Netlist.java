package kalodyne.core.joint.circuit;

import java.util.List;

/**
 * A circuit with what is to be found out about it, as a file tells it.
 *
 * @param title the first line of the file
 * @param circuit what it is made of
 * @param frequenciesHz at which it is to be solved; empty where none were asked for
 * @param isAtRest whether it is to be solved at rest as well (".op")
 * @param printed what is to be told beside all nodes' voltages
 */
public record Netlist(
        String title, Circuit circuit, List<Double> frequenciesHz, boolean isAtRest, List<Probe> printed) {
    public Netlist {
        frequenciesHz = List.copyOf(frequenciesHz);
        printed = List.copyOf(printed);
    }
}
