/** The program in a real window, driven as a musician would. */
package kalodyne.desktop.testing;
