package escrel.core.learning;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.calibre.SidePicture;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The sheet that grows while a movement is stripped: the sheet the job is bound to, if any, and what its own steps add.
 * Computed from the steps, so undo and binding later need nothing of their own.
 */
public final class LearntSheet {
    /** Plate radius of a movement nobody has measured, in millimetres: only proportions mean something on it. */
    public static final double UNMEASURED_RADIUS = 10;

    private final CalibreSheet base;
    private final Map<String, Part> parts = new LinkedHashMap<>();
    private final List<Hold> holds;
    private final Map<String, ScrewsStated> screws = new LinkedHashMap<>();
    private final List<SidePicture> pictures;
    private final Map<FigureSaid.Figure, String> figures = new EnumMap<>(FigureSaid.Figure.class);
    private final Map<String, OilPointSaid> points = new LinkedHashMap<>();
    /** From where parts were worked on before they were said to have come away with something. */
    private final Map<String, Side> sides = new HashMap<>();

    private LearntSheet(CalibreSheet base) {
        this.base = base;
        base.parts().forEach(p -> parts.put(p.code(), p));
        this.holds = new ArrayList<>(base.holds());
        this.pictures = new ArrayList<>(base.pictures());
    }

    /**
     * The sheet of a job as it is known to it. A statement that would close a ring is left aside, the later before the
     * earlier: binding to a sheet afterwards can make one contradict the sheet's own, and the sheet goes before. While
     * there is none, which is nearly always, one check of the whole is enough; each one left aside costs as many more as
     * it takes to halve the statements down to it.
     *
     * @param bound the sheet it is bound to, or nothing while the calibre is unknown
     * @param history with parts called by the codes of that sheet
     */
    public static CalibreSheet of(@Nullable CalibreSheet bound, JobHistory history) {
        return on(bound == null ? unknown() : bound, Said.in(history, bound == null));
    }

    /**
     * What a job teaches of its movement.
     *
     * @param steps those that say something of it, in order
     * @param byKind whether tests follow from what the parts are called, since no sheet of the calibre speaks
     */
    public record Said(List<Step> steps, boolean byKind) {
        /**
         * @param calibreUnknown whether no sheet of the calibre speaks
         */
        public static Said in(JobHistory history, boolean calibreUnknown) {
            List<Step> said = history
                    .counting(
                            PartNamed.class,
                            PartRenamed.class,
                            CameTogether.class,
                            PartDescribed.class,
                            FigureSaid.class,
                            OilPointSaid.class,
                            Pinned.class,
                            ScrewsStated.class,
                            SidePhotographed.class,
                            HoldStated.class)
                    .stream()
                    .map(RecordedStep::step)
                    .toList();
            return new Said(
                    said,
                    calibreUnknown && !said.isEmpty() && history.ruleBook().testsByKind());
        }
    }

    /**
     * The same, on what is known of movement and case together.
     *
     * @param base without parts while nothing is known
     */
    public static CalibreSheet on(CalibreSheet base, Said what) {
        if (what.steps().isEmpty()) {
            return base;
        }
        List<Step> said = new ArrayList<>(what.steps());
        CalibreSheet learnt = grown(base, said, what.byKind());
        if (hasRing(learnt) && !hasRing(base)) {
            while (hasRing(learnt)) {
                said.remove(closing(base, said));
                learnt = grown(base, said, what.byKind());
            }
        }
        return learnt;
    }

    private static CalibreSheet grown(CalibreSheet base, List<Step> said, boolean byKind) {
        LearntSheet learnt = new LearntSheet(base);
        said.forEach(learnt::take);
        CalibreSheet sheet = learnt.sheet();
        if (!byKind) {
            return sheet;
        }
        List<AssemblyTest> tests = new ArrayList<>(base.tests());
        tests.addAll(TestsByKind.of(sheet.parts()));
        return sheet.withClimb(sheet.oilPoints(), tests);
    }

    private static boolean hasRing(CalibreSheet sheet) {
        return SheetCheck.ringIn(sheet).isPresent();
    }

    /** Index of a statement that closes a ring with those before it, which close none. */
    private static int closing(CalibreSheet base, List<Step> said) {
        int free = 0;
        int ringed = said.size();
        while (ringed - free > 1) {
            int middle = (free + ringed) >>> 1;
            if (hasRing(grown(base, said.subList(0, middle), false))) {
                ringed = middle;
            } else {
                free = middle;
            }
        }
        return free;
    }

