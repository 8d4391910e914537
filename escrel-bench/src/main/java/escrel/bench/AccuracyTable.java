package escrel.bench;

import escrel.simulator.proving.Difficulty;
import escrel.simulator.proving.Proof;
import escrel.simulator.proving.Trial;
import escrel.simulator.proving.Trials;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * The error of the analysis against the truth over many trials, as the tables in docs/acoustics.md: by what makes a trial hard,
 * and how one watch reads when it is heard again. Arguments: how many trials (default 440), the first number (default
 * 4 000 000).
 */
public final class AccuracyTable {
    private static final double LOWEST_DECIBELS = 12;
    private static final double HIGHEST_DECIBELS = 35;
    private static final double SHORTEST_SECONDS = 14;
    private static final int WATCHES = 8;
    private static final int TIMES = 20;
    private static final double REPEATED_DECIBELS = 25;
    private static final double FAR_SECONDS_PER_DAY = 5;

    private AccuracyTable() {}

    /** Prints the tables. */
    public static void main(String[] args) {
        int count = args.length > 0 ? Integer.parseInt(args[0]) : 440;
        long first = args.length > 1 ? Long.parseLong(args[1]) : 4_000_000;
        List<Proof> all = Proof.of(new Trials(LOWEST_DECIBELS, HIGHEST_DECIBELS, SHORTEST_SECONDS), first, count);
        Map<Difficulty, List<Proof>> by = new EnumMap<>(Difficulty.class);
        all.forEach(p -> by.computeIfAbsent(p.trial().difficulty(), c -> new ArrayList<>())
                .add(p));
        System.out.println(
                "| what makes it hard | n | refused | doubted | rate within 0.5 s/d + 0.1 % | amplitude within 3°"
                        + " | beat error within 0.1 | 0.05 ms | all three | amplitude: median, 95th, exact listener's median"
                        + " | within two standard errors: rate, amplitude, beat error | far off, no doubt |");
        System.out.println("|---|---|---|---|---|---|---|---|---|---|---|---|");
        by.forEach((difficulty, proofs) -> print(words(difficulty), proofs));
        print("**all**", all);
        System.out.printf("%nWrong beat rate: %d%n%n", count(all, Proof::wrongBeatRate));
        all.forEach(AccuracyTable::told);
        repeats(first);
    }

    private static String words(Difficulty difficulty) {
        return difficulty.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    /** Of all trials, refused ones among them. */
    private static void print(String name, List<Proof> all) {
        List<Proof> read = all.stream().filter(p -> p.heard() != null).toList();
        double[] amplitude = sizes(read, Proof::amplitudeError);
        double[] exact = sizes(
                read, p -> p.trial().exactListener().amplitude() - p.trial().amplitudeDegrees());
        System.out.printf(
                "| %s | %d | %d | %d | %s | %s | %s | %s | %s | %.2f, %.2f, %.2f | %s, %s, %s | %d |%n",
                name,
                all.size(),
                all.size() - read.size(),
                count(read, p -> !p.heard().doubts().isEmpty()),
                percent(all, p -> p.rateWithin(0.5)),
                percent(all, p -> p.amplitudeWithin(3)),
                percent(all, p -> p.beatErrorWithin(0.1)),
                percent(all, p -> p.beatErrorWithin(0.05)),
                percent(all, p -> p.rateWithin(0.5) && p.amplitudeWithin(3) && p.beatErrorWithin(0.05)),
                at(amplitude, 0.5),
                at(amplitude, 0.95),
                at(exact, 0.5),
                percent(
                        read,
                        p -> Math.abs(p.rateError())
                                <= 2 * p.heard().rateSecondsPerDay().doubt()),
                percent(
                        read,
                        p -> Math.abs(p.amplitudeError())
                                <= 2 * p.heard().amplitudeDegrees().doubt()),
                percent(
                        read,
                        p -> Math.abs(p.beatErrorError())
                                <= 2 * p.heard().beatErrorMillis().doubt()),
                count(read, p -> p.farOffWithoutDoubt() || farRate(p)));
    }

    /** A trial that was refused or missed: by how much, so that it can be looked into. */
    private static void told(Proof proof) {
        if (proof.heard() == null) {
            System.out.printf("%s: refused%n", proof.trial().words());
        } else if (!proof.rateWithin(0.5) || !proof.amplitudeWithin(3) || !proof.beatErrorWithin(0.1)) {
            System.out.printf(
                    "%s: off by %+.2f s/d, %+.1f°, %+.3f ms; %s%n",
                    proof.trial().words(),
                    proof.rateError(),
                    proof.amplitudeError(),
                    proof.beatErrorError(),
                    proof.heard().doubts());
        }
    }

    private static boolean farRate(Proof proof) {
        return Math.abs(proof.rateError()) > FAR_SECONDS_PER_DAY
                && proof.heard().doubts().isEmpty();
    }

    /** One watch, its sounds the same, heard twenty times with other noise. */
    private static void repeats(long first) {
        System.out.println(
                "| watch | rate: scatter, s/d | over the exact listener's | amplitude: scatter, ° | farthest from its"
                        + " median | beat error: scatter, ms |");
        System.out.println("|---|---|---|---|---|---|");
        Trials trials = new Trials(REPEATED_DECIBELS, REPEATED_DECIBELS, 16);
        for (int watch = 0; watch < WATCHES; watch++) {
            long number = first + 2L * watch;
            List<Proof> heard = java.util.stream.IntStream.range(0, TIMES)
                    .parallel()
                    .mapToObj(time -> Proof.of(trials.again(number, Difficulty.PLAIN, time)))
                    .filter(p -> p.heard() != null)
                    .toList();
            Trial trial = heard.get(0).trial();
            double[] amplitudes =
                    heard.stream().mapToDouble(Proof::amplitudeError).sorted().toArray();
            double median = at(amplitudes, 0.5);
            System.out.printf(
                    "| %s | %.3f | %.2f | %.2f | %.2f | %.3f |%n",
                    trial.words(),
                    scatter(heard, Proof::rateError),
                    scatter(heard, Proof::rateError)
                            / scatter(
                                    heard,
                                    p -> p.trial().exactListener().rate()
                                            - p.trial().rateSecondsPerDay()),
                    scatter(heard, Proof::amplitudeError),
                    Math.max(median - amplitudes[0], amplitudes[amplitudes.length - 1] - median),
                    scatter(heard, Proof::beatErrorError));
        }
    }

    private static double scatter(List<Proof> proofs, ToDoubleFunction<Proof> figure) {
        double mean = proofs.stream().mapToDouble(figure).average().orElse(0);
        double squares = proofs.stream()
                .mapToDouble(p -> Math.pow(figure.applyAsDouble(p) - mean, 2))
                .sum();
        return Math.sqrt(squares / Math.max(1, proofs.size() - 1));
    }

    private static double[] sizes(List<Proof> proofs, ToDoubleFunction<Proof> error) {
        double[] sizes = proofs.stream().mapToDouble(error).map(Math::abs).toArray();
        Arrays.sort(sizes);
        return sizes;
    }

    private static double at(double[] sorted, double part) {
        return sorted.length == 0 ? Double.NaN : sorted[(int) (part * (sorted.length - 1))];
    }

    private static long count(List<Proof> proofs, Predicate<Proof> which) {
        return proofs.stream().filter(which).count();
    }

    private static String percent(List<Proof> proofs, Predicate<Proof> which) {
        return "%.1f %%".formatted(100.0 * count(proofs, which) / Math.max(1, proofs.size()));
    }
}
