package escrel.simulator.pickup;

import escrel.core.timing.sound.Sound;
import escrel.simulator.chance.OneHandRandom;
import java.util.Random;

/**
 * Listens to a simulated movement. Each beat has three sounds: unlocking half the lift angle before the dead point,
 * impulse a third of the way on, drop half the lift angle after. Each begins exactly at its event, rises quickly and
 * rings off; tick and tock sound different. Equal seeds give equal samples.
 */
public final class SimulatedPickup {
    private static final double JITTER_SECONDS = 15e-6;
    private static final double RUNOUT_SECONDS = 10e-6;
    private static final int ESCAPE_TEETH = 15;
    private static final double[] LOUDNESS = {0.35, 0.45, 1.0};

    private final double sampleRate;
    private final long seed;

    /** A pick-up with this sample rate and seed. */
    public SimulatedPickup(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        this.seed = seed;
    }

    private record Voice(double hertz, double second, double riseSeconds, double decaySeconds, double loudness) {}

    /** The sound of the movement for some seconds from its beginning. */
    public Sound listen(Swinging swinging, Room room, double seconds) {
        Sound sound = listen(swinging, room, 0, seconds);
        scale(sound.samples(), top(sound.samples()));
        return sound;
    }

    /**
     * The sound of the movement from one second to another, so that it can be listened to piece by piece: pieces that
     * follow each other make one sound. It is not brought to a common loudness.
     *
     * @param from seconds since it was laid down, 0 or more
     */
    public Sound listen(Swinging swinging, Room room, double from, double seconds) {
        Random random = new OneHandRandom(seed);
        Voice[][] voices = voices(random);
        double[] runout = new double[2 * ESCAPE_TEETH];
        for (int i = 0; i < runout.length; i++) {
            runout[i] = random.nextGaussian() * RUNOUT_SECONDS;
        }
        float[] out = new float[(int) Math.round(seconds * sampleRate)];
        double period = swinging.periodSeconds();
        double start = 0.2 * period + random.nextDouble() * period;
        double wanderPhase = random.nextDouble() * 2 * Math.PI;
        // a beat rings on, and the amplitude moves it: those a little before the piece belong to it too
        int first = (int) Math.max(0, (from - start) / period * 2 - 2);
        int last = (int) ((from + seconds - start) / period * 2) + 2;
        for (int k = first; k < last; k++) {
            Random own = new OneHandRandom(seed * 1_000_003 + k);
            double time = start + k * period / 2;
            double amplitude =
                    swinging.amplitudeAt(time) + 1.4 * Math.sin(2 * Math.PI * k / 61.0) + 0.4 * own.nextGaussian();
            // integral of a slow sine of the rate, about one swing every eight seconds
            time -= swinging.wanderSecondsPerDay()
                    / 86_400
                    * (8 / (2 * Math.PI))
                    * (1 - Math.cos(2 * Math.PI * time / 8 + wanderPhase));
            beat(out, swinging, voices[k & 1], k, time - from, amplitude, runout[k % runout.length], own);
        }
        addRoom(out, room, dropLoudness(voices), from, new OneHandRandom(seed + Math.round(from * 1000)));
        return new Sound(out, sampleRate);
    }

    /** Loudness by which pieces are brought to a common scale: about full scale for the loudest of them. */
    public double pieceScale() {
        return 0.25 / dropLoudness(voices(new OneHandRandom(seed)));
    }

    private static Voice[][] voices(Random random) {
        Voice[][] voices = new Voice[2][3];
        for (int half = 0; half < 2; half++) {
            for (int sound = 0; sound < 3; sound++) {
                double hertz = 3500 + 5500 * random.nextDouble();
                voices[half][sound] = new Voice(
                        hertz,
                        hertz * (1.3 + 0.5 * random.nextDouble()),
                        30e-6 + 110e-6 * random.nextDouble(),
                        0.0005 + 0.0009 * random.nextDouble(),
                        LOUDNESS[sound] * (0.8 + 0.4 * random.nextDouble()));
            }
        }
        return voices;
    }

    private void beat(
            float[] out,
            Swinging swinging,
            Voice[] voices,
            int number,
            double time,
            double amplitude,
            double runout,
            Random random) {
        // the dead point is crossed where the balance stands off its rest by the jewel's offset, forth and back
        double offset = (number & 1) == 0 ? swinging.jewelOffsetDegrees() : -swinging.jewelOffsetDegrees();
        double half = swinging.liftAngle().degrees() / 2;
        double[] angle = {offset - half, offset - half + 2 * half / 3, offset + half};
        for (int sound = 0; sound < 3; sound++) {
            double at = time
                    + swinging.periodSeconds() / (2 * Math.PI) * Math.asin(angle[sound] / amplitude)
                    + runout
                    + random.nextGaussian() * JITTER_SECONDS;
            ring(out, voices[sound], at, random.nextDouble() * 0.2 + 0.9);
        }
    }

    private void ring(float[] out, Voice voice, double at, double strength) {
        int from = (int) Math.ceil(at * sampleRate);
        int to = (int) Math.min(out.length, from + 8 * voice.decaySeconds() * sampleRate);
        for (int i = Math.max(0, from); i < to; i++) {
            double t = i / sampleRate - at;
            double envelope =
                    (1 - Math.exp(-t / voice.riseSeconds() * 2)) * Math.exp(-t / voice.decaySeconds()) * strength;
            out[i] += (float) (voice.loudness()
                    * envelope
                    * (Math.sin(2 * Math.PI * voice.hertz() * t) + 0.5 * Math.sin(2 * Math.PI * voice.second() * t)));
        }
    }

    /** Rms of the first millisecond of the drop, mean of tick and tock. */
    private double dropLoudness(Voice[][] voices) {
        double sum = 0;
        for (Voice[] half : voices) {
            float[] alone = new float[(int) (0.001 * sampleRate)];
            ring(alone, half[2], 0, 1);
            for (float x : alone) {
                sum += x * x / alone.length / 2;
            }
        }
        return Math.sqrt(sum);
    }

    private void addRoom(float[] out, Room room, double drop, double from, Random random) {
        for (int i = 0; i < out.length; i++) {
            double t = from + i / sampleRate;
            out[i] += (float) (drop * room.noise() * random.nextGaussian()
                    + drop * room.hum() * Math.sqrt(2) * Math.sin(2 * Math.PI * 50 * t)
                    + drop * room.hum() * 0.5 * Math.sin(2 * Math.PI * 150 * t));
        }
        for (int k = 0; k < room.knocks(); k++) {
            Voice knock = new Voice(400 + 2500 * random.nextDouble(), 5000, 100e-6, 0.008, 2 * drop);
            ring(out, knock, random.nextDouble() * out.length / sampleRate, 1);
        }
    }

    private static float top(float[] samples) {
        float top = 1e-9f;
        for (float x : samples) {
            top = Math.max(top, Math.abs(x));
        }
        return top;
    }

    private static void scale(float[] out, float top) {
        for (int i = 0; i < out.length; i++) {
            out[i] *= 0.7f / top;
        }
    }
}
