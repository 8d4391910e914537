package escrel.core.workshop;

import escrel.core.cleaning.JarFilled;
import escrel.core.cleaning.LoadStarted;
import escrel.core.cleaning.ProgrammeKept;
import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockMoved;
import escrel.core.clock.ClockStarted;
import escrel.core.lubrication.BottleGone;
import escrel.core.lubrication.BottleKept;
import escrel.core.mainspring.SpringsListed;
import escrel.core.marks.YearsKept;
import escrel.core.parts.PlayLimits;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.service.TakenBack;
import escrel.core.supply.Stores;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of act in the log of the workshop. A new one needs its record and one line here. */
public final class WorkshopSteps {
    private static final List<StepKind<?>> OWN = List.of(
            StepKind.of("clock-calibrated", ClockCalibrated.class, (s, n) -> calibrated(s)),
            StepKind.of("clock-forgotten", ClockForgotten.class, (s, n) -> "clock of “" + s.device() + "” forgotten"),
            StepKind.of(
                    "springs-listed", SpringsListed.class, (s, n) -> s.springs().size() + " springs listed"),
            StepKind.of(
                    "owners-merged",
                    OwnersMerged.class,
                    (s, n) -> "“" + s.from() + "” is the owner “" + s.into() + "”"),
            StepKind.of(
                    "watches-merged",
                    WatchesMerged.class,
                    (s, n) -> "“" + s.from().watch() + "” of “" + s.from().owner() + "” is the watch “"
                            + s.into().watch() + "” of “" + s.into().owner() + "”"),
            StepKind.of("clock-started", ClockStarted.class, (s, n) -> "clock: " + s.words()),
            StepKind.of("clock-moved", ClockMoved.class, (s, n) -> "clock moved to stretch " + (s.stretch() + 1)),
            StepKind.of("clock-ended", ClockEnded.class, (s, n) -> s.done() ? "clock seen to" : "clock stopped"),
            StepKind.of(
                    "load-started",
                    LoadStarted.class,
                    (s, n) -> s.parts().size() + " parts of job " + s.number() + " into the machine"),
            StepKind.of("programme-kept", ProgrammeKept.class, (s, n) -> "programme of the machine: " + s.name()),
            StepKind.of(
                    "jar-filled",
                    JarFilled.class,
                    (s, n) -> "jar “" + s.jar() + "” " + (s.strained() ? "strained" : "filled anew")),
            StepKind.of("bottle-kept", BottleKept.class, (s, n) -> "bottle kept: " + s.said()),
            StepKind.of("bottle-gone", BottleGone.class, (s, n) -> "bottle gone"),
            StepKind.of(
                    "play-limits",
                    PlayLimits.class,
                    (s, n) -> "limits of play: " + s.limits().size() + " lines"),
            StepKind.of(
                    "years-kept",
                    YearsKept.class,
                    (s, n) ->
                            "years of " + s.maker() + "'s numbers: " + s.rows().size() + " rows"),
            StepKind.of("taken-back", TakenBack.class, (s, n) -> "entry " + s.sequence() + " taken back"));

    /** All of them. */
    public static final List<StepKind<?>> KINDS =
            Stream.concat(OWN.stream(), Stores.KINDS.stream()).toList();

    private WorkshopSteps() {}

    /** The kind of this name, if there is one. */
    public static Optional<StepKind<?>> named(String name) {
        return KINDS.stream().filter(k -> k.name().equals(name)).findFirst();
    }

    /**
     * The kind of an act.
     *
     * @throws IllegalArgumentException when it is none of the workshop
     */
    public static StepKind<?> kindOf(Step act) {
        for (StepKind<?> kind : KINDS) {
            if (kind.type() == act.getClass()) {
                return kind;
            }
        }
        throw new IllegalArgumentException("no act of the workshop is a " + act.getClass());
    }

    /** An act in a few words, without the name of what it is about: {@link WorkshopLog#words} adds that. */
    static String words(Step act) {
        return kindOf(act).wordsOf(act, new StepKind.Names(null));
    }

    private static String calibrated(ClockCalibrated s) {
        return String.format(
                Locale.ROOT,
                "clock of “%s” runs %.1f ± %.1f ppm %s (%s)",
                s.device(),
                Math.abs(s.ppm()),
                s.doubtPpm(),
                s.ppm() < 0 ? "slow" : "fast",
                s.reference());
    }
}
