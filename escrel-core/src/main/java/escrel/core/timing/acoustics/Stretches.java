package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.Measured;
import escrel.core.quantity.Rate;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Swing;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavStream;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A long sound analysed stretch by stretch, so that memory is that of one stretch however long it lasts. Beats are
 * numbered through; the rate is the slope of one line through all of them, its error the larger of the line's own (M2)
 * and what the scatter of the stretches' rates gives, so that wander is not taken for certainty; amplitude and beat error
 * are means over the stretches, weighted by their beats, with the mean of their errors, since picking a sound's beginning
 * errs the same way in each. A sound of a stretch and a half or less is analysed as one.
 */
public final class Stretches {
    /** Length of a stretch: long enough for a steady period, short enough for memory at 192 kHz. */
    static final double SECONDS = 60;

    private final BeatAnalyser analyser;
    private final List<SoundReading> heard = new ArrayList<>();
    private final List<SoundReading.Beat> beats = new ArrayList<>();
    private int refused;
    private double listened;

    private Stretches(BeatAnalyser analyser) {
        this.analyser = analyser;
    }

    /**
     * The reading of a file as it is read.
     *
     * @throws NoCredibleBeatException as {@link BeatAnalyser#analyse}; of a long sound, when half of its stretches or
     *     more are refused
     * @throws UnreadableSoundException when the file ends before its header says
     */
    public static SoundReading analyse(BeatAnalyser analyser, WavStream sound) {
        Stretches stretches = new Stretches(analyser);
        if (sound.isOpenEnded()) {
            Sound first = sound.next(1.5 * SECONDS);
            if (sound.isAtEnd()) {
                return analyser.analyse(first);
            }
            stretches.add(first);
            while (!sound.isAtEnd()) {
                stretches.add(sound.next(SECONDS));
            }
            return stretches.reading();
        }
        if (sound.seconds() <= 1.5 * SECONDS) {
            return analyser.analyse(analyser.prepared(sound.next(1.5 * SECONDS + 1)));
        }
        // equal ones, so that none is too short to say anything
        double each = sound.seconds() / Math.max(2, Math.round(sound.seconds() / SECONDS));
        while (!sound.isAtEnd()) {
            stretches.add(sound.next(each + 1 / sound.sampleRate()));
        }
        return stretches.reading();
    }

    private void add(Sound stretch) {
        double begin = listened;
        listened += stretch.seconds();
        if (stretch.seconds() < BeatAnalyser.SHORTEST_SECONDS) {
            return;
        }
        try {
            BeatAnalyser same =
                    heard.isEmpty() ? analyser : analyser.at(heard.get(0).beatRate());
            SoundReading reading = same.analyse(stretch);
            number(reading, begin);
            heard.add(reading);
        } catch (NoCredibleBeatException e) {
            if (heard.isEmpty() && refused > 0) {
                throw e;
            }
            refused++;
        }
    }

    /** Numbers the beats of a stretch on from those before it: the first by its time, the rest by their own numbers. */
    private void number(SoundReading reading, double begin) {
        int shift = 0;
        List<SoundReading.Beat> own = reading.beats();
        if (!beats.isEmpty() && !own.isEmpty()) {
            SoundReading.Beat last = beats.get(beats.size() - 1);
            SoundReading.Beat first = own.get(0);
            double beat = reading.beatRate().periodSeconds()
                    / 2
                    / (1 + reading.rateSecondsPerDay().value() / Rate.SECONDS_PER_DAY);
            long between = Math.round((begin + first.seconds() - last.seconds()) / beat);
            shift = Math.toIntExact(last.number() + between - first.number());
        }
        for (SoundReading.Beat b : own) {
            beats.add(new SoundReading.Beat(b.number() + shift, begin + b.seconds(), b.liftMillis(), b.counts()));
        }
    }

