/** A take held against what its run predicts and aims at: what is the case, and what to turn, and how far. */
package kalodyne.core.takes.verdict;
