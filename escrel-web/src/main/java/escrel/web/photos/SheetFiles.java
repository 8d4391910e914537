package escrel.web.photos;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SidePicture;
import escrel.web.media.MediaStore;
import escrel.web.storage.Numbers;
import escrel.web.storage.SheetJson;
import escrel.web.storage.SheetPictureMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Sheets as files together with the bytes of their pictures, which the database keeps in a table of their own. */
@Component
public class SheetFiles {
    private final SheetPictureMapper pictures;
    private final Photos photos;
    private final MediaStore media;
    private final Numbers numbers;

    SheetFiles(SheetPictureMapper pictures, Photos photos, MediaStore media, Numbers numbers) {
        this.pictures = pictures;
        this.photos = photos;
        this.media = media;
        this.numbers = numbers;
    }

    /** A sheet as a file: with the bytes of its pictures. */
    public ObjectNode write(CalibreSheet sheet) {
        ObjectNode out = SheetJson.write(sheet);
        if (!sheet.pictures().isEmpty()) {
            ArrayNode files = out.putArray(SheetJson.PICTURES);
            for (SidePicture picture : sheet.pictures()) {
                pictures.find(sheet.id(), picture.number()).ifPresent(p -> {
                    ObjectNode file = files.addObject();
                    file.put("number", p.number());
                    file.put("mediaType", p.mediaType());
                    file.put("base64", Base64.getEncoder().encodeToString(media.bytes(p.medium())));
                });
            }
        }
        return out;
    }

    /** A sheet from a file, its pictures kept; its pictures get numbers of their own here when theirs are taken by others. */
    @Transactional
    public CalibreSheet take(JsonNode tree) {
        CalibreSheet sheet = SheetJson.read(tree);
        Map<Integer, Integer> given = new HashMap<>();
        for (JsonNode file : tree.path(SheetJson.PICTURES)) {
            String medium = picture(file);
            int number = file.path("number").asInt(0);
            boolean same = pictures.find(sheet.id(), number)
                    .filter(p -> p.medium().equals(medium))
                    .isPresent();
            boolean free = number > 0 && pictures.find(sheet.id(), number).isEmpty();
            int kept = same || free ? number : numbers.next(Numbers.picture(sheet.id()));
            if (!same) {
                numbers.taken(Numbers.picture(sheet.id()), kept);
                pictures.insert(sheet.id(), kept, photos.typeOf(medium), medium);
            }
            given.put(number, kept);
        }
        List<SidePicture> renumbered = new ArrayList<>();
        for (SidePicture p : sheet.pictures()) {
            Integer kept = given.get(p.number());
            if (kept == null && pictures.find(sheet.id(), p.number()).isEmpty()) {
                throw refuse("The sheet names picture " + p.number() + ", which the file does not hold");
            }
            renumbered.add(new SidePicture(
                    kept == null ? p.number() : kept, p.side(), p.caption(), p.centreX(), p.centreY(), p.radius()));
        }
        return sheet.called(sheet.id(), sheet.name(), sheet.data(), renumbered);
    }

    /** What we gave out comes back byte for byte; anything that tells place or device is written anew. */
    private String picture(JsonNode file) {
        try {
            Path arrived = media.arriving();
            try {
                Files.write(
                        arrived, Base64.getDecoder().decode(file.path("base64").asString("")));
                return photos.plain(arrived);
            } finally {
                Files.deleteIfExists(arrived);
            }
        } catch (IllegalArgumentException e) {
            throw refuse("Picture " + file.path("number").asInt(0) + " is damaged");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was changed; the sheets here are as they were.", "Correct it and try again.");
    }
}
