/**
 * What really happens where a plug goes into a socket: which contact touches which, the circuit that comes of it, and what is
 * read from its solution.
 */
package kalodyne.core.joint;
