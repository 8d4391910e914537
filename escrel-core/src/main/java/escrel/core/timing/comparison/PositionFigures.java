package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The figures of a set of readings over its positions. Each is worked out from the positions present and absent when
 * there are none; missing positions are named. Source: M5.
 */
public final class PositionFigures {
    /** Weights of a wristwatch as it is worn. Source: M5. */
    public static final Map<Position, Double> WRIST = weights(0.3, 0.1, 0.1, 0.2, 0.2, 0.1);
    /** Weights of a pocket watch: pendant (crown) up most of the day. Source: M5. */
    public static final Map<Position, Double> POCKET = weights(0.2, 0.2, 0.6, 0, 0, 0);

    private final Map<Position, Double> rates = new EnumMap<>(Position.class);
    private final Map<Position, Double> amplitudes = new EnumMap<>(Position.class);
    private final Map<Position, Double> beatErrors = new EnumMap<>(Position.class);

    private PositionFigures(ReadingSet set) {
        set.byPosition().forEach((position, reading) -> {
            put(rates, position, reading, Reading::rateSecondsPerDay);
            put(amplitudes, position, reading, Reading::amplitudeDegrees);
            put(beatErrors, position, reading, Reading::beatErrorMillis);
        });
    }

    /** The figures of a set. */
    public static PositionFigures of(ReadingSet set) {
        return new PositionFigures(set);
    }

    private static Map<Position, Double> weights(double du, double dd, double cu, double cd, double cl, double cr) {
        Map<Position, Double> weights = new EnumMap<>(Position.class);
        double[] values = {du, dd, cu, cd, cl, cr};
        for (Position position : Position.values()) {
            weights.put(position, values[position.ordinal()]);
        }
        return Map.copyOf(weights);
    }

    private static void put(
            Map<Position, Double> into,
            Position position,
            Reading reading,
            Function<Reading, @Nullable Measured> figure) {
        Measured value = figure.apply(reading);
        // a bound says too little for means and differences
        if (value != null && !value.isBound()) {
            into.put(position, value.value());
        }
    }

    /** Positions without a rate. */
    public List<Position> missing() {
        return Stream.of(Position.values()).filter(p -> !rates.containsKey(p)).toList();
    }

    /** Mean rate in s/d over the positions present. */
    public OptionalDouble meanRate() {
        return mean(rates, p -> true);
    }

    /** Mean rate in s/d of dial up and dial down, whichever are present. */
    public OptionalDouble horizontalRate() {
        return mean(rates, Position::isHorizontal);
    }

    /** Mean rate in s/d of the crown positions present. */
    public OptionalDouble verticalRate() {
        return mean(rates, p -> !p.isHorizontal());
    }

    /** Vertical less horizontal mean rate in s/d. */
    public OptionalDouble verticalLessHorizontal() {
        return difference(verticalRate(), horizontalRate());
    }

    /** Dial up less dial down, rate in s/d. */
    public OptionalDouble dialUpLessDialDownRate() {
        return difference(at(rates, Position.DIAL_UP), at(rates, Position.DIAL_DOWN));
    }

    /** Dial up less dial down, amplitude in degrees. */
    public OptionalDouble dialUpLessDialDownAmplitude() {
        return difference(at(amplitudes, Position.DIAL_UP), at(amplitudes, Position.DIAL_DOWN));
    }

    /** Mean amplitude in degrees. */
    public OptionalDouble meanAmplitude() {
        return mean(amplitudes, p -> true);
    }

    /** Lowest amplitude in degrees. */
    public OptionalDouble lowestAmplitude() {
        return amplitudes.values().stream().mapToDouble(a -> a).min();
    }

    /** Horizontal less vertical mean amplitude in degrees: how much it drops on edge. */
    public OptionalDouble amplitudeDrop() {
        return difference(mean(amplitudes, Position::isHorizontal), mean(amplitudes, p -> !p.isHorizontal()));
    }

    /** Largest beat error in ms. */
    public OptionalDouble largestBeatError() {
        return beatErrors.values().stream().mapToDouble(e -> e).max();
    }

    /**
     * Largest less smallest rate, with the pair that makes it.
     *
     * @param secondsPerDay 0 or more
     */
    public record Spread(double secondsPerDay, Position fastest, Position slowest) {}

    /** The spread; absent with fewer than two rates. */
    public Optional<Spread> spread() {
        if (rates.size() < 2) {
            return Optional.empty();
        }
        List<Map.Entry<Position, Double>> sorted = new ArrayList<>(rates.entrySet());
        sorted.sort(Map.Entry.comparingByValue());
        Map.Entry<Position, Double> low = sorted.get(0);
        Map.Entry<Position, Double> high = sorted.get(sorted.size() - 1);
        return Optional.of(new Spread(high.getValue() - low.getValue(), high.getKey(), low.getKey()));
    }

    /**
     * Mean rate in s/d as it is worn. Absent when a position with a weight is missing: it is never filled in.
     *
     * @param weights per position, any scale
     */
    public OptionalDouble wornRate(Map<Position, Double> weights) {
        double sum = 0;
        double total = 0;
        for (Map.Entry<Position, Double> weight : weights.entrySet()) {
            if (weight.getValue() > 0) {
                Double rate = rates.get(weight.getKey());
                if (rate == null) {
                    return OptionalDouble.empty();
                }
                sum += weight.getValue() * rate;
                total += weight.getValue();
            }
        }
        return total > 0 ? OptionalDouble.of(sum / total) : OptionalDouble.empty();
    }

    private static OptionalDouble mean(Map<Position, Double> values, Predicate<Position> which) {
        return values.entrySet().stream()
                .filter(e -> which.test(e.getKey()))
                .mapToDouble(Map.Entry::getValue)
                .average();
    }

    private static OptionalDouble at(Map<Position, Double> values, Position position) {
        Double value = values.get(position);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static OptionalDouble difference(OptionalDouble a, OptionalDouble b) {
        return a.isPresent() && b.isPresent()
                ? OptionalDouble.of(a.getAsDouble() - b.getAsDouble())
                : OptionalDouble.empty();
    }
}
