/** The Log room: what was done, how it stood then, what keeps going wrong. */
package kalodyne.desktop.log;
