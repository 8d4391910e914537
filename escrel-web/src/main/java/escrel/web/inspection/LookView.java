package escrel.web.inspection;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.cleaning.Looks;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Place;
import escrel.core.parts.PlacesOfPart;
import escrel.core.service.PhotoAdded;
import escrel.core.service.StepKind;
import escrel.core.teardown.TeardownOrder;
import escrel.core.watchcase.CaseSheet;
import escrel.web.format.Texts;
import escrel.web.job.OpenJob;
import escrel.web.job.PartStory;
import escrel.web.plan.CaseDrawing;
import escrel.web.plan.PlanDrawing;
import escrel.web.plan.Spots;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The walk from part to part: board, plan or section, and the card of the part at hand.
 *
 * @param part at hand; nothing while the movement has no part anybody named
 * @param heading which look it is, and whether the part was judged in it
 * @param findings on the part, in words, with the look in which they were raised
 * @param before the part before it on the board
 * @param after the part behind it
 * @param panel what the card asks instead of the grades: a place, what it is, the rest; nothing for the grades
 * @param place chosen for the next grade, as {@link LookForm} takes it
 */
record LookView(
        Board board,
        @Nullable Part part,
        String heading,
        List<String> findings,
        List<String> story,
        List<Integer> photos,
        PlanDrawing plan,
        Side sideUp,
        @Nullable CaseDrawing section,
        @Nullable String before,
        @Nullable String after,
        @Nullable Panel panel,
        List<Spots.Spot> spots,
        @Nullable String place,
        String placeWords,
        boolean second,
        List<String> rest) {
    /**
     * What the page asks for.
     *
     * @param grade chosen already, where what it is is asked
     */
    record Asked(
            @Nullable String part,
            @Nullable Side side,
            @Nullable String panel,
            @Nullable String place,
            @Nullable Grade grade) {}

    /**
     * A short list, each line on one key.
     *
     * @param choices at most ten
     */
    record Panel(String title, List<Choice> choices) {}

    /**
     * A line of it.
     *
     * @param address it leads to; empty where it records
     * @param grade it records
     * @param defect it records
     */
    record Choice(
            String key,
            String words,
            String address,
            @Nullable Grade grade,
            @Nullable Defect defect) {}

    private static final int ON_A_PAGE = 7;

    private static final List<Defect> USUAL = List.of(
            Defect.WORN,
            Defect.SCORED,
            Defect.BENT,
            Defect.CRACKED,
            Defect.CHIPPED,
            Defect.RUSTED,
            Defect.LOOSE,
            Defect.SET,
            Defect.BROKEN);

    static LookView of(OpenJob job, Asked asked) {
        CalibreSheet sheet = job.movement();
        Looks looks = job.job().looks();
        List<Part> all = Board.order(job);
        Part part = sheet.part(asked.part() == null ? "" : asked.part())
                .or(() -> isPlate(sheet, asked.part())
                        ? Optional.of(Board.plate(asked.side() == null ? Side.DIAL : asked.side()))
                        : Optional.empty())
                .or(() -> looks.owed().stream().findFirst())
                .orElseGet(() -> all.isEmpty() ? null : all.get(0));
        String code = part == null ? null : part.code();
        int at = all.indexOf(part);
        Side side = asked.side() != null ? asked.side() : sideOf(job, part);
        Place place = safePlace(asked.place());
        List<Spots.Spot> spots = new ArrayList<>();
        Panel panel = part == null ? null : panel(job, part, side, asked, place, spots);
        return new LookView(
                Board.of(job, code),
                part,
                part == null ? "" : isPlate(sheet, part.code()) ? "place by place" : heading(looks, part),
                part == null ? List.of() : findings(job, part),
                part == null ? List.of() : PartStory.of(job, part.code()).onTheWayDown(),
                part == null ? List.of() : photos(job, part),
                PlanDrawing.of(
                        sheet, side, new PlanDrawing.State(above(sheet, code)::contains, Set.of(), code, flagged(job))),
                side,
                part != null && CaseSheet.isOfCase(part)
                        ? job.job()
                                .watchcase()
                                .map(c -> CaseDrawing.of(c, CaseDrawing.State.whole(code)))
                                .orElse(null)
                        : null,
                at > 0 ? all.get(at - 1).code() : null,
                at >= 0 && at < all.size() - 1 ? all.get(at + 1).code() : null,
                panel,
                List.copyOf(spots),
                place == null ? null : LookForm.textOf(place),
                place == null ? "" : place.words(),
                looks.isSecond(),
                looks.owed().stream().map(Part::name).toList());
    }

    private static boolean isPlate(CalibreSheet sheet, @Nullable String part) {
        return Board.PLATE.equals(part) && sheet.part(Board.PLATE).isEmpty();
    }

    private static @Nullable Place safePlace(@Nullable String text) {
        try {
            return LookForm.placeOf(text);
        } catch (IllegalArgumentException e) {
            // an address typed by hand: the part as a whole
            return null;
        }
    }

    private static Side sideOf(OpenJob job, @Nullable Part part) {
        Side side = part == null ? Side.IN_HAND : part.side();
        return side == Side.IN_HAND ? TeardownOrder.sideUp(job.job().teardown()).orElse(Side.TRAIN) : side;
    }

    private static String heading(Looks looks, Part part) {
        String look = looks.isClean(part.code()) ? "clean" : "as it came";
        Grade grade = looks.isClean(part.code()) ? looks.clean(part.code()) : looks.dirty(part.code());
        return look + (grade == null ? " · not judged yet" : " · " + grade.mark() + ", " + StepKind.said(grade));
    }

    /** What was found, and in which look: what cleaning revealed is told from what one saw before. */
    private static List<String> findings(OpenJob job, Part part) {
        boolean plate = isPlate(job.movement(), part.code());
        return job.job().findings().all().stream()
                .filter(f -> plate
                        ? f.part() == null && f.place() != null
                        : part.code().equals(f.part()))
                .map(f -> f.grade().mark() + " · " + f.where(part.name()) + ": " + f.what()
                        + (job.job().looks().sawClean(f.raisedAt()) ? " (seen clean)" : "")
                        + (f.isSettled() ? "" : ", " + f.wanting()))
                .toList();
    }

    private static List<Integer> photos(OpenJob job, Part part) {
        return job.history()
                .all(PhotoAdded.class)
                .filter(p -> part.code().equals(p.part()))
                .map(PhotoAdded::photo)
                .toList();
    }

    private static Set<String> flagged(OpenJob job) {
        Set<String> flagged = new HashSet<>();
        job.job().findings().open().forEach(f -> {
            if (f.part() != null) {
                flagged.add(f.part());
            }
        });
        return flagged;
    }

    /** What lies over the part, leafed away so that it is seen. */
    private static Set<String> above(CalibreSheet sheet, @Nullable String part) {
        Set<String> above = new HashSet<>();
        List<String> next = part == null ? List.of() : List.of(part);
        while (!next.isEmpty()) {
            next = next.stream()
                    .flatMap(p -> sheet.holdsOn(p).stream())
                    .map(Hold::by)
                    .filter(above::add)
                    .toList();
        }
        return above;
    }

    private static @Nullable Panel panel(
            OpenJob job, Part part, Side side, Asked asked, @Nullable Place place, List<Spots.Spot> spots) {
        String to = "/jobs/" + job.number() + "/inspect?part=" + Texts.inAddress(part.code()) + "&side=" + side;
        if ("what".equals(asked.panel()) && asked.grade() != null) {
            return what(asked.grade(), place, to);
        }
        boolean plate = isPlate(job.movement(), part.code()) && place == null;
        if (asked.panel() != null && asked.panel().startsWith("place") || plate && asked.panel() == null) {
            return places(job.movement(), part, side, "place2".equals(asked.panel()), to, spots);
        }
        if ("kinds".equals(asked.panel())) {
            List<Choice> kinds = new ArrayList<>();
            for (Place.Kind kind : Place.Kind.values()) {
                kinds.add(leads(kinds.size() + 1, kind.words(), to + LookAddress.place(new Place(kind, ""))));
            }
            return new Panel("What kind of place?", kinds);
        }
        return null;
    }

    private static Panel what(Grade grade, @Nullable Place place, String to) {
        List<Choice> choices = new ArrayList<>();
        for (Defect defect : USUAL) {
            choices.add(new Choice(key(choices.size() + 1), StepKind.said(defect), "", grade, defect));
        }
        choices.add(new Choice(key(10), "something else", "", grade, Defect.OTHER));
        return new Panel(
                grade.mark() + ", " + StepKind.said(grade) + (place == null ? "" : " at " + place.words())
                        + ": what is it?",
                choices);
    }

    private static Panel places(
            CalibreSheet sheet, Part part, Side side, boolean further, String to, List<Spots.Spot> spots) {
        List<PlacesOfPart.Known> known =
                isPlate(sheet, part.code()) ? PlacesOfPart.ofThePlate(sheet) : PlacesOfPart.of(sheet, part);
        int from = further ? Math.min(ON_A_PAGE, known.size()) : 0;
        List<PlacesOfPart.Known> page = known.subList(from, Math.min(from + ON_A_PAGE, known.size()));
        List<Choice> choices = new ArrayList<>();
        page.forEach(k -> choices.add(leads(choices.size() + 1, k.place().words(), to + LookAddress.place(k.place()))));
        spots.addAll(Spots.of(
                sheet, side, page, 1, i -> to + LookAddress.place(page.get(i).place())));
        if (known.size() > from + ON_A_PAGE) {
            choices.add(leads(8, "further jewels", to + "&panel=place2"));
        }
        choices.add(leads(9, "hole, pivot, stone, tooth, pin, wall, setting, face", to + "&panel=kinds"));
        if (!isPlate(sheet, part.code())) {
            choices.add(leads(10, "back to the part as a whole", to));
        }
        return new Panel("Where on " + part.name() + "?", choices);
    }

    private static Choice leads(int number, String words, String address) {
        return new Choice(key(number), words, address, null, null);
    }

    private static String key(int number) {
        return String.valueOf(number % 10);
    }
}
