/** Pairs of recordings of the same made-up sound whose offset, drift and level are known, since both are written down by formula. */
package kalodyne.core.testing.pairs;
