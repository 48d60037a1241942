/** What tests of any module build their cases from: runs, signals, sound files byte by byte. */
package kalodyne.core.testing;
