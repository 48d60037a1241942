/** Exercises made from the model: heard and seen faults, levels and knobs, and what is asked next. */
package kalodyne.core.practice;
