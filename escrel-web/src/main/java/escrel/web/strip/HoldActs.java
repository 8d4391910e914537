package escrel.web.strip;

import static escrel.web.strip.StripActs.refuse;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.learning.CameTogether;
import escrel.core.learning.HoldStated;
import escrel.core.learning.LearntSheet;
import escrel.core.service.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What is said of one part that holds another, or comes away with it. */
final class HoldActs {
    private HoldActs() {}

    static Step heldBy(CalibreSheet sheet, Part part, Part by) {
        refuseRing(sheet, LearntSheet.ringWith(sheet, part.code(), by.code()));
        return new HoldStated(part.code(), by.code(), "was under it or held by it");
    }

    static Step cameWith(CalibreSheet sheet, Part part, Part unit) {
        if (part.code().equals(unit.unit())) {
            throw refuse(
                    unit.name() + " came away with " + part.name() + " by what was said before",
                    "Choose another part, or take the earlier statement back.");
        }
        refuseRing(sheet, LearntSheet.ringWithUnit(sheet, part.code(), unit.code()));
        return new CameTogether(part.code(), unit.code());
    }

    /** A statement that would close a ring, on the way down or on the way up, is refused with the ring named. */
    private static void refuseRing(CalibreSheet sheet, Optional<List<String>> ring) {
        ring.ifPresent(found -> {
            throw refuse(
                    "That would make a ring: "
                            + found.stream().map(c -> nameOf(sheet, c)).collect(Collectors.joining(" → ")),
                    "One of these was stated the wrong way round: take it back, or choose another part.");
        });
    }

    private static String nameOf(CalibreSheet sheet, String code) {
        return sheet.part(code)
                .map(Part::name)
                .or(() -> sheet.oilPoint(code).map(p -> p.name()))
                .or(() -> sheet.test(code).map(t -> t.name()))
                .orElse(code);
    }
}
