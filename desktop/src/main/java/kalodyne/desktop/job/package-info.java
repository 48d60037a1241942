/** Long work, off the screen's thread: progress, cancelling, delivery back on it. */
package kalodyne.desktop.job;
