package escrel.web.dossier;

import escrel.web.media.MediaStore;
import escrel.web.sound.Recordings;
import escrel.web.storage.Json;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.PhotoMapper.PhotoRow;
import escrel.web.storage.RecordingMapper.RecordingRow;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes a job to a stream: as a ZIP of {@code dossier.json} and its media by content, or as one JSON file with the media
 * in it. Neither is ever whole in memory.
 */
@Component
class DossierFile {
    private final Dossiers dossiers;
    private final PhotoMapper photos;
    private final Recordings recordings;
    private final MediaStore media;

    DossierFile(Dossiers dossiers, PhotoMapper photos, Recordings recordings, MediaStore media) {
        this.dossiers = dossiers;
        this.photos = photos;
        this.recordings = recordings;
        this.media = media;
    }

    /** The ZIP. */
    void zip(int number, OutputStream out) throws IOException {
        ObjectNode dossier = dossiers.export(number);
        Set<String> names = new HashSet<>();
        ArrayNode all = dossier.putArray("photos");
        for (PhotoRow photo : photos.all(number)) {
            ObjectNode node = all.addObject();
            node.put("number", photo.number());
            node.put("mediaType", photo.mediaType());
            node.put("picture", photo.picture());
            names.add(photo.picture());
            photo.full().ifPresent(full -> {
                node.put("full", full);
                names.add(full);
            });
        }
        ArrayNode sounds = dossier.putArray("recordings");
        for (RecordingRow row : recordings.all(number)) {
            String medium = recordings.medium(number, row.number());
            about(sounds.addObject(), row).put("wavGzip", medium);
            names.add(medium);
        }
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(DossierArchive.JSON));
            zip.write(Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(dossier));
            zip.closeEntry();
            // packed already
            zip.setLevel(Deflater.NO_COMPRESSION);
            for (String name : names) {
                zip.putNextEntry(new ZipEntry(DossierArchive.MEDIA + name));
                try (InputStream in = media.open(name)) {
                    in.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
    }

    /** The plain JSON file, with everything in it. */
    void json(int number, OutputStream out) throws IOException {
        ObjectNode dossier = dossiers.export(number);
        try (JsonGenerator json = Json.MAPPER.writerWithDefaultPrettyPrinter().createGenerator(out)) {
            json.writeStartObject();
            dossier.properties().forEach(p -> {
                json.writeName(p.getKey());
                json.writeTree(p.getValue());
            });
            json.writeName("photos");
            json.writeStartArray();
            for (PhotoRow photo : photos.all(number)) {
                json.writeStartObject();
                json.writeNumberProperty("number", photo.number());
                json.writeStringProperty("mediaType", photo.mediaType());
                binary(json, "base64", media.open(photo.picture()), media.size(photo.picture()));
                if (photo.full().isPresent()) {
                    String full = photo.full().get();
                    binary(json, "fullBase64", media.open(full), media.size(full));
                }
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeName("recordings");
            json.writeStartArray();
            for (RecordingRow row : recordings.all(number)) {
                json.writeStartObject();
                about(Json.MAPPER.createObjectNode(), row).properties().forEach(p -> {
                    json.writeName(p.getKey());
                    json.writeTree(p.getValue());
                });
                binary(json, "wavBase64", recordings.wav(number, row.number()), -1);
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static ObjectNode about(ObjectNode node, RecordingRow row) {
        node.put("number", row.number());
        node.put("name", row.name());
        node.put("device", row.device());
        node.put("simulated", row.simulated());
        return node;
    }

    private static void binary(JsonGenerator json, String name, InputStream content, long size) throws IOException {
        json.writeName(name);
        try (content) {
            // of a length not known beforehand, the generator takes what comes
            json.writeBinary(content, (int) size);
        }
    }
}
