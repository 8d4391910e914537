package escrel.web.stores;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.decision.Known;
import escrel.core.decision.Way;
import escrel.core.decision.Ways;
import escrel.core.parts.Finding;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.TimeLines;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.WorkshopLogs;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The ways of dealing with a finding, with what the workshop knows: its donors, drawers, prices, other services, rate. */
@Component
public class Weighing {
    private static final int LEAST_LETTERS = 4;

    private final DonorShelf donors;
    private final Drawers drawers;
    private final SupplyMapper mapper;
    private final WorkshopLogs log;
    private final Learnt learnt;
    private final TimeLines times;

    Weighing(
            DonorShelf donors, Drawers drawers, SupplyMapper mapper, WorkshopLogs log, Learnt learnt, TimeLines times) {
        this.times = times;
        this.donors = donors;
        this.drawers = drawers;
        this.mapper = mapper;
        this.log = log;
        this.learnt = learnt;
    }

    /** What an hour costs; nothing while nobody said. */
    public OptionalDouble rate() {
        return log.load().stores().rate();
    }

    /** The ways for a finding of a job, the best supported first. */
    public List<Way> ways(OpenJob job, Finding finding) {
        CalibreSheet sheet = job.sheet();
        String code = finding.part();
        Part part = code == null ? null : job.movement().part(code).orElse(null);
        // a piece of a part is no copy of it: donors, drawers and prices of the whole say nothing of it
        String whole = finding.isWithinPart() ? null : code;
        Known known = new Known(
                finding,
                part,
                job.arrival().stance(),
                job.schools(),
                whole != null
                        ? donors.offers(sheet, whole).stream()
                                .map(o -> o.donor().kept().name())
                                .toList()
                        : List.of(),
                whole != null && part != null ? inDrawers(part) : List.of(),
                sheet == null || whole == null ? null : bought(sheet, whole, job.number()),
                sheet == null || whole == null ? 0 : mapper.replaced(sheet.id(), whole, job.number()),
                code == null ? 0 : learnt.foundBefore(job).services(code),
                rate());
        return Ways.of(known, times.ways());
    }

    private Known.@Nullable Bought bought(CalibreSheet sheet, String part, int job) {
        Double price = mapper.lastPrice(sheet.id(), part);
        return mapper.before(sheet.id(), part, job, 1).stream()
                .findFirst()
                .map(b -> new Known.Bought(b.source(), price))
                .orElse(price == null ? null : new Known.Bought("", price));
    }

    /** Drawers called like the part: by its last word, "gasket", "crystal", "mainspring". */
    private List<String> inDrawers(Part part) {
        String[] words = part.name().toLowerCase(Locale.ROOT).split("\\W+");
        String last = words[words.length - 1];
        return drawers.all().stream()
                .filter(d -> d.left() > 0 && last.length() >= LEAST_LETTERS)
                .filter(d -> d.item().what().name().toLowerCase(Locale.ROOT).contains(last))
                .map(d -> d.item().what().name() + " " + d.item().what().size())
                .map(String::strip)
                .toList();
    }
}
