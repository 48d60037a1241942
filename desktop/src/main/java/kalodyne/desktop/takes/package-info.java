/** The Takes room: a recording, what was measured in it, and what it says about the run. */
package kalodyne.desktop.takes;
