/** The commands that need no window. They read files, ask the core, and print text or JSON. */
package kalodyne.command;
