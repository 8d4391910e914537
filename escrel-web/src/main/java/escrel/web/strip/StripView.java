package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PhotoAdded;
import escrel.core.teardown.Caution;
import escrel.core.teardown.Constraint;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.OpenJob;
import escrel.web.ladder.Ladder;
import escrel.web.plan.PlanDrawing;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The strip page: ladder, plan, and the card of the selected part.
 *
 * @param card nothing on a bare plate
 * @param up the part above the selected one on the ladder, for the keys
 * @param down the part below
 */
record StripView(
        Ladder ladder,
        PlanDrawing plan,
        Side sideUp,
        @Nullable Card card,
        @Nullable String up,
        @Nullable String down,
        int turnOvers,
        int screwsOut,
        int openFindings,
        String lastPhoto,
        boolean canUndo,
        StripActions.@Nullable Outcome outcome,
        StripForm form,
        @Nullable String said) {
    /**
     * A choice on the card.
     *
     * @param mark the short sign above its word, may be empty
     */
    record Choice(String value, String mark, String word) {}

    private static final List<Choice> GRADES = List.of(
            new Choice("AS_NEW", "0", "new"),
            new Choice("GOOD", "1", "good"),
            new Choice("WORN", "2", "worn"),
            new Choice("MEND", "3", "mend"),
            new Choice("BROKEN", "4", "broken"));
    private static final List<Choice> SCREWS = List.of(
            new Choice("AS_ON_SHEET", "", "screws right"),
            new Choice("ONE_MISSING", "", "one missing"),
            new Choice("ONE_FOREIGN", "", "one foreign"),
            new Choice("ONE_DAMAGED", "", "one damaged"));

    /** Grades to choose from, as found. */
    public List<Choice> grades() {
        return GRADES;
    }

    /** States of its screws to choose from. */
    public List<Choice> screwStates() {
        return SCREWS;
    }

    /**
     * The card of a part.
     *
     * @param isOff whether it is off already
     * @param isNext whether it is what the plan proposes
     * @param tray number of its compartment: the order of removal
     */
    record Card(
            Part part,
            String heading,
            boolean isOff,
            boolean isNext,
            String screws,
            String frees,
            int tray,
            List<Caution> asks,
            List<Caution> remarks,
            List<Constraint> broken,
            List<Finding> findings,
            @Nullable PartOff recorded,
            @Nullable Visiting visiting,
            String wayIn) {}

    /**
     * A visit that the key would begin or end.
     *
     * @param words what is to be said of it now, may be empty
     */
    record Visiting(String part, boolean in, String words) {}

    static StripView of(
            OpenJob job,
            @Nullable String wanted,
            @Nullable Side side,
            StripActions.@Nullable Outcome outcome,
            @Nullable StripForm form,
            @Nullable String said) {
        TeardownState state = job.teardown();
        CalibreSheet sheet = state.sheet();
        TeardownOrder order = TeardownOrder.from(state, Schools.DEFAULT);
        List<Part> all = Ladder.order(state, order);
        Part selected =
                sheet.part(wanted == null ? "" : wanted).or(order::next).orElseGet(() -> all.get(all.size() - 1));
        Findings findings = Findings.of(job.history());
        Side up = side != null
                ? side
                : selected.side() == Side.IN_HAND ? TeardownOrder.sideUp(state).orElse(Side.TRAIN) : selected.side();
        Set<String> free = state.freeNow().stream()
                .map(Part::code)
                .filter(c -> order.brokenBy(c).isEmpty())
                .collect(Collectors.toSet());
        Set<String> flagged = findings.all().stream()
                .filter(f -> f.isOpen() && f.part() != null)
                .map(Finding::part)
                .collect(Collectors.toSet());
        int at = all.indexOf(selected);
        return new StripView(
                Ladder.of(state, job.history(), all, selected.code()),
                PlanDrawing.of(sheet, up, new PlanDrawing.State(state::isOff, free, selected.code(), flagged)),
                up,
                card(job, state, order, selected, findings),
                at > 0 ? all.get(at - 1).code() : null,
                at < all.size() - 1 ? all.get(at + 1).code() : null,
                order.turnOvers(),
                state.screwsOut().size(),
                findings.open().size(),
                lastPhoto(job.history()),
                job.history().nextToTakeBack().isPresent(),
                outcome,
                form == null ? StripForm.fresh(selected.code(), job.sequence()) : form,
                said);
    }

    private static Card card(OpenJob job, TeardownState state, TeardownOrder order, Part part, Findings findings) {
        CalibreSheet sheet = state.sheet();
        List<Caution> cautions = Caution.before(sheet, part);
        boolean off = state.isOff(part.code());
        boolean next = order.next().filter(part::equals).isPresent();
        int place = state.order().indexOf(part.code());
        String frees = sheet.heldBy(part.code()).stream()
                .filter(h -> !state.isOff(h.part())
                        && state.heldBy(h.part()).stream().allMatch(part::equals))
                .map(h -> sheet.requirePart(h.part()).name())
                .distinct()
                .collect(Collectors.joining(", "));
        List<ScrewPlace> screws = sheet.screwsOf(part.code());
        return new Card(
                part,
                off ? "off · tray " + (place + 1) : next ? "next · free now" : heading(order, part),
                off,
                next,
                screws.isEmpty()
                        ? "none"
                        : Ladder.screwWords(screws) + ", blade " + screws.get(0).bladeMillimetres(),
                frees,
                place < 0 ? state.order().size() + 1 : place + 1,
                cautions.stream().filter(c -> c.kind() == Caution.Kind.ASKS).toList(),
                cautions.stream().filter(c -> c.kind() == Caution.Kind.SAYS).toList(),
                off ? List.of() : order.brokenBy(part.code()),
                findings.on(part.code()),
                state.stepOf(part.code()).orElse(null),
                visiting(state, part),
                wayIn(state, part));
    }

    /** What would have to come off first, in words; empty when nothing would. */
    private static String wayIn(TeardownState state, Part part) {
        if (state.isOff(part.code())) {
            return "";
        }
        TeardownOrder way = TeardownOrder.wayIn(state, Schools.DEFAULT, part.code());
        int first = way.remaining().size() - 1;
        return first == 0
                ? ""
                : "%d parts first, about %.0f minutes by the sheet".formatted(first, Math.ceil(way.minutes()));
    }

    private static String heading(TeardownOrder order, Part part) {
        return order.brokenBy(part.code()).isEmpty() ? "free now" : "not yet";
    }

    /** The part that the visit key would put in or take out: the stem for the power-down, else the part itself. */
    private static @Nullable Visiting visiting(TeardownState state, Part part) {
        Part visitor = part.isPowerDown() ? state.sheet().withRole(Role.STEM).orElse(part) : part;
        if (!state.isOff(visitor.code()) || part.isPowerDown() && state.isOff(part.code())) {
            return null;
        }
        boolean in = state.visiting().contains(visitor.code());
        String words = in
                ? visitor.name() + " is in for a visit."
                : part.isPowerDown() ? "The stem is out: put it back for this, for a visit only." : "";
        return new Visiting(visitor.code(), in, words);
    }

    private static String lastPhoto(JobHistory history) {
        int since = 0;
        boolean any = false;
        for (var entry : history.counting()) {
            if (entry.step() instanceof PhotoAdded) {
                since = 0;
                any = true;
            } else if (entry.step() instanceof PartOff) {
                since++;
            }
        }
        if (!any) {
            return since == 0 ? "none yet" : "none yet, " + since + " parts off";
        }
        return since == 0 ? "just now" : "last one " + since + (since == 1 ? " part ago" : " parts ago");
    }
}
