/** Studios in open formats: out, in again, and what coming in would change. */
package kalodyne.core.studio.exchange;
