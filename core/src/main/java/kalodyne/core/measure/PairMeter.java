package kalodyne.core.measure;

/** How the two channels of a pair go together, as they are and weighted as the ear does. */
public final class PairMeter {
    private double leftPower;
    private double rightPower;
    private double product;
    private double leftHeard;
    private double rightHeard;
    private double heardProduct;
    private double difference;

    /**
     * Takes the next samples of both channels.
     *
     * @param leftWeighted the same weighted as the ear does
     */
    public void accept(float[] left, float[] right, double[] leftWeighted, double[] rightWeighted, int count) {
        for (int i = 0; i < count; i++) {
            double l = left[i];
            double r = right[i];
            leftPower += l * l;
            rightPower += r * r;
            product += l * r;
            difference = Math.max(difference, Math.abs(l - r));
        }
        for (int i = 0; i < count; i++) {
            double l = leftWeighted[i];
            double r = rightWeighted[i];
            leftHeard += l * l;
            rightHeard += r * r;
            heardProduct += l * r;
        }
    }

    public Pair pair() {
        return new Pair(
                correlation(product, leftPower, rightPower),
                correlation(heardProduct, leftHeard, rightHeard),
                leftHeard,
                rightHeard,
                heardProduct,
                difference);
    }

    private static double correlation(double product, double left, double right) {
        return left > 0 && right > 0 ? product / Math.sqrt(left * right) : 0;
    }
}
