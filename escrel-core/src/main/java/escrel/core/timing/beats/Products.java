package escrel.core.timing.beats;

/**
 * A pattern multiplied with a series, value by value, and added up, at places next to each other. Two places are worked out in
 * one run, since they share all but two of the values read, and four partial sums are kept for each: the processor need not wait
 * for one to go on with the others.
 */
final class Products {
    private Products() {}

    /**
     * The sums at places one after another.
     *
     * @param from the first place; the pattern laid at the last one must end within the series
     * @param into gets a sum for each place, as many as it is long
     */
    static void of(double[] pattern, double[] series, int from, double[] into) {
        int place = 0;
        for (; place + 1 < into.length; place += 2) {
            two(pattern, series, from + place, into, place);
        }
        if (place < into.length) {
            into[place] = of(pattern, series, from + place);
        }
    }

    /** The sum at one place. */
    static double of(double[] pattern, double[] series, int from) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int i = 0;
        int j = from;
        for (; i + 3 < pattern.length; i += 4, j += 4) {
            a += pattern[i] * series[j];
            b += pattern[i + 1] * series[j + 1];
            c += pattern[i + 2] * series[j + 2];
            d += pattern[i + 3] * series[j + 3];
        }
        for (; i < pattern.length; i++, j++) {
            a += pattern[i] * series[j];
        }
        return a + b + c + d;
    }

    private static void two(double[] pattern, double[] series, int from, double[] into, int place) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        double nextA = 0;
        double nextB = 0;
        double nextC = 0;
        double nextD = 0;
        int i = 0;
        int j = from;
        for (; i + 3 < pattern.length; i += 4, j += 4) {
            a += pattern[i] * series[j];
            b += pattern[i + 1] * series[j + 1];
            c += pattern[i + 2] * series[j + 2];
            d += pattern[i + 3] * series[j + 3];
            nextA += pattern[i] * series[j + 1];
            nextB += pattern[i + 1] * series[j + 2];
            nextC += pattern[i + 2] * series[j + 3];
            nextD += pattern[i + 3] * series[j + 4];
        }
        for (; i < pattern.length; i++, j++) {
            a += pattern[i] * series[j];
            nextA += pattern[i] * series[j + 1];
        }
        into[place] = a + b + c + d;
        into[place + 1] = nextA + nextB + nextC + nextD;
    }
}
