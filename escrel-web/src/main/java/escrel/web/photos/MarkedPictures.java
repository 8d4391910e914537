package escrel.web.photos;

import escrel.core.service.PhotoMarked.Arrow;
import escrel.web.media.MediaStore;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.PhotoMapper.PhotoRow;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Small copies of photos with their arrows drawn into them, for paper. Made when they are asked for; nothing is kept. */
@Component
public class MarkedPictures {
    private static final Color SHAFT = new Color(0xd2452a);
    private static final Color EDGE = Color.WHITE;

    private final PhotoMapper photos;
    private final MediaStore media;

    MarkedPictures(PhotoMapper photos, MediaStore media) {
        this.photos = photos;
        this.media = media;
    }

    /** A JPEG of the small copy with these arrows; nothing when the photo is gone. */
    public Optional<byte[]> small(int job, int photo, List<Arrow> arrows) {
        Optional<byte[]> bytes = photos.find(job, photo).map(PhotoRow::small).map(media::bytes);
        return arrows.isEmpty() ? bytes : bytes.map(b -> drawn(b, arrows));
    }

    private static byte[] drawn(byte[] picture, List<Arrow> arrows) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture));
            Graphics2D pen = image.createGraphics();
            pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            float width = Math.max(2, image.getWidth() / 90f);
            for (Arrow arrow : arrows) {
                Path2D line = path(arrow, image.getWidth(), image.getHeight(), 5 * width);
                pen.setColor(EDGE);
                pen.setStroke(new BasicStroke(width * 2.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
                pen.draw(line);
                pen.setColor(SHAFT);
                pen.setStroke(new BasicStroke(width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
                pen.draw(line);
            }
            pen.dispose();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "jpeg", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path2D path(Arrow arrow, int width, int height, float head) {
        double x = arrow.x() * width;
        double y = arrow.y() * height;
        double toX = arrow.toX() * width;
        double toY = arrow.toY() * height;
        double angle = Math.atan2(toY - y, toX - x);
        Path2D path = new Path2D.Double();
        path.moveTo(x, y);
        path.lineTo(toX, toY);
        for (double side : new double[] {-0.5, 0.5}) {
            path.moveTo(toX, toY);
            path.lineTo(toX - head * Math.cos(angle + side), toY - head * Math.sin(angle + side));
        }
        return path;
    }
}
