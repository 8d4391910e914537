package escrel.web.ladder;

import escrel.core.job.Job;
import escrel.core.service.Episode;
import escrel.core.service.OpenedAgain;
import escrel.core.service.Round;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.ReadingSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/** Closed rounds as they stand beside the present one. */
final class Spines {
    private Spines() {}

    static List<Ladder.Spine> of(Job job) {
        List<Round> rounds = job.lives().rounds();
        List<Ladder.Spine> spines = new ArrayList<>();
        for (int i = 0; i < rounds.size() - 1; i++) {
            Round round = rounds.get(i);
            int lifted = (int) round.lifted().stream()
                    .filter(p -> !job.movement().requirePart(p).isPowerDown())
                    .count();
            String words = "%s · %d %s%s"
                    .formatted(
                            why(round),
                            lifted,
                            lifted == 1 ? "part" : "parts",
                            changed(job, round, rounds.get(i + 1).startsAt()));
            spines.add(new Ladder.Spine(String.valueOf(round.number()), words, lifted));
        }
        return List.copyOf(spines);
    }

    /** Why a round was opened, as said on the ladder. */
    static String why(Round round) {
        if (round.number() == 1 && round.reason() == OpenedAgain.Reason.NOT_SAID) {
            return "service";
        }
        return round.words().isBlank() ? round.reason().words() : round.reason().words() + ", " + round.words();
    }

    /** What it did to the amplitude, from the last readings before it to the last ones before the next. */
    private static String changed(Job job, Round round, int nextAt) {
        int first = Integer.MAX_VALUE;
        for (String part : round.lifted()) {
            for (Episode episode : job.lives().episodesOf(part)) {
                first = episode.round() == round.number() ? Math.min(first, episode.offAt()) : first;
            }
        }
        int begun = first;
        OptionalDouble before = amplitude(job, s -> s.lastAt() < begun);
        OptionalDouble after = amplitude(job, s -> s.firstAt() > begun && s.lastAt() < nextAt);
        return before.isPresent() && after.isPresent()
                ? " · amplitude %.0f° → %.0f°".formatted(before.getAsDouble(), after.getAsDouble())
                : "";
    }

    private static OptionalDouble amplitude(Job job, Predicate<ReadingSet> which) {
        return job.readings().stream()
                .filter(which)
                .filter(s -> s.occasion().map(Occasion::isMain).orElse(false))
                .max(Comparator.comparing(ReadingSet::lastAt))
                .map(s -> PositionFigures.of(s).meanAmplitude())
                .orElse(OptionalDouble.empty());
    }
}
