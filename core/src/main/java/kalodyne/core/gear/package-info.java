/**
 * What a studio owns: devices with their sockets, stages and controls, leads and adapters with their wiring, and what is
 * known of each with where that knowledge is from. Immutable descriptions, to compute with elsewhere.
 */
package kalodyne.core.gear;
