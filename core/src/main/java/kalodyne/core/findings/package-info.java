/** The one shape in which every room reports what it noticed, how bad it is, and what to do about it. */
package kalodyne.core.findings;
