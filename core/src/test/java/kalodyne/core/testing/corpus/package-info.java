/**
 * Made-up takes whose faults are known, for tuning and for reporting how well faults are found. The two halves are made by
 * different recipes: other instruments, other rooms, other strengths.
 */
package kalodyne.core.testing.corpus;
