package escrel.web.photos;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Whether a JPEG or PNG file holds its picture and nothing else: no data about place, device or author, no texts, nothing
 * after its end. Source: ITU-T T.81, annex B; W3C PNG, 2nd edition, chapters 5 and 11.
 */
final class PlainPicture {
    private static final int PNG_BEGIN = 0x89504e47;
    private static final Set<String> PNG_CHUNKS =
            Set.of("IHDR", "PLTE", "IDAT", "IEND", "tRNS", "gAMA", "sRGB", "cHRM", "pHYs", "sBIT", "bKGD");

    private PlainPicture() {}

    static boolean is(InputStream file) throws IOException {
        DataInputStream in = new DataInputStream(file);
        try {
            int begin = in.readInt();
            if (begin == PNG_BEGIN) {
                return png(in);
            }
            return begin >>> 16 == 0xffd8 && (begin >> 8 & 0xff) == 0xff && jpeg(in, begin & 0xff);
        } catch (EOFException e) {
            return false;
        }
    }

    private static boolean png(DataInputStream in) throws IOException {
        in.skipNBytes(4);
        while (true) {
            int length = in.readInt();
            byte[] name = new byte[4];
            in.readFully(name);
            String kind = new String(name, StandardCharsets.ISO_8859_1);
            if (length < 0 || !PNG_CHUNKS.contains(kind)) {
                return false;
            }
            in.skipNBytes(length + 4L);
            if (kind.equals("IEND")) {
                return in.read() < 0;
            }
        }
    }

    private static boolean jpeg(DataInputStream in, int first) throws IOException {
        int marker = first;
        while (true) {
            boolean application = marker > 0xe0 && marker <= 0xef;
            boolean comment = marker == 0xfe;
            if (application || comment) {
                return false;
            }
            in.skipNBytes(in.readUnsignedShort() - 2L);
            if (marker == 0xda) {
                marker = afterScan(in);
                if (marker == 0xd9) {
                    return in.read() < 0;
                }
            } else {
                marker = next(in);
            }
        }
    }

    private static int next(DataInputStream in) throws IOException {
        if (in.readUnsignedByte() != 0xff) {
            return 0xfe;
        }
        int marker = in.readUnsignedByte();
        while (marker == 0xff) {
            marker = in.readUnsignedByte();
        }
        return marker;
    }

    /** The marker that ends the coded data; restarts and stuffed bytes belong to it. */
    private static int afterScan(DataInputStream in) throws IOException {
        while (true) {
            if (in.readUnsignedByte() == 0xff) {
                int marker = in.readUnsignedByte();
                boolean inside = marker == 0 || marker >= 0xd0 && marker <= 0xd7;
                if (!inside) {
                    return marker;
                }
            }
        }
    }
}
