/** A setup as a value, and as a JSON file after the published schema. */
package kalodyne.core.studio.setup;
