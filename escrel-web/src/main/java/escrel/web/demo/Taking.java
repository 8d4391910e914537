package escrel.web.demo;

import escrel.simulator.movement.Condition;

/**
 * Six positions of a watch in a condition.
 *
 * @param calibre of its sheet
 * @param seed of the simulated sound
 */
record Taking(String calibre, Condition condition, long seed) {}
