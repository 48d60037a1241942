package kalodyne.core.joint;

/** Phantom power as IEC 61938 has it, from memory: 48 V through 6.8 kΩ on each of two contacts. */
public final class Phantom {
    public static final double VOLTS = 48;
    static final double OHMS = 6800;

    private Phantom() {}
}
