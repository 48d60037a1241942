/**
 * Where two recordings of the same sound belong to each other. Times are seconds from the beginning of a file; a moment at t in the
 * reference is at t·(1 + drift) + offset in the other one.
 */
package kalodyne.core.lineup;
