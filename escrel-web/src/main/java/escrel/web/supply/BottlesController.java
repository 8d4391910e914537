package escrel.web.supply;

import escrel.core.MendableException;
import escrel.core.calibre.LubricantClass;
import escrel.core.lubrication.BottleGone;
import escrel.core.lubrication.BottleKept;
import escrel.core.lubrication.Bottles;
import escrel.web.format.Amount;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The workshop's bottles of lubricant, by class, with how long each may still be used. */
@Controller
class BottlesController {
    /** A bottle drawn as full has so many days. */
    private static final double FULL_DAYS = 3 * 365;

    private final WorkshopLogs log;
    private final Clock clock;

    BottlesController(WorkshopLogs log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    /**
     * A bottle as drawn.
     *
     * @param left share of its time that is left, 0 to 1; 1 where no day is printed
     * @param inUse whether acts of oiling take it
     */
    record Shown(BottleKept bottle, Bottles.Stand stand, String warning, double left, boolean inUse) {}

    /** A class with its bottles. */
    record Shelf(LubricantClass lubricant, List<Shown> bottles) {}

    @GetMapping("/parts/bottles")
    String bottles(Model model) {
        Bottles bottles = log.load().bottles();
        LocalDate today = LocalDate.now(clock);
        model.addAttribute(
                "shelves",
                Arrays.stream(LubricantClass.values())
                        .filter(l -> l != LubricantClass.DRY)
                        .map(l -> shelf(l, bottles, today))
                        .toList());
        model.addAttribute(
                "lubricants",
                Arrays.stream(LubricantClass.values())
                        .filter(l -> l != LubricantClass.DRY)
                        .toList());
        return "supply/bottles";
    }

    private static Shelf shelf(LubricantClass lubricant, Bottles bottles, LocalDate today) {
        BottleKept inUse = bottles.inUse(lubricant).orElse(null);
        return new Shelf(
                lubricant,
                bottles.all().stream()
                        .filter(b -> b.lubricant() == lubricant)
                        .map(b -> new Shown(
                                b, Bottles.stand(b, today), Bottles.warning(b, today), left(b, today), b.equals(inUse)))
                        .toList());
    }

    private static double left(BottleKept bottle, LocalDate today) {
        LocalDate useBy = bottle.useBy();
        return useBy == null ? 1 : Math.max(0, Math.min(1, ChronoUnit.DAYS.between(today, useBy) / FULL_DAYS));
    }

    @PostMapping("/parts/bottles")
    String keep(
            @RequestParam @Nullable LubricantClass lubricant,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String batch,
            @RequestParam(defaultValue = "") String opened,
            @RequestParam(defaultValue = "") String useBy) {
        if (lubricant == null) {
            throw refuse("Its class is not said", "Choose one.");
        }
        try {
            log.append(new BottleKept(
                    UUID.randomUUID().toString(), lubricant, name, batch, Amount.day(opened), Amount.day(useBy)));
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Correct it and send it again.");
        }
        return "redirect:/parts/bottles";
    }

    /** Taken into use again, before the others of its class. */
    @PostMapping("/parts/bottles/{id}/use")
    String use(@PathVariable String id) {
        log.append(require(id));
        return "redirect:/parts/bottles";
    }

    @PostMapping("/parts/bottles/{id}/gone")
    String gone(@PathVariable String id) {
        log.append(new BottleGone(require(id).id()));
        return "redirect:/parts/bottles";
    }

    private BottleKept require(String id) {
        return log.load().bottles().all().stream()
                .filter(b -> b.id().equals(id))
                .findFirst()
                .orElseThrow(() -> refuse("There is no such bottle any more", "Look at the shelf as it is now."));
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