    private SoundReading reading() {
        if (heard.isEmpty() || refused >= heard.size()) {
            throw new NoCredibleBeatException(
                    "Of %d stretches of the recording only %d beat steadily"
                            .formatted(heard.size() + refused, heard.size()),
                    "Keep the room quiet, press the pick-up to the crown and record again.");
        }
        List<SoundReading.Beat> counting =
                beats.stream().filter(SoundReading.Beat::counts).toList();
        RobustLine line = RobustLine.fit(
                counting.stream().mapToInt(SoundReading.Beat::number).toArray(),
                counting.stream().mapToDouble(SoundReading.Beat::seconds).toArray());
        return reading(heard.get(0), line, counting.size());
    }

    private SoundReading reading(SoundReading first, RobustLine line, int detected) {
        LiftTime lift = new LiftTime(
                both(r -> r.lift().liftMillis()), both(r -> r.lift().heardBeatErrorMillis()));
        double liftSeconds = lift.liftMillis().value() / 1000;
        double heardSeconds = lift.heardBeatErrorMillis().value() / 1000;
        Swing swing = Swing.heard(first.beatRate(), 2 * line.slope(), first.liftAngle());
        Amplitude amplitude = swing.amplitude(liftSeconds, Math.min(heardSeconds, liftSeconds));
        BeatError beatError = swing.beatError(liftSeconds, heardSeconds);
        return new SoundReading(
                first.beatRate(),
                first.recognition(),
                first.liftAngle(),
                rate(first, line),
                Measured.withStandardError(
                        amplitude.degrees(), mean(r -> r.amplitudeDegrees().doubt())),
                Measured.withStandardError(
                        beatError.millis(), mean(r -> r.beatErrorMillis().doubt())),
                lift,
                detected,
                heard.stream().mapToInt(SoundReading::beatsMissed).sum(),
                heard.stream().mapToInt(SoundReading::beatsRejected).sum(),
                mean(SoundReading::signalToNoiseDecibels),
                listened,
                heard.stream().map(r -> r.rateSecondsPerDay().value()).toList(),
                first.beat(),
                List.copyOf(beats),
                doubts(),
                remarks());
    }

    private Measured rate(SoundReading first, RobustLine line) {
        double own = Rate.SECONDS_PER_DAY * line.slopeError() / line.slope();
        return Measured.withStandardError(
                Rate.ofMeanBeat(first.beatRate(), line.slope()).secondsPerDay(), Math.max(own, scatter()));
    }

    private Measured both(Function<SoundReading, Measured> figure) {
        return Measured.withStandardError(
                mean(r -> figure.apply(r).value()), mean(r -> figure.apply(r).doubt()));
    }

    /** Mean over the stretches, weighted by their beats. */
    private double mean(ToDoubleFunction<SoundReading> figure) {
        double sum = 0;
        double weight = 0;
        for (SoundReading reading : heard) {
            sum += reading.beatsDetected() * figure.applyAsDouble(reading);
            weight += reading.beatsDetected();
        }
        return sum / weight;
    }

    /** Standard error of the mean of the stretches' rates, 0 for a single one. */
    private double scatter() {
        double mean = mean(r -> r.rateSecondsPerDay().value());
        double squares = 0;
        for (SoundReading reading : heard) {
            double off = reading.rateSecondsPerDay().value() - mean;
            squares += off * off;
        }
        int n = heard.size();
        return n < 2 ? 0 : Math.sqrt(squares / (n - 1) / n);
    }

    private List<String> remarks() {
        return heard.stream().flatMap(r -> r.remarks().stream()).distinct().toList();
    }

    private List<String> doubts() {
        Set<String> doubts = new LinkedHashSet<>();
        heard.forEach(r -> doubts.addAll(r.doubts()));
        if (refused > 0) {
            doubts.add("In %d of %d stretches no steady beat was heard".formatted(refused, heard.size() + refused));
        }
        return List.copyOf(doubts);
    }
}
