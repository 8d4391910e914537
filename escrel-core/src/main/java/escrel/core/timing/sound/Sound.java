package escrel.core.timing.sound;

/**
 * Sound as one channel of samples.
 *
 * @param samples −1 to 1, in order; not copied, so leave them alone
 * @param sampleRate samples per second, above 0
 */
public record Sound(float[] samples, double sampleRate) {
    public Sound {
        if (!(sampleRate > 0)) {
            throw new IllegalArgumentException("sample rate must be above 0, was " + sampleRate);
        }
    }

    /** Length in seconds. */
    public double seconds() {
        return samples.length / sampleRate;
    }
}
