/** What is wrong with a joint, read from its solution: one rule is one class. */
package kalodyne.core.joint.rules;
