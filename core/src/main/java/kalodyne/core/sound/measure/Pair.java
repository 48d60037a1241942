package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/**
 * How two channels go together.
 *
 * @param correlation 1 where they are alike but for their level, 0 where they have nothing in common, −1 where one is the other
 *     upside down
 * @param heardCorrelation the same of what is heard: without rumble and offset, treble raised
 * @param leftHeard sum of squares of the first channel as it is heard
 * @param rightHeard of the second
 * @param heardProduct sum of their products
 * @param difference the largest difference of two samples at the same time
 */
public record Pair(
        double correlation,
        double heardCorrelation,
        double leftHeard,
        double rightHeard,
        double heardProduct,
        double difference) {

    /** How much louder the first channel is to the ear. Infinite where the other is silent, 0 where both are. */
    public Gain balance() {
        if (leftHeard == rightHeard) {
            return Gain.NONE;
        }
        return Gain.ofPowerRatio(leftHeard / rightHeard);
    }

    /**
     * What becomes of both when they are added up for one loudspeaker, compared with two that have nothing in common: +3 dB where they
     * are alike, nothing left where one is the other upside down.
     */
    public Gain monoLoss() {
        double apart = leftHeard + rightHeard;
        double together = apart + 2 * heardProduct;
        return apart == 0 ? Gain.NONE : Gain.ofPowerRatio(Math.max(0, together) / apart);
    }
}
