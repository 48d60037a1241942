package kalodyne.core.route;

import kalodyne.core.units.DigitalLevel;

/**
 * What is expected of a recording made by a way, with its controls set for it.
 *
 * @param peak of the loudest playing
 * @param noise while nothing is played, 20 Hz to 20 kHz
 * @param overDb how far the loudest peak is above what its narrowest place takes, in dB; 0 where nothing clips
 * @param fadersAddDb how much volumes and faders have to add, which are there to take away; 0 or more
 */
public record Prediction(DigitalLevel peak, DigitalLevel noise, double overDb, double fadersAddDb) {
    /** Less is within what levels are known by. */
    private static final double AUDIBLE_DB = 0.5;

    /** On a scale on which the loudest peak is 0: what is heard has no full scale. */
    Prediction fromThePeakDown() {
        return new Prediction(new DigitalLevel(0), new DigitalLevel(-rangeDb()), overDb, fadersAddDb);
    }

    /** How far the noise lies under the loudest peak, in dB. */
    public double rangeDb() {
        return peak.above(noise).db();
    }

    /** Whether one hears that it clips. */
    public boolean clips() {
        return overDb > AUDIBLE_DB;
    }
}
