package escrel.core.statistics;

import java.util.Arrays;

/**
 * A straight line through beat times, one slope with an intercept of their own for tick and tock, which takes no notice
 * of outliers: iteratively reweighted least squares with Tukey's biweight. Source: M2; Huber and Ronchetti, Robust
 * Statistics, 2nd ed., chapter 7.
 */
public final class RobustLine {
    private static final int ROUNDS = 12;
    // makes the estimate 95 % efficient for normal scatter
    private static final double TUKEY = 4.685;
    // makes the median absolute deviation agree with the standard deviation for normal scatter
    private static final double MAD_TO_SIGMA = 1.4826;

    private final double slope;
    private final double[] intercept;
    private final double[] residuals;
    private final double sigma;

    private RobustLine(double slope, double[] intercept, double[] residuals, double sigma) {
        this.slope = slope;
        this.intercept = intercept;
        this.residuals = residuals;
        this.sigma = sigma;
    }

    /**
     * Fits times against numbers.
     *
     * @param numbers beat numbers; even ones are ticks, odd ones tocks
     * @param times in seconds, NaN where a beat is missing
     */
    public static RobustLine fit(int[] numbers, double[] times) {
        double[] weight = new double[times.length];
        for (int i = 0; i < times.length; i++) {
            weight[i] = Double.isNaN(times[i]) ? 0 : 1;
        }
        double slope = 0;
        double[] intercept = new double[2];
        double[] residuals = new double[times.length];
        double sigma = 0;
        for (int round = 0; round < ROUNDS; round++) {
            double[] meanNumber = new double[2];
            double[] meanTime = new double[2];
            double[] total = new double[2];
            for (int i = 0; i < times.length; i++) {
                if (weight[i] > 0) {
                    int half = numbers[i] & 1;
                    meanNumber[half] += weight[i] * numbers[i];
                    meanTime[half] += weight[i] * times[i];
                    total[half] += weight[i];
                }
            }
            for (int half = 0; half < 2; half++) {
                meanNumber[half] /= Math.max(total[half], 1e-12);
                meanTime[half] /= Math.max(total[half], 1e-12);
            }
            double xx = 0;
            double xy = 0;
            for (int i = 0; i < times.length; i++) {
                if (weight[i] > 0) {
                    int half = numbers[i] & 1;
                    double x = numbers[i] - meanNumber[half];
                    xx += weight[i] * x * x;
                    xy += weight[i] * x * (times[i] - meanTime[half]);
                }
            }
            slope = xx > 0 ? xy / xx : 0;
            for (int half = 0; half < 2; half++) {
                intercept[half] = meanTime[half] - slope * meanNumber[half];
            }
            double[] sizes = new double[times.length];
            int count = 0;
            for (int i = 0; i < times.length; i++) {
                residuals[i] = times[i] - intercept[numbers[i] & 1] - slope * numbers[i];
                if (!Double.isNaN(residuals[i])) {
                    sizes[count++] = Math.abs(residuals[i]);
                }
            }
            Arrays.sort(sizes, 0, count);
            sigma = count == 0 ? 0 : Math.max(MAD_TO_SIGMA * sizes[count / 2], 1e-7);
            for (int i = 0; i < times.length; i++) {
                double u = residuals[i] / (TUKEY * sigma);
                weight[i] = Double.isNaN(u) || Math.abs(u) >= 1 ? 0 : (1 - u * u) * (1 - u * u);
            }
        }
        return new RobustLine(slope, intercept, residuals, sigma);
    }

    /** Seconds from one beat to the next. */
    public double slope() {
        return slope;
    }

    /** Where the line of ticks (0) or tocks (1) starts, in seconds. */
    public double intercept(int half) {
        return intercept[half];
    }

    /** The line's time for a beat. */
    public double at(int number) {
        return intercept[number & 1] + slope * number;
    }

    /** What is left of each time, NaN where it was missing. */
    public double[] residuals() {
        return residuals;
    }

    /** Scatter about the line, robust, in seconds. */
    public double sigma() {
        return sigma;
    }

    /** Whether a beat was too far off the line to count. */
    public boolean rejects(int index) {
        return Double.isNaN(residuals[index]) || Math.abs(residuals[index]) >= TUKEY * sigma;
    }
}
