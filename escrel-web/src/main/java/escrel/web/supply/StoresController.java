package escrel.web.supply;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.service.Step;
import escrel.core.supply.DonorGone;
import escrel.core.supply.DonorKept;
import escrel.core.supply.HourRate;
import escrel.core.supply.StockCame;
import escrel.core.supply.StockCounted;
import escrel.core.supply.StockDropped;
import escrel.core.supply.StockKept;
import escrel.core.supply.Stores;
import escrel.core.supply.SupplierDropped;
import escrel.core.supply.SupplierKept;
import escrel.web.format.Amount;
import escrel.web.plan.PlanDrawing;
import escrel.web.storage.Sheets;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.WorkshopLogs;
import escrel.web.stores.DonorShelf;
import escrel.web.stores.Drawers;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Donors, drawers, suppliers, and what an hour costs. */
@Controller
class StoresController {
    private static final int MARK = 12;
    private final WorkshopLogs log;
    private final DonorShelf donors;
    private final Drawers drawers;
    private final SupplyMapper mapper;
    private final Sheets sheets;

    StoresController(WorkshopLogs log, DonorShelf donors, Drawers drawers, SupplyMapper mapper, Sheets sheets) {
        this.log = log;
        this.donors = donors;
        this.drawers = drawers;
        this.mapper = mapper;
        this.sheets = sheets;
    }

    @GetMapping("/parts/stores")
    String stores(Model model) {
        Stores stores = log.load().stores();
        model.addAttribute("drawers", drawers.all());
        model.addAttribute("donors", donors.all());
        model.addAttribute("suppliers", stores.suppliers());
        model.addAttribute(
                "rate", stores.rate().isPresent() ? Amount.words(stores.rate().getAsDouble()) : "");
        model.addAttribute("kinds", StockKept.Kind.values());
        model.addAttribute("trades", SupplierKept.Trade.values());
        model.addAttribute("calibres", sheets.all());
        return "supply/stores";
    }

    @GetMapping("/parts/donors/{id}")
    String donor(@PathVariable String id, @RequestParam(defaultValue = "TRAIN") Side side, Model model) {
        DonorShelf.Donor donor = require(id);
        CalibreSheet sheet = donor.sheet();
        model.addAttribute("donor", donor);
        model.addAttribute("side", side);
        if (sheet != null) {
            model.addAttribute(
                    "plan",
                    PlanDrawing.of(
                            sheet,
                            side,
                            new PlanDrawing.State(
                                    code -> sheet.part(code).isPresent() && gone(donor, code),
                                    Set.of(),
                                    null,
                                    Set.of())));
        }
        return "supply/donor";
    }

    /** Hands and dial would hide the movement; whether they are on a donor is told by its list. */
    private static boolean gone(DonorShelf.Donor donor, String code) {
        CalibreSheet sheet = donor.sheet();
        return sheet != null && PlanDrawing.isOver(sheet, code) || !donor.has(code);
    }

    @PostMapping("/parts/donors")
    @Transactional
    public String keepDonor(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String calibre,
            @RequestParam(defaultValue = "") String words) {
        if (sheets.latest(calibre).isEmpty()) {
            throw SupplyActions.refuse("The library has no such calibre", "Choose one from the list.");
        }
        DonorKept donor = made(() -> new DonorKept(mark(), name, calibre, List.of(), words));
        log.append(donor);
        return "redirect:/parts/donors/" + donor.id();
    }

    /** A part is not on it, or is on it after all; what a job took cannot be said to be there. */
    @PostMapping("/parts/donors/{id}/lacks")
    @Transactional
    public String lacks(@PathVariable String id, @RequestParam String part) {
        DonorShelf.Donor donor = require(id);
        CalibreSheet sheet = donor.sheet();
        if (sheet == null || sheet.part(part).isEmpty()) {
            throw SupplyActions.refuse("Its sheet has no such part", "Choose it from the list.");
        }
        SupplyMapper.Taken taken = donor.taken().get(part);
        if (taken != null) {
            throw SupplyActions.refuse(
                    "It was taken for job " + taken.job(), "Take that back in the job, then it is on the donor again.");
        }
        List<String> lacks = new ArrayList<>(donor.kept().lacks());
        if (!lacks.remove(part)) {
            lacks.add(part);
        }
        DonorKept kept = donor.kept();
        log.append(made(() -> new DonorKept(kept.id(), kept.name(), kept.calibre(), lacks, kept.words())));
        return "redirect:/parts/donors/" + id;
    }

