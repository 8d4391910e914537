package escrel.simulator.chance;

import java.io.Serial;
import java.util.Random;

/**
 * The numbers of {@link Random}, for one thread: a second of sound is a hundred thousand draws, and guarding each against other
 * threads took a third of the time. The generator and its Gaussian numbers are those {@link Random} documents, so that what was
 * drawn from a seed stays what it was.
 */
public final class OneHandRandom extends Random {
    @Serial
    private static final long serialVersionUID = 1L;

    private static final long MULTIPLIER = 0x5DEECE66DL;
    private static final long ADDEND = 0xBL;
    private static final int BITS = 48;
    private static final long MASK = (1L << BITS) - 1;

    // set by the constructor of what it extends: a first value here would come after it
    private long state;
    private boolean anotherGaussian;
    private double gaussian;

    /** The numbers of this seed. */
    public OneHandRandom(long seed) {
        super(seed);
    }

    @Override
    public void setSeed(long seed) {
        state = (seed ^ MULTIPLIER) & MASK;
        anotherGaussian = false;
    }

    @Override
    protected int next(int bits) {
        state = state * MULTIPLIER + ADDEND & MASK;
        return (int) (state >>> BITS - bits);
    }

    @Override
    public double nextGaussian() {
        if (anotherGaussian) {
            anotherGaussian = false;
            return gaussian;
        }
        double first;
        double second;
        double square;
        do {
            first = 2 * nextDouble() - 1;
            second = 2 * nextDouble() - 1;
            square = first * first + second * second;
        } while (square >= 1 || square == 0);
        double length = StrictMath.sqrt(-2 * StrictMath.log(square) / square);
        gaussian = second * length;
        anotherGaussian = true;
        return first * length;
    }
}
