/** Writing files such that a crash never leaves half of one. */
package kalodyne.core.files;
