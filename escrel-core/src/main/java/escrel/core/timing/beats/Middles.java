package escrel.core.timing.beats;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Ticks and tocks in one row, in order of time: the middle between unlocking and drop of each beat and its lift time.
 *
 * @param times middles in seconds, NaN where a sound is missing
 * @param lifts drop less unlocking in seconds, NaN where a sound is missing
 */
public record Middles(int[] numbers, double[] times, double[] lifts) {
    private record Beat(int number, double unlock, double drop) {}

    /** The middles of the quiet before tick and tock. */
    public static Middles of(HalfBeat tick, HalfBeat tock) {
        List<Beat> beats = new ArrayList<>();
        for (HalfBeat half : List.of(tick, tock)) {
            for (int i = 0; i < half.numbers().length; i++) {
                beats.add(new Beat(half.numbers()[i], half.unlock()[i], half.drop()[i]));
            }
        }
        beats.sort(Comparator.comparingInt(Beat::number));
        int n = beats.size();
        int[] numbers = new int[n];
        double[] times = new double[n];
        double[] lifts = new double[n];
        for (int i = 0; i < n; i++) {
            Beat beat = beats.get(i);
            numbers[i] = beat.number();
            times[i] = (beat.unlock() + beat.drop()) / 2;
            lifts[i] = beat.drop() - beat.unlock();
        }
        return new Middles(numbers, times, lifts);
    }
}
