package escrel.web.sound;

import escrel.core.timing.acoustics.SoundReading;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What was heard in a recording, drawn: the averaged tick and tock with unlocking and drop marked.
 *
 * @param tickPath loudness of the averaged tick, SVG, 0 to 600 wide and 90 high
 * @param marks where the sounds were found
 * @param doubts what speaks against the reading
 */
public record HeardView(
        String beatRate,
        int detected,
        int missed,
        int rejected,
        String signalToNoise,
        String seconds,
        List<String> trend,
        String tickPath,
        String tockPath,
        List<Mark> marks,
        List<String> doubts)
        implements Serializable {
    /**
     * A marked sound.
     *
     * @param half tick or tock
     * @param name unlocking, impulse or drop
     */
    public record Mark(String half, String name, double x) implements Serializable {}

    private static final double WIDTH = 600;
    private static final double HEIGHT = 90;

    public static HeardView of(SoundReading heard) {
        SoundReading.AveragedBeat beat = heard.beat();
        Window window = Window.around(beat);
        List<Mark> marks = new ArrayList<>();
        for (int half = 0; half < 2; half++) {
            String name = half == 0 ? "tick" : "tock";
            SoundReading.Marks found = beat.marks().get(half);
            marks.add(new Mark(name, "unlocking", window.x(found.unlockMillis())));
            if (found.impulseMillis() != null) {
                marks.add(new Mark(name, "impulse", window.x(found.impulseMillis())));
            }
            marks.add(new Mark(name, "drop", window.x(found.dropMillis())));
        }
        return new HeardView(
                "%.0f".formatted(heard.beatRate().beatsPerHour()),
                heard.beatsDetected(),
                heard.beatsMissed(),
                heard.beatsRejected(),
                "%.0f".formatted(heard.signalToNoiseDecibels()),
                "%.1f".formatted(heard.seconds()),
                new ArrayList<>(heard.trendSecondsPerDay().stream()
                        .map(r -> "%+.1f".formatted(r).replace('-', '−'))
                        .toList()),
                window.path(beat, beat.tick()),
                window.path(beat, beat.tock()),
                marks,
                new ArrayList<>(heard.doubts()));
    }

    /** The stretch that is drawn: a little before the first unlocking until the drop has died away. */
    private record Window(double fromMillis, double toMillis) {
        private static final double BEFORE_MILLIS = 5;
        private static final double AFTER_MILLIS = 14;

        static Window around(SoundReading.AveragedBeat beat) {
            return new Window(
                    Math.min(
                                    beat.marks().get(0).unlockMillis(),
                                    beat.marks().get(1).unlockMillis())
                            - BEFORE_MILLIS,
                    Math.max(
                                    beat.marks().get(0).dropMillis(),
                                    beat.marks().get(1).dropMillis())
                            + AFTER_MILLIS);
        }

        double x(double millis) {
            return Math.round((millis - fromMillis) / (toMillis - fromMillis) * WIDTH * 10) / 10.0;
        }

        String path(SoundReading.AveragedBeat beat, double[] loudness) {
            StringBuilder d = new StringBuilder();
            for (int i = 0; i < loudness.length; i++) {
                double millis = beat.startMillis() + i * beat.stepMillis();
                if (millis >= fromMillis && millis <= toMillis) {
                    d.append(d.length() == 0 ? 'M' : 'L')
                            .append(String.format(
                                    Locale.ROOT,
                                    "%.1f %.1f",
                                    x(millis),
                                    HEIGHT * (1 - Math.sqrt(Math.max(0, loudness[i])))));
                }
            }
            return d.toString();
        }
    }
}
