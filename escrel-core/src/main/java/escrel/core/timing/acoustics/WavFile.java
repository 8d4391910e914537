package escrel.core.timing.acoustics;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;

/** Reads and writes WAV files. Of two channels the one with more life in it is taken, so a dead channel does no harm. */
public final class WavFile {
    /** Longest recording taken, in seconds: memory stays bounded. */
    public static final double LONGEST_SECONDS = 1800;

    private static final double LOWEST_RATE = 22_050;
    private static final double HIGHEST_RATE = 192_000;
    private static final int SAMPLES_AT_A_TIME = 16_384;

    private WavFile() {}

    /**
     * Reads a WAV file.
     *
     * @param in from its first byte; read to the end, not closed
     * @throws UnreadableSoundException when it is no WAV, of another kind, or shorter than its header promises
     */
    public static Sound read(InputStream in) {
        try (AudioInputStream audio = AudioSystem.getAudioInputStream(new BufferedInputStream(in))) {
            AudioFormat format = audio.getFormat();
            require(format);
            long frames = audio.getFrameLength();
            if (frames / format.getSampleRate() > LONGEST_SECONDS) {
                throw new UnreadableSoundException("The recording lasts %.0f s; at most %.0f s are taken"
                        .formatted(frames / format.getSampleRate(), LONGEST_SECONDS));
            }
            return decode(audio, format, frames);
        } catch (UnsupportedAudioFileException e) {
            throw new UnreadableSoundException("This is not a WAV file we can read");
        } catch (IOException e) {
            throw new UnreadableSoundException("The file could not be read to its end");
        }
    }

    private static void require(AudioFormat format) {
        boolean pcm = format.getEncoding() == AudioFormat.Encoding.PCM_SIGNED
                || format.getEncoding() == AudioFormat.Encoding.PCM_UNSIGNED;
        boolean real = format.getEncoding() == AudioFormat.Encoding.PCM_FLOAT;
        int bits = format.getSampleSizeInBits();
        if (!(pcm && (bits == 8 || bits == 16 || bits == 24 || bits == 32)) && !(real && bits == 32)) {
            throw new UnreadableSoundException(
                    "The sound is stored as " + format.getEncoding() + " with " + bits + " bits, which is not taken");
        }
        if (format.getChannels() > 2) {
            throw new UnreadableSoundException(
                    "The sound has " + format.getChannels() + " channels, at most 2 are taken");
        }
        if (format.getSampleRate() < LOWEST_RATE || format.getSampleRate() > HIGHEST_RATE) {
            throw new UnreadableSoundException(
                    "The sample rate of %.0f Hz lies outside 22 050 to 192 000 Hz".formatted(format.getSampleRate()));
        }
    }

    private static Sound decode(AudioInputStream audio, AudioFormat format, long frames) throws IOException {
        int channels = format.getChannels();
        float[][] samples = new float[channels][Math.toIntExact(frames)];
        double[] energy = new double[channels];
        byte[] buffer = new byte[SAMPLES_AT_A_TIME * format.getFrameSize()];
        int frame = 0;
        while (frame < frames) {
            int bytes = audio.readNBytes(buffer, 0, buffer.length);
            int got = bytes / format.getFrameSize();
            if (got == 0) {
                throw new UnreadableSoundException("The file is cut short: its header promises %.2f s, it holds %.2f s"
                        .formatted(frames / format.getSampleRate(), frame / format.getSampleRate()));
            }
            ByteBuffer bytesRead = ByteBuffer.wrap(buffer)
                    .order(format.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
            for (int i = 0; i < got && frame < frames; i++, frame++) {
                for (int c = 0; c < channels; c++) {
                    float value = sample(bytesRead, format);
                    samples[c][frame] = Float.isFinite(value) ? value : 0;
                    if (frame > 0) {
                        // differences, so that a constant offset does not count as life
                        double step = samples[c][frame] - samples[c][frame - 1];
                        energy[c] += step * step;
                    }
                }
            }
        }
        int best = channels == 2 && energy[1] > energy[0] ? 1 : 0;
        return new Sound(samples[best], format.getSampleRate());
    }

    private static float sample(ByteBuffer bytes, AudioFormat format) {
        switch (format.getSampleSizeInBits()) {
            case 8:
                byte raw = bytes.get();
                return format.getEncoding() == AudioFormat.Encoding.PCM_UNSIGNED
                        ? ((raw & 0xff) - 128) / 128f
                        : raw / 128f;
            case 16:
                return bytes.getShort() / 32_768f;
            case 24:
                int low = bytes.get() & 0xff;
                int middle = bytes.get() & 0xff;
                int high = bytes.get();
                return (high << 16 | middle << 8 | low) / 8_388_608f;
            default:
                return format.getEncoding() == AudioFormat.Encoding.PCM_FLOAT
                        ? bytes.getFloat()
                        : bytes.getInt() / 2_147_483_648f;
        }
    }

    /** Writes a sound as 16-bit mono WAV; samples beyond ±1 are clipped. */
    public static void write(Sound sound, OutputStream out) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(sound.samples().length * 2).order(ByteOrder.LITTLE_ENDIAN);
        for (float sample : sound.samples()) {
            bytes.putShort((short) Math.round(Math.max(-1, Math.min(1, sample)) * 32_767));
        }
        AudioFormat format = new AudioFormat((float) sound.sampleRate(), 16, 1, true, false);
        try (AudioInputStream audio =
                new AudioInputStream(new ByteArrayInputStream(bytes.array()), format, sound.samples().length)) {
            AudioSystem.write(audio, AudioFileFormat.Type.WAVE, out);
        }
    }
}
