package escrel.web.stores;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Lore;
import escrel.core.calibre.Part;
import escrel.core.supply.DonorKept;
import escrel.web.storage.Sheets;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.SupplyMapper.Taken;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The donors with what is still on them. What a job took stays taken as long as that job says so. */
@Component
public class DonorShelf {
    private static final int MOST_TAKEN = 1000;

    private final WorkshopLogs log;
    private final SupplyMapper mapper;
    private final Sheets sheets;

    DonorShelf(WorkshopLogs log, SupplyMapper mapper, Sheets sheets) {
        this.log = log;
        this.mapper = mapper;
        this.sheets = sheets;
    }

    /**
     * A donor.
     *
     * @param sheet of its calibre; nothing when the library has it no more
     * @param taken by the code of the part on the donor
     */
    public record Donor(DonorKept kept, @Nullable CalibreSheet sheet, Map<String, Taken> taken) {
        /** The parts still on it, in the order of its sheet. */
        public List<Part> left() {
            return sheet == null
                    ? List.of()
                    : sheet.homes().stream().filter(p -> has(p.code())).toList();
        }

        public boolean has(String part) {
            return sheet != null
                    && sheet.part(part).isPresent()
                    && !kept.lacks().contains(part)
                    && !taken.containsKey(part);
        }
    }

    /**
     * A part that a donor could give.
     *
     * @param part code on the donor's sheet
     * @param note of the interchange, or empty where it is of the same calibre
     */
    public record Offer(Donor donor, String part, String note) {}

    /** All of them. */
    public List<Donor> all() {
        return donors(log.load().stores().donors());
    }

    /** The donor of this mark, if there is one. */
    public Optional<Donor> find(String id) {
        return log.load().stores().donor(id).map(kept -> donors(List.of(kept)).get(0));
    }

    private List<Donor> donors(List<DonorKept> kept) {
        if (kept.isEmpty()) {
            return List.of();
        }
        List<Taken> all = mapper.taken(kept.stream().map(DonorKept::asSource).toList(), MOST_TAKEN);
        return kept.stream().map(k -> donor(k, all)).toList();
    }

    private Donor donor(DonorKept kept, List<Taken> all) {
        Map<String, Taken> taken = new LinkedHashMap<>();
        String begins = kept.asSource();
        all.stream()
                .filter(t -> t.takenFrom().startsWith(begins))
                .forEach(t -> taken.put(t.takenFrom().substring(begins.length()), t));
        return new Donor(kept, sheets.latest(kept.calibre()).orElse(null), taken);
    }

    /** The donors that could give a part: of its calibre, or of another it interchanges with. */
    public List<Offer> offers(@Nullable CalibreSheet sheet, String part) {
        if (sheet == null) {
            return List.of();
        }
        List<Offer> offers = new ArrayList<>();
        for (Donor donor : all()) {
            if (donor.kept().calibre().equals(sheet.id())) {
                if (donor.has(part)) {
                    offers.add(new Offer(donor, part, ""));
                }
                continue;
            }
            interchange(sheet, part, donor).filter(o -> donor.has(o.part())).ifPresent(offers::add);
        }
        return offers;
    }

    /** Said on either of the two sheets, it holds both ways. */
    private static Optional<Offer> interchange(CalibreSheet sheet, String part, Donor donor) {
        Optional<Offer> here = sheet.lore().interchange().stream()
                .filter(i -> i.calibre().equals(donor.kept().calibre()))
                .flatMap(i -> i.there(part).map(p -> new Offer(donor, p, note(i))).stream())
                .findFirst();
        CalibreSheet there = donor.sheet();
        if (here.isPresent() || there == null) {
            return here;
        }
        return there.lore().interchange().stream()
                .filter(i -> i.calibre().equals(sheet.id()))
                .flatMap(i -> i.here(part).map(p -> new Offer(donor, p, note(i))).stream())
                .findFirst();
    }

    private static String note(Lore.Interchange interchange) {
        return interchange.note().isBlank() ? "interchanges" : interchange.note();
    }

    /** The donor, where the part is still on it. */
    public DonorKept requireWith(String id, String part) {
        Donor donor = find(id).orElseThrow(() -> refuse("There is no such donor any more", "Choose another one."));
        if (!donor.has(part)) {
            Taken taken = donor.taken().get(part);
            throw refuse(
                    taken == null
                            ? "“" + donor.kept().name() + "” has not got that part"
                            : "That part was taken for job " + taken.job(),
                    "Choose another donor.");
        }
        return donor.kept();
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; donors and parts are as they were.", todo);
    }
}
