/** What is heard and what that does: how long ears bear it, how a driver is damped, where a subwoofer takes over, what howls. */
package kalodyne.core.levels.listening;
