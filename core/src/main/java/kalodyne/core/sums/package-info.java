/**
 * The small sums of the work: how long a card lasts, a battery, a lead must be; how late a buffer is. Each says what it takes and
 * gives, with units; none knows of any gear.
 */
package kalodyne.core.sums;
