package escrel.web.inspection;

import escrel.core.calibre.Part;
import escrel.core.parts.Felt;
import escrel.core.parts.Gauged;
import escrel.core.parts.PlayLimits;
import escrel.core.service.StepKind;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A play that was measured, drawn against its limits.
 *
 * @param words what it is, how much, and how it stands
 * @param right whether it lies between them
 * @param low of the limits, 0 to 160
 * @param high 0 to 160
 * @param at where it lies, 0 to 160
 */
record MeasuredPlay(String words, boolean right, long low, long high, long at) {
    /** Drawn width of 0.16 mm. */
    private static final double SCALE = 1000;

    private static final long WIDTH = 160;

    /** Those of a part that have limits; nothing where none was measured. */
    static List<MeasuredPlay> of(OpenJob job, @Nullable Part part, PlayLimits limits) {
        if (part == null) {
            return List.of();
        }
        List<MeasuredPlay> all = new ArrayList<>();
        Map<Felt.Play, Double> measured =
                PlayLimits.measured(job.history().all(Gauged.class).toList(), part.code());
        measured.forEach((what, millimetres) ->
                limits.of(job.movement(), part, what).ifPresent(limit -> all.add(play(what, millimetres, limit))));
        return all;
    }

    private static MeasuredPlay play(Felt.Play what, double millimetres, PlayLimits.Limit limit) {
        String judged = PlayLimits.judged(limit, millimetres);
        return new MeasuredPlay(
                "%s %s mm: %s (%s to %s for a %s, movements %s)"
                        .formatted(
                                StepKind.said(what),
                                millimetres,
                                judged,
                                limit.low(),
                                limit.high(),
                                limit.whose().words(),
                                limit.size().words()),
                millimetres >= limit.low() && millimetres <= limit.high(),
                drawn(limit.low()),
                drawn(limit.high()),
                drawn(millimetres));
    }

    private static long drawn(double millimetres) {
        return Math.min(WIDTH, Math.round(SCALE * millimetres));
    }
}
