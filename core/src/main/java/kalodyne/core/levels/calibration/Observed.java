package kalodyne.core.levels.calibration;

/**
 * What one take says.
 *
 * @param take its name
 * @param position where the knob stood, from 0 to 1
 * @param predictedDb its loudest peak as the model has it
 * @param measuredDb as it is in the recording; not cut off
 */
public record Observed(String take, double position, double predictedDb, double measuredDb) {
    double residual() {
        return measuredDb - predictedDb;
    }
}
