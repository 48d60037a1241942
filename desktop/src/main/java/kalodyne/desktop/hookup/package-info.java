/** The Hook-up room: what is plugged into what, and what comes of it. */
package kalodyne.desktop.hookup;
