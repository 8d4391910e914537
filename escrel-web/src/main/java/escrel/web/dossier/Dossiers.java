package escrel.web.dossier;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import escrel.web.photos.SheetFiles;
import escrel.web.storage.CaseJson;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.JobMapper;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.storage.StepJson;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as {@code dossier.json}, described in {@code docs/formats/dossier.md}: all or nothing on the way in. A job that was
 * given out is recognised by its identity when it comes back.
 */
@Component
class Dossiers {
    static final String SCHEMA = "escrel-dossier";
    static final int VERSION = 8;

    private static final Pattern IDENTITY = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private final Workshop workshop;
    private final JobMapper jobs;
    private final Sheets sheets;
    private final Photos photos;
    private final SheetFiles files;
    private final CaseSheets cases;
    private final DossierMedia media;
    private final ImportGate gate;

    Dossiers(
            Workshop workshop,
            JobMapper jobs,
            Sheets sheets,
            Photos photos,
            SheetFiles files,
            CaseSheets cases,
            DossierMedia media,
            ImportGate gate) {
        this.workshop = workshop;
        this.jobs = jobs;
        this.sheets = sheets;
        this.photos = photos;
        this.files = files;
        this.cases = cases;
        this.media = media;
        this.gate = gate;
    }

    /** The whole job but for its media. */
    @Transactional(readOnly = true)
    public ObjectNode export(int number) {
        OpenJob job = workshop.load(number);
        photos.finishScaling();
        ObjectNode out = Json.MAPPER.createObjectNode();
        out.put("schema", SCHEMA);
        out.put("version", VERSION);
        out.put("identity", jobs.find(number).orElseThrow().identity());
        out.put("number", number);
        out.put("openedAt", job.openedAt().toInstant().toString());
        CalibreSheet sheet = job.sheet();
        if (sheet != null) {
            out.put("sheetVersion", job.sheetVersion());
            out.set("sheet", files.write(sheet));
        }
        CaseSheet watchcase = job.caseSheet();
        if (watchcase != null) {
            out.set("case", CaseJson.write(watchcase));
        }
        ArrayNode steps = out.putArray("steps");
        for (RecordedStep entry : job.recorded().recorded()) {
            ObjectNode step = steps.addObject();
            step.put("sequence", entry.sequence());
            step.put("at", entry.at().toString());
            step.put("kind", StepJson.kindOf(entry.step()));
            step.set("step", Json.MAPPER.<JsonNode>valueToTree(entry.step()));
        }
        return out;
    }

    /**
     * A job of ours that a dossier holds again.
     *
     * @param number its number here
     * @param added what the dossier has beyond ours, in order
     * @param parted whether each has steps the other has not
     */
    record Known(int number, List<RecordedStep> added, boolean parted) {
        /** Whether the dossier says nothing that is not here. */
        boolean nothingNew() {
            return added.isEmpty();
        }
    }

    /** The job of ours that this is, if it is one. */
    @Transactional(readOnly = true)
    public Optional<Known> known(DossierArchive archive) {
        JsonNode tree = archive.tree();
        requireOurs(tree);
        return identity(tree).flatMap(jobs::called).map(number -> {
            List<RecordedStep> ours = workshop.load(number).recorded().recorded();
            List<RecordedStep> theirs = steps(tree);
            int same = 0;
            while (same < Math.min(ours.size(), theirs.size()) && alike(ours.get(same), theirs.get(same))) {
                same++;
            }
            return new Known(number, theirs.subList(same, theirs.size()), same < ours.size() && same < theirs.size());
        });
    }

    private static boolean alike(RecordedStep a, RecordedStep b) {
        // the same sheet may have another version here than there
        if (!a.at().equals(b.at())) {
            return false;
        }
        if (a.step() instanceof CaseBound mine && b.step() instanceof CaseBound other) {
            return mine.sheet().equals(other.sheet());
        }
        return a.step() instanceof CalibreBound mine && b.step() instanceof CalibreBound other
                ? mine.calibre().equals(other.calibre())
                : StepJson.write(a.step()).equals(StepJson.write(b.step()));
    }

    /** Adds to a job of ours what a dossier has beyond it. */
    @Transactional
    public int add(DossierArchive archive) {
        Known known = known(archive)
                .filter(k -> !k.parted())
                .orElseThrow(
                        () -> refuse("The job here has gone on since; the dossier does not follow on it any more"));
        JsonNode tree = archive.tree();
        List<RecordedStep> all = bind(tree, steps(tree));
        int from = all.size() - known.added().size();
        media.keepNew(archive, known.number());
        workshop.goOn(known.number(), all.subList(from, all.size()));
        gate.rehearse(known.number());
        return known.number();
    }

