package escrel.web.photos;

import escrel.web.storage.PhotoMapper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes pictures in. Each is decoded and written anew as JPEG: turned upright by its own mark, scaled to a bench-side
 * size, and without any data about place or device.
 */
@Component
public class Photos {
    private static final int LONGEST_SIDE = 2400;
    private static final int SMALL_SIDE = 360;
    private static final long MOST_PIXELS = 120_000_000;

    private final PhotoMapper mapper;

    Photos(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    /** Keeps a picture for a job and returns its number there. */
    @Transactional
    public int keep(int job, byte[] file) {
        requirePicture(file);
        int number = mapper.nextNumber(job);
        mapper.insert(job, number, "image/jpeg", scaled(file, LONGEST_SIDE), scaled(file, SMALL_SIDE));
        return number;
    }

    /** Keeps a picture as it comes out of a dossier: already ours, so not encoded again. */
    @Transactional
    public void keepAsIs(int job, int number, String mediaType, byte[] picture) {
        requirePicture(picture);
        mapper.insert(job, number, mediaType, picture, scaled(picture, SMALL_SIDE));
    }

    private static void requirePicture(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new UnreadablePhotoException("This file is no picture we can read");
            }
            ImageReader reader = readers.next();
            reader.setInput(in);
            long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
            reader.dispose();
            if (pixels > MOST_PIXELS) {
                throw new UnreadablePhotoException("The picture has " + pixels / 1_000_000 + " million pixels, at most "
                        + MOST_PIXELS / 1_000_000 + " are taken");
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof UnreadablePhotoException mine
                    ? mine
                    : new UnreadablePhotoException("This file is no picture we can read");
        }
    }

    private static byte[] scaled(byte[] file, int longest) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            BufferedImage upright = Thumbnails.of(new ByteArrayInputStream(file))
                    .scale(1)
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .asBufferedImage();
            int side = Math.min(longest, Math.max(upright.getWidth(), upright.getHeight()));
            Thumbnails.of(upright)
                    .size(side, side)
                    .outputFormat("jpg")
                    .outputQuality(0.88)
                    .toOutputStream(out);
            return out.toByteArray();
        } catch (IOException | RuntimeException e) {
            throw new UnreadablePhotoException("The picture is damaged and could not be read to its end");
        }
    }
}
