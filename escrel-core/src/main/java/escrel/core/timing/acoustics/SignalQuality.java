package escrel.core.timing.acoustics;

import escrel.core.timing.beats.BeatSounds;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.beats.Stack;
import java.util.Arrays;
import java.util.List;

/** How good the sound was, and the averaged beat for showing. */
final class SignalQuality {
    private static final double DROP_SECONDS = 0.001;
    private static final double STEP_MILLIS = 0.1;

    private SignalQuality() {}

    /** Energy in the millisecond after the drop against the quiet between beats, in decibels. */
    static double decibels(Stack stack, double dropSeconds) {
        int from = stack.index(dropSeconds);
        int to = stack.index(dropSeconds + DROP_SECONDS);
        double drop = Arrays.stream(stack.energy(), from, Math.max(from + 1, to))
                .average()
                .orElse(0);
        double floor = Math.max(stack.floor(), 1e-14);
        return 10 * Math.log10(Math.max(drop / floor, 1e-3));
    }

    static SoundReading.AveragedBeat averagedBeat(Stack tick, Stack tock, BeatSounds.Chosen chosen, BeatTimes times) {
        double[] a = loudness(tick);
        double[] b = loudness(tock);
        double top = Math.max(
                Arrays.stream(a).max().orElse(1), Arrays.stream(b).max().orElse(1));
        for (double[] values : new double[][] {a, b}) {
            for (int i = 0; i < values.length; i++) {
                values[i] /= top > 0 ? top : 1;
            }
        }
        return new SoundReading.AveragedBeat(
                -tick.beforeSeconds() * 1000,
                STEP_MILLIS,
                a,
                b,
                List.of(marks(times, 0, chosen.tick()), marks(times, 1, chosen.tock())));
    }

    private static SoundReading.Marks marks(BeatTimes times, int half, BeatSounds.Pair pair) {
        return new SoundReading.Marks(
                times.unlockSeconds(half) * 1000,
                pair.impulse() == null ? null : pair.impulse().seconds() * 1000,
                times.dropSeconds(half) * 1000);
    }

    private static double[] loudness(Stack stack) {
        double perStep = STEP_MILLIS / 1000 * stack.sampleRate();
        int steps = (int) (stack.energy().length / perStep);
        double[] out = new double[steps];
        for (int s = 0; s < steps; s++) {
            int from = (int) Math.round(s * perStep);
            int to = Math.min(stack.energy().length, (int) Math.round((s + 1) * perStep));
            double sum = 0;
            for (int i = from; i < to; i++) {
                sum += stack.energy()[i];
            }
            out[s] = Math.sqrt(sum / Math.max(1, to - from));
        }
        return out;
    }
}
