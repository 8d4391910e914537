package escrel.core.cleaning;

import escrel.core.service.Step;

/**
 * A jar was strained or filled anew: its loads are counted from here.
 *
 * @param jar as the programme calls it
 */
public record JarFilled(String jar, boolean strained) implements Step {}
