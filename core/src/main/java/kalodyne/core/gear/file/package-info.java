/** Gear as JSON: reading it from its form in files, and writing it so that it is read back equal. */
package kalodyne.core.gear.file;
