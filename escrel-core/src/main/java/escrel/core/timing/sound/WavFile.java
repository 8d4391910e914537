package escrel.core.timing.sound;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Reads and writes WAV files. Of two channels the one with more life in it is taken, so a dead channel does no harm. */
public final class WavFile {
    /** Longest recording taken, in seconds. */
    public static final double LONGEST_SECONDS = 1800;

    private WavFile() {}

    /**
     * Reads a whole WAV file. What is long is better analysed stretch by stretch, from a {@link WavStream}.
     *
     * @param in from its first byte; read to the end
     * @throws UnreadableSoundException when it is no WAV, of another kind, or shorter than its header promises
     */
    public static Sound read(InputStream in) {
        try (WavStream stream = WavStream.open(in)) {
            return stream.next(LONGEST_SECONDS);
        }
    }

    /** Writes a sound as 16-bit mono WAV; samples beyond ±1 are clipped. */
    public static void write(Sound sound, OutputStream out) throws IOException {
        float[] samples = sound.samples();
        byte[] bytes = new byte[2 * samples.length];
        for (int i = 0; i < samples.length; i++) {
            int value = (int) Math.floor(Math.max(-1, Math.min(1, samples[i])) * 32_767 + 0.5);
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        AudioFormat format = new AudioFormat((float) sound.sampleRate(), 16, 1, true, false);
        try (AudioInputStream audio = new AudioInputStream(new ByteArrayInputStream(bytes), format, samples.length)) {
            AudioSystem.write(audio, AudioFileFormat.Type.WAVE, out);
        }
    }
}
