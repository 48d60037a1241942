/** Sound written anew under another name: whole or not at all, and never over something that is there. */
package kalodyne.core.sound.copies;
