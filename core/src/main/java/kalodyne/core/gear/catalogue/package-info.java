/** Generic profiles of devices and leads that ship with the program, and what is asked when one is added. */
package kalodyne.core.gear.catalogue;
