package escrel.web.turn;

import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.web.chart.SetWords;
import escrel.web.chart.TurnView;
import escrel.web.job.EarlierServices;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The two sides of a turn, and what else could stand on either: every set of this job, and those with which the same
 * watch left earlier services.
 *
 * @param before key of what stands before, empty for what the service is credited with
 * @param after key of what stands after
 */
record TurnSides(List<Choice> choices, String before, String after) {
    /**
     * A set to choose.
     *
     * @param key the set's own, for an earlier job with its number in front
     */
    record Choice(String key, String words, ReadingSet set) {}

    static TurnSides of(
            OpenJob job, List<EarlierServices.Left> earlier, @Nullable String before, @Nullable String after) {
        List<Choice> choices = new ArrayList<>();
        for (ReadingSet set : job.readings()) {
            choices.add(new Choice(set.key(), SetWords.of(set), set));
        }
        for (EarlierServices.Left left : earlier) {
            ReadingSet set = left.readings();
            choices.add(new Choice(left.job() + ":" + set.key(), "job " + left.job() + ", " + SetWords.of(set), set));
        }
        return new TurnSides(choices, before == null ? "" : before, after == null ? "" : after);
    }

    /** The turn of these sides; the credited one where a side is left open. */
    @Nullable
    TurnView view(OpenJob job, Repeatability hand) {
        Optional<ReadingSet> first = find(before);
        Optional<ReadingSet> second = find(after);
        if (first.isPresent() && second.isPresent()) {
            return TurnView.between(job, first.get(), second.get(), hand);
        }
        return TurnView.of(job, hand);
    }

    /** By its key, or by a state alone: then the set by which the state is judged. */
    private Optional<ReadingSet> find(String key) {
        Optional<ReadingSet> exact = choices.stream()
                .filter(c -> c.key().equals(key))
                .map(Choice::set)
                .findFirst();
        if (exact.isPresent()) {
            return exact;
        }
        for (ReadingState state : ReadingState.values()) {
            if (state.name().equals(key)) {
                return ReadingSet.main(
                        choices.stream()
                                .filter(c -> !c.key().contains(":"))
                                .map(Choice::set)
                                .toList(),
                        state);
            }
        }
        return Optional.empty();
    }
}
