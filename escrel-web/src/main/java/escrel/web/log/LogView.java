package escrel.web.log;

import escrel.core.calibre.CalibreSheet;
import escrel.core.job.StepRegister;
import escrel.core.service.Corrected;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.web.job.OpenJob;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of the log, newest first.
 *
 * @param older the number before which an older stretch ends; nothing when this is the oldest
 */
record LogView(List<Line> lines, @Nullable Integer older) {
    private static final int LONG = 120;

    /**
     * A step.
     *
     * @param counts whether it does still, as it was recorded or corrected
     * @param was how it was recorded, where it is corrected; empty else
     * @param correctable whether it can be said otherwise here
     */
    record Line(int sequence, Instant at, String words, boolean counts, String was, boolean correctable) {}

    static LogView of(OpenJob job, @Nullable Integer before) {
        List<RecordedStep> all = job.history().recorded();
        Map<Integer, Step> counting = new HashMap<>();
        job.history().counting().forEach(e -> counting.put(e.sequence(), e.step()));
        int from = Math.min(before == null ? all.size() : before - 1, all.size());
        List<Line> lines = new ArrayList<>();
        int at = from;
        for (; at > 0 && lines.size() < LONG; at--) {
            RecordedStep entry = all.get(at - 1);
            if (!(entry.step() instanceof TakenBack)) {
                lines.add(line(job.movement(), entry, counting.get(entry.sequence())));
            }
        }
        return new LogView(List.copyOf(lines), at > 0 ? at + 1 : null);
    }

    private static Line line(CalibreSheet movement, RecordedStep entry, @Nullable Step counts) {
        boolean corrected = counts != null && counts != entry.step() && !counts.equals(entry.step());
        Step shown = counts == null ? entry.step() : counts;
        return new Line(
                entry.sequence(),
                entry.at(),
                said(shown, movement),
                counts != null,
                corrected ? said(entry.step(), movement) : "",
                counts != null && CorrectForm.isCorrectable(counts) && !(counts instanceof Corrected));
    }

    /** The words of a step, and what else it says of a part. */
    static String said(Step step, CalibreSheet movement) {
        return StepRegister.words(step, movement) + CorrectForm.details(step);
    }
}
