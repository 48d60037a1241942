/** The Levels room: the corridor, the controls beneath it, what the stations are described with. */
package kalodyne.desktop.levels;
