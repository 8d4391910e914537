package escrel.web.dossier;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import escrel.web.photos.SheetFiles;
import escrel.web.sound.Devices;
import escrel.web.sound.Recordings;
import escrel.web.storage.Json;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.RecordingMapper.RecordingRow;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.storage.StepJson;
import java.io.ByteArrayInputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A job as {@code dossier.json}, described in {@code docs/formats/dossier.md}: all or nothing on the way in. */
@Component
class Dossiers {
    private static final String SCHEMA = "escrel-dossier";
    private static final int VERSION = 1;
    private static final Set<String> PICTURES = Set.of("image/jpeg", "image/png");

    private final Workshop workshop;
    private final Sheets sheets;
    private final Photos photos;
    private final PhotoMapper pictures;
    private final SheetFiles files;

    private final Recordings recordings;

    Dossiers(
            Workshop workshop,
            Sheets sheets,
            Photos photos,
            PhotoMapper pictures,
            SheetFiles files,
            Recordings recordings) {
        this.workshop = workshop;
        this.sheets = sheets;
        this.photos = photos;
        this.pictures = pictures;
        this.files = files;
        this.recordings = recordings;
    }

    /** The whole job. */
    @Transactional(readOnly = true)
    public ObjectNode export(int number) {
        OpenJob job = workshop.load(number);
        photos.finishScaling();
        ObjectNode out = Json.MAPPER.createObjectNode();
        out.put("schema", SCHEMA);
        out.put("version", VERSION);
        out.put("number", number);
        out.put("openedAt", job.openedAt().toInstant().toString());
        CalibreSheet sheet = job.sheet();
        if (sheet != null) {
            out.put("sheetVersion", job.sheetVersion());
            out.set("sheet", files.write(sheet));
        }
        ArrayNode steps = out.putArray("steps");
        for (RecordedStep entry : job.recorded().recorded()) {
            ObjectNode step = steps.addObject();
            step.put("sequence", entry.sequence());
            step.put("at", entry.at().toString());
            step.put("kind", StepJson.kindOf(entry.step()));
            step.set("step", Json.MAPPER.<JsonNode>valueToTree(entry.step()));
        }
        ArrayNode all = out.putArray("photos");
        for (PhotoMapper.Picture picture : pictures.all(number)) {
            ObjectNode photo = all.addObject();
            photo.put("number", picture.number());
            photo.put("mediaType", picture.mediaType());
            photo.put("base64", Base64.getEncoder().encodeToString(picture.bytes()));
            pictures.findFull(number, picture.number())
                    .ifPresent(f -> photo.put("fullBase64", Base64.getEncoder().encodeToString(f.bytes())));
        }
        ArrayNode sounds = out.putArray("recordings");
        for (RecordingRow row : recordings.all(number)) {
            ObjectNode recording = sounds.addObject();
            recording.put("number", row.number());
            recording.put("name", row.name());
            recording.put("device", row.device());
            recording.put("simulated", row.simulated());
            recording.put("wavBase64", Base64.getEncoder().encodeToString(recordings.wav(number, row.number())));
        }
        return out;
    }

    /**
     * Takes a job in and returns its number: its own when free, else the next.
     *
     * @throws MendableException naming what is wrong; nothing is kept then
     */
    @Transactional
    public int take(String text) {
        JsonNode tree;
        try {
            tree = Json.MAPPER.readTree(text);
        } catch (JacksonException e) {
            throw refuse("The file is no JSON");
        }
        if (!SCHEMA.equals(tree.path("schema").asString(""))) {
            throw refuse("This is no dossier: its field \"schema\" is not \"" + SCHEMA + "\"");
        }
        int version = tree.path("version").asInt(0);
        if (version != VERSION) {
            throw refuse("The dossier is of version " + version + "; this Escrel reads version " + VERSION);
        }
        List<RecordedStep> steps = steps(tree.path("steps"));
        Set<Integer> photoNumbers = numbers(tree.path("photos"));
        for (RecordedStep entry : steps) {
            if (entry.step() instanceof PhotoAdded photo && !photoNumbers.contains(photo.photo())) {
                throw refuse("Step " + entry.sequence() + " names photo " + photo.photo()
                        + ", which the dossier does not hold");
            }
        }
        List<RecordedStep> bound = bind(tree, steps);
        int number = workshop.keep(tree.path("number").asInt(0), opened(tree), bound);
        keepPhotos(tree.path("photos"), number);
        keepRecordings(tree.path("recordings"), number);
        return number;
    }

    private static Instant opened(JsonNode tree) {
        try {
            return Instant.parse(tree.path("openedAt").asString(""));
        } catch (DateTimeException e) {
            throw refuse("The field \"openedAt\" is no instant: " + tree.path("openedAt"));
        }
    }

