/** Made-up players, for sound where there is none: in the demonstration, and from the simulated interface. */
package kalodyne.core.hearing.players;
