package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.SidePicture;
import escrel.core.learning.SidePhotographed;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.core.service.StepKind;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.ladder.Ladder;
import escrel.web.plan.CaseDrawing;
import escrel.web.plan.PhotoPlan;
import escrel.web.plan.PlanDrawing;
import escrel.web.plan.Spots;
import java.util.ArrayList;
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
 * @param nextFree the next part that is free now, for a walk from part to part
 */
record StripView(
        Ladder ladder,
        PlanDrawing plan,
        Side sideUp,
        @Nullable StripCard card,
        @Nullable String up,
        @Nullable String down,
        @Nullable String nextFree,
        int turnOvers,
        int screwsOut,
        int openFindings,
        String lastPhoto,
        Undo undo,
        StripActions.@Nullable Outcome outcome,
        StripForm form,
        @Nullable String said,
        @Nullable StripPanel panel,
        @Nullable PhotoPlan photo,
        @Nullable CaseDrawing section,
        List<Integer> filmStrip,
        boolean photoDue,
        boolean unknown,
        @Nullable String target,
        String from,
        List<Spots.Spot> spots) {
    /**
     * What the page asks for.
     *
     * @param part to show on the card
     * @param side to show up
     * @param panel to open on the card
     * @param drawn whether the drawing is wanted although there is a photograph
     * @param layer which of the pictures of the side, from 1; nothing for the one that shows the part
     * @param from the room to go back to when something was recorded; nothing for the strip itself
     */
    record Asked(
            @Nullable String part,
            @Nullable Side side,
            @Nullable String panel,
            @Nullable Boolean drawn,
            @Nullable String from,
            @Nullable Integer layer) {
        static Asked part(@Nullable String part) {
            return new Asked(part, null, null, false, null, null);
        }

        /** A part with a side up and a panel, or none. */
        static Asked of(String part, Side side, @Nullable String panel, @Nullable String from) {
            return new Asked(part, side, panel, false, from, null);
        }
    }

    private static final int PARTS_BETWEEN_PHOTOS = 6;

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
            new Choice("BROKEN", "4", "broken"),
            new Choice("NOT_JUDGED", "U", "unsure"));

    /** Ways in which screws are odd, with the key for each; five stays the key that takes the part off. */
    private static final List<Choice> SCREW_KEYS = List.of(
            new Choice("LOOSE", "1", "loose"),
            new Choice("MISSING", "2", "missing"),
            new Choice("FOREIGN", "3", "foreign"),
            new Choice("BURRED", "4", "burred"),
            new Choice("GLUED", "6", "glued"),
            new Choice("BROKEN", "9", "broken"));

    /** Grades to choose from, as found. */
    public List<Choice> grades() {
        return GRADES;
    }

    /** The questions as they are put: of those that want an answer the first; the next comes when it is answered. */
    public List<Caution> questions() {
        if (card == null) {
            return List.of();
        }
        List<Caution> all = new ArrayList<>();
        for (Caution question : card.asks()) {
            if (question.answers().isEmpty()
                    || all.stream().allMatch(q -> q.answers().isEmpty())) {
                all.add(question);
            }
        }
        return all;
    }

    /** How the screws of the part at hand are said to be, as the form stands. */
    public String screwWords() {
        String words = form.screwsFound().words();
        return words.isEmpty() ? "screws as on the sheet" : words;
    }

    /** Keys of the pad for screws. */
    public List<Choice> screwStates() {
        return SCREW_KEYS;
    }

    /** Whether the same key again goes on. */
    public boolean waits() {
        return outcome != null && outcome.waitsForTheKey();
    }

    /** What the main key does now. */
    public String keyWords() {
        boolean power = card != null && card.part().isPowerDown();
        if (waits()) {
            return power ? "yes, the power is down" : "yes, and off";
        }
        return power ? "let the power down" : "off";
    }

    /** Whether the question asked now is whether the power is really down. */
    public boolean asksForPower() {
        return waits() && card != null && card.part().role() == Role.RATCHET_WHEEL;
    }

    static StripView of(
            OpenJob job,
            Asked asked,
            StripActions.@Nullable Outcome outcome,
            @Nullable StripForm form,
            @Nullable String said) {
        CalibreSheet sheet = job.movement();
        TeardownState state = job.job().teardown();
        TeardownOrder order = job.job().wayDown();
        List<Part> all = Ladder.order(job.job());
        Part selected = sheet.part(asked.part() == null ? "" : asked.part())
                .or(() -> order.next().filter(all::contains))
                .orElseGet(() -> all.isEmpty() ? null : all.get(all.size() - 1));
        Findings findings = job.job().findings();
        Side up = asked.side() != null ? asked.side() : sideOf(state, selected);
        boolean unknown = job.sheet() == null;
        // of an unknown calibre the next part has no name yet
        boolean nameNext = unknown
                && asked.panel() == null
                && asked.part() == null
                && order.remaining().isEmpty()
                && !StripActions.isClosed(job);
        // a closed movement asks why it is opened before anything comes off
        boolean reopen = asked.panel() == null
                && (outcome == StripActions.Outcome.CLOSED || asked.part() == null && StripActions.isClosed(job));
        StripPanel panel = StripPanels.of(nameNext ? "name" : reopen ? "reopen" : asked.panel(), job, selected);
        int at = all.indexOf(selected);
        int round = job.job().lives().round().startsAt();
        String code = selected == null ? null : selected.code();
        return new StripView(
                Ladder.of(job.job(), all, code),
                PlanDrawing.of(
                        sheet, up, new PlanDrawing.State(state::isOff, free(state, order), code, flagged(findings))),
                up,
                selected == null ? null : StripCard.of(job, state, order, selected, findings),
                at > 0 ? all.get(at - 1).code() : null,
                at >= 0 && at < all.size() - 1 ? all.get(at + 1).code() : null,
                nextFree(all, at, free(state, order)),
                order.turnOvers(),
                job.job().screws().out(),
                findings.open().size(),
                lastPhoto(job.history(), sheet, round),
                Undo.of(job, StepKind.STRIP),
                outcome,
                form == null ? StripForm.fresh(code == null ? "" : code, job.sequence()) : form,
                said,
                panel,
                Boolean.TRUE.equals(asked.drawn())
                        ? null
                        : PhotoPlan.of(job.number(), job.sheet(), sheet, up, layer(job, sheet, up, selected, asked)),
                section(job, state, selected),
                job.history().all(PhotoAdded.class).map(PhotoAdded::photo).toList(),
                sincePhoto(job.history(), sheet, round) >= PARTS_BETWEEN_PHOTOS,
                unknown,
                state.target().map(t -> sheet.requirePart(t).name()).orElse(null),
                asked.from() == null ? "" : asked.from(),
                selected != null && "place".equals(asked.panel()) ? LookPanels.spots(job, selected, up) : List.of());
    }

    /**
     * Which picture of a side is shown: the one asked for; else the latest, but of a part that is off the latest that was
     * taken while it was on.
     */
    private static int layer(OpenJob job, CalibreSheet sheet, Side side, @Nullable Part part, Asked asked) {
        if (asked.layer() != null) {
            return asked.layer();
        }
        int offAt = part == null ? 0 : job.job().lives().offAt(part.code());
        if (offAt == 0) {
            return Integer.MAX_VALUE;
        }
        int shows = 1;
        List<SidePicture> pictures = PhotoPlan.ofSide(sheet, side);
        for (int i = 0; i < pictures.size(); i++) {
            int number = pictures.get(i).number();
            int takenAt = job.history().lastAt(SidePhotographed.class, p -> p.photo() == number);
            if (takenAt < offAt) {
                shows = i + 1;
            }
        }
        return shows;
    }

    /** The case cut through, while a part of it is at hand; nothing where nothing is known of it. */
    private static @Nullable CaseDrawing section(OpenJob job, TeardownState state, @Nullable Part selected) {
        if (selected == null || !CaseSheet.isOfCase(selected)) {
            return null;
        }
        return job.job()
                .watchcase()
                .map(c -> CaseDrawing.of(c, new CaseDrawing.State(state::isOff, selected.code())))
                .orElse(null);
    }

    /** The next part after this one that is free now, round and round. */
    private static @Nullable String nextFree(List<Part> all, int at, Set<String> free) {
        for (int i = 1; i <= all.size(); i++) {
            String code = all.get((at + i) % all.size()).code();
            if (free.contains(code)) {
                return code;
            }
        }
        return null;
    }

    private static Side sideOf(TeardownState state, @Nullable Part selected) {
        Side side = selected == null ? Side.IN_HAND : selected.side();
        return side == Side.IN_HAND ? TeardownOrder.sideUp(state).orElse(Side.TRAIN) : side;
    }

    private static Set<String> free(TeardownState state, TeardownOrder order) {
        return state.freeNow().stream()
                .map(Part::code)
                .filter(c -> order.brokenBy(c).isEmpty())
                .collect(Collectors.toSet());
    }

    private static Set<String> flagged(Findings findings) {
        return findings.all().stream()
                .filter(f -> f.isOpen() && f.part() != null)
                .map(Finding::part)
                .collect(Collectors.toSet());
    }

    /** Parts off since the last photo; a round that begins owes none for what an earlier one took off. */
    private static int sincePhoto(JobHistory history, CalibreSheet sheet, int from) {
        int since = 0;
        for (var entry : history.counting(PhotoAdded.class, PartOff.class)) {
            if (entry.step() instanceof PhotoAdded || entry.sequence() <= from) {
                since = 0;
            } else if (entry.step() instanceof PartOff off
                    && sheet.part(off.part()).filter(Part::isPowerDown).isEmpty()) {
                since++;
            }
        }
        return since;
    }

    private static String lastPhoto(JobHistory history, CalibreSheet sheet, int from) {
        int since = sincePhoto(history, sheet, from);
        boolean any = history.lastAt(PhotoAdded.class, photo -> true) > from;
        if (!any) {
            return since == 0 ? "none yet" : "none yet, " + since + (since == 1 ? " part off" : " parts off");
        }
        return since == 0 ? "just now" : "last one " + since + (since == 1 ? " part ago" : " parts ago");
    }
}
