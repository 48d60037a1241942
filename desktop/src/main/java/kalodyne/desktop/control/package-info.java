/** Controls that several rooms use. */
package kalodyne.desktop.control;
