package escrel.core.handover;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.cleaning.CleaningState;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.ReadingSet;
import org.jspecify.annotations.Nullable;

/** How far a job has come; worked out from what was recorded, never set by hand. */
public enum Stage {
    /** The watch is here; no reading and nothing off yet. */
    ARRIVED,
    /** Read or found not to run; nothing off yet. */
    READ,
    /** Parts are coming off. */
    STRIPPING,
    /** Bare; findings wait for decisions or parts for the wash. */
    INSPECTING,
    /** Clean; ready to go together. */
    CLEAN,
    /** Parts are going on again. */
    CLIMBING,
    /** Whole again; accounts or last readings are open. */
    ADJUSTING,
    /** Nothing stands in the way. */
    READY,
    HANDED_OVER;

    /**
     * The stage of a job.
     *
     * @param sheet nothing while the calibre is unknown
     */
    public static Stage of(@Nullable CalibreSheet sheet, JobHistory history) {
        if (history.last(HandedOver.class).isPresent()) {
            return HANDED_OVER;
        }
        boolean read = !ReadingSet.of(history).isEmpty();
        if (sheet == null) {
            return read ? READ : ARRIVED;
        }
        TeardownState teardown = TeardownState.of(sheet, history);
        if (teardown.order().isEmpty()) {
            return read ? READ : ARRIVED;
        }
        boolean anyOn = !teardown.onAgain().isEmpty();
        boolean anyOff = sheet.homes().stream().anyMatch(p -> teardown.isOff(p.code()));
        if (anyOff && anyOn) {
            return CLIMBING;
        }
        if (anyOff) {
            return opened(teardown, history);
        }
        return finished(sheet, history);
    }

    private static Stage opened(TeardownState teardown, JobHistory history) {
        CleaningState cleaning = CleaningState.of(teardown, history);
        boolean washed = cleaning.due().size()
                < teardown.order().stream()
                        .filter(p -> !teardown.sheet().requirePart(p).isPowerDown())
                        .count();
        if (!teardown.isBare() && !washed) {
            return STRIPPING;
        }
        return cleaning.due().isEmpty() && Findings.of(history).open().isEmpty() ? CLEAN : INSPECTING;
    }

    private static Stage finished(CalibreSheet sheet, JobHistory history) {
        TeardownState teardown = TeardownState.of(sheet, history);
        boolean finalReading =
                ReadingSet.of(history).stream().anyMatch(s -> s.state().isFinal() && s.ran());
        boolean whole = AssemblyPlan.from(teardown, history).lines().isEmpty();
        return whole && finalReading && Accounts.mayLeave(Accounts.of(sheet, history)) ? READY : ADJUSTING;
    }
}
