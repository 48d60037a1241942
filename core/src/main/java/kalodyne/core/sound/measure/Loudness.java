package kalodyne.core.sound.measure;

import java.util.OptionalDouble;

/**
 * How loud a recording is to the ear (ITU-R BS.1770-5, EBU R 128, Tech 3341, Tech 3342). A measure is empty where the recording
 * is too short for it, or never louder than −70 LUFS.
 *
 * @param integratedLufs of all of it, without its pauses
 * @param rangeLu from its quiet to its loud parts
 * @param maxMomentaryLufs the loudest 0.4 s
 * @param maxShortTermLufs the loudest 3 s
 */
public record Loudness(
        OptionalDouble integratedLufs,
        OptionalDouble rangeLu,
        OptionalDouble maxMomentaryLufs,
        OptionalDouble maxShortTermLufs) {}
