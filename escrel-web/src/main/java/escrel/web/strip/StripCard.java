package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.learning.ScrewsStated;
import escrel.core.order.Constraint;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.parts.PartScrews;
import escrel.core.service.PartOff;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.OpenJob;
import escrel.web.job.PartStory;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The card of a part.
 *
 * @param isOff whether it is off already
 * @param isNext whether it is what the plan proposes
 * @param holes its screws, hole by hole
 * @param broken holds and safety rules that speak against taking it off now
 * @param habits schools that speak against it: a remark
 * @param seen what it always came off after, though nobody stated why
 * @param keptWith the part it is not to be separated from
 * @param suspected what may be wrong with it and was not looked at yet
 * @param weakPoints what is known to wear on it
 * @param log what was observed, measured or happened on it
 * @param tray number of the compartment it lies in or goes to; none for what is no thing to lay down
 */
record StripCard(
        Part part,
        String heading,
        boolean isOff,
        boolean isNext,
        String screws,
        String frees,
        @Nullable Integer tray,
        List<Caution> asks,
        List<Caution> remarks,
        List<Constraint> broken,
        List<Constraint> habits,
        List<Finding> findings,
        @Nullable PartOff recorded,
        @Nullable Visiting visiting,
        String wayIn,
        PartScrews holes,
        List<String> seen,
        @Nullable String keptWith,
        boolean leftFitted,
        boolean lost,
        List<String> log,
        List<String> suspected,
        List<String> weakPoints) {
    /**
     * A visit that the key would begin or end.
     *
     * @param words what is to be said of it now, may be empty
     */
    record Visiting(String part, boolean in, String words) {}

    static StripCard of(OpenJob job, TeardownState state, TeardownOrder order, Part part, Findings findings) {
        CalibreSheet sheet = state.sheet();
        List<Caution> cautions = Caution.before(sheet, part, job.schools());
        boolean off = state.isOff(part.code());
        boolean next = order.next().filter(part::equals).isPresent();
        OptionalInt tray = job.job().tray().numberFor(part);
        String frees = sheet.heldBy(part.code()).stream()
                .filter(h -> !state.isOff(h.part())
                        && state.heldBy(h.part()).stream().allMatch(part::equals))
                .map(h -> sheet.requirePart(h.part()).name())
                .distinct()
                .collect(Collectors.joining(", "));
        PartScrews screws = job.job().screws().of(part.code());
        return new StripCard(
                part,
                off
                        ? "off" + (tray.isPresent() ? " · tray " + tray.getAsInt() : "")
                        : next ? "next · free now" : heading(order, part),
                off,
                next,
                screws.holes().isEmpty()
                        ? job.sheet() == null && !saidOfScrews(job, part) ? "not said" : "none"
                        : screws.words() + ", blade "
                                + screws.holes().get(0).screw().bladeMillimetres(),
                frees,
                tray.isPresent() ? tray.getAsInt() : null,
                cautions.stream().filter(c -> c.kind() == Caution.Kind.ASKS).toList(),
                cautions.stream().filter(c -> c.kind() == Caution.Kind.SAYS).toList(),
                off ? List.of() : broken(order, part, Constraint::wantsReason),
                off ? List.of() : broken(order, part, Constraint::isSchool),
                findings.on(part.code()),
                state.stepOf(part.code()).orElse(null),
                visiting(state, part),
                wayIn(job, state, part),
                screws,
                off ? List.of() : seen(sheet, order, part),
                part.staysWith() == null
                        ? null
                        : sheet.part(part.staysWith()).map(Part::name).orElse(null),
                state.leftFitted().contains(part.code()),
                job.job().searches().isLost(part.code()),
                PartStory.of(job, part.code()).log(),
                PartStory.of(job, part.code()).suspected(),
                PartStory.of(job, part.code()).weakPoints());
    }

    private static boolean saidOfScrews(OpenJob job, Part part) {
        return job.history().all(ScrewsStated.class).anyMatch(s -> s.part().equals(part.code()));
    }

    /** What would have to come off first, in words; empty when nothing would. */
    private static String wayIn(OpenJob job, TeardownState state, Part part) {
        if (state.isOff(part.code()) || state.target().isPresent()) {
            return "";
        }
        TeardownOrder way = job.job().wayIn(part.code());
        int first = way.remaining().size() - 1;
        return first == 0
                ? ""
                : "%d parts first, about %.0f minutes by the sheet".formatted(first, Math.ceil(way.minutes()));
    }

    private static List<Constraint> broken(TeardownOrder order, Part part, Predicate<Constraint> which) {
        return order.brokenBy(part.code()).stream().filter(which).toList();
    }

    private static List<String> seen(CalibreSheet sheet, TeardownOrder order, Part part) {
        return order.waitingFor(part.code()).stream()
                .filter(c -> c.weight() == Constraint.Weight.SEEN)
                .map(c -> sheet.part(c.first().code())
                                .map(Part::name)
                                .orElse(c.first().code()) + ", " + c.why())
                .toList();
    }

    private static String heading(TeardownOrder order, Part part) {
        List<Constraint> broken = order.brokenBy(part.code());
        return broken.isEmpty()
                ? "free now"
                : broken.stream().noneMatch(Constraint::wantsReason) ? "free now, by another habit" : "not yet";
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
}
