package escrel.core.statistics;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A straight line through beat times, one slope with an intercept of their own for tick and tock, which takes no notice
 * of outliers, of steps, and of a slow wandering: outliers are judged around a running line, where sound was lost the line is
 * taken up again after it, and the slope is that of least squares through all beats that count. Source: M2; Huber and
 * Ronchetti, Robust Statistics, 2nd ed., chapter 7, for the biweight it begins with.
 */
public final class RobustLine {
    private static final int ROUNDS = 12;
    // of a group that lies on both sides of a change still to be found none would count: it would have no line at all
    private static final double LEAST_WEIGHT = 1e-3;
    // makes the estimate 95 % efficient for normal scatter
    private static final double TUKEY = 4.685;
    // makes the median absolute deviation agree with the standard deviation for normal scatter
    private static final double MAD_TO_SIGMA = 1.4826;
    private static final int MOST_STEPS = 6;
    // what is lost is a buffer of a recorder, 64 samples at 96 kHz at the least; less is a rate that wanders
    private static final double LEAST_STEP_SECONDS = 0.00065;
    private static final int BLOCKS = 12;
    private static final int LEAST_BLOCK = 8;
    // independent beats give blocks that scatter by no more than this in 95 of 100: the root of χ² of ten degrees of
    // freedom
    private static final double BY_CHANCE = 1.35;

    private final double slope;
    private final double[] intercept;
    private final double[] residuals;
    private final boolean[] kept;
    private final double sigma;
    private final List<Step> steps;
    private final double spread;

    private RobustLine(
            double slope,
            double[] intercept,
            double[] residuals,
            boolean[] kept,
            double sigma,
            List<Step> steps,
            double spread) {
        this.slope = slope;
        this.intercept = intercept;
        this.residuals = residuals;
        this.kept = kept;
        this.sigma = sigma;
        this.steps = steps;
        this.spread = spread;
    }

    /**
     * A sudden change: all that follows comes later by so much.
     *
     * @param index of the first time after it
     * @param seconds below 0 where sound was lost
     */
    public record Step(int index, double seconds) {}

    /**
     * Fits times against numbers.
     *
     * @param numbers beat numbers, ascending; even ones are ticks, odd ones tocks
     * @param times in seconds, NaN where a beat is missing
     */
    public static RobustLine fit(int[] numbers, double[] times) {
        return fit(numbers, times, LEAST_STEP_SECONDS);
    }

    /**
     * Fits times against numbers, knowing what a step is.
     *
     * @param leastStep smaller changes are wandering, in seconds
     */
    public static RobustLine fit(int[] numbers, double[] times, double leastStep) {
        int[] parts = new int[times.length];
        List<Integer> begins = new ArrayList<>();
        Fit fit = biweight(numbers, times, parts, 1, ones(times));
        while (begins.size() < MOST_STEPS) {
            // anew each time: a large step bends the line, and makes tick and tock scatter as they do not
            int step = SuddenChange.in(fit.residuals, leastStep, begins);
            if (step < 0) {
                // ticks may have gone by what lies before a change, tocks by what lies after it: their means see both
                Fit means = leastSquares(numbers, times, parts, begins.size() + 1, ones(times));
                step = SuddenChange.in(means.residuals, leastStep, begins);
            }
            if (step < 0) {
                break;
            }
            begins.add(step);
            fit = inParts(numbers, times, parts, begins);
        }
        List<Integer> lasting = lasting(fit, begins, leastStep);
        if (lasting.size() < begins.size()) {
            fit = inParts(numbers, times, parts, lasting);
        }
        return finished(numbers, times, parts, lasting, fit);
    }

    private static Fit inParts(int[] numbers, double[] times, int[] parts, List<Integer> begins) {
        for (int i = 0; i < parts.length; i++) {
            final int at = i;
            parts[i] = (int) begins.stream().filter(b -> b <= at).count();
        }
        return biweight(numbers, times, parts, begins.size() + 1, ones(times));
    }

