package escrel.core.timing.beats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Finds where sounds begin in the beats of one kind. Not how loud a rise is decides, but whether it comes back: each
 * beat's energy after a place is compared with that before it, and the mean difference with its standard error over the
 * beats. So an unlocking ten times fainter than the drop is found in noise that hides it in any single beat.
 */
final class Rises {
    // the wide one for a sound that an unsteady amplitude moves to and fro
    private static final double[] COMPARE_SECONDS = {0.0004, 0.0012};
    private static final double HOP_SECONDS = 0.0001;
    private static final double CERTAIN = 3.5;
    // a knock in one beat counts for no more than this many mean sizes
    private static final double KNOCK = 5;

    private final Stack stack;
    private final int hop;
    private final Energies sound;
    private final int[] begins;
    private final double[] factors;
    private final List<Profile> profiles = new ArrayList<>();
    private final List<Rise> rises = new ArrayList<>();

    private Rises(Energies sound, double[] times, double[] weights, Stack stack) {
        this.stack = stack;
        this.hop = Math.max(1, (int) Math.round(HOP_SECONDS * stack.sampleRate()));
        this.sound = sound;
        int[] inside = IntStream.range(0, times.length)
                .filter(k -> sound.holds(begin(times[k]), stack.energy().length))
                .toArray();
        this.begins = Arrays.stream(inside).map(k -> begin(times[k])).toArray();
        this.factors = Arrays.stream(inside).mapToDouble(k -> weights[k]).toArray();
        for (double seconds : COMPARE_SECONDS) {
            Profile profile = new Profile(Math.max(2, (int) Math.round(seconds * stack.sampleRate() / hop)));
            for (Rise rise : profile.certain()) {
                if (rises.stream().noneMatch(r -> Math.abs(r.seconds() - rise.seconds()) < seconds)) {
                    rises.add(rise);
                }
            }
            profiles.add(profile);
        }
        rises.sort(Comparator.comparingDouble(Rise::seconds));
    }

    /** Looks through beats at these times, stacked before. */
    static Rises in(Energies sound, double[] times, double[] weights, Stack stack) {
        return new Rises(sound, times, weights, stack);
    }

    /** All certain rises, in order of time. */
    List<Rise> all() {
        return List.copyOf(rises);
    }

    /** The sharpest rise near a place, be it certain or not; nothing where the loudness only falls. */
    Optional<Rise> near(double seconds, double reachSeconds) {
        return profiles.get(0).near(seconds, reachSeconds);
    }

    /** The sample at which the stack begins in a beat. */
    private int begin(double time) {
        return (int) Math.round((time - stack.beforeSeconds()) * stack.sampleRate());
    }

    /** Rises at every place, for one width of comparing; widths and places are counted in hops. */
    private final class Profile {
        private final int window;
        private final double[] sharpness;
        private final double[] level;

        Profile(int window) {
            this.window = window;
            double[] energy = stack.energy();
            int hops = energy.length / hop;
            double[] sums = new double[hops + 1];
            for (int h = 0; h < hops; h++) {
                sums[h + 1] = sums[h];
                for (int i = h * hop; i < (h + 1) * hop; i++) {
                    sums[h + 1] += energy[i];
                }
            }
            double floor = stack.floor();
            int places = Math.max(0, hops - 2 * window + 1);
            sharpness = new double[places];
            level = new double[places];
            double loudest = 0;
            double each = 1.0 / window / hop;
            for (int p = 0; p < places; p++) {
                int h = window + p;
                double before = (sums[h] - sums[p]) * each;
                double after = (sums[h + window] - sums[h]) * each;
                // a tenth of the floor's own height keeps the ratio of two quiet stretches calm
                sharpness[p] = Math.log((after + 0.1 * floor) / (before + 0.1 * floor));
                level[p] = after - floor;
                loudest = Math.max(loudest, level[p]);
            }
            for (int p = 0; p < places; p++) {
                level[p] /= loudest > 0 ? loudest : 1;
            }
        }

        List<Rise> certain() {
            List<Rise> out = new ArrayList<>();
            for (int p = 0; p < sharpness.length; p++) {
                if (sharpness[p] > 0 && isPeak(p)) {
                    Rise rise = at(p);
                    if (rise.certainty() > CERTAIN) {
                        out.add(rise);
                    }
                }
            }
            return out;
        }

        Optional<Rise> near(double seconds, double reachSeconds) {
            int reach = (int) Math.round(reachSeconds * stack.sampleRate() / hop);
            int middle = (int) Math.round((seconds + stack.beforeSeconds()) * stack.sampleRate() / hop) - window;
            int from = Math.max(0, middle - reach);
            int to = Math.min(sharpness.length - 1, middle + reach);
            if (from > to) {
                return Optional.empty();
            }
            int best = from;
            for (int p = from; p <= to; p++) {
                best = sharpness[p] > sharpness[best] ? p : best;
            }
            return sharpness[best] > 0 ? Optional.of(at(best)) : Optional.empty();
        }

        private Rise at(int place) {
            int h = window + place;
            return new Rise(stack.seconds((double) h * hop), sharpness[place], level[place], certainty(h));
        }

        /** Mean difference in standard errors of the mean; single large ones are cut down first. */
        private double certainty(int h) {
            int n = begins.length;
            double[] difference = new double[n];
            double size = 0;
            for (int k = 0; k < n; k++) {
                difference[k] = factors[k] * sound.rise(begins[k] + h * hop, window * hop);
                size += Math.abs(difference[k]) / n;
            }
            double sum = 0;
            double squares = 0;
            for (double raw : difference) {
                double d = Math.max(-KNOCK * size, Math.min(KNOCK * size, raw));
                sum += d;
                squares += d * d;
            }
            double variance = (squares - sum * sum / n) / Math.max(1, n - 1);
            return n < 4 || !(variance > 0) ? 0 : sum / n / Math.sqrt(variance / n);
        }

        private boolean isPeak(int at) {
            for (int p = Math.max(0, at - window); p <= Math.min(sharpness.length - 1, at + window); p++) {
                if (sharpness[p] > sharpness[at] || (sharpness[p] == sharpness[at] && p < at)) {
                    return false;
                }
            }
            return true;
        }
    }
}
