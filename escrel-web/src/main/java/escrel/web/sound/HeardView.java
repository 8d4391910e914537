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
        List<String> doubts,
        List<String> remarks)
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
            marks.add(new Mark(name, "unlocking", window.x(found.unlockMillis(), found)));
            if (found.impulseMillis() != null) {
                marks.add(new Mark(name, "impulse", window.x(found.impulseMillis(), found)));
            }
            marks.add(new Mark(name, "drop", window.x(found.dropMillis(), found)));
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
                window.path(beat, beat.tick(), beat.marks().get(0)),
                window.path(beat, beat.tock(), beat.marks().get(1)),
                marks,
                new ArrayList<>(heard.doubts()),
                new ArrayList<>(heard.remarks()));
    }

    /**
     * The stretch that is drawn, from a little before unlocking until the drop has died away. Tick and tock both begin at
     * their own unlocking, so that their lengths can be compared by eye.
     */
    private record Window(double lengthMillis) {
        private static final double BEFORE_MILLIS = 5;
        private static final double AFTER_MILLIS = 12;

        static Window around(SoundReading.AveragedBeat beat) {
            double longest = beat.marks().stream()
                    .mapToDouble(m -> m.dropMillis() - m.unlockMillis())
                    .max()
                    .orElse(0);
            return new Window(BEFORE_MILLIS + longest + AFTER_MILLIS);
        }

        double x(double millis, SoundReading.Marks half) {
            double from = half.unlockMillis() - BEFORE_MILLIS;
            return Math.round((millis - from) / lengthMillis * WIDTH * 10) / 10.0;
        }

        String path(SoundReading.AveragedBeat beat, double[] loudness, SoundReading.Marks half) {
            StringBuilder d = new StringBuilder();
            for (int i = 0; i < loudness.length; i++) {
                double x = x(beat.startMillis() + i * beat.stepMillis(), half);
                if (x >= 0 && x <= WIDTH) {
                    d.append(d.length() == 0 ? 'M' : 'L')
                            .append(String.format(
                                    Locale.ROOT, "%.1f %.1f", x, HEIGHT * (1 - Math.sqrt(Math.max(0, loudness[i])))));
                }
            }
            return d.toString();
        }
    }
}
