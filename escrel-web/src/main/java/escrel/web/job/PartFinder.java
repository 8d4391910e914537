package escrel.web.job;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Finds a part by some letters of its name, its former names or its code, among all the movement has. */
public final class PartFinder {
    private static final int SHOWN = 6;

    private PartFinder() {}

    /**
     * The part meant.
     *
     * @throws MendableException when none or several may be meant; several are named
     */
    public static Part find(CalibreSheet sheet, String letters) {
        String wanted = letters.strip().toLowerCase(Locale.ROOT);
        if (wanted.isEmpty()) {
            throw refuse("Some letters of its name are wanted", "Type three of them and press Enter.");
        }
        List<Part> exact = sheet.parts().stream()
                .filter(p -> p.code().equals(wanted)
                        || p.name().toLowerCase(Locale.ROOT).equals(wanted))
                .toList();
        List<Part> found = exact.isEmpty()
                ? sheet.parts().stream().filter(p -> isCalled(p, wanted)).toList()
                : exact;
        if (found.size() == 1) {
            return found.get(0);
        }
        if (found.isEmpty()) {
            throw refuse("No part is called “" + letters.strip() + "”", "Type other letters, or name it first: / 0.");
        }
        throw refuse(
                "“%s” may be %s%s"
                        .formatted(
                                letters.strip(),
                                found.stream().limit(SHOWN).map(Part::name).collect(Collectors.joining(", ")),
                                found.size() > SHOWN ? " and " + (found.size() - SHOWN) + " more" : ""),
                "Type more of its name.");
    }

    private static boolean isCalled(Part part, String wanted) {
        return part.name().toLowerCase(Locale.ROOT).contains(wanted)
                || part.aliases().stream()
                        .anyMatch(a -> a.toLowerCase(Locale.ROOT).contains(wanted));
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
