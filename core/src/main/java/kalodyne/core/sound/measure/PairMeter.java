package kalodyne.core.sound.measure;

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
        plain(left, right, count);
        heard(leftWeighted, rightWeighted, count);
    }

    private void plain(float[] left, float[] right, int count) {
        double ll = 0;
        double rr = 0;
        double lr = 0;
        float most = 0;
        for (int i = 0; i < count; i++) {
            float apart = Math.abs(left[i] - right[i]);
            double l = left[i];
            double r = right[i];
            ll += l * l;
            rr += r * r;
            lr += l * r;
            if (apart > most) {
                most = apart;
            }
        }
        leftPower += ll;
        rightPower += rr;
        product += lr;
        difference = Math.max(difference, most);
    }

    private void heard(double[] left, double[] right, int count) {
        double ll = 0;
        double rr = 0;
        double lr = 0;
        for (int i = 0; i < count; i++) {
            double l = left[i];
            double r = right[i];
            ll += l * l;
            rr += r * r;
            lr += l * r;
        }
        leftHeard += ll;
        rightHeard += rr;
        heardProduct += lr;
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
