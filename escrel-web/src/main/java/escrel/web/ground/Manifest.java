package escrel.web.ground;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a backup says of itself.
 *
 * @param mediaInside whether the media are in the file; else they lie in the folder {@code media} beside it
 * @param media names of all that the database names
 */
public record Manifest(
        Instant madeAt, long position, String hash, int jobs, int steps, boolean mediaInside, List<String> media) {
    /**
     * Reads it.
     *
     * @throws GroundException when the file is no backup, or was cut off while it was made or copied
     */
    public static Manifest of(Path backup) {
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            return of(zip);
        } catch (IOException e) {
            throw refused("it is damaged, or was cut off while it was made or copied");
        }
    }

    static Manifest of(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry(Backup.MANIFEST);
        if (entry == null) {
            throw refused("it has no manifest");
        }
        try (InputStream in = zip.getInputStream(entry)) {
            JsonNode tree = new JsonMapper().readTree(in);
            if (!tree.path("format").asString("").equals(Backup.FORMAT)
                    || tree.path("version").asInt(0) != Backup.VERSION) {
                throw refused("it is of another kind or of a newer version");
            }
            return new Manifest(
                    Instant.parse(tree.path("madeAt").asString("")),
                    tree.path("position").asLong(-1),
                    tree.path("hash").asString(""),
                    tree.path("jobs").asInt(0),
                    tree.path("steps").asInt(0),
                    tree.path("mediaInside").asBoolean(false),
                    tree.path("media").valueStream().map(n -> n.asString("")).toList());
        } catch (JacksonException | DateTimeException e) {
            throw refused("its manifest cannot be read");
        }
    }

    static GroundException refused(String why) {
        return new GroundException(
                "This is no backup to go back to: " + why,
                "Nothing was changed.",
                "Take another one; ./escrel restore without a file lists those there are.");
    }
}
