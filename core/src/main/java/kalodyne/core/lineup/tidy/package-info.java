/**
 * The last clean-up of recordings, on copies: cut, picked apart, brought to a level, kept in another format. First everything is measured
 * and proposed, then written. Moments are seconds from the beginning of the file.
 */
package kalodyne.core.lineup.tidy;
