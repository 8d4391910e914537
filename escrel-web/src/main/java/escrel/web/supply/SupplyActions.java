package escrel.web.supply;

import escrel.core.MendableException;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingWorked;
import escrel.core.service.Step;
import escrel.core.supply.CalledOff;
import escrel.core.supply.Came;
import escrel.core.supply.DonorKept;
import escrel.core.supply.Order;
import escrel.core.supply.Ordered;
import escrel.core.supply.PutOff;
import escrel.core.supply.Stores;
import escrel.core.supply.Want;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import escrel.web.stores.DonorShelf;
import escrel.web.stores.Drawers;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the parts desk records, and what it refuses. One press is one act, whatever it says of finding, order and copy. */
@Component
class SupplyActions {
    private final Workshop workshop;
    private final WorkshopLogs log;
    private final DonorShelf donors;
    private final Drawers drawers;

    SupplyActions(Workshop workshop, WorkshopLogs log, DonorShelf donors, Drawers drawers) {
        this.workshop = workshop;
        this.log = log;
        this.donors = donors;
        this.drawers = drawers;
    }

    /** What a form of an order says. */
    record Form(
            String what,
            String supplier,
            @Nullable String partNumber,
            @Nullable String size,
            @Nullable Double price,
            @Nullable LocalDate expected) {}

    /** Orders what a finding wants, or sends it out. */
    @Transactional
    public void order(int number, int seq, String key, Form form, LocalDate today) {
        OpenJob job = workshop.load(number);
        Want want = require(job, key);
        boolean work = want.state() == Want.State.TO_SEND;
        if (!work && want.state() != Want.State.TO_ORDER) {
            throw refuse(want.what() + " is " + want.state().words(), "Reload the page: it stands otherwise by now.");
        }
        notBefore(form.expected(), today);
        Ordered.Kind kind = work ? Ordered.Kind.WORK : Ordered.Kind.PART;
        workshop.append(
                number,
                seq,
                new Ordered(
                        kind,
                        want.finding(),
                        want.part(),
                        want.what(),
                        form.supplier(),
                        form.partNumber(),
                        form.size(),
                        form.price(),
                        form.expected()));
    }

    /** Orders for a watch what no finding asks for. */
    @Transactional
    public void orderFreely(int number, int seq, @Nullable String part, Form form, LocalDate today) {
        OpenJob job = workshop.load(number);
        boolean known =
                part == null || part.isEmpty() || job.movement().part(part).isPresent();
        if (!known) {
            throw refuse("The sheet has no such part", "Choose it from the list.");
        }
        notBefore(form.expected(), today);
        workshop.append(
                number,
                seq,
                new Ordered(
                        Ordered.Kind.PART,
                        null,
                        part,
                        form.what(),
                        form.supplier(),
                        form.partNumber(),
                        form.size(),
                        form.price(),
                        form.expected()));
    }

    private static void notBefore(@Nullable LocalDate expected, LocalDate today) {
        if (expected != null && expected.isBefore(today)) {
            throw refuse("It is promised for a day that has passed", "Choose today or a day to come.");
        }
    }

    /** What was ordered is here, or back. What is right goes on at once: the copy is at hand, the work is done. */
    @Transactional
    public void came(int number, int seq, int at, Came.Judgement judgement, String words) {
        OpenJob job = workshop.load(number);
        Order order = requireOrder(job, at);
        if (!order.isAwaited() && !(order.isToCheck() && judgement != Came.Judgement.UNCHECKED)) {
            throw refuse(
                    order.what().what() + (order.calledOff() == null ? " came already" : " was called off"),
                    "Reload the page: it stands otherwise by now.");
        }
        List<Step> act = new ArrayList<>();
        act.add(new Came(at, judgement, words));
        Finding finding = findingOf(job, order);
        if (order.what().kind() == Ordered.Kind.WORK) {
            back(finding, judgement, words, act);
        } else if (judgement == Came.Judgement.RIGHT) {
            here(job, order, finding, act);
        }
        workshop.append(number, seq, act);
    }

    private static void back(@Nullable Finding finding, Came.Judgement judgement, String words, List<Step> act) {
        if (finding == null || finding.isSettled() || judgement == Came.Judgement.UNCHECKED) {
            return;
        }
        if (finding.decision().filter(d -> d.decision() == Decision.SEND_OUT).isPresent()) {
            boolean good = judgement == Came.Judgement.RIGHT;
            act.add(new FindingWorked(
                    finding.key(),
                    good ? FindingWorked.Outcome.DONE : FindingWorked.Outcome.FAILED,
                    words.isBlank() ? "back and checked" : words));
        }
    }

    private static void here(OpenJob job, Order order, @Nullable Finding finding, List<Step> act) {
        String part = order.what().part();
        boolean piece = finding != null && finding.isWithinPart();
        // another one sits in its place already: this one goes into a drawer
        boolean late = finding != null && finding.isSettled() && !finding.isInterim();
        if (part == null || piece || late || job.movement().part(part).isEmpty()) {
            return;
        }
        String size = order.what().size();
        act.add(new CopyAtHand(part, CopyAtHand.Origin.NEW, order.what().supplier(), size == null ? "" : size));
        if (finding != null && finding.isInterim()) {
            // what was waited for is here: from now on the old one is to be replaced by it
            act.add(new Decided(
                    finding.key(),
                    Decision.REPLACE_NEW,
                    "the ordered one is here",
                    order.what().supplier()));
        }
    }

