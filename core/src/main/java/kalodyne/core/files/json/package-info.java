/**
 * Reading JSON that somebody else may have written: its form after a published schema, then its values, with the place of
 * everything that is wrong.
 */
package kalodyne.core.files.json;
