/** What helps with a shelf full of gear: searching it, doubting its values, telling plugs apart. */
package kalodyne.core.gear.shelf;
