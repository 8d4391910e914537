package escrel.core.timing.beats;

import escrel.core.timing.beats.Beginning.Places;

/**
 * Where unlocking and drop begin in tick and tock, given that both take equally long: the balance crosses the same angle both
 * ways, even out of beat. So a beginning that one of the four sounds leaves open is settled by the three others.
 *
 * @param unlock in tick and tock, seconds
 * @param drop in tick and tock, seconds
 * @param agreement how well the four agree: 1 when they do, near 0 when no four likely places are equally far apart
 */
record EquallyLong(double[] unlock, double[] drop, double agreement) {
    /** What the rising of different sounds may still differ by. */
    private static final double TOLERANCE_SECONDS = 20e-6;
    /** A beginning taken quite wrongly must not drag the others along. */
    private static final double WRONG = 1e-4;

    static EquallyLong of(Places[] unlock, Places[] drop) {
        double step = unlock[0].step();
        Differences unlocks = new Differences(unlock[0], unlock[1]);
        Differences drops = new Differences(drop[0], drop[1]);
        double[] first = unlocks.given(drops.blurred(), drops.first, step);
        double[] last = drops.given(unlocks.blurred(), unlocks.first, step);
        return new EquallyLong(new double[] {first[0], first[1]}, new double[] {last[0], last[1]}, first[2]);
    }

    /** How much later a sound comes in the tock than in the tick: how likely each difference is. */
    private static final class Differences {
        private final Places tick;
        private final Places tock;
        private final double first;
        private final double[] weight;

        Differences(Places tick, Places tock) {
            this.tick = tick;
            this.tock = tock;
            int n = tick.weight().length;
            int m = tock.weight().length;
            this.first = tock.first() - tick.first() - (n - 1) * tick.step();
            this.weight = new double[n + m - 1];
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < m; j++) {
                    weight[j - i + n - 1] += tick.weight()[i] * tock.weight()[j];
                }
            }
        }

        double[] blurred() {
            double step = tick.step();
            int reach = (int) Math.ceil(3 * TOLERANCE_SECONDS / step);
            double[] out = new double[weight.length + 2 * reach];
            double total = 0;
            for (int d = -reach; d <= reach; d++) {
                total += Math.exp(-0.5 * Math.pow(d * step / TOLERANCE_SECONDS, 2));
            }
            for (int i = 0; i < weight.length; i++) {
                for (int d = -reach; d <= reach; d++) {
                    out[i + d + reach] +=
                            weight[i] * Math.exp(-0.5 * Math.pow(d * step / TOLERANCE_SECONDS, 2)) / total;
                }
            }
            return out;
        }

        /** Means of tick and tock when the difference is likely as others say; and how much of both goes together. */
        double[] given(double[] others, double othersFirst, double step) {
            int reach = (int) Math.ceil(3 * TOLERANCE_SECONDS / step);
            double begin = othersFirst - reach * step;
            double top = 0;
            for (double o : others) {
                top = Math.max(top, o);
            }
            double sum = 0;
            double tickSum = 0;
            double tockSum = 0;
            double agree = 0;
            for (int i = 0; i < tick.weight().length; i++) {
                for (int j = 0; j < tock.weight().length; j++) {
                    double both = tick.weight()[i] * tock.weight()[j];
                    if (both > 1e-12) {
                        double difference = tock.first() + j * step - tick.first() - i * step;
                        int at = (int) Math.round((difference - begin) / step);
                        double other = at >= 0 && at < others.length ? others[at] / top : 0;
                        double w = both * (other + WRONG);
                        sum += w;
                        agree += both * other;
                        tickSum += w * i;
                        tockSum += w * j;
                    }
                }
            }
            return new double[] {tick.first() + tickSum / sum * step, tock.first() + tockSum / sum * step, agree};
        }
    }
}