    /** A sheet on which nothing stands yet: what nobody said is not said, and judges nothing. */
    public static CalibreSheet unknown() {
        CalibreData data = new CalibreData(
                2 * UNMEASURED_RADIUS,
                null,
                null,
                0,
                CalibreData.Setting.NOT_SAID,
                CalibreData.Stud.NOT_SAID,
                null,
                "learnt while it is stripped; figures not known yet");
        return new CalibreSheet(
                CalibreSheet.LEARNT_HERE,
                "calibre unknown",
                data,
                null,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
    }

    /**
     * Whether a statement "part is held by the other" would close a ring, on the way down or on the way up (where early
     * parts and the windows of points and tests speak too): the parts round it, or nothing.
     */
    public static Optional<List<String>> ringWith(CalibreSheet sheet, String part, String by) {
        List<Hold> holds = new ArrayList<>(sheet.holds());
        holds.add(new Hold(part, by, "", Hold.Basis.STATED));
        return SheetCheck.ringIn(sheet.with(sheet.parts(), sheet.screws(), holds));
    }

    /** Whether "came away with" would close a ring: the parts round it, or nothing. */
    public static Optional<List<String>> ringWithUnit(CalibreSheet sheet, String part, String unit) {
        List<Part> parts = sheet.parts().stream()
                .map(p -> p.code().equals(part) ? p.withUnit(unit) : p)
                .toList();
        return SheetCheck.ringIn(sheet.with(parts, sheet.screws(), sheet.holds()));
    }

    private void take(Step step) {
        if (step instanceof PartNamed named) {
            parts.putIfAbsent(named.code(), named.part());
            sides.putIfAbsent(named.code(), named.side());
        } else if (step instanceof PartRenamed renamed) {
            change(renamed.part(), p -> p.withName(renamed.name()));
        } else if (step instanceof PartDescribed described) {
            change(described.part(), p -> p.with(described.trait(), described.words()));
        } else if (step instanceof FigureSaid said) {
            figures.put(said.figure(), said.value());
        } else if (step instanceof OilPointSaid said) {
            points.put(said.code(), said);
        } else if (step instanceof CameTogether together) {
            together(together);
        } else if (step instanceof Pinned pin) {
            double radius = base.data().diameterMillimetres() / 2;
            change(
                    pin.part(),
                    p -> p.shape() == null || p.shape().kind() == Shape.Kind.PIN
                            ? p.withShape(Shape.pin(pin.x() * radius, pin.y() * radius))
                            : p);
        } else if (step instanceof ScrewsStated stated) {
            screws.put(stated.part(), stated);
        } else if (step instanceof SidePhotographed photo) {
            pictures.removeIf(p -> p.number() == photo.photo() && p.side() == photo.side());
            pictures.add(
                    new SidePicture(photo.photo(), photo.side(), "", photo.centreX(), photo.centreY(), photo.radius()));
        } else if (step instanceof HoldStated stated) {
            state(stated);
        }
    }

    /** Taken back, a part is worked on again from where it was before. */
    private void together(CameTogether said) {
        if (said.unit().isEmpty()) {
            change(said.part(), p -> p.withUnit(null).withSide(sides.getOrDefault(p.code(), p.side())));
        } else if (parts.containsKey(said.unit())) {
            change(said.part(), p -> {
                if (p.unit() == null) {
                    sides.put(p.code(), p.side());
                }
                return p.withUnit(said.unit());
            });
        }
    }

    private void state(HoldStated stated) {
        boolean known = parts.containsKey(stated.part()) && parts.containsKey(stated.by());
        boolean there = holds.stream()
                .anyMatch(h ->
                        h.part().equals(stated.part()) && h.by().equals(stated.by()) && h.basis() == Hold.Basis.STATED);
        if (known && !there) {
            holds.add(new Hold(stated.part(), stated.by(), stated.why(), Hold.Basis.STATED));
        }
    }

    private void change(String part, UnaryOperator<Part> how) {
        parts.computeIfPresent(part, (code, p) -> how.apply(p));
    }

    private CalibreSheet sheet() {
        List<ScrewPlace> all = new ArrayList<>();
        for (ScrewPlace screw : base.screws()) {
            if (!replaced(screw.part())) {
                all.add(screw);
            }
        }
        screws.values().stream()
                .filter(s -> parts.containsKey(s.part()) && replaced(s.part()))
                .forEach(s -> all.addAll(places(s)));
        CalibreSheet grown =
                LearntFigures.on(base.with(List.copyOf(parts.values()), all, holds), figures, points.values());
        return pictures.equals(base.pictures())
                ? grown
                : grown.called(base.id(), base.name(), grown.data(), List.copyOf(pictures));
    }

    /**
     * Whether what was stated takes the place of the sheet's screws of a part. Where the sheet tells several kinds apart
     * (length, thread, head), a statement of one kind knows less and is left aside.
     */
    private boolean replaced(String part) {
        ScrewsStated stated = screws.get(part);
        return stated != null && (kindsOnSheet(part) <= 1 || stated.rows().size() > 1);
    }

    private long kindsOnSheet(String part) {
        return base.screwsOf(part).stream()
                .map(s -> s.length() + "/" + s.thread() + "/" + s.head())
                .distinct()
                .count();
    }

    /**
     * Screws around the pin of their part, since nobody has pinned them one by one. What was not said of a screw stays as
     * the sheet has it.
     */
    private List<ScrewPlace> places(ScrewsStated stated) {
        List<ScrewPlace> known = base.screwsOf(stated.part());
        Shape shape = Objects.requireNonNull(parts.get(stated.part())).shape();
        double[] middle = shape == null ? new double[] {0, 0} : shape.middle();
        double away = base.data().diameterMillimetres() / 40;
        int total = stated.rows().stream().mapToInt(ScrewsStated.Row::count).sum();
        List<ScrewPlace> places = new ArrayList<>();
        for (ScrewsStated.Row row : stated.rows()) {
            for (int i = 0; i < row.count(); i++) {
                int at = places.size();
                double angle = 2 * Math.PI * at / total;
                ScrewPlace old = at < known.size()
                        ? known.get(at)
                        : new ScrewPlace(
                                stated.part() + "-s" + (at + 1),
                                stated.part(),
                                middle[0] + away * Math.cos(angle),
                                middle[1] + away * Math.sin(angle),
                                row.length(),
                                ScrewPlace.Head.FLAT,
                                row.thread(),
                                1.0,
                                ScrewPlace.Home.ANY_OF_ITS_KIND,
                                "place not pinned");
                places.add(new ScrewPlace(
                        old.code(),
                        old.part(),
                        old.x(),
                        old.y(),
                        row.length(),
                        Objects.requireNonNullElse(row.head(), old.head()),
                        row.thread(),
                        old.bladeMillimetres(),
                        Objects.requireNonNullElse(row.home(), old.home()),
                        old.note(),
                        row.finish() == null ? old.finish() : row.finish()));
            }
        }
        return places;
    }
}
