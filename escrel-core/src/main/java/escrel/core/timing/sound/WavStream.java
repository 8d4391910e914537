package escrel.core.timing.sound;

import static java.nio.ByteOrder.BIG_ENDIAN;
import static java.nio.ByteOrder.LITTLE_ENDIAN;

import java.io.BufferedInputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;

/**
 * A WAV file read stretch by stretch. What is held in memory is what was asked for and what was really there: a header
 * that promises hours over an empty file costs nothing. Not safe for several threads at once.
 */
public final class WavStream implements Closeable {
    private static final double LOWEST_RATE = 22_050;
    private static final double HIGHEST_RATE = 192_000;
    private static final int FRAMES_AT_A_TIME = 32_768;
    private static final int READ_AHEAD = 65_536;

    private final InputStream file;
    private final AudioInputStream audio;
    private final AudioFormat format;
    private final SampleForm form;
    private final byte[] buffer;
    private final float[] together;
    private long frames;
    private boolean openEnded;
    private long read;
    private final Function<List<Sound>, Sound> choice;
    private int channel = -1;

    private WavStream(InputStream file, AudioInputStream audio, SampleForm form, Function<List<Sound>, Sound> choice) {
        this.file = file;
        this.audio = audio;
        this.format = audio.getFormat();
        this.form = form;
        this.buffer = new byte[FRAMES_AT_A_TIME * format.getFrameSize()];
        this.together = new float[format.getChannels() == 1 ? 0 : FRAMES_AT_A_TIME * format.getChannels()];
        this.frames = audio.getFrameLength();
        this.choice = choice;
    }

    /** Begins to read; of two channels the one with more life is taken. */
    public static WavStream open(InputStream in) {
        return open(in, WavStream::livelier);
    }

    /**
     * Begins to read.
     *
     * @param in from its first byte; closed with the stream
     * @param choice which of the channels of the first stretch is taken throughout
     * @throws UnreadableSoundException when it is no WAV, of another kind, or says it is too long
     */
    public static WavStream open(InputStream in, Function<List<Sound>, Sound> choice) {
        try {
            UnfilledSizes file = UnfilledSizes.of(in);
            AudioInputStream audio = AudioSystem.getAudioInputStream(new BufferedInputStream(file.in(), READ_AHEAD));
            long frames = file.unfilled() ? 0 : audio.getFrameLength();
            WavStream stream = new WavStream(in, audio, taken(audio.getFormat(), frames), choice);
            stream.openEnded = file.unfilled();
            return stream;
        } catch (UnsupportedAudioFileException e) {
            throw new UnreadableSoundException("This is not a WAV file we can read");
        } catch (IOException e) {
            throw new UnreadableSoundException("The file could not be read to its end");
        }
    }

    private static SampleForm taken(AudioFormat format, long frames) {
        SampleForm form = SampleForm.of(format)
                .orElseThrow(
                        () -> new UnreadableSoundException("The sound is stored as %s with %d bits, which is not taken"
                                .formatted(format.getEncoding(), format.getSampleSizeInBits())));
        if (format.getChannels() < 1 || format.getChannels() > 2) {
            throw new UnreadableSoundException(
                    "The sound has " + format.getChannels() + " channels, at most 2 are taken");
        }
        if (format.getSampleRate() < LOWEST_RATE || format.getSampleRate() > HIGHEST_RATE) {
            throw new UnreadableSoundException(
                    "The sample rate of %.0f Hz lies outside 22 050 to 192 000 Hz".formatted(format.getSampleRate()));
        }
        double seconds = frames / format.getSampleRate();
        if (seconds > WavFile.LONGEST_SECONDS) {
            throw new UnreadableSoundException(
                    "The recording lasts %.0f s; at most %.0f s are taken".formatted(seconds, WavFile.LONGEST_SECONDS));
        }
        return form;
    }

    /** Samples per second. */
    public double sampleRate() {
        return format.getSampleRate();
    }

    /** Whether its header does not say how long it is, so that only its end tells. */
    public boolean isOpenEnded() {
        return openEnded;
    }

    /** Length in seconds as its header says; what was read so far where it does not say. */
    public double seconds() {
        if (openEnded) {
            return read / sampleRate();
        }
        return frames / sampleRate();
    }

    /** Whether everything its header promises was read. */
    public boolean isAtEnd() {
        return !openEnded && read >= frames;
    }

