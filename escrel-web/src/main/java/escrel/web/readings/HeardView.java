package escrel.web.readings;

import escrel.core.timing.acoustics.SoundReading;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What was heard in a recording, drawn: the averaged tick and tock with unlocking and drop marked.
 *
 * @param tickPath loudness of the averaged tick, SVG, 0 to 600 wide and 90 high
 * @param marks where unlocking and drop were found
 */
record HeardView(
        String beatRate,
        int detected,
        int missed,
        int rejected,
        String signalToNoise,
        String seconds,
        List<String> trend,
        String tickPath,
        String tockPath,
        List<Mark> marks)
        implements Serializable {
    /** A marked sound. */
    record Mark(String half, String name, double x) implements Serializable {}

    private static final double WIDTH = 600;
    private static final double HEIGHT = 90;

    static HeardView of(SoundReading heard) {
        SoundReading.AveragedBeat beat = heard.beat();
        List<Mark> marks = new ArrayList<>();
        for (int half = 0; half < 2; half++) {
            String name = half == 0 ? "tick" : "tock";
            marks.add(new Mark(name, "unlocking", x(beat, beat.unlockMillis()[half])));
            marks.add(new Mark(name, "drop", x(beat, beat.dropMillis()[half])));
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
                path(beat.tick()),
                path(beat.tock()),
                marks);
    }

    private static double x(SoundReading.AveragedBeat beat, double millis) {
        return Math.round((millis - beat.startMillis()) / beat.stepMillis() / beat.tick().length * WIDTH * 10) / 10.0;
    }

    private static String path(double[] loudness) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < loudness.length; i++) {
            d.append(i == 0 ? 'M' : 'L')
                    .append(String.format(
                            Locale.ROOT,
                            "%.1f %.1f",
                            i * WIDTH / loudness.length,
                            HEIGHT * (1 - Math.sqrt(Math.max(0, loudness[i])))));
        }
        return d.toString();
    }
}
