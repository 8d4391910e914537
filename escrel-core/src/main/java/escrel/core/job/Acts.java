package escrel.core.job;

import escrel.core.MendableException;
import escrel.core.parts.FindingRaised;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The acts of a job: what one press recorded, be it one step or several. Steps of one act stand next to each other and
 * bear the same instant; no two acts do. An act is taken back as a whole, in the room it belongs to, newest first; what
 * was taken back last can be done again as long as nothing else was recorded.
 */
public final class Acts {
    private final Job job;

    private Acts(Job job) {
        this.job = job;
    }

    /** The acts of a job. */
    public static Acts of(Job job) {
        return new Acts(job);
    }

    /**
     * One act.
     *
     * @param steps in the order in which they were recorded
     */
    public record Act(List<RecordedStep> steps) {
        public Act {
            steps = List.copyOf(steps);
        }

        /** Steps that take this act back, the last first. */
        public List<TakenBack> takenBack() {
            List<TakenBack> back = new ArrayList<>();
            for (int i = steps.size() - 1; i >= 0; i--) {
                back.add(new TakenBack(steps.get(i).sequence()));
            }
            return back;
        }
    }

    /** The act the undo key of a room takes back: its newest that counts and may be; nothing when there is none. */
    public Optional<Act> toTakeBack(String room) {
        for (Act act = newest(job.recorded().lastSequence()); act != null; act = before(act)) {
            boolean whole = act.steps().stream().allMatch(s -> job.history().counts(s.sequence()));
            boolean here =
                    isOf(room, act.steps().stream().map(RecordedStep::step).toList())
                            && act.steps().stream().allMatch(s -> s.step().canBeTakenBack());
            if (whole && here) {
                return Optional.of(act);
            }
        }
        return Optional.empty();
    }

    /**
     * The taking-back that can itself be taken back, so that its act is done again: the last one of this room after which
     * nothing was recorded but taking back and doing again.
     */
    public Optional<Act> toDoAgain(String room) {
        int doneAgain = 0;
        for (Act act = newest(job.recorded().lastSequence()); act != null; act = before(act)) {
            if (act.steps().stream().allMatch(this::doesAgain)) {
                doneAgain++;
            } else if (!act.steps().stream().allMatch(this::takesBack)) {
                return Optional.empty();
            } else if (doneAgain > 0) {
                doneAgain--;
            } else {
                List<Step> back =
                        new ArrayList<>(act.steps().stream().map(this::taken).toList());
                // taken back the last first
                Collections.reverse(back);
                return isOf(room, back) ? Optional.of(act) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** Whether an act is one of a room: all of it, but for a finding that was raised along with what was seen there. */
    private static boolean isOf(String room, List<Step> steps) {
        return StepRegister.isOf(room, steps.get(0))
                && steps.stream().allMatch(s -> StepRegister.isOf(room, s) || s instanceof FindingRaised);
    }

    private boolean takesBack(RecordedStep step) {
        return step.step() instanceof TakenBack && !(taken(step) instanceof TakenBack);
    }

    private boolean doesAgain(RecordedStep step) {
        return step.step() instanceof TakenBack && taken(step) instanceof TakenBack;
    }

    /** What a taking-back takes back; a step itself when it is none. */
    private Step taken(RecordedStep step) {
        return step.step() instanceof TakenBack back
                ? job.recorded().recorded().get(back.sequence() - 1).step()
                : step.step();
    }

    /**
     * Refuses to take an act back when something later in another room is about one of its parts: what stands on it comes
     * down first.
     *
     * @throws MendableException naming what was done since
     */
    public void requireNothingStandsOn(Act act, String room) {
        Set<String> parts = new HashSet<>();
        act.steps().forEach(s -> parts.addAll(StepRegister.partsOf(s.step())));
        int last = act.steps().get(act.steps().size() - 1).sequence();
        job.history().counting().stream()
                .filter(s -> s.sequence() > last && !StepRegister.isOf(room, s.step()))
                .filter(s -> StepRegister.partsOf(s.step()).stream().anyMatch(parts::contains))
                .findFirst()
                .ifPresent(s -> {
                    throw new MendableException(
                            "Since then: " + StepRegister.words(s.step(), job.movement()),
                            "Nothing was taken back.",
                            "Take that back first, where it was recorded; or go on from here.");
                });
    }

    /** What an act was, in words; of a taking-back, what it took back. */
    public String words(Act act) {
        return act.steps().stream()
                .map(this::taken)
                .map(step -> StepRegister.words(step, job.movement()))
                .collect(Collectors.joining("; "));
    }

    /** The act that ends with a step; nothing before the first. */
    private @Nullable Act newest(int last) {
        List<RecordedStep> recorded = job.recorded().recorded();
        if (last == 0) {
            return null;
        }
        int first = last;
        while (first > 1
                && recorded.get(first - 2).at().equals(recorded.get(last - 1).at())) {
            first--;
        }
        return new Act(recorded.subList(first - 1, last));
    }

    private @Nullable Act before(Act act) {
        return newest(act.steps().get(0).sequence() - 1);
    }
}
