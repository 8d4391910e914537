package escrel.web.inspection;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Grade;
import escrel.core.decision.Way;
import escrel.core.parts.Copy;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingWorked;
import escrel.core.service.StepKind;
import escrel.core.supply.Want;
import escrel.web.format.Amount;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** What was found and how far each finding has come: decided, under way, done, checked. */
final class Docket {
    /** How far a finding has come; one that needs no decision stands beside the way. */
    enum Stand {
        NONE_NEEDED,
        TO_DECIDE,
        DECIDED,
        UNDER_WAY,
        DONE,
        CHECKED
    }

    /**
     * A finding as shown.
     *
     * @param where the part, or the watch
     * @param style of its grade
     * @param causes what it came of, link by link
     * @param asks what can be said of it now: DECIDE, AWAITED (on the parts desk), HERE (the other one is at hand), WORKED, or nothing
     * @param want how what it wants from elsewhere stands; nothing where it wants nothing
     */
    record Line(
            Finding finding,
            String where,
            String style,
            Stand stand,
            String asks,
            List<String> causes,
            @Nullable Want want) {
        /** How far along the way its mark stands, 0 to 4. */
        public int far() {
            return Math.max(0, stand.ordinal() - 1);
        }

        /** How it stands, in words. */
        public String words() {
            String wanting = finding.wanting();
            return switch (stand) {
                case NONE_NEEDED -> "no decision needed";
                case TO_DECIDE -> "to be decided";
                case CHECKED -> "settled";
                default ->
                    wanting != null ? wanting : finding.isInterim() ? "the old one is in until another comes" : "";
            };
        }

        /** What was decided, in words; empty while nothing was. */
        public String decision() {
            Decided d = finding.decided();
            return d == null
                    ? ""
                    : StepKind.said(d.decision())
                            + (d.words().isEmpty() ? "" : ": " + d.words())
                            + (d.source().isEmpty() ? "" : ", from " + d.source());
        }
    }

    /**
     * A way of dealing with it, as a bar of time and money.
     *
     * @param key that chooses it
     * @param time share of the widest bar that is time, 0 to 100
     * @param money share that is money
     * @param comesTo in words
     */
    record Choice(Way way, int key, int time, int money, String comesTo) {
        /** Whether its reason is to be said by whoever decides. */
        public boolean asksWords() {
            return way.decision().needsReason();
        }

        /** Whether where the part comes from is to be said. */
        public boolean asksSource() {
            return way.decision().replaces();
        }
    }

    private static final int MOST = 5;

    private Docket() {}

    static Line line(Finding finding, CalibreSheet sheet, OpenJob job) {
        List<String> causes = job.job().findings().causesOf(finding).stream()
                .map(c -> c.where(sheet) + ": " + c.what())
                .toList();
        Want want = job.job().supply().want("f" + finding.key()).orElse(null);
        return new Line(
                finding,
                finding.where(sheet),
                style(finding.grade()),
                stand(finding, job),
                asks(finding, job),
                causes,
                want);
    }

    private static String style(Grade grade) {
        return switch (grade) {
            case MEND -> "f-mend";
            case BROKEN, MISSING -> "f-broken";
            case WORN -> "f-worn";
            default -> "f-well";
        };
    }

    private static Stand stand(Finding finding, OpenJob job) {
        if (finding.decided() == null) {
            return finding.grade().needsDecision() ? Stand.TO_DECIDE : Stand.NONE_NEEDED;
        }
        if (finding.isSettled() && !finding.isInterim()) {
            return Stand.CHECKED;
        }
        if (isDone(finding, job)) {
            return Stand.DONE;
        }
        boolean under = job.job()
                .supply()
                .want("f" + finding.key())
                .filter(w -> w.order() > 0 || w.state() == Want.State.TO_FIT)
                .isPresent();
        return under || finding.isInterim() ? Stand.UNDER_WAY : Stand.DECIDED;
    }

    /** Carried out or fitted, and something is still to be looked at. */
    private static boolean isDone(Finding finding, OpenJob job) {
        String part = finding.part();
        boolean fitted = finding.replaces()
                && part != null
                && !finding.isWithinPart()
                && job.job().copies().of(part).stream()
                        .anyMatch(c -> c.since() > finding.raisedAt() && c.fittedAt() > 0);
        return fitted
                || worked(finding, job)
                        .filter(w -> w.outcome() == FindingWorked.Outcome.DONE)
                        .isPresent();
    }

    private static Optional<FindingWorked> worked(Finding finding, OpenJob job) {
        return job.history().counting().stream()
                .filter(e -> e.sequence() > finding.decidedAt())
                .filter(e -> e.step() instanceof FindingWorked w && w.finding().equals(finding.key()))
                .map(e -> (FindingWorked) e.step())
                .reduce((earlier, later) -> later);
    }

    private static String asks(Finding finding, OpenJob job) {
        if (finding.isOpen() || finding.lacksSource()) {
            return "DECIDE";
        }
        boolean elsewhere = job.job()
                .supply()
                .want("f" + finding.key())
                .filter(w -> w.state().isAwaited() || w.state() == Want.State.TO_CHECK)
                .isPresent();
        if (elsewhere) {
            // the parts desk says when it is here, and that settles what this would ask
            return "AWAITED";
        }
        String part = finding.part();
        if (!finding.isSettled() && finding.replaces() && part != null && !finding.isWithinPart()) {
            List<Copy> copies = job.job().copies().of(part);
            return copies.stream().anyMatch(c -> c.since() > finding.raisedAt()) ? "" : "HERE";
        }
        boolean failed = worked(finding, job)
                .filter(w -> w.outcome() == FindingWorked.Outcome.FAILED)
                .isPresent();
        return failed ? "DECIDE" : finding.isSettled() ? "" : "WORKED";
    }

    static List<Choice> choices(List<Way> ways, OptionalDouble rate) {
        List<Way> shown = ways.stream().limit(MOST).toList();
        double widest = shown.stream().mapToDouble(w -> size(w, rate)).max().orElse(1);
        double scale = widest <= 0 ? 1 : widest;
        List<Choice> choices = new ArrayList<>();
        for (Way way : shown) {
            double price = rate.isEmpty() || way.price() == null ? 0 : way.price();
            double all = size(way, rate);
            choices.add(new Choice(
                    way,
                    choices.size() + 1,
                    (int) Math.round(100 * (all - price) / scale),
                    (int) Math.round(100 * price / scale),
                    comesTo(way, rate)));
        }
        return choices;
    }

    /** What its bar measures: money where an hour has a price, minutes where it has none. */
    private static double size(Way way, OptionalDouble rate) {
        return way.cost(rate).orElse(way.minutes());
    }

    private static String comesTo(Way way, OptionalDouble rate) {
        String time = way.minutes() == 0
                ? "no time at the bench"
                : "about " + way.minutes() + " min"
                        + (way.timed() > 0 ? ", as " + way.timed() + " such took here" : "");
        Double price = way.price();
        boolean buys = way.decision() == Decision.REPLACE_NEW || way.decision() == Decision.SEND_OUT;
        String part = price != null ? ", " + Amount.words(price) + " paid last" : buys ? ", price not known" : "";
        return way.cost(rate).isPresent() && (price != null || !buys)
                ? time + part + ": " + Amount.words(Math.rint(way.cost(rate).getAsDouble()))
                : time + part;
    }
}
