package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.learning.LearntSheet;
import escrel.web.photos.SheetFiles;
import escrel.web.storage.SheetPictureMapper;
import escrel.web.storage.Sheets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Keeps sheets taken in, edited or copied, and documents about them. */
@Component
class Library {
    private static final int LARGEST_DOCUMENT = 20_000_000;

    private final Sheets sheets;
    private final SheetPictureMapper pictures;
    private final SheetFiles files;
    private final Clock clock;

    Library(Sheets sheets, SheetPictureMapper pictures, SheetFiles files, Clock clock) {
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

    /** A new sheet with nothing on it but the case back, to be filled in. */
    @Transactional
    public CalibreSheet begin(String id, String name) {
        CalibreSheet blank = LearntSheet.unknown();
        Part back = Part.of("case-back", "Case back", Group.CASE, Side.TRAIN).withRole(Role.CASE_BACK);
        return copy(blank.with(List.of(back), List.of(), List.of()), id, name);
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
    public void attach(CalibreSheet sheet, String title, String source, @Nullable String mediaType, byte[] body) {
        if (title.isEmpty() || source.isEmpty() || body.length == 0 || body.length > LARGEST_DOCUMENT) {
            throw refuse("A document wants a title, where it comes from, and a file of at most 20 MB");
        }
        pictures.attach(
                sheet.id(),
                title,
                source,
                mediaType == null ? "application/octet-stream" : mediaType,
                body,
                OffsetDateTime.now(clock));
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was changed; the sheets here are as they were.", "Correct it and try again.");
    }
}
