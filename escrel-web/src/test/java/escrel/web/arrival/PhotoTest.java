package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.media.MediaStore;
import escrel.web.photos.Photos;
import escrel.web.storage.PhotoMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Photos are re-encoded: upright, scaled, without any data about place or device. */
class PhotoTest {
    private static final String PLACE = "Skarrow Isles 58.9N";

    /** A wide picture, left half red, carrying an Exif block with orientation 6 (turn right) and a place. */
    private static byte[] jpegWithPlace(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.RED);
        g.fillRect(0, 0, width / 2, height);
        g.dispose();
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", plain);
        byte[] exif = exif();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] jpeg = plain.toByteArray();
        out.write(jpeg, 0, 2);
        out.write(new byte[] {(byte) 0xff, (byte) 0xe1, (byte) ((exif.length + 2) >> 8), (byte) (exif.length + 2)});
        out.write(exif);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static byte[] exif() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write("Exif\0\0MM\0*\0\0\0\b\0\2".getBytes(StandardCharsets.ISO_8859_1));
        // orientation (0112), short, one value: 6
        out.write(new byte[] {1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0});
        // image description (010e), text at offset 38
        out.write(new byte[] {1, 0x0e, 0, 2, 0, 0, 0, (byte) PLACE.length(), 0, 0, 0, 38, 0, 0, 0, 0});
        out.write(PLACE.getBytes(StandardCharsets.ISO_8859_1));
        return out.toByteArray();
    }

    @Test
    void isTurnedUprightScaledAndFreedOfItsPlace() throws IOException {
        EscrelServer server = EscrelServer.demo();
        Visitor visitor = new Visitor(server.url());
        int job = visitor.openJob("Photo watch", "");
        byte[] sent = jpegWithPlace(3000, 1500);
        assertThat(new String(sent, StandardCharsets.ISO_8859_1)).contains(PLACE);

        visitor.upload(
                "/jobs/" + job + "/photos",
                Map.of("seq", visitor.sequence(job), "caption", "front"),
                "picture",
                "front.jpg",
                sent);

        // four and a half million pixels are scaled in the background
        server.bean(Photos.class).finishScaling();
        MediaStore media = server.bean(MediaStore.class);
        PhotoMapper.PhotoRow row = server.bean(PhotoMapper.class).find(job, 1).orElseThrow();
        byte[] kept = media.bytes(row.picture());
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain(PLACE, "Exif");
        assertThat(image.getHeight()).isEqualTo(2400);
        assertThat(image.getWidth()).isEqualTo(1200);
        // what was left is on top once turned right
        assertThat(new Color(image.getRGB(600, 200)).getRed()).isGreaterThan(200);
        assertThat(new Color(image.getRGB(600, 2200)).getRed()).isLessThan(50);
        byte[] whole = media.bytes(row.full().orElseThrow());
        assertThat(ImageIO.read(new ByteArrayInputStream(whole)).getHeight()).isEqualTo(3000);
        assertThat(new String(whole, StandardCharsets.ISO_8859_1)).doesNotContain(PLACE, "Exif");
        assertThat(media.names().stream()
                        .map(media::bytes)
                        .filter(b -> new String(b, StandardCharsets.ISO_8859_1).contains(PLACE)))
                .as("nothing of the place is left in the folder")
                .isEmpty();
        assertThat(visitor.get("/jobs/" + job + "/photos/1/full").statusCode()).isEqualTo(200);
        assertThat(visitor.get("/jobs/" + job + "/photos/1/small").statusCode()).isEqualTo(200);
    }
}
