package escrel.web.supply;

import escrel.core.calibre.CalibreSheet;
import escrel.core.job.Acts;
import escrel.core.parts.CopyAtHand;
import escrel.core.service.StepKind;
import escrel.core.supply.CalledOff;
import escrel.core.supply.Came;
import escrel.core.supply.Order;
import escrel.core.supply.Ordered;
import escrel.core.supply.PutOff;
import escrel.core.supply.Stores;
import escrel.core.supply.SupplierKept;
import escrel.core.supply.Want;
import escrel.web.format.Amount;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.OpenWants;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.SupplyMapper.Before;
import escrel.web.storage.WorkshopLogs;
import escrel.web.stores.DonorShelf;
import escrel.web.stores.Drawers;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The parts desk: what is waited for, since when, for which watch. */
@Controller
class PartsDeskController {
    private static final int MOST_BEFORE = 4;
    private static final int MOST_NAMES = 100;
    private static final int LAST_PAGE = 10_000;
    private static final Pattern KEY = Pattern.compile("(\\d{1,9}):([a-z][0-9a-z-]{1,39})");
    private static final Set<Class<?>> SAID_HERE =
            Set.of(Ordered.class, PutOff.class, Came.class, CalledOff.class, CopyAtHand.class);

    private final Workshop workshop;
    private final SupplyMapper mapper;
    private final OpenWants open;
    private final WorkshopLogs log;
    private final DonorShelf donors;
    private final Drawers drawers;
    private final Clock clock;

    PartsDeskController(
            Workshop workshop,
            SupplyMapper mapper,
            OpenWants open,
            WorkshopLogs log,
            DonorShelf donors,
            Drawers drawers,
            Clock clock) {
        this.workshop = workshop;
        this.mapper = mapper;
        this.open = open;
        this.log = log;
        this.donors = donors;
        this.drawers = drawers;
        this.clock = clock;
    }

    /**
     * What can be done about one thing.
     *
     * @param seq of the job as the page shows it
     * @param order what it hangs on; nothing without one
     * @param before what fitted before in watches of this calibre
     * @param lastPrice paid for one of these; nothing where none is known
     * @param names suppliers, those kept first
     * @param piece whether it is no part by itself, and so is settled among the findings and not by being fitted
     * @param undo what the key would take back, in words; nothing where the last act of the inspection was none of here
     */
    record Card(
            Desk.Row row,
            Want want,
            int seq,
            @Nullable Order order,
            List<Before> before,
            @Nullable Double lastPrice,
            List<DonorShelf.Offer> offers,
            List<Drawers.Drawer> drawers,
            List<String> names,
            boolean piece,
            @Nullable String undo) {
        /** What the form of an order begins with: the size that fitted last. */
        public String size() {
            return before.stream()
                    .map(Before::size)
                    .filter(s -> !s.isEmpty())
                    .findFirst()
                    .orElse("");
        }

        /** Where it was got last, unless the decision says it. */
        public String supplier() {
            return !row.line().source().isEmpty()
                    ? row.line().source()
                    : before.stream().map(Before::source).findFirst().orElse("");
        }

        public String price() {
            return lastPrice == null ? "" : Amount.words(lastPrice);
        }
    }

    @GetMapping("/parts")
    String desk(
            @RequestParam(required = false) @Nullable String want,
            @RequestParam(required = false) Desk.@Nullable Heading only,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        LocalDate today = LocalDate.now(clock);
        Desk.Look look = new Desk.Look(only, Math.max(0, Math.min(page, LAST_PAGE)));
        List<SupplyMapper.Line> lines = new ArrayList<>(mapper.standing(look.groups(), look.from(), look.most()));
        String chosen = want == null ? first(lines) : want;
        // led to from elsewhere, it is shown though many others come before it
        asked(want).filter(l -> !lines.contains(l)).ifPresent(lines::add);
        Desk desk = Desk.of(look, lines, open.sums(today), today, chosen);
        model.addAttribute("desk", desk);
        model.addAttribute("today", today);
        List<Drawers.Drawer> all = drawers.all();
        model.addAttribute("low", all.stream().filter(Drawers.Drawer::low).toList());
        model.addAttribute(
                "card",
                desk.rows().stream()
                        .filter(Desk.Row::chosen)
                        .findFirst()
                        .flatMap(row -> card(row, all))
                        .orElse(null));
        return "supply/desk";
    }

    private Optional<SupplyMapper.Line> asked(@Nullable String want) {
        Matcher key = KEY.matcher(want == null ? "" : want);
        return key.matches() ? mapper.one(Integer.parseInt(key.group(1)), key.group(2)) : Optional.empty();
    }

    private static @Nullable String first(List<SupplyMapper.Line> lines) {
        return lines.isEmpty() ? null : lines.get(0).job() + ":" + lines.get(0).want();
    }

    /** Nothing where the line is behind the job it is about. */
    private Optional<Card> card(Desk.Row row, List<Drawers.Drawer> all) {
        OpenJob job = workshop.load(row.line().job());
        return job.job().supply().want(row.line().want()).map(want -> card(row, want, job, all));
    }

    private Card card(Desk.Row row, Want want, OpenJob job, List<Drawers.Drawer> all) {
        CalibreSheet sheet = job.sheet();
        String part = want.part();
        boolean piece = SupplyActions.isPiece(job, want);
        boolean toGet = !piece && (want.state() == Want.State.TO_ORDER || want.state() == Want.State.TO_TAKE);
        return new Card(
                row,
                want,
                job.sequence(),
                job.job().supply().order(want.order()).orElse(null),
                sheet != null && part != null ? mapper.before(sheet.id(), part, job.number(), MOST_BEFORE) : List.of(),
                sheet != null && part != null ? mapper.lastPrice(sheet.id(), part) : null,
                toGet && part != null ? donors.offers(sheet, part) : List.of(),
                toGet && part != null ? fitting(want.what(), all) : List.of(),
                want.state() == Want.State.TO_ORDER
                        ? names(Ordered.Kind.PART)
                        : want.state() == Want.State.TO_SEND ? names(Ordered.Kind.WORK) : List.of(),
                piece,
                undo(job));
    }

    /** Only what was said here is taken back here: the key never reaches past it into the inspection. */
    private static @Nullable String undo(OpenJob job) {
        Acts acts = Acts.of(job.job());
        return acts.toTakeBack(StepKind.INSPECT)
                .filter(act -> act.steps().stream()
                        .anyMatch(s -> SAID_HERE.contains(s.step().getClass())))
                .map(acts::words)
                .orElse(null);
    }

    /** What there is in stock, what is called like the part first. */
    private static List<Drawers.Drawer> fitting(String what, List<Drawers.Drawer> all) {
        Set<String> words = new LinkedHashSet<>(Arrays.asList(what.toLowerCase().split("\\W+")));
        return all.stream()
                .filter(d -> d.left() > 0)
                .sorted((a, b) -> Integer.compare(likeness(b, words), likeness(a, words)))
                .toList();
    }

    private static int likeness(Drawers.Drawer drawer, Set<String> words) {
        Stores.InStock item = drawer.item();
        return (int) Arrays.stream(item.what().name().toLowerCase().split("\\W+"))
                .filter(words::contains)
                .count();
    }

    private List<String> names(Ordered.Kind kind) {
        Set<String> names = new LinkedHashSet<>();
        log.load().stores().suppliers().stream()
                .filter(s -> s.trade().does(kind))
                .map(SupplierKept::name)
                .forEach(names::add);
        names.addAll(mapper.named(MOST_NAMES));
        return List.copyOf(names);
    }
}
