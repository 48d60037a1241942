package kalodyne.core.sound;

/**
 * Where in a file plain samples lie.
 *
 * @param header what the head of the file says
 * @param dataStart where the samples begin, in bytes from the start of the file
 */
record PcmLayout(SoundHeader header, long dataStart) {}
