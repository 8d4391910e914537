package escrel.core.diagnosis;

import escrel.core.diagnosis.StopAnswered.Answer;
import escrel.core.service.JobHistory;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The walk through the tree: what was answered, what is asked next, where it ended. What the first checks said of the balance is
 * taken up and not asked again. Source: craft 7.
 */
public final class WhyStopped {
    /**
     * An answer on the way.
     *
     * @param known whether it was known before and not asked here
     */
    public record Way(StopQuestion question, Answer answer, String words, boolean known) {}

    private final List<Way> way = new ArrayList<>();
    private final Map<StopQuestion, Way> answers = new EnumMap<>(StopQuestion.class);
    private @Nullable StopQuestion next;
    private @Nullable StopCause cause;

    private WhyStopped(JobHistory history) {
        history.all(Checked.class)
                .filter(c -> c.check() == Check.BALANCE_SWINGS)
                .filter(c -> c.outcome() == Checked.Outcome.YES || c.outcome() == Checked.Outcome.NO)
                .forEach(c -> answers.put(
                        StopQuestion.BALANCE_FREE,
                        new Way(
                                StopQuestion.BALANCE_FREE,
                                c.outcome() == Checked.Outcome.YES ? Answer.YES : Answer.NO,
                                c.words(),
                                true)));
        history.all(StopAnswered.class)
                .forEach(a -> answers.put(a.question(), new Way(a.question(), a.answer(), a.words(), false)));
        walk();
    }

    /** The walk after these steps. */
    public static WhyStopped of(JobHistory history) {
        return new WhyStopped(history);
    }

    private void walk() {
        if (no(StopQuestion.BALANCE_FREE)) {
            cause = StopCause.BALANCE;
        } else if (yes(StopQuestion.BALANCE_FREE)) {
            fork();
        }
    }

    private void fork() {
        if (yes(StopQuestion.FORK_SNAPS)) {
            if (no(StopQuestion.BALANCE_GOES)) {
                cause = StopCause.ESCAPEMENT;
            } else if (yes(StopQuestion.BALANCE_GOES)) {
                cause = StopCause.PERIOD;
            }
        } else if (no(StopQuestion.FORK_SNAPS)) {
            power();
        }
    }

    private void power() {
        if (no(StopQuestion.SPRING_FELT)) {
            cause = StopCause.SPRING;
        } else if (yes(StopQuestion.SPRING_FELT)) {
            if (no(StopQuestion.TRAIN_FREE)) {
                cause = StopCause.TRAIN;
            } else if (yes(StopQuestion.TRAIN_FREE)) {
                cause = StopCause.BARREL;
            }
        }
    }

    private boolean yes(StopQuestion question) {
        return is(question, Answer.YES);
    }

    private boolean no(StopQuestion question) {
        return is(question, Answer.NO);
    }

    /** Whether it was answered so; a question without an answer is the next one asked. */
    private boolean is(StopQuestion question, Answer answer) {
        Way known = answers.get(question);
        if (known == null) {
            next = question;
            return false;
        }
        if (!way.contains(known)) {
            way.add(known);
        }
        return known.answer() == answer;
    }

    /** The answers on the way, in the order of the tree; an answer that is off the way now is left aside. */
    public List<Way> way() {
        return List.copyOf(way);
    }

    /** What is asked next; nothing when the walk has ended. */
    public @Nullable StopQuestion next() {
        return cause == null ? next : null;
    }

    /** Where the walk ended; nothing while something is asked. */
    public @Nullable StopCause cause() {
        return cause;
    }
}
