/**
 * Recordings to prove the analysis on: movements, sounds and rooms drawn at random, each other one with something that makes
 * it hard to read, with the truth known. On purpose made
 * otherwise than the pick-up's own sound, and with shapes the analysis was not made for. Leans on core.
 */
@NullMarked
package escrel.simulator.proving;

import org.jspecify.annotations.NullMarked;
