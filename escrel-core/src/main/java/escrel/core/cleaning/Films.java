package escrel.core.cleaning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Jewel;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.RecordedStep;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which parts get the oil-repellent film, by the workshop's school: cap jewels, escape wheel, and the fork or its exit stone. What
 * was filmed is due again when it came off again and was washed: the bath takes the film away. Sources: craft 2.12, 4.
 */
public final class Films {
    private final Lives lives;
    private final CleaningState cleaning;
    private final Schools schools;
    private final Map<String, Integer> filmedAt = new HashMap<>();
    private final Map<String, Integer> washedAt = new HashMap<>();

    private Films(Lives lives, CleaningState cleaning, Schools schools) {
        this.lives = lives;
        this.cleaning = cleaning;
        this.schools = schools;
    }

    /** The films after these steps. */
    public static Films of(Lives lives, JobHistory history, CleaningState cleaning, Schools schools) {
        Films films = new Films(lives, cleaning, schools);
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof Filmed filmed) {
                filmed.parts().forEach(p -> films.filmedAt.put(p, entry.sequence()));
            } else if (entry.step() instanceof Washed washed && !washed.way().isPreparation()) {
                washed.parts().forEach(p -> films.washedAt.put(p, entry.sequence()));
            }
        }
        return films;
    }

    /** Whether the workshop's school films this part. Without a choice it films none: nobody said so. */
    public boolean isWanted(Part part) {
        if (!schools.has(Choice.FILM_ALL) && !schools.has(Choice.FILM_TIP)) {
            return false;
        }
        return part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL || isCap(part);
    }

    private boolean isCap(Part part) {
        CalibreSheet sheet = lives.sheet();
        return sheet.jewels().stream()
                .anyMatch(j -> j.kind() == Jewel.Kind.CAP && j.part().equals(part.code()));
    }

    /** Whether it was filmed since it was washed last. */
    public boolean isFilmed(String part) {
        return filmedAt.getOrDefault(part, 0) > washedAt.getOrDefault(part, 0);
    }

    /** Parts that are off, clean and looked at, and wait for their film. */
    public List<Part> due() {
        return lives.everOff().stream()
                .map(lives.sheet()::requirePart)
                .filter(p -> lives.isOff(p.code()) && isWanted(p) && !isFilmed(p.code()))
                .filter(p -> cleaning.wayOf(p.code()).isPresent()
                        && cleaning.owedBeforeOn(p.code()).isEmpty())
                .toList();
    }

    /** Of a filmed part that turns: its pivots are to be cleaned before it goes on. */
    public boolean wantsPivotsCleaned(Part part) {
        return isFilmed(part.code()) && (part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL);
    }
}
