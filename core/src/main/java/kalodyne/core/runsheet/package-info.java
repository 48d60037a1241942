/**
 * The ordered steps for exactly what is plugged: what to do before, plugging, power, phantom power, choices, levels, takes, taking
 * down. Each part of the work adds steps and says which must come before which, and why; the order follows from these reasons
 * alone. Nothing here is a template. Rules of order are common practice; what harms is computed from the joints.
 */
package kalodyne.core.runsheet;
