package escrel.web.ground;

import escrel.web.disk.Disk;
import escrel.web.media.MediaStore;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A workshop as one file: the database as of one moment, the media it names, and a manifest. It is made from the base and
 * the journal, so it can be made while Escrel runs, by another process too, and making it proves that both can be read.
 */
public final class Backup {
    static final String MANIFEST = "escrel-backup.json";
    static final String DATABASE = Home.DATABASE + Home.ENDING;
    static final String MEDIA = "media/";
    static final String FORMAT = "escrel-backup";
    static final int VERSION = 1;

    /** Asks for the names of all media that a row names; whoever adds a column for one adds it here. */
    public static final String MEDIA_IN_USE = """
            select picture from photo union select small from photo
            union select full_picture from photo where full_picture is not null
            union select body from recording
            union select picture from sheet_picture
            union select body from sheet_document order by 1""";

    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("'escrel-'yyyyMMdd-HHmmss'.zip'").withZone(ZoneOffset.UTC);
    private static final String MADE_SO_FAR = ".part";
    private static final int TRIES = 5;

    private Backup() {}

    /**
     * What was backed up.
     *
     * @param media number of photos, recordings and documents
     * @param bytes size of the file
     */
    public record Made(Path file, Instant at, int jobs, int steps, int media, long bytes) {}

    /** Name of a file made at a moment; names sort by time. */
    public static String nameAt(Instant moment) {
        return NAME.format(moment);
    }

    /** The newest of the backups in a folder. */
    public static Optional<Path> newest(Path folder) {
        List<Path> all = all(folder);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** The backups in a folder, the oldest first. */
    public static List<Path> all(Path folder) {
        return Disk.files(folder, "escrel-", ".zip");
    }

    /**
     * Makes one with everything in it.
     *
     * @param file in its place only when it is whole
     */
    public static Made whole(Home home, Path file) throws IOException, SQLException {
        return write(home, file, true);
    }

    /** Makes one whose media lie beside it in a folder that further ones share: what was there before is not copied again. */
    public static Made beside(Home home, Path folder) throws IOException, SQLException {
        Disk.makeFolder(folder);
        return write(home, folder.resolve(nameAt(Instant.now())), false);
    }

    private static Made write(Home home, Path file, boolean mediaInside) throws IOException, SQLException {
        Path folder = Objects.requireNonNull(file.toAbsolutePath().getParent());
        Files.createDirectories(folder);
        Path work = Files.createTempDirectory(folder, ".escrel-backup-");
        try {
            Path database = work.resolve(DATABASE);
            rebuild(home, database);
            Contents contents = Contents.of(database);
            MediaStore media = new MediaStore(home.media());
            for (String name : contents.media()) {
                if (!media.isWhole(name)) {
                    throw new GroundException(
                            "A photo or recording is missing or damaged: " + name,
                            "The workshop is as it was; no backup was made of it.",
                            "./escrel check says what it belongs to.");
                }
            }
            if (!mediaInside) {
                copyBeside(media, contents.media(), new MediaStore(folder.resolve("media")));
            }
            Path made = work.resolve("backup" + MADE_SO_FAR);
            Instant now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
            zip(made, database, contents, now, mediaInside ? media : null);
            Disk.putInPlace(made, file);
            return new Made(
                    file,
                    now,
                    contents.jobs(),
                    contents.steps(),
                    contents.media().size(),
                    Files.size(file));
        } finally {
            Disk.deleteAll(work);
        }
    }

    /** The database from base and journal; both may move on meanwhile, so it is tried again. */
    static void rebuild(Home home, Path file) throws IOException, SQLException {
        for (int tries = 1; ; tries++) {
            List<Path> bases = Base.newestFirst(home.journal());
            if (bases.isEmpty()) {
                throw new GroundException(
                        "There is no workshop in " + home.folder() + ", or one of an earlier version",
                        "Nothing was changed.",
                        "Start Escrel on it once, or name another folder in ESCREL_HOME.");
            }
            try {
                Rebuilt.from(bases.get(0), Journal.read(home.journal()), file);
                return;
            } catch (NoSuchFileException e) {
                if (tries >= TRIES) {
                    throw e;
                }
                Files.deleteIfExists(file);
            }
        }
    }

    /** What a database holds. */
    record Contents(long position, String hash, int jobs, int steps, List<String> media) {
        static Contents of(Path database) throws SQLException {
            try (Database open = Database.open(database)) {
                return of(open);
            }
        }

        static Contents of(Database open) throws SQLException {
            Database.Position at = open.position().orElseThrow(() -> new SQLException("it has no place"));
            List<String> media = new ArrayList<>();
            try (Statement statement = open.connection().createStatement();
                    ResultSet rows = statement.executeQuery(MEDIA_IN_USE)) {
                while (rows.next()) {
                    media.add(rows.getString(1));
                }
            }
            return new Contents(at.number(), at.hash(), count(open, "job"), count(open, "step"), List.copyOf(media));
        }

        private static int count(Database open, String table) throws SQLException {
            try (Statement statement = open.connection().createStatement();
                    ResultSet row = statement.executeQuery("select count(*) from " + table)) {
                row.next();
                return row.getInt(1);
            }
        }
    }

    private static void copyBeside(MediaStore from, List<String> names, MediaStore to) throws IOException {
        for (String name : names) {
            if (!to.has(name)) {
                Path arriving = to.arriving();
                link(from.path(name), arriving);
                to.keepArrived(arriving);
            }
        }
    }

    /** On the same disk a second copy would be no safer than a second name. */
    private static void link(Path from, Path to) throws IOException {
        try {
            Files.createLink(to, from);
        } catch (FileAlreadyExistsException e) {
            throw e;
        } catch (IOException | UnsupportedOperationException e) {
            Files.copy(from, to);
        }
    }

    private static void zip(
            Path file,
            Path database,
            Contents contents,
            Instant now,
            @org.jspecify.annotations.Nullable MediaStore media)
            throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(file)))) {
            ObjectNode manifest = new JsonMapper().createObjectNode();
            manifest.put("format", FORMAT);
            manifest.put("version", VERSION);
            manifest.put("madeAt", now.toString());
            manifest.put("position", contents.position());
            manifest.put("hash", contents.hash());
            manifest.put("jobs", contents.jobs());
            manifest.put("steps", contents.steps());
            manifest.put("mediaInside", media != null);
            contents.media().forEach(manifest.putArray("media")::add);
            zip.putNextEntry(new ZipEntry(MANIFEST));
            zip.write(manifest.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
            zip.closeEntry();
            copy(zip, DATABASE, database);
            if (media != null) {
                zip.setLevel(Deflater.NO_COMPRESSION);
                for (String name : contents.media()) {
                    copy(zip, MEDIA + name, media.path(name));
                }
            }
        }
    }

    private static void copy(ZipOutputStream zip, String name, Path file) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        try (InputStream in = Files.newInputStream(file)) {
            in.transferTo((OutputStream) zip);
        }
        zip.closeEntry();
    }

    /** Lets go of all but the newest backups of a folder, and of the media beside them that none of those needs. */
    public static int keepNewest(Path folder, int count) throws IOException {
        List<Path> all = all(folder);
        for (Path old : all.subList(0, Math.max(0, all.size() - count))) {
            Files.deleteIfExists(old);
        }
        java.util.Set<String> needed = new java.util.HashSet<>();
        for (Path kept : all(folder)) {
            needed.addAll(Manifest.of(kept).media());
        }
        return new MediaStore(folder.resolve("media"))
                .sweep(name -> needed.contains(name), Instant.now().minus(1, ChronoUnit.HOURS));
    }
}
