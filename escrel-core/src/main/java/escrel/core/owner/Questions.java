package escrel.core.owner;

import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What the owner was asked, each with its answer; a later answer to the same question takes the place of an earlier one. */
public final class Questions {
    /**
     * A question.
     *
     * @param at its sequence
     * @param asked when
     * @param answer nothing while it is awaited
     */
    public record Question(
            int at,
            Instant asked,
            OwnerAsked question,
            @Nullable OwnerAnswered answer) {
        /** Whether the answer is still awaited. */
        public boolean isOpen() {
            return answer == null;
        }
    }

    private final List<Question> all;

    private Questions(List<Question> all) {
        this.all = List.copyOf(all);
    }

    /** The questions after these steps; an answer to one that was taken back is no answer. */
    public static Questions of(JobHistory history) {
        Map<Integer, OwnerAnswered> answers = new HashMap<>();
        history.all(OwnerAnswered.class).forEach(a -> answers.put(a.asked(), a));
        List<Question> all = new ArrayList<>();
        for (RecordedStep entry : history.counting(OwnerAsked.class)) {
            if (entry.step() instanceof OwnerAsked asked) {
                all.add(new Question(entry.sequence(), entry.at(), asked, answers.get(entry.sequence())));
            }
        }
        return new Questions(all);
    }

    /** All, first asked first. */
    public List<Question> all() {
        return all;
    }

    /** Those that wait for an answer. */
    public List<Question> open() {
        return all.stream().filter(Question::isOpen).toList();
    }

    /** The question with this number, if there is one. */
    public Optional<Question> at(int sequence) {
        return all.stream().filter(q -> q.at() == sequence).findFirst();
    }
}
