/**
 * Linear electrical networks: what they are made of, their solution by modified nodal analysis at single frequencies and
 * at rest, and the text in which circuit simulators write them.
 */
package kalodyne.core.joint.circuit;
