package escrel.core.workshop;

import escrel.core.cleaning.Jars;
import escrel.core.clock.Clocks;
import escrel.core.lubrication.Bottles;
import escrel.core.mainspring.SpringsListed;
import escrel.core.marks.Years;
import escrel.core.parts.PlayLimits;
import escrel.core.service.RecordedStep;
import escrel.core.service.StepSequence;
import escrel.core.supply.Stores;
import escrel.core.timing.readings.DeviceClock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What the workshop did outside any job, in order, and what follows from it. */
public final class WorkshopLog {
    /**
     * A clock that is known.
     *
     * @param entry the act it comes from
     */
    public record KnownClock(RecordedStep entry, ClockCalibrated calibrated) {}

    private final StepSequence acts;

    private WorkshopLog(StepSequence acts) {
        this.acts = acts;
    }

    /**
     * The log from its acts.
     *
     * @throws IllegalArgumentException as {@link StepSequence#of}
     */
    public static WorkshopLog of(List<RecordedStep> acts) {
        return new WorkshopLog(StepSequence.of(acts));
    }

    /** The acts in order. */
    public StepSequence acts() {
        return acts;
    }

    /** An act of the log in a few words, with the name of what it is about. */
    public String words(RecordedStep act) {
        return new ActWords(acts.recorded()).of(act);
    }

    /**
     * The clocks that hold now, by name of their device: of each the last calibration, unless it was forgotten since. A
     * calibration taken back lets the one before it hold again.
     */
    public List<KnownClock> clocks() {
        Map<String, KnownClock> known = new TreeMap<>();
        for (RecordedStep entry : acts.counting()) {
            if (entry.step() instanceof ClockCalibrated calibrated) {
                known.put(calibrated.device(), new KnownClock(entry, calibrated));
            } else if (entry.step() instanceof ClockForgotten forgotten) {
                known.remove(forgotten.device());
            }
        }
        return List.copyOf(known.values());
    }

    /** The springs the workshop has or can order; none while nobody listed any. */
    public List<SpringsListed.Stocked> springs() {
        return acts.counting().stream()
                .map(RecordedStep::step)
                .filter(SpringsListed.class::isInstance)
                .map(s -> ((SpringsListed) s).springs())
                .reduce((earlier, later) -> later)
                .orElse(List.of());
    }

    /** What the workshop has, and whom it buys from. */
    public Stores stores() {
        return Stores.of(acts.counting());
    }

    /** The clocks of the bench that run. */
    public Clocks running() {
        return Clocks.of(acts.counting());
    }

    /** The bottles of lubricant. */
    public Bottles bottles() {
        return Bottles.of(acts.counting());
    }

    /** Between what play should lie. */
    public PlayLimits play() {
        return acts.counting().stream()
                .map(RecordedStep::step)
                .filter(PlayLimits.class::isInstance)
                .map(PlayLimits.class::cast)
                .reduce((earlier, later) -> later)
                .orElse(PlayLimits.USUAL);
    }

    /** In which years whose numbers were given out. */
    public Years years() {
        return Years.of(acts.counting());
    }

    /** The jars of the machine, and what it does. */
    public Jars jars() {
        return Jars.of(acts.counting());
    }

    /** Which spellings mean the same owner, and the same watch. */
    public Spellings spellings() {
        return Spellings.of(acts.counting());
    }

    /** The clock of a device, uncalibrated while nobody has measured it. */
    public DeviceClock clockOf(String device) {
        return clocks().stream()
                .filter(k -> k.calibrated().device().equals(device))
                .findFirst()
                .map(k -> k.calibrated().clock())
                .orElseGet(() -> DeviceClock.uncalibrated(device));
    }
}
