/**
 * What is measured in a take, and the faults that the measurements show. Everything is read in one pass, in memory that
 * does not grow with the length of the take.
 */
package kalodyne.core.takes;