    /** Of what looked like steps those after which all beats come otherwise: a few misheard ones look like one nearby. */
    private static List<Integer> lasting(Fit fit, List<Integer> begins, double leastStep) {
        List<Integer> sorted = begins.stream().sorted().toList();
        return IntStream.range(0, sorted.size())
                .filter(k -> fit.later(k + 1) == 0 || Math.abs(fit.later(k + 1)) > leastStep / 2)
                .mapToObj(sorted::get)
                .toList();
    }

    private static RobustLine finished(int[] numbers, double[] times, int[] parts, List<Integer> begins, Fit rough) {
        double[] off = RunningLine.off(rough.residuals);
        // times that fall on few places leave a median of nothing: then the upper quarter still says how they scatter
        double sigma = Math.max(Math.max(Robust.deviation(off), Robust.size(off)), 1e-7);
        boolean[] kept = new boolean[times.length];
        double[] weight = new double[times.length];
        for (int i = 0; i < off.length; i++) {
            kept[i] = Math.abs(off[i]) < TUKEY * sigma;
            weight[i] = kept[i] ? 1 : 0;
        }
        Fit fit = leastSquares(numbers, times, parts, begins.size() + 1, weight);
        List<Step> steps = begins.stream()
                .map(b -> new Step(b, fit.later(parts[b])))
                .filter(step -> step.seconds() != 0)
                .toList();
        int longest = longest(parts, kept, begins.size() + 1);
        double[] intercept = Arrays.copyOfRange(fit.intercept, 2 * longest, 2 * longest + 2);
        return new RobustLine(fit.slope, intercept, fit.residuals, kept, sigma, steps, fit.spread);
    }

    /** The part with the most times that count: it speaks for tick and tock, which a few beats before a step cannot. */
    private static int longest(int[] parts, boolean[] kept, int count) {
        int[] sizes = new int[count];
        for (int i = 0; i < parts.length; i++) {
            sizes[parts[i]] += kept[i] ? 1 : 0;
        }
        int longest = 0;
        for (int part = 1; part < count; part++) {
            longest = sizes[part] > sizes[longest] ? part : longest;
        }
        return longest;
    }

    private static double[] ones(double[] times) {
        return Arrays.stream(times).map(t -> Double.isNaN(t) ? 0 : 1).toArray();
    }

    /**
     * @param total weight of each group
     * @param spread of the numbers about the means of their groups: sum of squares
     */
    private record Fit(double slope, double[] intercept, double[] total, double[] residuals, double spread) {
        /** By how much the beats of a part come later than those of the part before; 0 where neither ticks nor tocks tell. */
        double later(int part) {
            double sum = 0;
            int halves = 0;
            for (int g = 2 * part; g <= 2 * part + 1; g++) {
                if (total[g] > 0 && total[g - 2] > 0) {
                    sum += intercept[g] - intercept[g - 2];
                    halves++;
                }
            }
            return halves == 0 ? 0 : sum / halves;
        }
    }

    private static Fit biweight(int[] numbers, double[] times, int[] parts, int count, double[] weight) {
        Fit fit = leastSquares(numbers, times, parts, count, weight);
        for (int round = 1; round < ROUNDS; round++) {
            double sigma = Math.max(MAD_TO_SIGMA * Robust.sizeAt(fit.residuals, 0.5), 1e-7);
            for (int i = 0; i < times.length; i++) {
                double u = fit.residuals[i] / (TUKEY * sigma);
                double inside = Math.max(0, 1 - u * u);
                weight[i] = Double.isNaN(u) ? 0 : Math.max(LEAST_WEIGHT, inside * inside);
            }
            fit = leastSquares(numbers, times, parts, count, weight);
        }
        return fit;
    }

    /** One slope, an intercept for tick and tock of every part. */
    private static Fit leastSquares(int[] numbers, double[] times, int[] parts, int count, double[] weight) {
        int groups = 2 * count;
        double[] meanNumber = new double[groups];
        double[] meanTime = new double[groups];
        double[] total = new double[groups];
        for (int i = 0; i < times.length; i++) {
            if (weight[i] > 0) {
                int group = 2 * parts[i] + (numbers[i] & 1);
                meanNumber[group] += weight[i] * numbers[i];
                meanTime[group] += weight[i] * times[i];
                total[group] += weight[i];
            }
        }
        for (int group = 0; group < groups; group++) {
            meanNumber[group] /= Math.max(total[group], 1e-12);
            meanTime[group] /= Math.max(total[group], 1e-12);
        }
        return through(numbers, times, parts, weight, new Means(meanNumber, meanTime, total));
    }

