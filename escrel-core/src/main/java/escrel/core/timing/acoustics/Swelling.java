package escrel.core.timing.acoustics;

import escrel.core.statistics.Robust;
import escrel.core.timing.beats.BeatTimes;
import java.util.Arrays;
import java.util.Optional;

/**
 * An amplitude that swells and sinks in a steady period, as it does with an escape wheel or another wheel out of true or with dirt
 * between its teeth.
 *
 * @param degrees by how much to either side of its mean
 * @param beats how many beats one swell takes
 */
record Swelling(double degrees, double beats) {
    private static final int SHORTEST_BEATS = 20;
    // the period must come back three times to be told from a slow wandering
    private static final double TURNS = 3;
    private static final double LEAST_DEGREES = 4;
    // after a turn the amplitude settles by some degrees, and a few seconds show no period
    private static final double LEAST_UNPERIODIC_DEGREES = 6;
    // part of all that the lift time does which this one period explains
    private static final double CLEARLY = 0.5;
    private static final double STEP = 0.25;
    private static final int NEIGHBOURS = 3;
    private static final int FEWEST_TEETH = 15;
    private static final int MOST_TEETH = 22;

    /**
     * The clearest swelling of a reading; nothing when there is none.
     *
     * @param amplitude mean, in degrees; small changes of the lift time change it in the same proportion, the other way
     */
    static Optional<Swelling> of(BeatTimes times, double amplitude) {
        double[] lifts = times.lifts();
        int[] numbers = times.numbers();
        int n = lifts.length;
        double mean = Arrays.stream(lifts).average().orElse(0);
        double all = 0;
        for (double lift : lifts) {
            all += (lift - mean) * (lift - mean) / n;
        }
        double[] off = Arrays.stream(lifts).map(lift -> lift - mean).toArray();
        double best = 0;
        double period = 0;
        for (double p = SHORTEST_BEATS; p <= n / TURNS; p += STEP) {
            double power = power(numbers, off, p);
            if (power > best) {
                best = power;
                period = p;
            }
        }
        double degrees = amplitude * Math.sqrt(2 * best) / mean;
        return best > CLEARLY * all && degrees > LEAST_DEGREES
                ? Optional.of(new Swelling(degrees, period))
                : Optional.empty();
    }

    /** How much of what the lifts do has this period, in beats, by one turning pointer. */
    private static double power(int[] numbers, double[] off, double period) {
        double stepRe = Math.cos(2 * Math.PI / period);
        double stepIm = Math.sin(2 * Math.PI / period);
        double re = 1;
        double im = 0;
        double c = 0;
        double s = 0;
        int at = numbers.length == 0 ? 0 : numbers[0];
        for (int k = 0; k < off.length; k++) {
            for (; at < numbers[k]; at++) {
                double next = re * stepRe - im * stepIm;
                im = re * stepIm + im * stepRe;
                re = next;
            }
            c += off[k] * re;
            s += off[k] * im;
        }
        double scale = 2.0 / off.length;
        return (c * c + s * s) * scale * scale / 2;
    }

    /**
     * What is to be said of how the amplitude goes up and down; nothing when it hardly does. A period is named only when it came
     * back three times (M6).
     */
    static Optional<String> words(BeatTimes times, double amplitude) {
        Optional<Swelling> swelling = of(times, amplitude);
        if (swelling.isPresent()) {
            return swelling.map(Swelling::words);
        }
        double[] calm = Robust.runningMedian(times.lifts(), NEIGHBOURS);
        double degrees = amplitude
                * Robust.deviation(calm)
                / Arrays.stream(calm).average().orElse(1);
        return degrees > LEAST_UNPERIODIC_DEGREES
                ? Optional.of(
                        ("The amplitude goes up and down by about ±%.0f°: listen longer, at least three turns of the escape"
                                        + " wheel, to tell whether it goes with it")
                                .formatted(degrees))
                : Optional.empty();
    }

    private String words() {
        String what = "The amplitude swells and sinks by ±%.0f° every %.0f beats".formatted(degrees, beats);
        return beats >= 2 * FEWEST_TEETH - 1 && beats <= 2 * MOST_TEETH + 1
                ? what
                        + ", as with an escape wheel of %.0f teeth turning: look there for dirt or a wheel out of true"
                                .formatted(beats / 2)
                : what + ", which is no turn of an escape wheel: look for a wheel of the train of that period";
    }
}
