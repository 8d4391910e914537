package escrel.core.service;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * The steps of a job in the order in which they were recorded, and those of them that count: a step taken back no
 * longer does.
 */
public final class JobHistory {
    private final StepSequence steps;

    private JobHistory(StepSequence steps) {
        this.steps = steps;
    }

    /**
     * A history from its steps.
     *
     * @throws IllegalArgumentException as {@link StepSequence#of}
     */
    public static JobHistory of(List<RecordedStep> steps) {
        return new JobHistory(StepSequence.of(steps));
    }

    /** A job in which nothing has been recorded. */
    public static JobHistory empty() {
        return of(List.of());
    }

    /**
     * The same history with parts called by the codes in use now. A binding says what the codes used until then are on
     * its sheet; it speaks of the steps before it only, and one after another compose. A binding to another version of
     * the same calibre that repeats the pairs of the one before says nothing new. Sequence and times stay, so a page made
     * from either sends back the same number.
     */
    public JobHistory inPresentCodes() {
        List<RecordedStep> bindings = counting().stream()
                .filter(e -> e.step() instanceof CalibreBound)
                .toList();
        if (bindings.isEmpty()) {
            return this;
        }
        List<RecordedStep> read = new ArrayList<>(recorded());
        boolean same = true;
        CalibreBound before = null;
        for (RecordedStep entry : bindings) {
            CalibreBound bound = (CalibreBound) entry.step();
            boolean repeats = before != null
                    && before.calibre().equals(bound.calibre())
                    && before.sameAs().equals(bound.sameAs());
            if (!bound.sameAs().isEmpty() && !repeats) {
                same = false;
                for (int i = 0; i < entry.sequence() - 1; i++) {
                    RecordedStep old = read.get(i);
                    read.set(
                            i,
                            new RecordedStep(
                                    old.sequence(), old.at(), old.step().withParts(bound::onSheet)));
                }
            }
            before = bound;
        }
        return same ? this : of(read);
    }

    /** The same history with every step read otherwise; this one, when none is. Sequence and times stay. */
    public JobHistory readAs(UnaryOperator<Step> otherwise) {
        List<RecordedStep> read = new ArrayList<>();
        boolean same = true;
        for (RecordedStep entry : recorded()) {
            Step step = otherwise.apply(entry.step());
            same &= step == entry.step();
            read.add(step == entry.step() ? entry : new RecordedStep(entry.sequence(), entry.at(), step));
        }
        return same ? this : of(read);
    }

    /** This history as it stood right after a step. */
    public JobHistory upTo(int sequence) {
        return of(recorded()
                .subList(0, Math.max(0, Math.min(sequence, recorded().size()))));
    }

    /** Everything ever recorded, corrections included. */
    public List<RecordedStep> recorded() {
        return steps.recorded();
    }

    /** The steps that count, in order. */
    public List<RecordedStep> counting() {
        return steps.counting();
    }

    /** The counting steps of one kind, in order. */
    public <S extends Step> Stream<S> all(Class<S> kind) {
        return counting().stream()
                .map(RecordedStep::step)
                .filter(kind::isInstance)
                .map(kind::cast);
    }

    /** By which rules the job is kept. */
    public RuleBook ruleBook() {
        for (RecordedStep entry : counting()) {
            if (entry.step() instanceof WorkAgreed agreed) {
                return Objects.requireNonNullElse(agreed.book(), RuleBook.SECOND);
            }
            if (entry.step() instanceof OpenedAgain) {
                return RuleBook.SECOND;
            }
        }
        return RuleBook.FIRST;
    }

    /** Sequence of the last counting step that fits, 0 when none does. */
    public int lastAt(Predicate<Step> which) {
        List<RecordedStep> counting = counting();
        for (int i = counting.size() - 1; i >= 0; i--) {
            if (which.test(counting.get(i).step())) {
                return counting.get(i).sequence();
            }
        }
        return 0;
    }

    /** The last counting step of one kind. */
    public <S extends Step> Optional<S> last(Class<S> kind) {
        return all(kind).reduce((a, b) -> b);
    }

    /** Sequence of the last step recorded, 0 for an empty history. What a page shows it was made from. */
    public int lastSequence() {
        return steps.lastSequence();
    }

    /**
     * Whether a page made from an earlier state may still speak: nothing was recorded since but what stands for itself.
     *
     * @param shown sequence of the last step the page knew
     */
    public boolean onlyAddedTo(int shown) {
        return shown <= lastSequence()
                && recorded().stream()
                        .filter(entry -> entry.sequence() > shown)
                        .allMatch(entry -> entry.step().standsForItself());
    }

    /** This history with one more step. */
    public JobHistory with(RecordedStep next) {
        List<RecordedStep> more = new ArrayList<>(recorded());
        more.add(next);
        return of(more);
    }
}
