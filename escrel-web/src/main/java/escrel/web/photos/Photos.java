package escrel.web.photos;

import escrel.web.storage.PhotoMapper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Takes pictures in. Each is decoded and written anew as JPEG: turned upright by its own mark, scaled to a bench-side
 * size, and without any data about place or device. A large one shows its small copy at once and is scaled in the
 * background; its full size is kept too, without that data.
 */
@Component
public class Photos implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Photos.class);
    private static final int LONGEST_SIDE = 2400;
    private static final int SMALL_SIDE = 360;
    private static final long MOST_PIXELS = 120_000_000;
    private static final long SCALED_AT_ONCE = 4_000_000;

    private final PhotoMapper mapper;
    private final ExecutorService background = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "photos");
        thread.setDaemon(true);
        return thread;
    });

    Photos(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    /** Keeps a picture for a job and returns its number there. */
    @Transactional
    public int keep(int job, byte[] file) {
        long pixels = requirePicture(file);
        int number = mapper.nextNumber(job);
        byte[] small = scaled(file, SMALL_SIDE);
        if (pixels <= SCALED_AT_ONCE) {
            mapper.insert(job, number, "image/jpeg", scaled(file, LONGEST_SIDE), small);
        } else {
            mapper.insert(job, number, "image/jpeg", small, small);
            mapper.awaitScaling(job, number, file);
            afterCommit(() -> scale(job, number));
        }
        return number;
    }

    private void afterCommit(Runnable work) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                background.execute(work);
            }
        });
    }

    /** Goes on with what was interrupted. */
    @EventListener(ApplicationReadyEvent.class)
    void goOn() {
        mapper.waiting().forEach(w -> background.execute(() -> scale(w.job(), w.number())));
    }

    private void scale(int job, int number) {
        try {
            mapper.raw(job, number)
                    .ifPresent(raw ->
                            mapper.scaled(job, number, scaled(raw, LONGEST_SIDE), scaled(raw, Integer.MAX_VALUE)));
        } catch (RuntimeException e) {
            LOG.warn("photo {} of job {} could not be scaled; its small copy stays", number, job, e);
        }
    }

    /** Waits until every picture taken in so far has been scaled; for whatever gives pictures away. */
    public void finishScaling() {
        try {
            background.submit(() -> {}).get(1, TimeUnit.MINUTES);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            // the small copies stand in, as they do on the page
            LOG.warn("pictures are still being scaled", e);
        }
    }

    /** What there is of a photo in full size. */
    public enum Full {
        /** The picture shown is the full size. */
        SAME,
        BEING_MADE,
        THERE
    }

    /** Whether a photo can be had in full size. */
    public Full full(int job, int number) {
        if (mapper.findFull(job, number).isPresent()) {
            return Full.THERE;
        }
        return mapper.raw(job, number).isPresent() ? Full.BEING_MADE : Full.SAME;
    }

    /** Height of a photo over its width. */
    public double heightToWidth(int job, int number) {
        byte[] bytes = mapper.find(job, number)
                .orElseThrow(() -> new UnreadablePhotoException("There is no photo " + number))
                .bytes();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            ImageReader reader = ImageIO.getImageReaders(in).next();
            reader.setInput(in);
            double ratio = (double) reader.getHeight(0) / reader.getWidth(0);
            reader.dispose();
            return ratio;
        } catch (IOException e) {
            throw new UnreadablePhotoException("The picture is damaged and could not be read to its end");
        }
    }

    /** Keeps a picture as it comes out of a dossier: already ours, so not encoded again. */
    @Transactional
    public void keepAsIs(int job, int number, String mediaType, byte[] picture) {
        requirePicture(picture);
        mapper.insert(job, number, mediaType, picture, scaled(picture, SMALL_SIDE));
    }

    /** A picture as it is kept for a sheet: upright, without data about place and device. */
    public static byte[] clean(byte[] file) {
        requirePicture(file);
        return scaled(file, LONGEST_SIDE);
    }

    @Override
    public void close() {
        background.shutdown();
    }

    private static long requirePicture(byte[] file) {
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
            return pixels;
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