    private static List<RecordedStep> steps(JsonNode nodes) {
        List<RecordedStep> steps = new ArrayList<>();
        for (JsonNode node : nodes) {
            int sequence = node.path("sequence").asInt(0);
            try {
                Step step = StepJson.read(node.path("kind").asString(""), node.path("step"));
                steps.add(
                        new RecordedStep(sequence, Instant.parse(node.path("at").asString("")), step));
            } catch (JacksonException | IllegalArgumentException | DateTimeException e) {
                throw refuse("Step " + sequence + " cannot be read: "
                        + Objects.requireNonNullElse(e.getMessage(), "")
                                .lines()
                                .findFirst()
                                .orElse(""));
            }
        }
        try {
            JobHistory.of(steps);
        } catch (IllegalArgumentException e) {
            throw refuse("The steps do not hang together: " + e.getMessage());
        }
        if (steps.isEmpty() || !(steps.get(0).step() instanceof Arrival)) {
            throw refuse("The dossier does not begin with an arrival");
        }
        return steps;
    }

    /** Keeps the sheet that comes with the job and points the job to the version it has here. */
    private List<RecordedStep> bind(JsonNode tree, List<RecordedStep> steps) {
        boolean needsSheet = steps.stream().anyMatch(s -> s.step() instanceof CalibreBound);
        if (!needsSheet) {
            return steps;
        }
        if (!tree.has("sheet")) {
            throw refuse("The job is bound to a calibre, but the dossier holds no sheet");
        }
        CalibreSheet sheet = files.take(tree.path("sheet"));
        CalibreBound last = (CalibreBound) steps.stream()
                .map(RecordedStep::step)
                .filter(CalibreBound.class::isInstance)
                .reduce((a, b) -> b)
                .orElseThrow();
        if (!last.calibre().equals(sheet.id())) {
            throw refuse("The job is bound to the sheet “" + last.calibre() + "”, but the dossier holds “" + sheet.id()
                    + "”");
        }
        boolean same = sheets.find(sheet.id(), last.version())
                .filter(s -> equal(s, sheet))
                .isPresent();
        int version = same ? last.version() : sheets.keep(sheet);
        return steps.stream()
                .map(s -> s.step() == last
                        ? new RecordedStep(
                                s.sequence(),
                                s.at(),
                                new CalibreBound(sheet.id(), version, last.variant(), last.as(), last.sameAs()))
                        : s)
                .toList();
    }

    private static boolean equal(CalibreSheet a, CalibreSheet b) {
        // as written, since points of a drawing are arrays
        return SheetJson.write(a).equals(SheetJson.write(b));
    }

    private static Set<Integer> numbers(JsonNode nodes) {
        Set<Integer> numbers = new HashSet<>();
        nodes.forEach(n -> numbers.add(n.path("number").asInt(0)));
        return numbers;
    }

    private void keepPhotos(JsonNode nodes, int number) {
        for (JsonNode node : nodes) {
            byte[] bytes = decoded(node, "base64");
            String mediaType = node.path("mediaType").asString("");
            if (!PICTURES.contains(mediaType)) {
                throw refuse("Photo " + node.path("number").asInt(0) + " is of the kind “" + mediaType
                        + "”, which is not taken");
            }
            photos.keepAsIs(number, node.path("number").asInt(0), mediaType, bytes);
            if (node.has("fullBase64")) {
                byte[] full = decoded(node, "fullBase64");
                pictures.scaled(number, node.path("number").asInt(0), bytes, full);
            }
        }
    }

    private void keepRecordings(JsonNode nodes, int job) {
        int expected = 1;
        for (JsonNode node : nodes) {
            int number = node.path("number").asInt(0);
            if (number != expected++) {
                throw refuse("Recording " + number + " is out of order: they are numbered from 1 on");
            }
            byte[] wav = decoded(node, "wavBase64");
            recordings.keep(
                    job,
                    node.path("name").asString(""),
                    new ByteArrayInputStream(wav),
                    Recordings.Length.of(new ByteArrayInputStream(wav)),
                    node.path("device").asString(Devices.FILE),
                    node.path("simulated").asBoolean(false));
        }
    }

    private static byte[] decoded(JsonNode node, String field) {
        try {
            return Base64.getDecoder().decode(node.path(field).asString(""));
        } catch (IllegalArgumentException e) {
            throw refuse("Photo or recording " + node.path("number").asInt(0) + " is damaged");
        }
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was taken in; the jobs here are as they were.",
                "Export the dossier again, or correct the file.");
    }
}
