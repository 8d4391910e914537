package escrel.web.photos;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Which way up a JPEG was taken, by its own mark, wherever among its segments that stands. The JDK's reader of metadata
 * refuses files whose first segment is not the one it expects, as many a camera's is. Source: CIPA DC-008 (Exif 2.32), 4.5
 * and 4.6.4, tag 0x0112.
 */
final class Upright {
    private static final int ORIENTATION = 0x0112;
    private static final byte[] EXIF = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
    private static final int AS_IT_IS = 1;

    private Upright() {}

    /** 1 to 8 as the mark says; 1 where there is none or it cannot be read. */
    static int orientationOf(Path file) {
        try (DataInputStream in = new DataInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            if (in.readUnsignedShort() != 0xffd8) {
                return AS_IT_IS;
            }
            while (in.readUnsignedByte() == 0xff) {
                int marker = in.readUnsignedByte();
                if (marker == 0xda || marker == 0xd9) {
                    return AS_IT_IS;
                }
                byte[] segment = new byte[Math.max(0, in.readUnsignedShort() - 2)];
                in.readFully(segment);
                if (marker == 0xe1 && begins(segment)) {
                    return orientation(ByteBuffer.wrap(segment, EXIF.length, segment.length - EXIF.length)
                            .slice());
                }
            }
            return AS_IT_IS;
        } catch (IOException | IndexOutOfBoundsException e) {
            // data beside the picture may be damaged while the picture is whole
            return AS_IT_IS;
        }
    }

    private static boolean begins(byte[] segment) {
        return segment.length > EXIF.length
                && ByteBuffer.wrap(segment, 0, EXIF.length).equals(ByteBuffer.wrap(EXIF));
    }

    private static int orientation(ByteBuffer tiff) {
        tiff.order(tiff.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = tiff.getInt(4);
        int entries = tiff.getShort(directory) & 0xffff;
        for (int i = 0; i < entries; i++) {
            int at = directory + 2 + 12 * i;
            if ((tiff.getShort(at) & 0xffff) == ORIENTATION) {
                int value = tiff.getShort(at + 8);
                return value >= 1 && value <= 8 ? value : AS_IT_IS;
            }
        }
        return AS_IT_IS;
    }
}
