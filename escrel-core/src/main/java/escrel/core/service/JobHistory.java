package escrel.core.service;

import java.time.Instant;
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
        List<RecordedStep> bindings = counting(CalibreBound.class);
        if (bindings.isEmpty()) {
            return this;
        }
        List<RecordedStep> read = null;
        CalibreBound before = null;
        for (RecordedStep entry : bindings) {
            CalibreBound bound = (CalibreBound) entry.step();
            boolean repeats = before != null
                    && before.calibre().equals(bound.calibre())
                    && before.sameAs().equals(bound.sameAs());
            if (!bound.sameAs().isEmpty() && !repeats) {
                read = read == null ? new ArrayList<>(recorded()) : read;
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
        return read == null ? this : of(read);
    }

    /** The same history with every step read otherwise; this one, when none is. Sequence and times stay. */
    public JobHistory readAs(UnaryOperator<Step> otherwise) {
        List<RecordedStep> recorded = recorded();
        List<RecordedStep> read = null;
        for (int i = 0; i < recorded.size(); i++) {
            RecordedStep entry = recorded.get(i);
            Step step = otherwise.apply(entry.step());
            if (step != entry.step()) {
                // most histories are read as they are, after every step
                read = read == null ? new ArrayList<>(recorded) : read;
                read.set(i, new RecordedStep(entry.sequence(), entry.at(), step));
            }
        }
        return read == null ? this : of(read);
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

    /** The steps of one kind that count, in order; the kind is the class of the step itself. */
    public List<RecordedStep> counting(Class<? extends Step> kind) {
        return steps.counting(kind);
    }

    /** The steps of some kinds that count, in order; each kind is the class of the step itself. */
    @SafeVarargs
    public final List<RecordedStep> counting(Class<? extends Step>... kinds) {
        return steps.counting(kinds);
    }

    /** Whether the step of this number counts: recorded, not taken back, and none that takes back. */
    public boolean counts(int sequence) {
        return steps.counts(sequence);
    }

    /** The counting steps of one kind, in order; the kind is the class of the step itself. */
    public <S extends Step> Stream<S> all(Class<S> kind) {
        return counting(kind).stream().map(RecordedStep::step).map(kind::cast);
    }

    /** By which rules the job is kept. */
    public RuleBook ruleBook() {
        List<RecordedStep> said = counting(WorkAgreed.class, OpenedAgain.class);
        if (said.isEmpty()) {
            return RuleBook.FIRST;
        }
        RuleBook book = said.get(0).step() instanceof WorkAgreed agreed ? agreed.book() : null;
        return Objects.requireNonNullElse(book, RuleBook.SECOND);
    }

    /** Sequence of the last counting step of a kind that fits, 0 when none does. */
    public <S extends Step> int lastAt(Class<S> kind, Predicate<S> which) {
        List<RecordedStep> all = counting(kind);
        for (int i = all.size() - 1; i >= 0; i--) {
            if (which.test(kind.cast(all.get(i).step()))) {
                return all.get(i).sequence();
            }
        }
        return 0;
    }

    /** The last counting step of one kind. */
    public <S extends Step> Optional<S> last(Class<S> kind) {
        List<RecordedStep> all = counting(kind);
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(kind.cast(all.get(all.size() - 1).step()));
    }

    /** When a step was recorded; nothing where there is none of this number. */
    public Optional<Instant> at(int sequence) {
        return sequence >= 1 && sequence <= lastSequence()
                ? Optional.of(recorded().get(sequence - 1).at())
                : Optional.empty();
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
                && recorded().subList(Math.max(0, shown), lastSequence()).stream()
                        .allMatch(entry -> entry.step().standsForItself());
    }

    /**
     * This history and what was recorded since.
     *
     * @throws IllegalArgumentException as {@link StepSequence#of}
     */
    public JobHistory and(List<RecordedStep> later) {
        return new JobHistory(steps.and(later));
    }

    /** This history with one more step. */
    public JobHistory with(RecordedStep next) {
        return and(List.of(next));
    }
}
