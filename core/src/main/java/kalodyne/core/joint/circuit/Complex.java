package kalodyne.core.joint.circuit;

import kalodyne.core.units.Gain;

/** A complex number, as a result; calculations are done on plain pairs. */
public record Complex(double re, double im) {
    public static final Complex ZERO = new Complex(0, 0);

    public double magnitude() {
        return Math.hypot(re, im);
    }

    /** In dB re 1; minus infinity for nothing. */
    public double db() {
        return Gain.ofRatio(magnitude()).db();
    }

    public double phaseDegrees() {
        return Math.toDegrees(Math.atan2(im, re));
    }

    public Complex minus(Complex other) {
        return new Complex(re - other.re, im - other.im);
    }

    public Complex plus(Complex other) {
        return new Complex(re + other.re, im + other.im);
    }

    public Complex times(Complex other) {
        return new Complex(re * other.re - im * other.im, re * other.im + im * other.re);
    }

    public Complex times(double factor) {
        return new Complex(re * factor, im * factor);
    }
}
