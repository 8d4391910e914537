package escrel.bench;

import escrel.simulator.proving.Proof;
import escrel.simulator.proving.Trials;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The error of the analysis against the truth over many trials, as the table in docs/acoustics.md. Arguments: how many
 * trials for each row (default 200), the first number (default 800 000).
 */
public final class AccuracyTable {
    private static final double SHORTEST_SECONDS = 20;
    private static final double[][] ROWS = {{12, 18}, {18, 25}, {25, 40}};

    private AccuracyTable() {}

    /** Prints the table. */
    public static void main(String[] args) {
        int count = args.length > 0 ? Integer.parseInt(args[0]) : 200;
        long first = args.length > 1 ? Long.parseLong(args[1]) : 800_000;
        System.out.println(
                "| SNR, dB | n | refused | doubted | wrong bph | rate: median, 95th, s/d | within 0.5 s/d + 0.1 %"
                        + " | against exact listener | amplitude: median, 95th, ° | within 3° | beat error: median, 95th, ms"
                        + " | within 0.1 | within 0.05 | far off, no doubt |");
        System.out.println("|---|---|---|---|---|---|---|---|---|---|---|---|---|---|");
        for (double[] row : ROWS) {
            List<Proof> all = Proof.of(new Trials(row[0], row[1], SHORTEST_SECONDS), first, count);
            print("%.0f to %.0f".formatted(row[0], row[1]), all);
        }
    }

    private static void print(String name, List<Proof> all) {
        List<Proof> read = all.stream().filter(p -> p.heard() != null).toList();
        double[] rate = sizes(read, Proof::rateError);
        double[] exact = sizes(
                read, p -> p.trial().exactListenerSecondsPerDay() - p.trial().rateSecondsPerDay());
        double[] amplitude = sizes(read, Proof::amplitudeError);
        double[] beat = sizes(read, Proof::beatErrorError);
        System.out.printf(
                "| %s | %d | %d | %d | %d | %.3f, %.3f | %.1f %% | %.2f | %.2f, %.2f | %.1f %% | %.3f, %.3f | %.1f %% | %.1f %% | %d |%n",
                name,
                all.size(),
                all.size() - read.size(),
                read.stream().filter(p -> !p.heard().doubts().isEmpty()).count(),
                read.stream().filter(Proof::wrongBeatRate).count(),
                at(rate, 0.5),
                at(rate, 0.95),
                percent(read.stream().filter(p -> p.rateWithin(0.5)).count(), read.size()),
                at(rate, 0.5) / at(exact, 0.5),
                at(amplitude, 0.5),
                at(amplitude, 0.95),
                percent(read.stream().filter(p -> p.amplitudeWithin(3)).count(), read.size()),
                at(beat, 0.5),
                at(beat, 0.95),
                percent(read.stream().filter(p -> p.beatErrorWithin(0.1)).count(), read.size()),
                percent(read.stream().filter(p -> p.beatErrorWithin(0.05)).count(), read.size()),
                read.stream().filter(Proof::farOffWithoutDoubt).count());
    }

    private static double[] sizes(List<Proof> proofs, ToDoubleFunction<Proof> error) {
        double[] sizes = proofs.stream().mapToDouble(error).map(Math::abs).toArray();
        Arrays.sort(sizes);
        return sizes;
    }

    private static double at(double[] sorted, double part) {
        return sorted[(int) (part * (sorted.length - 1))];
    }

    private static double percent(long part, int whole) {
        return 100.0 * part / Math.max(1, whole);
    }
}
