package escrel.core.timing.sound;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.util.Optional;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;

/** The forms in which a file may hold its samples, each taking many at once: what is read costs less than what is heard. */
enum SampleForm {
    UNSIGNED_8(8) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            for (int i = 0; i < count; i++) {
                into[at + i] = ((bytes.get(i) & 0xff) - 128) / 128f;
            }
        }
    },
    SIGNED_8(8) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            for (int i = 0; i < count; i++) {
                into[at + i] = bytes.get(i) / 128f;
            }
        }
    },
    SIGNED_16(16) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            ShortBuffer left = bytes.asShortBuffer();
            short[] some = new short[Math.min(count, FEW)];
            for (int done = 0; done < count; done += some.length) {
                int now = Math.min(some.length, count - done);
                left.get(some, 0, now);
                for (int i = 0; i < now; i++) {
                    into[at + done + i] = some[i] * (1 / 32_768f);
                }
            }
        }
    },
    SIGNED_24(24) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            boolean lowFirst = bytes.order() == ByteOrder.LITTLE_ENDIAN;
            for (int i = 0; i < count; i++) {
                int low = bytes.get(3 * i + (lowFirst ? 0 : 2)) & 0xff;
                int middle = bytes.get(3 * i + 1) & 0xff;
                int high = bytes.get(3 * i + (lowFirst ? 2 : 0));
                into[at + i] = (high << 16 | middle << 8 | low) * (1 / 8_388_608f);
            }
        }
    },
    SIGNED_32(32) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            int[] samples = new int[count];
            bytes.asIntBuffer().get(samples);
            for (int i = 0; i < count; i++) {
                into[at + i] = samples[i] * (1 / 2_147_483_648f);
            }
        }
    },
    /** What is no number counts as silence. */
    REAL_32(32) {
        @Override
        void read(ByteBuffer bytes, float[] into, int at, int count) {
            bytes.asFloatBuffer().get(into, at, count);
            for (int i = 0; i < count; i++) {
                into[at + i] = Float.isFinite(into[at + i]) ? into[at + i] : 0;
            }
        }
    };

    // so many at a time as stay close at hand
    private static final int FEW = 2_048;

    private final int bits;

    SampleForm(int bits) {
        this.bits = bits;
    }

    /** The form of a format, empty when it is none of these. */
    static Optional<SampleForm> of(AudioFormat format) {
        Encoding encoding = format.getEncoding();
        SampleForm form = switch (format.getSampleSizeInBits()) {
            case 8 -> encoding == Encoding.PCM_UNSIGNED ? UNSIGNED_8 : SIGNED_8;
            case 16 -> SIGNED_16;
            case 24 -> SIGNED_24;
            default -> encoding == Encoding.PCM_FLOAT ? REAL_32 : SIGNED_32;
        };
        boolean known = form == REAL_32 || form == UNSIGNED_8 || encoding == Encoding.PCM_SIGNED;
        return known && form.bits == format.getSampleSizeInBits() ? Optional.of(form) : Optional.empty();
    }

    /**
     * Takes samples, full scale being -1 to 1.
     *
     * @param bytes in the order of the file
     * @param at where the first of them goes
     * @param count how many samples from its first byte on
     */
    abstract void read(ByteBuffer bytes, float[] into, int at, int count);
}
