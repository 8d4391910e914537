package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.learning.PartNamed;
import escrel.core.learning.Vocabulary;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a part is called that had no name on the sheet. */
final class NamingActs {
    private NamingActs() {}

    /** A part named by its kind, or freely. */
    static PartNamed named(CalibreSheet sheet, StripActs.Form form) {
        Set<String> taken = sheet.parts().stream().map(Part::code).collect(Collectors.toSet());
        if (form.act() == StripAct.NAME_FREELY) {
            StripActs.requireWords(form);
            Group group = form.value().isEmpty() ? Group.PLATES : Group.valueOf(form.value());
            Optional<Vocabulary.Kind> like = Vocabulary.kindLike(group, form.words());
            return new PartNamed(
                    Vocabulary.codeFor(form.words(), taken),
                    form.words(),
                    group,
                    form.side(),
                    like.map(k -> roleIn(sheet, k)).orElse(null),
                    like.map(Vocabulary.Kind::hazards).orElseGet(() -> Vocabulary.hazardsOf(form.words())),
                    null);
        }
        String[] value = form.value().split(":");
        Group group = Group.valueOf(value[0]);
        Vocabulary.Kind kind = Vocabulary.of(group).get(Integer.parseInt(value[1]));
        String code = Vocabulary.codeFor(kind.name(), taken);
        long same = sheet.parts().stream()
                .filter(p -> p.name().equals(kind.name()) || p.name().startsWith(kind.name() + " "))
                .count();
        // a second jumper is told from the first; the right name can be given later
        String name = same == 0 ? kind.name() : kind.name() + " " + (same + 1);
        return new PartNamed(code, name, group, form.side(), roleIn(sheet, kind), kind.hazards(), null);
    }

    /** The role of a kind, unless a movement has one part of it and this one has it. */
    private static @Nullable Role roleIn(CalibreSheet sheet, Vocabulary.Kind kind) {
        Role role = kind.role();
        return role != null && (sheet.withRole(role).isEmpty() || Vocabulary.mayBeSeveral(role)) ? role : null;
    }
}
