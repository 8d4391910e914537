package escrel.core.timing.sound;

/**
 * How loud a stretch of sound is, for a meter and for words about it.
 *
 * @param peakDecibels loudest sample against full scale, 0 at most, −120 at least
 * @param rmsDecibels root mean square against full scale
 * @param clipped whether samples stand at the end of the scale
 */
public record Level(double peakDecibels, double rmsDecibels, boolean clipped) {
    private static final double LEAST = -120;
    private static final double END_OF_SCALE = 0.999;
    private static final double FAINT_DECIBELS = -66;
    private static final int CLIPPED_SAMPLES = 3;

    /** The level of these samples. */
    public static Level of(float[] samples) {
        double peak = 0;
        double sum = 0;
        int ends = 0;
        for (float x : samples) {
            peak = Math.max(peak, Math.abs(x));
            sum += x * x;
            ends += Math.abs(x) >= END_OF_SCALE ? 1 : 0;
        }
        double rms = samples.length == 0 ? 0 : Math.sqrt(sum / samples.length);
        return new Level(decibels(peak), decibels(rms), ends >= CLIPPED_SAMPLES);
    }

    private static double decibels(double value) {
        return value > 0 ? Math.max(LEAST, 20 * Math.log10(value)) : LEAST;
    }

    /** What is wrong with the level, in words; empty when nothing is. */
    public String words() {
        if (peakDecibels <= LEAST) {
            return "silent: is the pick-up plugged in and chosen?";
        }
        if (clipped) {
            return "too loud: turn the input down";
        }
        return peakDecibels < FAINT_DECIBELS ? "too faint: press the pick-up to the crown" : "";
    }
}