    /** Another day was promised. */
    @Transactional
    public void putOff(int number, int seq, int at, @Nullable LocalDate expected, LocalDate today) {
        requireAwaited(workshop.load(number), at);
        notBefore(expected, today);
        workshop.append(number, seq, new PutOff(at, expected));
    }

    /** It will not come. */
    @Transactional
    public void callOff(int number, int seq, int at, String reason) {
        requireAwaited(workshop.load(number), at);
        workshop.append(number, seq, new CalledOff(at, reason));
    }

    /** Takes what is wanted from a drawer of the workshop. */
    @Transactional
    public void fromStock(int number, int seq, String key, String stock) {
        Want want = require(workshop.load(number), key);
        String part = partOf(number, want);
        Stores.InStock item = log.load().stores().stock().stream()
                .filter(s -> s.what().id().equals(stock))
                .findFirst()
                .orElseThrow(() -> refuse("That is in stock no more", "Choose another, or order it."));
        if (drawers.left(item) < 1) {
            throw refuse("None of “" + item.what().name() + "” is left", "Count the drawer, or order it.");
        }
        append(
                number,
                seq,
                want,
                new CopyAtHand(
                        part,
                        CopyAtHand.Origin.NEW,
                        item.what().name(),
                        item.what().size(),
                        item.what().asSource()));
    }

    /** It is here without an order: bought over the counter, found in a box. */
    @Transactional
    public void here(int number, int seq, String key, String source, String size) {
        Want want = require(workshop.load(number), key);
        if (source.isBlank()) {
            throw refuse("Where it comes from is not said", "Name the shop, the box or the material.");
        }
        CopyAtHand.Origin origin = want.state() == Want.State.TO_TAKE ? CopyAtHand.Origin.DONOR : CopyAtHand.Origin.NEW;
        append(number, seq, want, new CopyAtHand(partOf(number, want), origin, source.strip(), size.strip()));
    }

    /** Takes what is wanted from a donor. */
    @Transactional
    public void fromDonor(int number, int seq, String key, String donor, String partThere) {
        Want want = require(workshop.load(number), key);
        DonorKept there = donors.requireWith(donor, partThere);
        append(
                number,
                seq,
                want,
                new CopyAtHand(
                        partOf(number, want), CopyAtHand.Origin.DONOR, there.name(), "", there.asSource(partThere)));
    }

    /** A copy is here for a want; what was refitted meanwhile, or to be bought, is decided by it. */
    private void append(int number, int seq, Want want, CopyAtHand copy) {
        List<Step> act = new ArrayList<>(List.of(copy));
        Finding finding = workshop.load(number)
                .job()
                .findings()
                .byKey(String.valueOf(want.finding()))
                .orElse(null);
        Decision now = copy.origin() == CopyAtHand.Origin.DONOR ? Decision.REPLACE_DONOR : Decision.REPLACE_NEW;
        if (finding != null
                && finding.decision().filter(d -> d.decision() == now).isEmpty()) {
            act.add(new Decided(finding.key(), now, "", copy.source()));
        }
        workshop.append(number, seq, act);
    }

    /** What a part was kept on condition of has happened: it is to be decided again. */
    @Transactional
    public void cameTrue(int number, int seq, String key, String words) {
        Want want = require(workshop.load(number), key);
        String finding = want.finding();
        if (want.state() != Want.State.CONDITION || finding == null) {
            throw refuse(want.what() + " is " + want.state().words(), "Reload the page: it stands otherwise by now.");
        }
        if (words.isBlank()) {
            throw refuse("What happened is not said", "Say it in a few words.");
        }
        workshop.append(number, seq, new FindingWorked(finding, FindingWorked.Outcome.FAILED, words.strip()));
    }

    private String partOf(int number, Want want) {
        boolean open = want.state() == Want.State.TO_ORDER || want.state() == Want.State.TO_TAKE;
        if (!open || want.part() == null) {
            throw refuse(want.what() + " is " + want.state().words(), "Reload the page: it stands otherwise by now.");
        }
        if (isPiece(workshop.load(number), want)) {
            throw refuse(
                    want.what() + " is a piece of a part: another part would come instead",
                    "Order it, or say among the findings that it was put in.");
        }
        return want.part();
    }

    /** Whether what is wanted is no part by itself: a jewel, a stone, a screw, or something of the watch as a whole. */
    static boolean isPiece(OpenJob job, Want want) {
        return want.part() == null
                || job.job()
                        .findings()
                        .byKey(String.valueOf(want.finding()))
                        .filter(Finding::isWithinPart)
                        .isPresent();
    }

    private static @Nullable Finding findingOf(OpenJob job, Order order) {
        String key = order.what().finding();
        return key == null ? null : job.job().findings().byKey(key).orElse(null);
    }

    private static void requireAwaited(OpenJob job, int at) {
        Order order = requireOrder(job, at);
        if (!order.isAwaited()) {
            throw refuse(
                    order.what().what() + (order.calledOff() == null ? " came already" : " was called off"),
                    "Reload the page: it stands otherwise by now.");
        }
    }

    private static Order requireOrder(OpenJob job, int at) {
        return job.job()
                .supply()
                .order(at)
                .orElseThrow(() -> refuse("There is no order of step " + at, "Choose it on the parts desk."));
    }

    private static Want require(OpenJob job, String key) {
        return job.job()
                .supply()
                .want(key)
                .orElseThrow(() -> refuse("Nothing of that kind is wanted any more", "Choose it on the parts desk."));
    }

    static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; orders and parts are as they were.", todo);
    }
}
