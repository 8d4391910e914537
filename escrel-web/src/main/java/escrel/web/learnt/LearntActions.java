package escrel.web.learnt;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.SidePicture;
import escrel.core.job.StepRegister;
import escrel.core.learning.LearntSheet;
import escrel.core.learning.Mishaps;
import escrel.core.learning.PartNamed;
import escrel.core.learning.SeenOrders;
import escrel.core.learning.SheetDifference;
import escrel.core.learning.Vocabulary;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import escrel.core.watchcase.CaseDifference;
import escrel.core.watchcase.CaseOfJob;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.JobLineMapper;
import escrel.web.storage.Numbers;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.SheetPictureMapper;
import escrel.web.storage.Sheets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Accepts what was learnt, and binds jobs to sheets half-way down. */
@Component
class LearntActions {
    /** Begins the key of a line about a photograph; its number follows. */
    static final String PICTURE = "PICTURE:";

    private final Workshop workshop;
    private final Sheets sheets;
    private final PhotoMapper photos;
    private final SheetPictureMapper sheetPictures;
    private final Numbers numbers;
    private final Learnt learnt;
    private final JobLineMapper lines;

    LearntActions(
            Learnt learnt,
            JobLineMapper lines,
            Workshop workshop,
            Sheets sheets,
            PhotoMapper photos,
            SheetPictureMapper sheetPictures,
            Numbers numbers) {
        this.learnt = learnt;
        this.lines = lines;
        this.numbers = numbers;
        this.workshop = workshop;
        this.sheets = sheets;
        this.photos = photos;
        this.sheetPictures = sheetPictures;
    }

    /** The sheet that a difference is measured against: the newest version, or an empty one. */
    CalibreSheet base(OpenJob job) {
        CalibreSheet bound = job.sheet();
        return bound == null ? LearntSheet.unknown() : sheets.latest(bound.id()).orElse(bound);
    }

    /** Every teardown of the calibre, this job's included. */
    SeenOrders orders(OpenJob job) {
        if (job.sheet() != null) {
            return learnt.orders(job.sheet().id());
        }
        List<String> own =
                job.history().all(PartOff.class).map(PartOff::part).distinct().toList();
        return SeenOrders.of(own.size() > 1 ? List.of(own) : List.of());
    }

    /** Jobs whose orders are not read into the lines yet, after an upgrade: until then less is known than was seen. */
    int unread() {
        return lines.countMissing();
    }

    /** What is known now beside the sheet it is measured against. */
    SheetDifference difference(OpenJob job, CalibreSheet base) {
        CalibreSheet learnt =
                CaseDifference.withoutCase(LearntSheet.of(job.sheet() == null ? null : base, job.history()), base);
        return SheetDifference.between(
                base, learnt, orders(job).among(c -> learnt.part(c).isPresent()));
    }

