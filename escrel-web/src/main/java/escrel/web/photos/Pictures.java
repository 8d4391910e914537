package escrel.web.photos;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.locks.ReentrantLock;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.filters.ImageFilter;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.jspecify.annotations.Nullable;

/**
 * Reads pictures and writes them anew as JPEG: upright, scaled, with nothing of place, device or words in them. How much
 * memory a picture may take is settled by its pixels before any is taken: larger ones are read with pixels left out. One
 * is decoded at a time, however many ask.
 */
final class Pictures {
    /** Most pixels of a file that is taken. */
    static final long MOST_PIXELS = 120_000_000;

    private static final long MOST_DECODED = 26_000_000;
    // turned, or with another form of pixels, a picture is in memory twice
    private static final long MOST_DECODED_TWICE = 15_000_000;
    private static final float QUALITY = 0.88f;
    private static final Set<String> KINDS = Set.of("jpeg", "png");
    private static final ReentrantLock ONE_AT_A_TIME = new ReentrantLock(true);

    private Pictures() {}

    /** What a file says of its picture before it is decoded. */
    record Size(int width, int height) {
        long pixels() {
            return (long) width * height;
        }
    }

    /** Size of the picture in a file. */
    static Size sizeOf(Path file) {
        return reading(file, (reader, in) -> {
            Size size = new Size(reader.getWidth(0), reader.getHeight(0));
            if (size.pixels() > MOST_PIXELS) {
                throw new UnreadablePhotoException("The picture has " + size.pixels() / 1_000_000
                        + " million pixels, at most " + MOST_PIXELS / 1_000_000 + " are taken");
            }
            return size;
        });
    }

    /**
     * Writes the picture anew.
     *
     * @param longest longest side in pixels
     * @param to is overwritten
     */
    static void write(Path file, int longest, Path to) {
        sizeOf(file);
        ONE_AT_A_TIME.lock();
        try {
            encode(upright(file, longest), longest, to);
        } catch (OutOfMemoryError e) {
            throw new UnreadablePhotoException("The picture needs more memory than Escrel has just now");
        } finally {
            ONE_AT_A_TIME.unlock();
        }
    }

    private static BufferedImage upright(Path file, int longest) {
        return reading(file, (reader, in) -> {
            int orientation = Upright.orientationOf(file);
            boolean jpeg = reader.getFormatName().toLowerCase(Locale.ROOT).equals("jpeg");
            long most = jpeg && orientation == 1 ? MOST_DECODED : MOST_DECODED_TWICE;
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            int step = (int) Math.max(
                    Math.ceil(Math.sqrt((double) width * height / most)),
                    Math.max(1, Math.max(width, height) / (2.0 * longest)));
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(step, step, 0, 0);
            BufferedImage image = plain(reader.read(0, param));
            ImageFilter turn = ExifFilterUtils.getFilterForOrientation(Orientation.typeOf(orientation));
            return orientation == 1 ? image : turn.apply(image);
        });
    }

    /** Without what shines through, in colours that JPEG has. */
    private static BufferedImage plain(BufferedImage image) {
        if (image.getType() == BufferedImage.TYPE_3BYTE_BGR || image.getType() == BufferedImage.TYPE_BYTE_GRAY) {
            return image;
        }
        BufferedImage plain = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = plain.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return plain;
    }

    private static void encode(BufferedImage image, int longest, Path to) {
        try (OutputStream out = Files.newOutputStream(to);
                ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            boolean smaller = Math.max(image.getWidth(), image.getHeight()) > longest;
            BufferedImage scaled =
                    smaller ? Thumbnails.of(image).size(longest, longest).asBufferedImage() : image;
            ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(plain(scaled), null, null), param);
            writer.dispose();
        } catch (IOException e) {
            throw damaged(e);
        }
    }

    private interface Reading<T> {
        T with(ImageReader reader, ImageInputStream in) throws IOException;
    }

    private static <T> T reading(Path file, Reading<T> work) {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            ImageReader reader = readerOf(in);
            if (reader == null) {
                throw new UnreadablePhotoException("This file is no picture we can read");
            }
            try {
                reader.setInput(in);
                return work.with(reader, in);
            } finally {
                reader.dispose();
            }
        } catch (UnreadablePhotoException e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            throw damaged(e);
        }
    }

    private static @Nullable ImageReader readerOf(@Nullable ImageInputStream in) throws IOException {
        if (in == null) {
            return null;
        }
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        while (readers.hasNext()) {
            ImageReader reader = readers.next();
            if (KINDS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                return reader;
            }
        }
        return null;
    }

    private static UnreadablePhotoException damaged(Exception cause) {
        UnreadablePhotoException damaged =
                new UnreadablePhotoException("The picture is damaged and could not be read to its end");
        damaged.initCause(cause);
        return damaged;
    }
}
