/** What the window shows, as properties and commands. Knows no control and no layout. */
package kalodyne.desktop.model;
