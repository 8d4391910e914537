package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.SidePicture;
import escrel.web.photos.Photos;
import escrel.web.storage.SheetJson;
import escrel.web.storage.SheetPictureMapper;
import escrel.web.storage.Sheets;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Takes sheets in, gives them out with their pictures, keeps edited ones. */
@Component
class Library {
    private static final int LARGEST_DOCUMENT = 20_000_000;

    private final Sheets sheets;
    private final SheetPictureMapper pictures;
    private final Clock clock;

    Library(Sheets sheets, SheetPictureMapper pictures, Clock clock) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.clock = clock;
    }

    /** A sheet as a file: with the bytes of its pictures. */
    ObjectNode write(CalibreSheet sheet) {
        ObjectNode out = SheetJson.write(sheet);
        if (!sheet.pictures().isEmpty()) {
            ArrayNode files = out.putArray(SheetJson.PICTURES);
            for (SidePicture picture : sheet.pictures()) {
                pictures.find(sheet.id(), picture.number()).ifPresent(p -> {
                    ObjectNode file = files.addObject();
                    file.put("number", p.number());
                    file.put("mediaType", p.mediaType());
                    file.put("base64", Base64.getEncoder().encodeToString(p.bytes()));
                });
            }
        }
        return out;
    }

    /** Takes a sheet file in; its pictures get numbers of their own here when theirs are taken by others. */
    @Transactional
    public CalibreSheet take(JsonNode tree) {
        CalibreSheet sheet = SheetJson.read(tree);
        Map<Integer, Integer> numbers = new HashMap<>();
        for (JsonNode file : tree.path(SheetJson.PICTURES)) {
            byte[] bytes = picture(file);
            int number = file.path("number").asInt(0);
            boolean same = pictures.find(sheet.id(), number)
                    .filter(p -> Arrays.equals(p.bytes(), bytes))
                    .isPresent();
            boolean free = number > 0 && pictures.find(sheet.id(), number).isEmpty();
            int kept = same || free ? number : pictures.nextNumber(sheet.id());
            if (!same) {
                pictures.insert(sheet.id(), kept, "image/jpeg", bytes);
            }
            numbers.put(number, kept);
        }
        List<SidePicture> renumbered = new ArrayList<>();
        for (SidePicture p : sheet.pictures()) {
            Integer kept = numbers.get(p.number());
            if (kept == null && pictures.find(sheet.id(), p.number()).isEmpty()) {
                throw refuse("The sheet names picture " + p.number() + ", which the file does not hold");
            }
            renumbered.add(new SidePicture(
                    kept == null ? p.number() : kept, p.side(), p.caption(), p.centreX(), p.centreY(), p.radius()));
        }
        return keep(sheet.called(sheet.id(), sheet.name(), sheet.data(), renumbered));
    }

    private static byte[] picture(JsonNode file) {
        try {
            byte[] bytes = Base64.getDecoder().decode(file.path("base64").asString(""));
            byte[] clean = Photos.clean(bytes);
            // what we gave out comes back byte for byte; anything that tells place or device is written anew
            return new String(bytes, StandardCharsets.ISO_8859_1).contains("Exif\0") ? clean : bytes;
        } catch (IllegalArgumentException e) {
            throw refuse("Picture " + file.path("number").asInt(0) + " is damaged");
        }
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
