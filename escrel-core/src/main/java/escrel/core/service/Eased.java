package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A screw or part was eased without coming off.
 *
 * @param part code on the sheet
 * @param way what was done
 * @param turns how far, in turns; 0 when it was not counted
 */
public record Eased(String part, Way way, double turns) implements Step {
    /** Ways of easing. */
    public enum Way {
        /** Loosened only: the stem release, a dial's side screws. */
        LOOSENED,
        /** A half-moon head turned until its flat frees what it holds. */
        TURNED_TO_FREE
    }

    public Eased {
        if (!(turns >= 0 && turns <= 50)) {
            throw new IllegalArgumentException("turns must lie between 0 and 50, were " + turns);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Eased(code.apply(part), way, turns);
    }
}
