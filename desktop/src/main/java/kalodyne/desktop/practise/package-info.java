/** The Practise room: faults to name, levels and meters to read, and what one is sure of. */
package kalodyne.desktop.practise;
