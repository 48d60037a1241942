/** Benchmarks of the core, with JMH. */
package kalodyne.bench;