    @PostMapping("/parts/donors/{id}/gone")
    @Transactional
    public String gone(@PathVariable String id) {
        require(id);
        log.append(new DonorGone(id));
        return "redirect:/parts/stores";
    }

    @PostMapping("/parts/stock")
    @Transactional
    public String keepStock(
            @RequestParam StockKept.Kind kind,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(defaultValue = "0") int lowest,
            @RequestParam(defaultValue = "0") int count) {
        StockKept kept = made(() -> new StockKept(mark(), kind, name, size, place, lowest));
        StockCounted counted = made(() -> new StockCounted(kept.id(), count));
        log.append(kept);
        log.append(counted);
        return "redirect:/parts/stores";
    }

    /** What can be said of a drawer. */
    enum Move {
        COUNTED,
        CAME,
        DROPPED
    }

    @PostMapping("/parts/stock/{id}")
    @Transactional
    public String moveStock(
            @PathVariable String id, @RequestParam Move move, @RequestParam(defaultValue = "0") int count) {
        if (log.load().stores().stock().stream().noneMatch(s -> s.what().id().equals(id))) {
            throw SupplyActions.refuse("That is in stock no more", "Look at the stores as they are now.");
        }
        log.append(made(() -> switch (move) {
            case COUNTED -> new StockCounted(id, count);
            case CAME -> new StockCame(id, count);
            case DROPPED -> new StockDropped(id);
        }));
        return "redirect:/parts/stores";
    }

    @PostMapping("/parts/suppliers")
    @Transactional
    public String keepSupplier(
            @RequestParam(defaultValue = "") String name,
            @RequestParam SupplierKept.Trade trade,
            @RequestParam(defaultValue = "") String reach,
            @RequestParam(defaultValue = "") String words) {
        log.append(made(() -> new SupplierKept(name, trade, reach, words)));
        return "redirect:/parts/stores";
    }

    @PostMapping("/parts/suppliers/drop")
    @Transactional
    public String dropSupplier(@RequestParam String name) {
        int open = mapper.openWith(name);
        if (open > 0) {
            throw SupplyActions.refuse(
                    open == 1 ? "An order with " + name + " is open" : open + " orders with " + name + " are open",
                    "Wait until they came, or call them off.");
        }
        if (log.load().stores().supplier(name).isEmpty()) {
            throw SupplyActions.refuse("No supplier is called so", "Look at the stores as they are now.");
        }
        log.append(new SupplierDropped(name));
        return "redirect:/parts/stores";
    }

    @PostMapping("/parts/rate")
    @Transactional
    public String rate(@RequestParam(defaultValue = "") String rate) {
        log.append(made(() -> {
            Double typed = Amount.typed(rate);
            if (typed == null) {
                throw new IllegalArgumentException("What an hour costs is not said");
            }
            return new HourRate(typed);
        }));
        return "redirect:/parts/stores";
    }

    private DonorShelf.Donor require(String id) {
        return donors.find(id)
                .orElseThrow(() -> SupplyActions.refuse("There is no such donor any more", "Choose another one."));
    }

    /** No two workshops make the same, so that a job from elsewhere never takes of a donor or drawer here. */
    private static String mark() {
        return UUID.randomUUID().toString().replace("-", "").substring(0, MARK);
    }

    private static <S extends Step> S made(Supplier<S> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException e) {
            throw SupplyActions.refuse(String.valueOf(e.getMessage()), "Correct it and send it again.");
        }
    }
}
