/**
 * What most likely makes a fault, given what shows in the take and what is known of the rig, and the one test that tells the likely
 * causes apart soonest. What is known of causes and tests is data (causes.json), which people read too.
 */
package kalodyne.core.takes.causes;
