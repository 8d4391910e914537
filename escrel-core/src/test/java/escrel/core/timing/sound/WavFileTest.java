package escrel.core.timing.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WavFileTest {
    /** A WAV of a ramp, by hand, in the kind given; tag 1 is PCM, 3 is float. */
    private static byte[] wav(int tag, int bits, int channels, double[] samples) {
        int bytes = bits / 8;
        ByteBuffer out =
                ByteBuffer.allocate(44 + samples.length * channels * bytes).order(ByteOrder.LITTLE_ENDIAN);
        out.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(out.capacity() - 8);
        out.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        out.putShort((short) tag).putShort((short) channels).putInt(44_100);
        out.putInt(44_100 * channels * bytes)
                .putShort((short) (channels * bytes))
                .putShort((short) bits);
        out.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(samples.length * channels * bytes);
        for (double s : samples) {
            for (int c = 0; c < channels; c++) {
                // the first of two channels is dead
                sample(out, tag, bits, channels == 2 && c == 0 ? 0 : s);
            }
        }
        return out.array();
    }

    private static void sample(ByteBuffer out, int tag, int bits, double s) {
        if (tag == 3) {
            out.putFloat((float) s);
        } else if (bits == 8) {
            out.put((byte) (Math.round(s * 127) + 128));
        } else if (bits == 16) {
            out.putShort((short) Math.round(s * 32_767));
        } else if (bits == 32) {
            out.putInt((int) Math.round(s * 2_147_483_647.0));
        } else {
            int v = (int) Math.round(s * 8_388_607);
            out.put((byte) v).put((byte) (v >> 8)).put((byte) (v >> 16));
        }
    }

    private static final double[] RAMP = {-1, -0.5, 0, 0.25, 0.5, 0.75};

    @ParameterizedTest
    @CsvSource({
        "1, 8, 1, 0.02",
        "1, 16, 1, 1e-4",
        "1, 24, 1, 1e-6",
        "1, 32, 1, 1e-7",
        "3, 32, 1, 1e-7",
        "1, 16, 2, 1e-4",
        "1, 24, 2, 1e-6"
    })
    void everyKindIsRead(int tag, int bits, int channels, double tolerance) {
        Sound sound = WavFile.read(new ByteArrayInputStream(wav(tag, bits, channels, RAMP)));

        assertThat(sound.sampleRate()).isEqualTo(44_100);
        assertThat(sound.samples()).hasSize(RAMP.length);
        for (int i = 0; i < RAMP.length; i++) {
            assertThat((double) sound.samples()[i]).isCloseTo(RAMP[i], within(tolerance)); // one step of the kind
        }
    }

    @Test
    void fileOfAnotherByteOrderIsReadAlike() {
        // 24 bits, high byte first, in the plainest container that has that order: four-byte words, magic, offset,
        // length,
        // encoding 4 (24-bit linear), rate, channels
        ByteBuffer out = ByteBuffer.allocate(24 + 3 * RAMP.length).order(ByteOrder.BIG_ENDIAN);
        out.putInt(0x2e736e64)
                .putInt(24)
                .putInt(3 * RAMP.length)
                .putInt(4)
                .putInt(44_100)
                .putInt(1);
        for (double s : RAMP) {
            int v = (int) Math.round(s * 8_388_607);
            out.put((byte) (v >> 16)).put((byte) (v >> 8)).put((byte) v);
        }

        Sound sound = WavFile.read(new ByteArrayInputStream(out.array()));

        assertThat(sound.samples()).hasSize(RAMP.length);
        for (int i = 0; i < RAMP.length; i++) {
            assertThat((double) sound.samples()[i]).isCloseTo(RAMP[i], within(1e-6));
        }
    }

    @Test
    void whatIsNoNumberIsSilence() {
        Sound sound = WavFile.read(new ByteArrayInputStream(
                wav(3, 32, 1, new double[] {0.5, Double.NaN, Double.POSITIVE_INFINITY, -0.5})));

        assertThat(sound.samples()).containsExactly(0.5f, 0, 0, -0.5f);
    }

    @Test
    void fileCutShortIsNamedWithBothLengths() {
        byte[] whole = wav(1, 16, 1, new double[44_100]);

        assertThatThrownBy(() -> WavFile.read(new ByteArrayInputStream(Arrays.copyOf(whole, 20_044))))
                .isInstanceOf(UnreadableSoundException.class)
                .hasMessageContaining("1.00 s")
                .hasMessageContaining("0.2");
    }

    @Test
    void textIsNoSound() {
        assertThatThrownBy(() -> WavFile.read(new ByteArrayInputStream("not a sound".getBytes(StandardCharsets.UTF_8))))
                .isInstanceOf(UnreadableSoundException.class)
                .hasMessageContaining("not a WAV");
    }

    @Test
    void emptyFileIsNoSound() {
        assertThatThrownBy(() -> WavFile.read(new ByteArrayInputStream(new byte[0])))
                .isInstanceOf(UnreadableSoundException.class);
    }

    @Test
    void writtenSoundIsReadBackTheSame() throws IOException {
        Sound sound = Sounds.noise(1, 5);
        ByteArrayOutputStream out = new ByteArrayOutputStream();

        WavFile.write(sound, out);
        Sound back = WavFile.read(new ByteArrayInputStream(out.toByteArray()));

        for (int i = 0; i < sound.samples().length; i += 97) {
            assertThat(back.samples()[i]).isCloseTo(sound.samples()[i], within(1e-4f));
        }
    }

    /** Nothing but a header: what it promises must neither be believed nor set aside room for. */
    @ParameterizedTest
    @CsvSource({"3600, at most 1800 s", "1799, it holds 0.00 s"})
    void headerThatPromisesALongRecordingOverNothingIsRefused(int seconds, String words) {
        byte[] header = Arrays.copyOf(wav(1, 16, 1, new double[0]), 44);
        ByteBuffer.wrap(header).order(ByteOrder.LITTLE_ENDIAN).putInt(40, seconds * 44_100 * 2);

        assertThatThrownBy(() -> WavFile.read(new ByteArrayInputStream(header)))
                .isInstanceOf(UnreadableSoundException.class)
                .hasMessageContaining(words);
    }

    @Test
    void stretchAfterStretchGivesTheWholeFromTheLiveChannel() {
        double[] ramp = new double[44_100];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = i / 50_000.0;
        }
        WavStream stream = WavStream.open(new ByteArrayInputStream(wav(1, 16, 2, ramp)));
        int at = 0;
        while (!stream.isAtEnd()) {
            for (float sample : stream.next(0.3).samples()) {
                assertThat((double) sample).isCloseTo(ramp[at++], within(1e-4));
            }
        }
        assertThat(at).isEqualTo(ramp.length);
    }

    /** As a recorder leaves it that was cut off, or that wrote into a pipe. */
    @ParameterizedTest
    @ValueSource(ints = {0, -1, Integer.MAX_VALUE})
    void sizesNeverFilledInAreThoseOfTheFile(int unknown) {
        byte[] file = wav(1, 16, 2, RAMP);
        ByteBuffer bytes = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
        bytes.putInt(4, unknown);
        bytes.putInt(40, unknown);

        Sound whole = WavFile.read(new ByteArrayInputStream(wav(1, 16, 2, RAMP)));
        WavStream stream = WavStream.open(new ByteArrayInputStream(file));

        assertThat(stream.isOpenEnded()).isTrue();
        assertThat(stream.next(60).samples()).isEqualTo(whole.samples());
        assertThat(stream.isAtEnd()).isTrue();
        assertThat(stream.seconds()).isEqualTo(whole.seconds());
    }

    @Test
    void oneWithoutAnEndIsRefusedInWords() {
        byte[] header = java.util.Arrays.copyOf(wav(1, 16, 1, RAMP), 44);
        ByteBuffer.wrap(header).order(ByteOrder.LITTLE_ENDIAN).putInt(40, -1);
        java.io.InputStream endless =
                new java.io.SequenceInputStream(new ByteArrayInputStream(header), new java.io.InputStream() {
                    @Override
                    public int read() {
                        return 1;
                    }
                });

        WavStream stream = WavStream.open(endless);

        assertThatThrownBy(() -> {
                    while (!stream.isAtEnd()) {
                        stream.next(60);
                    }
                })
                .isInstanceOf(UnreadableSoundException.class)
                .hasMessageContaining("more than 1800 s");
    }

    /** A stream need not know how much is there, and a very large one says less than it holds or more. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, Integer.MAX_VALUE})
    void whatAStreamSaysIsThereChangesNothing(int said) {
        double[] wave = new double[50_000];
        for (int i = 0; i < wave.length; i++) {
            wave[i] = Math.sin(i * 0.01) / 2;
        }
        for (int channels = 1; channels <= 2; channels++) {
            byte[] file = wav(1, 16, channels, wave);
            Sound plain = WavFile.read(new ByteArrayInputStream(file));
            Sound read = WavFile.read(new ByteArrayInputStream(file) {
                @Override
                public synchronized int available() {
                    return said;
                }
            });

            assertThat(read.samples()).hasSize(wave.length).isEqualTo(plain.samples());
            assertThat(read.samples()[157]).isCloseTo((float) wave[157], within(1e-4f));
        }
    }
}
