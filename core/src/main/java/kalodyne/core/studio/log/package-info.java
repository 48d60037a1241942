/** What was done with a studio: takes, times that a run sheet was gone through, how everything stood, what keeps going wrong. */
package kalodyne.core.studio.log;