    /** Of each group. */
    private record Means(double[] number, double[] time, double[] total) {}

    /** The slope about the means of the groups, which the line of each goes through. */
    private static Fit through(int[] numbers, double[] times, int[] parts, double[] weight, Means of) {
        double[] meanNumber = of.number;
        double[] meanTime = of.time;
        double xx = 0;
        double xy = 0;
        for (int i = 0; i < times.length; i++) {
            if (weight[i] > 0) {
                int group = 2 * parts[i] + (numbers[i] & 1);
                double x = numbers[i] - meanNumber[group];
                xx += weight[i] * x * x;
                xy += weight[i] * x * (times[i] - meanTime[group]);
            }
        }
        double slope = xx > 0 ? xy / xx : 0;
        double[] intercept = new double[meanTime.length];
        for (int group = 0; group < intercept.length; group++) {
            intercept[group] = meanTime[group] - slope * meanNumber[group];
        }
        double[] residuals = new double[times.length];
        for (int i = 0; i < times.length; i++) {
            residuals[i] = times[i] - intercept[2 * parts[i] + (numbers[i] & 1)] - slope * numbers[i];
        }
        return new Fit(slope, intercept, of.total, residuals, xx);
    }

    /** Seconds from one beat to the next. */
    public double slope() {
        return slope;
    }

    /** Where the line of ticks (0) or tocks (1) starts, in seconds; where sound was lost, that through its longest part. */
    public double intercept(int half) {
        return intercept[half];
    }

    /** The line's time for a beat; where sound was lost, as if all beats lay like those of the longest part. */
    public double at(int number) {
        return intercept[number & 1] + slope * number;
    }

    /** What is left of each time, steps taken away; NaN where it was missing. */
    public double[] residuals() {
        return residuals;
    }

    /** Scatter about the running line, robust, in seconds. */
    public double sigma() {
        return sigma;
    }

    /**
     * Standard error of the slope, in the unit of the times: {@code σ / √Σ(n − mean)²}, the mean being that of each piece between
     * steps, which is M2's {@code σ √12 / N^1.5} for evenly spaced beats in one piece. σ is what single beats scatter by, or the
     * means of blocks of neighbours where that is more than chance explains, since what errs alike over many beats, an escape
     * wheel out of true or a rate that wanders, does not average out as single beats do.
     */
    public double slopeError() {
        double[] left = IntStream.range(0, kept.length)
                .filter(i -> kept[i])
                .mapToDouble(i -> residuals[i])
                .toArray();
        double squares = Arrays.stream(left).map(r -> r * r).sum();
        double single = Math.sqrt(squares / Math.max(1, left.length - 3 - 2 * steps.size()));
        double blocks = byBlocks(left);
        return Math.max(1e-7, blocks > BY_CHANCE * single ? blocks : single) / Math.sqrt(Math.max(0.5, spread));
    }

    /** What single beats would scatter by if blocks of neighbours were means of independent ones; 0 where there are too few. */
    private static double byBlocks(double[] left) {
        int length = Math.max(LEAST_BLOCK, left.length / BLOCKS);
        int blocks = left.length / length;
        double squares = 0;
        for (int block = 0; block < blocks; block++) {
            double sum =
                    Arrays.stream(left, block * length, (block + 1) * length).sum();
            squares += sum * sum / length;
        }
        // a line takes two degrees of freedom from the blocks
        return blocks > 3 ? Math.sqrt(squares / (blocks - 2)) : 0;
    }

    /** Whether a time lies too far off to count. */
    public boolean rejects(int index) {
        return !kept[index];
    }

    /** Sudden changes, in order. */
    public List<Step> steps() {
        return steps;
    }
}
