package escrel.web.chart;

import escrel.core.timing.comparison.Layings;
import escrel.core.timing.comparison.Repeatability;
import java.util.ArrayList;
import java.util.List;

/** How well watches are laid down here, in words, each figure with where it comes from. */
public final class HandWords {
    private HandWords() {}

    /**
     * A figure of it.
     *
     * @param value one standard deviation, with its unit
     * @param usual the default, with its unit
     * @param repeats how many repeated layings it stands on, or would
     */
    public record Line(String name, String value, String usual, int repeats, boolean own) {}

    /** Rate, amplitude and beat error. */
    public static List<Line> lines(Repeatability hand) {
        Repeatability usual = Repeatability.DEFAULT;
        return List.of(
                line(
                        "rate",
                        "%.1f s/d",
                        hand.rateSecondsPerDay(),
                        usual.rateSecondsPerDay(),
                        hand.from().rate()),
                line(
                        "amplitude",
                        "%.1f°",
                        hand.amplitudeDegrees(),
                        usual.amplitudeDegrees(),
                        hand.from().amplitude()),
                line(
                        "beat error",
                        "%.2f ms",
                        hand.beatErrorMillis(),
                        usual.beatErrorMillis(),
                        hand.from().beatError()));
    }

    private static Line line(String name, String form, double value, double usual, Layings.Figure from) {
        return new Line(name, form.formatted(value), form.formatted(usual), from.freedom(), Repeatability.isOwn(from));
    }

    /** All of it in one phrase. */
    static String of(Repeatability hand) {
        List<String> words = new ArrayList<>();
        for (Line line : lines(hand)) {
            words.add(
                    line.own()
                            ? "%s of your own, from %d repeats (usual %s)"
                                    .formatted(line.value(), line.repeats(), line.usual())
                            : line.value() + ", the default");
        }
        return words.stream().distinct().allMatch(w -> w.endsWith(", the default"))
                ? String.join(", ", words).replace(", the default", "") + ", the default"
                : String.join("; ", words);
    }
}
