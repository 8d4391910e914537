package escrel.web.desk;

import escrel.core.quantity.Measured;
import escrel.core.timing.acoustics.DriftStrip;
import escrel.core.timing.acoustics.Settling;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.sound.Level;
import escrel.web.format.Show;
import escrel.web.sound.HeardView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page shows after a piece of sound, every text ready.
 *
 * @param peak loudest sample of the piece, decibels against full scale
 * @param seconds heard since the watch was laid down
 * @param listenedTo up to which of them the figures say something, so that their lag can be measured; 0 before the first
 * @param hint what is wrong with the sound, in words; empty when nothing is
 * @param waitsFor what is still waited for
 * @param never whether it has been listened to so long that it will hardly settle
 * @param strip time in s, ms ahead, 1 for the other half; one triple after another
 */
record DeskState(
        double peak,
        double rms,
        boolean clipped,
        String hint,
        double seconds,
        double listenedTo,
        boolean settled,
        boolean never,
        String waitsFor,
        @Nullable Figures figures,
        double[] strip,
        @Nullable HeardView heard) {
    /** The figures, as shown, with the words for each. */
    record Figures(
            String rate,
            String rateDoubt,
            String amplitude,
            String amplitudeDoubt,
            String beatError,
            String beatErrorDoubt,
            String lift,
            String beats,
            double secondsPerDay,
            double rateStandardError) {}

    private static final double SHOWN_SECONDS = 60;

    static DeskState of(
            Level level,
            double seconds,
            double listenedTo,
            @Nullable SoundReading reading,
            Settling settling,
            boolean never,
            String quality,
            @Nullable DriftStrip strip,
            DeviceClock clock) {
        String hint = level.words().isEmpty() ? quality : level.words();
        return new DeskState(
                level.peakDecibels(),
                level.rmsDecibels(),
                level.clipped(),
                hint,
                seconds,
                listenedTo,
                settling.settled(),
                never,
                settling.words(),
                reading == null ? null : figures(reading, clock),
                strip == null ? new double[0] : flat(strip.points()),
                reading == null ? null : HeardView.of(reading));
    }

    private static Figures figures(SoundReading reading, DeviceClock clock) {
        Show show = new Show();
        Measured rate = clock.correct(reading.rateSecondsPerDay());
        return new Figures(
                show.signed(rate.value()),
                doubt(rate.doubt(), "%.1f", 0.1),
                "%.0f".formatted(reading.amplitudeDegrees().value()),
                doubt(reading.amplitudeDegrees().doubt(), "%.0f", 1),
                "%.1f".formatted(reading.beatErrorMillis().value()),
                doubt(reading.beatErrorMillis().doubt(), "%.1f", 0.1),
                show.liftAngle(reading.liftAngle()),
                show.beats(reading.beatRate().beatsPerHour()),
                rate.value(),
                rate.doubt());
    }

    private static String doubt(double doubt, String form, double least) {
        return doubt < least ? "< " + (least == 1 ? "1" : least) : form.formatted(doubt);
    }

    private static double[] flat(List<DriftStrip.Point> points) {
        double last = points.isEmpty() ? 0 : points.get(points.size() - 1).seconds();
        List<DriftStrip.Point> shown =
                points.stream().filter(p -> p.seconds() > last - SHOWN_SECONDS).toList();
        double[] out = new double[3 * shown.size()];
        for (int i = 0; i < shown.size(); i++) {
            DriftStrip.Point point = shown.get(i);
            out[3 * i] = Math.round(point.seconds() * 1000) / 1000.0;
            out[3 * i + 1] = Math.round(point.aheadMillis() * 1000) / 1000.0;
            out[3 * i + 2] = point.tock() ? 1 : 0;
        }
        return out;
    }
}