    /**
     * The next stretch, shorter at the end. Of two channels the one chosen in the first stretch is taken throughout.
     *
     * @param seconds above 0
     * @throws UnreadableSoundException when the file ends before its header says
     */
    public Sound next(double seconds) {
        long asked = Math.max(1, Math.round(seconds * sampleRate()));
        long wanted = openEnded ? asked : Math.min(frames - read, asked);
        List<Sound> all = channels(wanted).stream()
                .map(c -> new Sound(c.samples(), sampleRate()))
                .toList();
        if (channel >= 0) {
            return all.get(channel);
        }
        Sound chosen = all.size() == 1 ? all.get(0) : choice.apply(all);
        channel = chosen == all.get(0) ? 0 : 1;
        return chosen;
    }

    /** The next frames of each channel; none of a channel that was not chosen. */
    private List<Growing> channels(long wanted) {
        List<Growing> channels = new ArrayList<>();
        try {
            // in room for all that is there nothing need be moved as more comes
            int there = (int) Math.min(wanted, ((long) file.available() + READ_AHEAD) / format.getFrameSize());
            for (int c = 0; c < format.getChannels(); c++) {
                channels.add(new Growing(isTaken(c) ? there : 0));
            }
            for (long left = wanted; left > 0; ) {
                int got = frames((int) Math.min(left, FRAMES_AT_A_TIME));
                if (got == 0) {
                    break;
                }
                take(got, channels);
                left -= got;
            }
        } catch (IOException e) {
            throw new UnreadableSoundException("The file could not be read to its end");
        }
        return channels;
    }

    /** Puts the frames read last where they belong: those of a single channel go straight there. */
    private void take(int got, List<Growing> channels) {
        ByteBuffer bytes = ByteBuffer.wrap(buffer).order(format.isBigEndian() ? BIG_ENDIAN : LITTLE_ENDIAN);
        if (channels.size() == 1) {
            Growing only = channels.get(0);
            int at = only.more(got);
            form.read(bytes, only.samples, at, got);
            return;
        }
        form.read(bytes, together, 0, got * channels.size());
        for (int c = 0; c < channels.size(); c++) {
            if (isTaken(c)) {
                channels.get(c).add(together, c, channels.size(), got);
            }
        }
    }

    private boolean isTaken(int one) {
        return channel < 0 || channel == one;
    }

    /** Reads the bytes of frames, and answers of how many; none at the end of a file that did not say where that is. */
    private int frames(int wanted) throws IOException {
        int got = audio.readNBytes(buffer, 0, wanted * format.getFrameSize()) / format.getFrameSize();
        if (got == 0 && openEnded) {
            openEnded = false;
            frames = read;
            return 0;
        }
        if (got == 0) {
            throw new UnreadableSoundException("The file is cut short: its header promises %.2f s, it holds %.2f s"
                    .formatted(seconds(), read / sampleRate()));
        }
        read += got;
        if (openEnded && read / sampleRate() > WavFile.LONGEST_SECONDS) {
            throw new UnreadableSoundException("The recording lasts more than %.0f s, which is the most that is taken"
                    .formatted(WavFile.LONGEST_SECONDS));
        }
        return got;
    }

    /** Samples of one channel, in room for those that are there and for more where there are. */
    private static final class Growing {
        private float[] samples;
        private int count;

        Growing(int room) {
            samples = new float[room];
        }

        /** Makes room for so many more, and answers where they begin. */
        int more(int number) {
            int at = count;
            count += number;
            if (count > samples.length) {
                samples = Arrays.copyOf(samples, Math.max(count, 2 * samples.length));
            }
            return at;
        }

        void add(float[] from, int first, int step, int number) {
            int at = more(number);
            for (int i = 0; i < number; i++) {
                samples[at + i] = from[first + i * step];
            }
        }

        float[] samples() {
            return count == samples.length ? samples : Arrays.copyOf(samples, count);
        }
    }

    private static Sound livelier(List<Sound> channels) {
        return life(channels.get(1)) > life(channels.get(0)) ? channels.get(1) : channels.get(0);
    }

    /** Energy of the differences, so that a constant offset does not count as life. */
    private static double life(Sound channel) {
        float[] samples = channel.samples();
        double energy = 0;
        for (int i = 1; i < samples.length; i++) {
            double step = samples[i] - samples[i - 1];
            energy += step * step;
        }
        return energy;
    }

    @Override
    public void close() {
        try {
            audio.close();
        } catch (IOException e) {
            throw new UnreadableSoundException("The file could not be closed");
        }
    }
}
