/** What was practised: the answers one gave, and what is asked again when. */
package kalodyne.core.studio.practised;
