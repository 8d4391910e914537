package escrel.web.dossier;

import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.media.MediaStore;
import escrel.web.photos.Photos;
import escrel.web.sound.Devices;
import escrel.web.sound.Recordings;
import escrel.web.storage.PhotoMapper;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntPredicate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** The photos and recordings of a dossier: looked through, and kept with the job. */
@Component
class DossierMedia {
    private static final int HIGHEST_NUMBER = 1_000_000;

    private final Photos photos;
    private final PhotoMapper pictures;
    private final Recordings recordings;
    private final MediaStore store;

    DossierMedia(Photos photos, PhotoMapper pictures, Recordings recordings, MediaStore store) {
        this.photos = photos;
        this.pictures = pictures;
        this.recordings = recordings;
        this.store = store;
    }

    /** Refuses a dossier that names what it does not hold, or numbers two alike. */
    void require(DossierArchive archive, List<RecordedStep> steps) {
        Set<Integer> photoNumbers = numbers(archive.tree().path("photos"), "photo");
        Set<Integer> soundNumbers = numbers(archive.tree().path("recordings"), "recording");
        for (RecordedStep entry : steps) {
            if (entry.step() instanceof PhotoAdded photo && !photoNumbers.contains(photo.photo())) {
                throw DossierArchive.refuse("Step " + entry.sequence() + " names photo " + photo.photo()
                        + ", which the dossier does not hold");
            }
            if (entry.step() instanceof ReadingTaken taken
                    && taken.reading().recording() != null
                    && !soundNumbers.contains(taken.reading().recording())) {
                throw DossierArchive.refuse("Step " + entry.sequence() + " names recording "
                        + taken.reading().recording() + ", which the dossier does not hold");
            }
        }
    }

    private static Set<Integer> numbers(JsonNode nodes, String what) {
        Set<Integer> numbers = new HashSet<>();
        for (JsonNode node : nodes) {
            int number = node.path("number").asInt(0);
            if (number < 1 || number > HIGHEST_NUMBER || !numbers.add(number)) {
                throw DossierArchive.refuse("The number of " + what + " " + number + " is none, or is there twice");
            }
        }
        return numbers;
    }

    /** Keeps all of them for a job that has none yet. */
    void keepAll(DossierArchive archive, int job) {
        keep(archive, job, n -> true, n -> true);
    }

    /** Keeps those the job has not yet. */
    void keepNew(DossierArchive archive, int job) {
        require(archive, List.of());
        Set<Integer> sounds = new HashSet<>();
        recordings.all(job).forEach(r -> sounds.add(r.number()));
        keep(archive, job, n -> pictures.find(job, n).isEmpty(), n -> !sounds.contains(n));
    }

    private void keep(DossierArchive archive, int job, IntPredicate photo, IntPredicate recording) {
        for (JsonNode node : archive.tree().path("photos")) {
            int number = node.path("number").asInt(0);
            if (photo.test(number)) {
                Path picture = archive.medium(node, "picture", "base64").orElseThrow(() -> missing("photo", number));
                boolean hasFull = node.has("full") || node.has("fullBase64");
                photos.keepAsIs(
                        job,
                        number,
                        picture,
                        hasFull ? archive.medium(node, "full", "fullBase64") : java.util.Optional.empty());
            }
        }
        for (JsonNode node : archive.tree().path("recordings")) {
            int number = node.path("number").asInt(0);
            if (recording.test(number)) {
                String medium = sound(archive, node, number);
                recordings.keepPacked(
                        job,
                        number,
                        node.path("name").asString(""),
                        medium,
                        recordings.lengthOf(medium),
                        node.path("device").asString(Devices.FILE),
                        node.path("simulated").asBoolean(false));
            }
        }
    }

    private String sound(DossierArchive archive, JsonNode node, int number) {
        Path file = archive.medium(node, "wavGzip", "wavBase64").orElseThrow(() -> missing("recording", number));
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return node.has("wavGzip") ? store.keep(in) : recordings.packed(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static escrel.core.MendableException missing(String what, int number) {
        return DossierArchive.refuse("The dossier names " + what + " " + number + ", but does not hold it");
    }
}
