/**
 * What a run is made of: a source, a lead, an input with its gain, a converter. Immutable descriptions; nothing is
 * computed here but what a control does at a position.
 */
package kalodyne.core.levels.run;
