package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Family;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.learning.LearntSheet;
import escrel.web.media.MediaStore;
import escrel.web.photos.SheetFiles;
import escrel.web.storage.Numbers;
import escrel.web.storage.SheetMapper;
import escrel.web.storage.SheetPictureMapper;
import escrel.web.storage.Sheets;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Keeps sheets taken in, edited or copied, and documents about them. */
@Component
class Library {
    private static final int LARGEST_DOCUMENT = 20_000_000;
    private static final int LONGEST_KIND = 80;
    private static final Map<String, String> ENDINGS = Map.of(
            "application/pdf", ".pdf",
            "image/jpeg", ".jpg",
            "image/png", ".png",
            "text/plain", ".txt",
            "text/html", ".html");

    private final Sheets sheets;
    private final SheetPictureMapper pictures;
    private final SheetFiles files;
    private final MediaStore media;
    private final Numbers numbers;
    private final Clock clock;

    Library(
            Sheets sheets,
            SheetPictureMapper pictures,
            SheetFiles files,
            MediaStore media,
            Numbers numbers,
            Clock clock) {
        this.media = media;
        this.numbers = numbers;
        this.sheets = sheets;
        this.pictures = pictures;
        this.files = files;
        this.clock = clock;
    }

    /** Takes a sheet file in with its pictures. */
    @Transactional
    public CalibreSheet take(JsonNode tree) {
        return keep(files.take(tree));
    }

    /** Keeps a sheet as the next version when it is sound. */
    @Transactional
    public CalibreSheet keep(CalibreSheet sheet) {
        List<String> faults = SheetCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw new MendableException(
                    String.join("; ", faults.subList(0, Math.min(8, faults.size()))),
                    "The sheet is as it was, and what you typed is still in the tables: go back to them.",
                    "Correct these and keep the sheet again.");
        }
        sheets.keep(sheet);
        return sheet;
    }

    /**
     * Keeps a sheet as it was edited on a page made from a version of it.
     *
     * @param tables as for {@link SheetTables#read}; other fields are left aside
     */
    @Transactional
    public CalibreSheet edit(String calibre, int from, Map<String, String> tables) {
        CalibreSheet now = sheets.latest(calibre).orElseThrow(() -> refuse("There is no calibre “" + calibre + "”"));
        CalibreSheet then = sheets.find(calibre, from).orElseThrow(() -> refuse("There is no version " + from));
        Map<String, String> known = new HashMap<>(tables);
        known.keySet().retainAll(SheetTable.names());
        return keep(SheetMerge.of(then, now, known));
    }

    /** Makes a sheet from elsewhere, or an earlier one of this workshop, the one that is used. */
    @Transactional
    public void accept(String calibre, int version) {
        SheetMapper.VersionRow row = requireVersion(calibre, version);
        if (version == sheets.latestVersion(calibre) || row.standing() == SheetMapper.Standing.PASSED) {
            throw refuse("Version " + version + " of “" + calibre + "” is used already");
        }
        CalibreSheet sheet = sheets.find(calibre, version).orElseThrow();
        List<String> faults = SheetCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw refuse("The sheet is faulty: " + String.join("; ", faults.subList(0, Math.min(8, faults.size()))));
        }
        sheets.accept(calibre, version);
    }

    /** Puts a sheet that waits away. */
    @Transactional
    public void putAway(String calibre, int version) {
        if (requireVersion(calibre, version).standing() != SheetMapper.Standing.WAITING) {
            throw refuse("No sheet of “" + calibre + "” waits under that number");
        }
        sheets.putAway(calibre, version);
    }

    SheetMapper.VersionRow requireVersion(String calibre, int version) {
        return sheets.history(calibre).stream()
                .filter(v -> v.version() == version)
                .findFirst()
                .orElseThrow(() -> refuse("There is no version " + version + " of “" + calibre + "”"));
    }

    /** A new sheet with nothing on it but the stem, which every movement has, to be filled in. */
    @Transactional
    public CalibreSheet begin(String id, String name) {
        CalibreSheet blank = LearntSheet.unknown();
        Part stem = Part.of("stem", "Stem", Group.CASE, Side.TRAIN).withRole(Role.STEM);
        return copy(blank.with(List.of(stem), List.of(), List.of()), id, name);
    }

    /** What the other calibres of a sheet's family know. */
    Family family(CalibreSheet sheet) {
        if (sheet.lore().family().isEmpty()) {
            return Family.of(sheet, List.of());
        }
        return Family.of(
                sheet,
                sheets.all().stream()
                        .flatMap(row -> sheets.find(row.calibre(), row.version()).stream())
                        .toList());
    }

    /** Keeps a sheet with what was taken over from its family. */
    @Transactional
    public void takeOver(CalibreSheet sheet, List<String> lines) {
        keep(family(sheet).taking(lines));
    }

    /** A new sheet that begins as a copy of a related one. */
    @Transactional
    public CalibreSheet copy(CalibreSheet from, String id, String name) {
        if (sheets.latestVersion(id) > 0) {
            throw refuse("There is a sheet “" + id + "” already");
        }
        return keep(from.called(id, name, from.data(), List.of()));
    }

    /** Attaches a document with its source. */
    @Transactional
    public void attach(
            CalibreSheet sheet, String title, String source, @Nullable String mediaType, long size, InputStream body)
            throws IOException {
        if (title.isEmpty() || source.isEmpty() || size == 0 || size > LARGEST_DOCUMENT) {
            throw refuse("A document wants a title, where it comes from, and a file of at most 20 MB");
        }
        pictures.attach(
                sheet.id(),
                numbers.next(Numbers.document(sheet.id())),
                title,
                source,
                mediaType == null || mediaType.length() > LONGEST_KIND ? "application/octet-stream" : mediaType,
                media.keep(body),
                OffsetDateTime.now(clock));
    }

    /** What a document is called when it is kept as a file: its title, with the ending of its kind. */
    static String fileName(SheetPictureMapper.Kept document) {
        String title = String.valueOf(document.title())
                .replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]", " ")
                .strip();
        String ending = ENDINGS.getOrDefault(document.mediaType(), "");
        return title.endsWith(ending) ? title : title + ending;
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was changed; the sheets here are as they were.", "Correct it and try again.");
    }
}
