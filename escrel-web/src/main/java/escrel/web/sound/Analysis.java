package escrel.web.sound;

import escrel.core.calibre.CalibreSheet;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import org.jspecify.annotations.Nullable;

/** How the sound of a job's movement is analysed, and how what was heard becomes a reading. */
public final class Analysis {
    private static final double WANDERS = 10;
    private static final double NOISY_DECIBELS = 12;

    private Analysis() {}

    /** The lift angle of the sheet; 52° assumed without one. */
    public static LiftAngle liftAngle(@Nullable CalibreSheet sheet) {
        return sheet == null ? LiftAngle.ASSUMED_52 : sheet.data().liftAngle();
    }

    /** An analyser for the movement of a sheet, or one that recognises the beat rate. */
    public static BeatAnalyser analyser(@Nullable CalibreSheet sheet) {
        return analyser(sheet == null ? null : sheet.data().beatRate(), liftAngle(sheet));
    }

    /** An analyser for a beat rate, or one that recognises it. */
    public static BeatAnalyser analyser(@Nullable BeatRate beatRate, LiftAngle liftAngle) {
        return beatRate == null ? BeatAnalyser.recognising(liftAngle) : BeatAnalyser.forBeatRate(beatRate, liftAngle);
    }

    /** Teeth of the escape wheel on the sheet, 0 when nobody has counted them. */
    public static int escapeTeeth(@Nullable CalibreSheet sheet) {
        return sheet == null || sheet.train() == null ? 0 : sheet.train().escapeTeeth();
    }

    /** The reading of what was heard in a position, the device's clock corrected for. */
    public static Reading reading(
            SoundReading heard, Position position, DeviceClock clock, Source source, @Nullable Integer recording) {
        return new Reading(
                position,
                clock.correct(heard.rateSecondsPerDay()),
                heard.amplitudeDegrees(),
                heard.beatErrorMillis(),
                heard.lift(),
                heard.liftAngle(),
                heard.beatRate(),
                source,
                trace(heard),
                String.join(". ", heard.doubts()),
                clock,
                recording);
    }

    private static Trace trace(SoundReading heard) {
        double least =
                heard.trendSecondsPerDay().stream().mapToDouble(d -> d).min().orElse(0);
        double most =
                heard.trendSecondsPerDay().stream().mapToDouble(d -> d).max().orElse(0);
        double noise = 6
                * heard.rateSecondsPerDay().doubt()
                * Math.pow(heard.trendSecondsPerDay().size(), 1.5);
        if (most - least > Math.max(WANDERS, noise)) {
            return Trace.WANDERING;
        }
        return heard.signalToNoiseDecibels() < NOISY_DECIBELS ? Trace.NOISY : Trace.CLEAN;
    }
}
