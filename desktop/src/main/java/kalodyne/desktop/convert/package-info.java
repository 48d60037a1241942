/** The Convert room: any level, impedance, power, time and storage sum. */
package kalodyne.desktop.convert;
