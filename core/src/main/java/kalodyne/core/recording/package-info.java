/** Recording test takes: where sound can be recorded from, the real ones and a simulated one, the meter, and the file that grows. */
package kalodyne.core.recording;
