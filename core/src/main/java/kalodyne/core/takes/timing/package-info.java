/** What a take says about time: how late it came back, whether it keeps the tempo. Seconds from its beginning. */
package kalodyne.core.takes.timing;
