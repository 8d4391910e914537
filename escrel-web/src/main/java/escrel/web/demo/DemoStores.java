package escrel.web.demo;

import escrel.core.calibre.LubricantClass;
import escrel.core.lubrication.BottleKept;
import escrel.core.marks.MarkSeen;
import escrel.core.marks.YearsKept;
import escrel.core.service.Step;
import escrel.core.supply.DonorKept;
import escrel.core.supply.HourRate;
import escrel.core.supply.StockCounted;
import escrel.core.supply.StockKept;
import escrel.core.supply.SupplierKept;
import escrel.web.storage.WorkshopLogs;
import java.time.LocalDate;
import java.util.List;

/** Whom the bench at Sandrigg Point buys from, its donors and its drawers. */
final class DemoStores {
    static final DonorKept CV_24 = new DonorKept(
            "demo-donor-24",
            "a CV-24 without balance",
            "cv-24",
            List.of("balance", "balance-cock", "pallet-fork", "mainspring"),
            "came as scrap from the ferry office");
    static final DonorKept CV_28 = new DonorKept(
            "demo-donor-28",
            "a CV-28 with a broken plate",
            "cv-28",
            List.of("hour-hand", "minute-hand", "seconds-hand", "dial"),
            "the plate is cracked through the barrel's seat");

    private DemoStores() {}

    static void fill(WorkshopLogs log, LocalDate today) {
        List<Step> acts = List.of(
                new SupplierKept(
                        "Stennay material store", SupplierKept.Trade.PARTS, "by the Tuesday boat", "a week at most"),
                new SupplierKept(
                        "the wheel cutter at Skarholt", SupplierKept.Trade.WORK, "letter", "cuts from a sample"),
                new SupplierKept("dial works at Grey Point", SupplierKept.Trade.WORK, "letter", "four to six weeks"),
                CV_24,
                CV_28,
                new StockKept(
                        "demo-stock-1", StockKept.Kind.GASKET, "Case-back gasket", "28.0 × 0.8 mm", "drawer 1", 3),
                new StockCounted("demo-stock-1", 7),
                new StockKept("demo-stock-2", StockKept.Kind.GASKET, "Crown gasket", "1.6 × 0.6 mm", "drawer 1", 5),
                new StockCounted("demo-stock-2", 4),
                new StockKept(
                        "demo-stock-3", StockKept.Kind.CRYSTAL, "Acrylic crystal", "30.2 mm, domed", "drawer 3", 1),
                new StockCounted("demo-stock-3", 2),
                new StockKept(
                        "demo-stock-4",
                        StockKept.Kind.SPRING,
                        "Mainspring",
                        "1.20 × 0.10 × 360 mm",
                        "spring drawer",
                        2),
                new StockCounted("demo-stock-4", 3),
                new StockKept("demo-stock-5", StockKept.Kind.STEM, "Stem", "thread 0.9 mm", "drawer 2", 2),
                new StockCounted("demo-stock-5", 5),
                new HourRate(60));
        acts.forEach(log::append);
        bottles(today).forEach(log::append);
        log.append(new YearsKept(
                "Pellworth",
                MarkSeen.On.MOVEMENT,
                YearsKept.Certainty.COLLECTED,
                List.of(
                        new YearsKept.Row(61_000, 1951),
                        new YearsKept.Row(74_500, 1954),
                        new YearsKept.Row(88_000, 1958),
                        new YearsKept.Row(95_000, 1961))));
    }

    private static List<BottleKept> bottles(LocalDate today) {
        return List.of(
                bottle("fine-a", LubricantClass.FINE_OIL, "fine A", "7 031", today, 10, 400),
                bottle("medium-b", LubricantClass.MEDIUM_OIL, "medium B", "2 214", today, 14, 700),
                bottle("pallet-c", LubricantClass.PALLET, "pallet C", "0 118", today, 20, 12),
                bottle("grease-d", LubricantClass.CONTACT_GREASE, "grease D", "5 590", today, 8, 900),
                bottle("grease-e", LubricantClass.MAINSPRING_GREASE, "spring grease E", "5 602", today, 30, 500),
                bottle("grease-f", LubricantClass.BRAKING_GREASE, "wall grease F", "1 007", today, 25, -40),
                bottle("gasket-g", LubricantClass.GASKET_GREASE, "gasket G", "", today, 5, 1000));
    }

    private static BottleKept bottle(
            String id,
            LubricantClass lubricant,
            String name,
            String batch,
            LocalDate today,
            int openedMonths,
            int useByDays) {
        return new BottleKept(
                "demo-" + id, lubricant, name, batch, today.minusMonths(openedMonths), today.plusDays(useByDays));
    }
}
