package escrel.web.photos;

import escrel.web.media.MediaStore;
import escrel.web.storage.AfterTransaction;
import escrel.web.storage.MediaMapper;
import escrel.web.storage.Numbers;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.PhotoMapper.PhotoRow;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

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
    private static final long SCALED_AT_ONCE = 4_000_000;
    private static final String JPEG = "image/jpeg";

    private final PhotoMapper mapper;
    private final MediaMapper inUse;
    private final MediaStore media;
    private final Numbers numbers;
    private final TransactionTemplate transaction;
    private final ExecutorService background = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "photos");
        thread.setDaemon(true);
        return thread;
    });

    Photos(PhotoMapper mapper, MediaMapper inUse, MediaStore media, Numbers numbers, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.inUse = inUse;
        this.media = media;
        this.numbers = numbers;
        this.transaction = transaction;
    }

    /** Keeps a picture for a job and returns its number there. */
    @Transactional
    public int keep(int job, InputStream file) {
        Path arrived = arrived(file);
        try {
            long pixels = Pictures.sizeOf(arrived).pixels();
            String small = scaled(arrived, SMALL_SIDE);
            int number = numbers.next(Numbers.photo(job));
            if (pixels <= SCALED_AT_ONCE) {
                mapper.insert(job, new PhotoRow(number, JPEG, scaled(arrived, LONGEST_SIDE), small, null, false));
            } else {
                String raw = media.keepArrived(arrived);
                mapper.insert(job, new PhotoRow(number, JPEG, small, small, raw, true));
                AfterTransaction.ifCommitted(() -> background.execute(() -> scale(job, number)));
            }
            return number;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            delete(arrived);
        }
    }

    /** Keeps a picture for a job and returns its number there. */
    @Transactional
    public int keep(int job, byte[] file) {
        return keep(job, new ByteArrayInputStream(file));
    }

    private Path arrived(InputStream file) {
        try {
            Path arrived = media.arriving();
            Files.copy(file, arrived, StandardCopyOption.REPLACE_EXISTING);
            return arrived;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} is left over; the next clean-up takes it", file);
        }
    }

    /** Goes on with what was interrupted. */
    @EventListener(ApplicationReadyEvent.class)
    void goOn() {
        mapper.waiting().forEach(w -> background.execute(() -> scale(w.job(), w.number())));
    }

    private void scale(int job, int number) {
        Optional<PhotoRow> row = mapper.find(job, number).filter(PhotoRow::scaling);
        if (row.isEmpty()) {
            return;
        }
        String raw = String.valueOf(row.get().fullPicture());
        String picture = row.get().picture();
        String full = null;
        try {
            picture = scaled(media.path(raw), LONGEST_SIDE);
            full = scaled(media.path(raw), Integer.MAX_VALUE / 4);
        } catch (UnreadablePhotoException | UncheckedIOException e) {
            // tried once: what cannot be read now cannot be read at the next start either
            LOG.warn("photo {} of job {} could not be scaled; its small copy stays", number, job, e);
        }
        String kept = picture;
        String whole = full;
        transaction.executeWithoutResult(t -> mapper.scaled(job, number, kept, whole));
        forget(raw);
    }

    /** What came with place and device in it does not stay. */
    private void forget(String raw) {
        if (!inUse.isPicture(raw)) {
            delete(media.path(raw));
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
        return mapper.find(job, number)
                .map(p -> p.scaling() ? Full.BEING_MADE : p.full().isPresent() ? Full.THERE : Full.SAME)
                .orElse(Full.SAME);
    }

    /** Height of a photo over its width. */
    public double heightToWidth(int job, int number) {
        PhotoRow row =
                mapper.find(job, number).orElseThrow(() -> new UnreadablePhotoException("There is no photo " + number));
        Pictures.Size size = Pictures.sizeOf(media.path(row.picture()));
        return (double) size.height() / size.width();
    }

    /**
     * Keeps a photo as it comes out of a dossier, under its own number. What holds nothing but its picture stays as it is;
     * anything else is written anew.
     *
     * @param full the full size, when there is one
     */
    @Transactional
    public void keepAsIs(int job, int number, Path picture, Optional<Path> full) {
        numbers.taken(Numbers.photo(job), number);
        String kept = plain(picture);
        mapper.insert(
                job,
                new PhotoRow(
                        number,
                        typeOf(kept),
                        kept,
                        scaled(picture, SMALL_SIDE),
                        full.map(this::plain).orElse(null),
                        false));
    }

    /** A picture as it is kept for a sheet or out of a file: upright, without data about place and device; its name. */
    public String plain(Path file) {
        Pictures.sizeOf(file);
        try (InputStream in = Files.newInputStream(file)) {
            if (PlainPicture.is(new java.io.BufferedInputStream(in))) {
                // decoded once, so that nothing is kept that no page can show
                scaled(file, SMALL_SIDE);
                try (InputStream again = Files.newInputStream(file)) {
                    return media.keep(again);
                }
            }
            return scaled(file, Integer.MAX_VALUE / 4);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Kind of a kept picture. */
    public String typeOf(String name) {
        try (InputStream in = media.open(name)) {
            return in.read() == 0x89 ? "image/png" : JPEG;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String scaled(Path file, int longest) {
        try {
            Path made = media.arriving();
            try {
                Pictures.write(file, longest, made);
                return media.keepArrived(made);
            } finally {
                Files.deleteIfExists(made);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        background.shutdown();
    }
}
