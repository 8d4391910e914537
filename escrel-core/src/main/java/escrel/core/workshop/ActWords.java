package escrel.core.workshop;

import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockMoved;
import escrel.core.clock.ClockStarted;
import escrel.core.clock.Timed;
import escrel.core.lubrication.BottleGone;
import escrel.core.lubrication.BottleKept;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.supply.DonorGone;
import escrel.core.supply.DonorKept;
import escrel.core.supply.StockCame;
import escrel.core.supply.StockCounted;
import escrel.core.supply.StockDropped;
import escrel.core.supply.StockKept;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** Acts in words, by name: most acts on something that is kept already have only its mark. */
final class ActWords {
    private final List<RecordedStep> acts;

    ActWords(List<RecordedStep> acts) {
        this.acts = acts;
    }

    /** An act of them, with the name that what it is about had then. */
    String of(RecordedStep act) {
        return WorkshopSteps.words(act.step())
                + about(act).map(name -> ": " + name).orElse("");
    }

    private Optional<String> about(RecordedStep act) {
        Step step = act.step();
        if (step instanceof StockCounted counted) {
            return stock(counted.id(), act.sequence());
        } else if (step instanceof StockCame came) {
            return stock(came.id(), act.sequence());
        } else if (step instanceof StockDropped dropped) {
            return stock(dropped.id(), act.sequence());
        } else if (step instanceof DonorGone gone) {
            return last(DonorKept.class, act.sequence(), d -> d.id().equals(gone.id()), d -> "“" + d.name() + "”");
        } else if (step instanceof BottleGone gone) {
            return last(BottleKept.class, act.sequence(), b -> b.id().equals(gone.id()), BottleKept::said);
        } else if (step instanceof ClockMoved moved) {
            return clock(moved.id(), act.sequence());
        } else if (step instanceof ClockEnded ended) {
            return clock(ended.id(), act.sequence());
        }
        return Optional.empty();
    }

    private Optional<String> stock(String id, int before) {
        return last(StockKept.class, before, s -> s.id().equals(id), s -> (s.name() + " " + s.size()).strip());
    }

    private Optional<String> clock(String id, int before) {
        return last(
                Timed.class,
                before,
                t -> t.id().equals(id),
                t -> t instanceof ClockStarted started ? started.words() : WorkshopSteps.words(t));
    }

    private <T> Optional<String> last(Class<T> kind, int before, Predicate<T> which, Function<T, String> name) {
        return acts.stream()
                .filter(a -> a.sequence() < before)
                .map(RecordedStep::step)
                .filter(kind::isInstance)
                .map(kind::cast)
                .filter(which)
                .reduce((earlier, later) -> later)
                .map(name);
    }
}
