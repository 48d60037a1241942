/** The demonstration studio. All its names and numbers are invented. */
package kalodyne.core.demo;
