/** Start and stop of the program, and the one class that joins its parts. */
package kalodyne.desktop;
