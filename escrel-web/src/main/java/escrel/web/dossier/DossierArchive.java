package escrel.web.dossier;

import escrel.core.MendableException;
import escrel.web.media.MediaStore;
import java.io.Closeable;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.JacksonIOException;
import tools.jackson.databind.JsonNode;

/**
 * A dossier as it came, taken apart: its JSON, and its media as files beside the store, checked against their names and not
 * kept yet. Closing it throws away what was not kept.
 */
final class DossierArchive implements Closeable {
    static final String JSON = "dossier.json";
    static final String MEDIA = "media/";
    /** Most bytes of the JSON, and of a dossier that is one JSON file. */
    static final int LARGEST_JSON = 64 << 20;

    private static final long LARGEST_MEDIUM = 512L << 20;
    private static final int MOST_MEDIA = 20_000;

    private final JsonNode tree;
    private final Map<String, Path> media = new LinkedHashMap<>();

    private DossierArchive(JsonNode tree) {
        this.tree = tree;
    }

    JsonNode tree() {
        return tree;
    }

    /** Takes a file apart, whichever of the two forms it has. */
    static DossierArchive open(InputStream file, MediaStore store) throws IOException {
        InputStream in = file.markSupported() ? file : new java.io.BufferedInputStream(file);
        in.mark(4);
        boolean zip = in.read() == 'P' && in.read() == 'K';
        in.reset();
        return zip ? unzip(in, store) : plain(in, store);
    }

    private static DossierArchive plain(InputStream in, MediaStore store) throws IOException {
        DossierArchive archive = new DossierArchive(json(in));
        try {
            for (JsonNode photo : archive.tree.path("photos")) {
                archive.decode(photo, "base64", store);
                archive.decode(photo, "fullBase64", store);
            }
            for (JsonNode recording : archive.tree.path("recordings")) {
                archive.decode(recording, "wavBase64", store);
            }
            return archive;
        } catch (IOException | RuntimeException e) {
            archive.close();
            throw e;
        }
    }

    private void decode(JsonNode node, String field, MediaStore store) throws IOException {
        if (!node.has(field)) {
            return;
        }
        byte[] bytes;
        try {
            bytes = Base64.getDecoder().decode(node.path(field).asString(""));
        } catch (IllegalArgumentException e) {
            throw refuse("Photo or recording " + node.path("number").asInt(0) + " is damaged");
        }
        Path arrived = store.arriving();
        media.put(key(node, field), arrived);
        Files.write(arrived, bytes);
    }

    private static String key(JsonNode node, String field) {
        return field + " " + node.path("number").asInt(0);
    }

    private static DossierArchive unzip(InputStream in, MediaStore store) throws IOException {
        @Nullable DossierArchive archive = null;
        boolean whole = false;
        try (ZipInputStream zip = new ZipInputStream(in)) {
            ZipEntry entry = zip.getNextEntry();
            if (entry == null || !entry.getName().equals(JSON)) {
                throw refuse("This is no dossier: it does not begin with " + JSON);
            }
            archive = new DossierArchive(json(zip));
            for (entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                archive.take(entry.getName(), zip, store);
            }
            whole = true;
            return archive;
        } catch (ZipException | java.io.EOFException e) {
            throw refuse("The dossier is damaged or cut short");
        } finally {
            if (!whole && archive != null) {
                archive.close();
            }
        }
    }

    private void take(String entry, InputStream content, MediaStore store) throws IOException {
        String name = entry.startsWith(MEDIA) ? entry.substring(MEDIA.length()) : "";
        if (!MediaStore.isName(name) || media.containsKey(name)) {
            throw refuse("The dossier holds “" + shortened(entry) + "”, which does not belong into one");
        }
        if (media.size() >= MOST_MEDIA) {
            throw refuse("The dossier holds more than " + MOST_MEDIA + " photos and recordings");
        }
        Path arrived = store.arriving();
        media.put(name, arrived);
        try (OutputStream out = Files.newOutputStream(arrived)) {
            if (copy(content, out, LARGEST_MEDIUM) > LARGEST_MEDIUM) {
                throw refuse("A photo or recording in the dossier is larger than " + (LARGEST_MEDIUM >> 20) + " MB");
            }
        }
        if (!MediaStore.nameOf(arrived).equals(name)) {
            throw refuse("A photo or recording in the dossier is damaged: it is not what its name says");
        }
    }

    private static JsonNode json(InputStream in) throws IOException {
        try {
            return escrel.web.storage.Json.MAPPER.readTree(new Bounded(in));
        } catch (JacksonIOException e) {
            if (e.getCause() instanceof TooLarge) {
                throw refuse("The dossier's JSON is larger than " + (LARGEST_JSON >> 20)
                        + " MB; give the job out as a ZIP, which may be as large as it must");
            }
            throw refuse("The dossier is damaged or cut short");
        } catch (JacksonException e) {
            throw refuse("The file is no JSON");
        }
    }

    private static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** Ends with a refusal where more comes than a dossier may have; closing it leaves the file open. */
    private static final class Bounded extends FilterInputStream {
        private long left = LARGEST_JSON;

        Bounded(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int b = super.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int read = super.read(bytes, from, length);
            count(Math.max(0, read));
            return read;
        }

        private void count(int read) throws IOException {
            left -= read;
            if (left < 0) {
                throw new TooLarge();
            }
        }

        @Override
        public void close() {
            // whoever opened the file closes it
        }
    }

    /** Copies up to one byte more than allowed, so that too much shows. */
    private static long copy(InputStream in, OutputStream out, long most) throws IOException {
        byte[] buffer = new byte[1 << 16];
        long all = 0;
        for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
            all += n;
            if (all > most) {
                return all;
            }
            out.write(buffer, 0, n);
        }
        return all;
    }

    /** A medium that an entry of the JSON names or holds. */
    Optional<Path> medium(JsonNode node, String nameField, String heldField) {
        String named = node.path(nameField).asString("");
        return Optional.ofNullable(media.get(named.isEmpty() ? key(node, heldField) : named));
    }

    static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was taken in; the jobs here are as they were.",
                "Export the dossier again, or correct the file.");
    }

    static String shortened(String text) {
        String plain = text.replaceAll("\\p{Cntrl}", " ");
        return plain.length() <= 80 ? plain : plain.substring(0, 80) + "…";
    }

    static String cleaned(String text) {
        String plain = text.replaceAll("\\p{Cntrl}", " ");
        return plain.length() <= 600 ? plain : plain.substring(0, 600) + "…";
    }

    @Override
    public void close() throws IOException {
        for (Path arrived : media.values()) {
            Files.deleteIfExists(arrived);
        }
    }
}
