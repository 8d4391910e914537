package escrel.core.timing.sound;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/**
 * A WAV header whose sizes were never filled in: a recorder writes them when it stops, and one that was cut off, or that writes
 * into a pipe, leaves nothing or everything there. The sound is whole all the same, and goes to the end of the file.
 *
 * @param in the file with sizes a reader can take
 * @param unfilled whether they were not filled in, so that only the end of the file tells its length
 */
record UnfilledSizes(InputStream in, boolean unfilled) {
    private static final int RIFF_HEADER = 12;
    private static final int CHUNK_HEADER = 8;
    /** Chunks before the sound are a few dozen bytes; more than this is left to the reader to refuse. */
    private static final int LONGEST_HEADER = 65_536;
    /** Anything above is longer than a sound can be, and is what "unknown" is written as. */
    private static final long UNKNOWN = 0x7FFF_FF00L;

    private static final int TAKEN = 0x7FFF_FF00;

    static UnfilledSizes of(InputStream file) throws IOException {
        byte[] header = file.readNBytes(RIFF_HEADER);
        if (!tag(header, 0, "RIFF") || !tag(header, 8, "WAVE")) {
            return new UnfilledSizes(joined(header, header.length, file), false);
        }
        byte[] all = java.util.Arrays.copyOf(header, LONGEST_HEADER);
        int length = RIFF_HEADER;
        while (length + CHUNK_HEADER <= LONGEST_HEADER) {
            int got = file.readNBytes(all, length, CHUNK_HEADER);
            if (got < CHUNK_HEADER) {
                return new UnfilledSizes(joined(all, length + got, file), false);
            }
            long size = Integer.toUnsignedLong(bytes(all).getInt(length + 4));
            boolean sound = tag(all, length, "data");
            length += CHUNK_HEADER;
            if (sound) {
                boolean unfilled = size == 0 || size >= UNKNOWN;
                if (unfilled) {
                    bytes(all).putInt(length - 4, TAKEN);
                    bytes(all).putInt(4, TAKEN + length - CHUNK_HEADER);
                }
                return new UnfilledSizes(joined(all, length, file), unfilled);
            }
            int rest = (int) Math.min(size + (size & 1), LONGEST_HEADER - length);
            length += file.readNBytes(all, length, rest);
        }
        return new UnfilledSizes(joined(all, length, file), false);
    }

    private static ByteBuffer bytes(byte[] of) {
        return ByteBuffer.wrap(of).order(ByteOrder.LITTLE_ENDIAN);
    }

    private static boolean tag(byte[] bytes, int at, String tag) {
        for (int i = 0; i < tag.length(); i++) {
            if (at + i >= bytes.length || bytes[at + i] != tag.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    private static InputStream joined(byte[] read, int length, InputStream rest) {
        return new SequenceInputStream(new ByteArrayInputStream(read, 0, length), rest);
    }
}