    /** Keeps the accepted lines as the next version of the sheet, or as a new sheet, and binds the job to it. */
    @Transactional
    public CalibreSheet accept(int number, int seq, List<String> lines, LearntForm form) {
        OpenJob job = workshop.load(number);
        job.requireSequence(seq);
        CalibreSheet accepted = difference(job, base(job)).apply(lines);
        CalibreSheet known = job.sheet() == null ? named(job, accepted, form) : withPictures(job, accepted, lines);
        CalibreSheet sheet = withTraps(known, job, lines);
        List<String> faults = SheetCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw new MendableException(
                    "The sheet cannot be kept yet: " + String.join("; ", faults.subList(0, Math.min(6, faults.size()))),
                    "Nothing was changed; every step of the job is as it was.",
                    "Fill in the figures, or leave out the lines that clash, and accept again.");
        }
        int version = sheets.keep(sheet);
        workshop.append(number, seq, rebound(job, sheet.id(), version));
        return sheet;
    }

    /** What went wrong with a part of the movement and is no trap of its sheet yet. */
    static List<Mishaps.Trap> mishaps(OpenJob job, CalibreSheet base) {
        List<String> known = base.traps();
        return Mishaps.in(job.history(), job.movement()).stream()
                .filter(t -> !CaseSheet.isOfCase(job.movement().requirePart(t.part())))
                .filter(t -> !known.contains(t.words()))
                .toList();
    }

    private CalibreSheet withTraps(CalibreSheet sheet, OpenJob job, List<String> lines) {
        List<String> traps = new ArrayList<>(sheet.traps());
        mishaps(job, base(job)).stream().filter(t -> lines.contains(t.key())).forEach(t -> traps.add(t.words()));
        return sheet.withRest(sheet.oilPoints(), sheet.tests(), traps);
    }

    /** A first sheet: its own name and figures, pins to its own scale, pictures of its own. */
    private CalibreSheet named(OpenJob job, CalibreSheet accepted, LearntForm form) {
        String id = form.id() == null ? "" : form.id().strip();
        if (sheets.latestVersion(id) > 0) {
            throw new MendableException(
                    "There is a sheet “" + id + "” already",
                    "Nothing was changed.",
                    "Choose another short name, or bind the job to that sheet.");
        }
        double scale = form.data().diameterMillimetres() / (2 * LearntSheet.UNMEASURED_RADIUS);
        List<Part> parts = accepted.parts().stream().map(p -> scaled(p, scale)).toList();
        List<SidePicture> pictures =
                picturesOf(job).stream().map(p -> kept(job, id, p)).toList();
        List<ScrewPlace> screws = accepted.screws().stream()
                .map(s -> s.at(s.x() * scale, s.y() * scale))
                .toList();
        return accepted.with(parts, screws, accepted.holds())
                .called(id, form.name() == null ? "" : form.name().strip(), form.data(), pictures);
    }

    /** The photographs of this job that serve as a plan and are not on the sheet yet. */
    List<SidePicture> newPictures(OpenJob job, CalibreSheet base) {
        return picturesOf(job).stream()
                .filter(p -> base.pictures().stream()
                        .noneMatch(known -> known.caption().equals(caption(job, p))))
                .toList();
    }

    private static List<SidePicture> picturesOf(OpenJob job) {
        return LearntSheet.of(null, job.recorded()).pictures();
    }

    /** Says where a picture comes from, and tells one that was accepted before. */
    private static String caption(OpenJob job, SidePicture picture) {
        return "job " + job.number() + ", photo " + picture.number();
    }

    /** Keeps a photo of the job as a picture of the calibre, under a number of its own. */
    private SidePicture kept(OpenJob job, String calibre, SidePicture picture) {
        int number = numbers.next(Numbers.picture(calibre));
        PhotoMapper.PhotoRow photo = photos.find(job.number(), picture.number())
                .orElseThrow(() -> new IllegalStateException("no photo " + picture.number()));
        sheetPictures.insert(calibre, number, photo.mediaType(), photo.picture());
        return new SidePicture(
                number, picture.side(), caption(job, picture), picture.centreX(), picture.centreY(), picture.radius());
    }

    private CalibreSheet withPictures(OpenJob job, CalibreSheet sheet, List<String> lines) {
        List<SidePicture> pictures = new ArrayList<>(sheet.pictures());
        newPictures(job, base(job)).stream()
                .filter(p -> lines.contains(PICTURE + p.number()))
                .forEach(p -> pictures.add(kept(job, sheet.id(), p)));
        return pictures.size() == sheet.pictures().size()
                ? sheet
                : sheet.called(sheet.id(), sheet.name(), sheet.data(), pictures);
    }

    private static Part scaled(Part part, double scale) {
        Shape shape = part.shape();
        return shape == null ? part : part.withShape(Shape.pin(shape.x() * scale, shape.y() * scale));
    }

    /** The job bound to another version: what working names were said to be stays said. */
    CalibreBound rebound(OpenJob job, String calibre, int version) {
        return job.recorded()
                .last(CalibreBound.class)
                // what working names were said to be was said then and stays said: bindings compose
                .map(b -> new CalibreBound(calibre, version, b.variant(), b.as(), Map.of()))
                .orElse(new CalibreBound(calibre, version));
    }

    /** Parts that this job named itself; where it leaves one sheet for another, also those its steps speak of. */
    List<Part> working(OpenJob job, String calibre) {
        Set<String> own = new HashSet<>();
        job.history().all(PartNamed.class).forEach(n -> own.add(n.code()));
        boolean leavesASheet = job.sheet() != null && !job.sheet().id().equals(calibre);
        if (leavesASheet) {
            job.history().counting().forEach(e -> own.addAll(StepRegister.partsOf(e.step())));
        }
        return job.movement().parts().stream()
                .filter(p -> own.contains(p.code()))
                .toList();
    }

    CalibreSheet requireSheet(String calibre) {
        return sheets.latest(calibre)
                .orElseThrow(() -> new MendableException(
                        "There is no sheet “" + calibre + "”",
                        "The job keeps the calibre it had.",
                        "Choose a sheet from the list, or take one in on the calibres page."));
    }

    /** A calibre's sheet in the case of this watch: what parts with working names may turn out to be. */
    CalibreSheet inItsCase(OpenJob job, CalibreSheet sheet) {
        return CaseOfJob.supposed(sheet, job.caseSheet(), job.history());
    }

    @Transactional
    public void bind(
            int number, int seq, String calibre, String variant, CalibreBound.As as, Map<String, String> sameAs) {
        OpenJob job = workshop.load(number);
        CalibreSheet sheet = inItsCase(job, requireSheet(calibre));
        Set<String> named = new HashSet<>();
        for (Map.Entry<String, String> pair : sameAs.entrySet()) {
            if (sheet.part(pair.getValue()).isEmpty() || !named.add(pair.getValue())) {
                throw new MendableException(
                        "Two working names are said to be “" + pair.getValue() + "”, or the sheet has no such part",
                        "Nothing was changed.",
                        "Give each part of the sheet to one working name only.");
            }
        }
        Map<String, String> all = withOwnNames(working(job, calibre), sheet, sameAs);
        CalibreBound bound = new CalibreBound(calibre, sheets.latestVersion(calibre), variant, as, all);
        workshop.append(job.number(), seq, bound);
    }

    /** A part that is none of the sheet's keeps a code of its own, also where the sheet uses its code for another part. */
    private static Map<String, String> withOwnNames(
            List<Part> working, CalibreSheet sheet, Map<String, String> sameAs) {
        Map<String, String> all = new HashMap<>(sameAs);
        Set<String> taken = new HashSet<>(sameAs.values());
        sheet.parts().forEach(p -> taken.add(p.code()));
        for (Part part : working) {
            if (!all.containsKey(part.code()) && taken.contains(part.code())) {
                String own = Vocabulary.codeFor(part.code() + " of this job", taken);
                all.put(part.code(), own);
                taken.add(own);
            }
        }
        return all;
    }
}
