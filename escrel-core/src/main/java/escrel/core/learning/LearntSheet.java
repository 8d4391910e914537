package escrel.core.learning;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.RingOfHolds;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SidePicture;
import escrel.core.calibre.WatchClass;
import escrel.core.service.JobHistory;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    /** Id of a sheet that only one job knows so far. */
    public static final String ID = "learnt-here";

    private final CalibreSheet base;
    private final Map<String, Part> parts = new LinkedHashMap<>();
    private final List<Hold> holds;
    private final Map<String, ScrewsStated> screws = new LinkedHashMap<>();
    private final List<SidePicture> pictures;

    private LearntSheet(CalibreSheet base) {
        this.base = base;
        base.parts().forEach(p -> parts.put(p.code(), p));
        this.holds = new ArrayList<>(base.holds());
        this.pictures = new ArrayList<>(base.pictures());
    }

    /**
     * The sheet of a job as it is known to it.
     *
     * @param bound the sheet it is bound to, or nothing while the calibre is unknown
     * @param history with parts called by the codes of that sheet
     */
    public static CalibreSheet of(@Nullable CalibreSheet bound, JobHistory history) {
        LearntSheet learnt = new LearntSheet(bound == null ? unknown() : bound);
        long learning =
                history.counting().stream().filter(e -> learnt.take(e.step())).count();
        return learning == 0 ? learnt.base : learnt.sheet();
    }

    /** A sheet on which nothing stands yet. Without a known setting the balance is treated as one without shock setting. */
    public static CalibreSheet unknown() {
        CalibreData data = new CalibreData(
                2 * UNMEASURED_RADIUS,
                18_000,
                null,
                0,
                CalibreData.Setting.NONE,
                CalibreData.Stud.FIXED,
                WatchClass.VINTAGE_NO_SHOCK_SETTING,
                "learnt while it is stripped; figures not known yet");
        return new CalibreSheet(
                ID,
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

    /** Whether a hold would close a ring with what is known already: the parts round it, or nothing. */
    public static Optional<List<String>> ringWith(CalibreSheet sheet, String part, String by) {
        List<RingOfHolds.Edge> edges = new ArrayList<>();
        sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.STATED)
                .forEach(h -> edges.add(new RingOfHolds.Edge(h.by(), h.part())));
        edges.add(new RingOfHolds.Edge(by, part));
        return RingOfHolds.find(edges);
    }

    private boolean take(Step step) {
        if (step instanceof PartNamed named) {
            parts.putIfAbsent(named.code(), named.part());
        } else if (step instanceof PartRenamed renamed) {
            change(renamed.part(), p -> p.withName(renamed.name()));
        } else if (step instanceof CameTogether together) {
            change(together.part(), p -> p.withUnit(together.unit().isEmpty() ? null : together.unit()));
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
        } else {
            return false;
        }
        return true;
    }

    private void state(HoldStated stated) {
        boolean known = parts.containsKey(stated.part()) && parts.containsKey(stated.by());
        boolean there = holds.stream()
                .anyMatch(h ->
                        h.part().equals(stated.part()) && h.by().equals(stated.by()) && h.basis() == Hold.Basis.STATED);
        // binding to a sheet later can make a stated hold contradict the sheet's own: the sheet goes before
        if (known && !there && ringWith(withHolds(), stated.part(), stated.by()).isEmpty()) {
            holds.add(new Hold(stated.part(), stated.by(), stated.why(), Hold.Basis.STATED));
        }
    }

    private CalibreSheet withHolds() {
        return base.with(base.parts(), base.screws(), holds);
    }

    private void change(String part, UnaryOperator<Part> how) {
        parts.computeIfPresent(part, (code, p) -> how.apply(p));
    }

    private CalibreSheet sheet() {
        List<ScrewPlace> all = new ArrayList<>(base.screws().stream()
                .filter(s -> !screws.containsKey(s.part()))
                .toList());
        screws.values().stream().filter(s -> parts.containsKey(s.part())).forEach(s -> all.addAll(places(s)));
        CalibreSheet grown = base.with(List.copyOf(parts.values()), all, holds);
        return pictures.equals(base.pictures())
                ? grown
                : grown.called(base.id(), base.name(), base.data(), List.copyOf(pictures));
    }

    /** Screws around the pin of their part, since nobody has pinned them one by one. */
    private List<ScrewPlace> places(ScrewsStated stated) {
        Shape shape = parts.get(stated.part()).shape();
        double[] middle = shape == null ? new double[] {0, 0} : shape.middle();
        double away = base.data().diameterMillimetres() / 40;
        List<ScrewPlace> places = new ArrayList<>();
        for (int i = 0; i < stated.count(); i++) {
            double angle = 2 * Math.PI * i / stated.count();
            places.add(new ScrewPlace(
                    stated.part() + "-s" + (i + 1),
                    stated.part(),
                    middle[0] + away * Math.cos(angle),
                    middle[1] + away * Math.sin(angle),
                    stated.length(),
                    ScrewPlace.Head.FLAT,
                    stated.thread(),
                    1.0,
                    ScrewPlace.Home.ANY_OF_ITS_KIND,
                    "place not pinned"));
        }
        return places;
    }
}
