package escrel.web.phone;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;

/**
 * An address as a code for a camera.
 *
 * @param size of its side in modules, the quiet border included
 * @param path of the dark modules, as SVG path data
 */
record Qr(int size, String path) {
    static Qr of(String address) {
        try {
            // 0: as many modules as it takes
            BitMatrix matrix = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < matrix.getHeight(); y++) {
                for (int x = 0; x < matrix.getWidth(); x++) {
                    if (matrix.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new Qr(matrix.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalArgumentException("no code can be made of " + address, e);
        }
    }
}