    /**
     * Takes a job in and returns its number: its own when free, else the next.
     *
     * @param apart whether it becomes a job of its own though it is known here
     * @throws MendableException naming what is wrong; nothing is kept then
     */
    @Transactional
    public int take(DossierArchive archive, boolean apart) {
        JsonNode tree = archive.tree();
        requireOurs(tree);
        List<RecordedStep> steps = steps(tree);
        media.require(archive, steps);
        List<RecordedStep> bound = bind(tree, steps);
        String identity = identity(tree)
                .filter(known -> !apart && jobs.called(known).isEmpty())
                .orElseGet(() -> UUID.randomUUID().toString());
        int number = workshop.keep(tree.path("number").asInt(0), identity, opened(tree), bound);
        media.keepAll(archive, number);
        gate.rehearse(number);
        return number;
    }

    private void requireOurs(JsonNode tree) {
        if (!SCHEMA.equals(tree.path("schema").asString(""))) {
            throw refuse("This is no dossier: its field \"schema\" is not \"" + SCHEMA + "\"");
        }
        int version = tree.path("version").asInt(0);
        if (version < 1 || version > VERSION) {
            throw refuse("The dossier is of version " + version + "; this Escrel reads versions 1 to " + VERSION);
        }
        gate.check(tree);
    }

    private static Optional<String> identity(JsonNode tree) {
        String identity = tree.path("identity").asString("");
        if (!identity.isEmpty() && !IDENTITY.matcher(identity).matches()) {
            throw refuse("The field \"identity\" is none: " + DossierArchive.shortened(identity));
        }
        return identity.isEmpty() ? Optional.empty() : Optional.of(identity);
    }

    private static Instant opened(JsonNode tree) {
        try {
            return Instant.parse(tree.path("openedAt").asString(""));
        } catch (DateTimeException e) {
            throw refuse("The field \"openedAt\" is no instant: "
                    + DossierArchive.shortened(tree.path("openedAt").toString()));
        }
    }

    private static List<RecordedStep> steps(JsonNode tree) {
        List<RecordedStep> steps = new ArrayList<>();
        for (JsonNode node : tree.path("steps")) {
            int sequence = node.path("sequence").asInt(0);
            try {
                Step step = StepJson.readFromElsewhere(node.path("kind").asString(""), node.path("step"));
                steps.add(
                        new RecordedStep(sequence, Instant.parse(node.path("at").asString("")), step));
            } catch (JacksonException e) {
                throw refuse("Step " + sequence + " cannot be read: " + SheetJson.plainly(e));
            } catch (IllegalArgumentException | DateTimeException e) {
                throw refuse("Step " + sequence + " cannot be read: "
                        + DossierArchive.shortened(Objects.requireNonNullElse(e.getMessage(), "")));
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
        return bindCase(tree, bindCalibre(tree, steps));
    }

    /** Keeps the case that comes with the job and points the job to the version it has here. */
    private List<RecordedStep> bindCase(JsonNode tree, List<RecordedStep> steps) {
        Optional<CaseBound> last = steps.stream()
                .map(RecordedStep::step)
                .filter(CaseBound.class::isInstance)
                .map(CaseBound.class::cast)
                .reduce((a, b) -> b);
        if (last.isEmpty()) {
            return steps;
        }
        if (!tree.has("case")) {
            throw refuse("The watch is said to be in a case, but the dossier holds no sheet of it");
        }
        CaseSheet sheet = CaseJson.read(tree.path("case"));
        if (!last.get().sheet().equals(sheet.id())) {
            throw refuse("The watch is in the case “" + last.get().sheet() + "”, but the dossier holds “" + sheet.id()
                    + "”");
        }
        CaseBound here = new CaseBound(sheet.id(), cases.keepFromElsewhere(sheet));
        return steps.stream()
                .map(s -> s.step() == last.get() ? new RecordedStep(s.sequence(), s.at(), here) : s)
                .toList();
    }

    private List<RecordedStep> bindCalibre(JsonNode tree, List<RecordedStep> steps) {
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
        int version = sheets.versionOf(sheet).orElseGet(() -> sheets.keepFromElsewhere(sheet));
        return steps.stream()
                .map(s -> s.step() == last
                        ? new RecordedStep(
                                s.sequence(),
                                s.at(),
                                new CalibreBound(sheet.id(), version, last.variant(), last.as(), last.sameAs()))
                        : s)
                .toList();
    }

    private static MendableException refuse(String what) {
        return DossierArchive.refuse(what);
    }
}
