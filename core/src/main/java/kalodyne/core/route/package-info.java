/**
 * Ways from a source to a recorder, through what is owned: all of them are searched, each is computed joint by joint, and they
 * are ranked with reasons.
 */
package kalodyne.core.route;
