package escrel.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A file that holds its picture and nothing else is told from one that holds more. */
class PlainPictureTest {
    private static byte[] picture(String format) throws IOException {
        BufferedImage image = new BufferedImage(70, 50, BufferedImage.TYPE_INT_RGB);
        image.setRGB(3, 3, 0xffcc00);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private static boolean plain(byte[] file) throws IOException {
        return PlainPicture.is(new ByteArrayInputStream(file));
    }

    /** Puts bytes into a file at a place. */
    private static byte[] with(byte[] file, int at, byte[] more) {
        byte[] out = Arrays.copyOf(file, file.length + more.length);
        System.arraycopy(file, at, out, at + more.length, file.length - at);
        System.arraycopy(more, 0, out, at, more.length);
        return out;
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png"})
    void bareOneIsPlainAndOneWithSomethingBehindItIsNot(String format) throws IOException {
        byte[] bare = picture(format);
        assertThat(plain(bare)).isTrue();
        assertThat(plain(with(bare, bare.length, bytes("GPS")))).isFalse();
        assertThat(plain(Arrays.copyOf(bare, bare.length - 3))).isFalse();
        assertThat(plain(new byte[] {1, 2})).isFalse();
    }

    @ParameterizedTest
    @ValueSource(ints = {0xe1, 0xe2, 0xed, 0xee, 0xfe})
    void jpegWithAnySegmentBesideItsPictureIsNotPlain(int marker) throws IOException {
        byte[] segment = bytes("\u00ff" + (char) marker + "\u0000\u0009Exif\u0000x!");
        byte[] file = with(picture("jpg"), 2, Arrays.copyOf(segment, 11));

        assertThat(plain(file)).isFalse();
    }

    @Test
    void pngWithATextIsNotPlain() throws IOException {
        byte[] chunk = bytes("\u0000\u0000\u0000\u0004tEXtka\u0000bCRC!");
        // behind the header: eight bytes of signature, twenty-five of the first chunk
        assertThat(plain(with(picture("png"), 33, chunk))).isFalse();
    }
}
