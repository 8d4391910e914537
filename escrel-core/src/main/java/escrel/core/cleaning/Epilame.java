package escrel.core.cleaning;

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
 * Which parts get epilame, the oil-repellent film, by the workshop's school: cap jewels, escape wheel, and the fork or its exit stone. What
 * was treated is due again when it came off again and was washed: the bath takes the film away. Sources: craft 2.12, 4.
 */
public final class Epilame {
    private final Lives lives;
    private final CleaningState cleaning;
    private final Schools schools;
    private final Map<String, Integer> appliedAt = new HashMap<>();
    private final Map<String, Integer> washedAt = new HashMap<>();

    private Epilame(Lives lives, CleaningState cleaning, Schools schools) {
        this.lives = lives;
        this.cleaning = cleaning;
        this.schools = schools;
    }

    /** The state after these steps. */
    public static Epilame of(Lives lives, JobHistory history, CleaningState cleaning, Schools schools) {
        Epilame epilame = new Epilame(lives, cleaning, schools);
        for (RecordedStep entry : history.counting(EpilameApplied.class, Washed.class)) {
            if (entry.step() instanceof EpilameApplied applied) {
                applied.parts().forEach(p -> epilame.appliedAt.put(p, entry.sequence()));
            } else if (entry.step() instanceof Washed washed && !washed.way().isPreparation()) {
                washed.parts().forEach(p -> epilame.washedAt.put(p, entry.sequence()));
            }
        }
        return epilame;
    }

    /** Whether the workshop's school treats this part. Without a choice it treats none: nobody said so. */
    public boolean isWanted(Part part) {
        boolean some = schools.has(Choice.FILM_ALL) || schools.has(Choice.FILM_TIP);
        return some && lives.sheet().takesEpilame(part);
    }

    /** Whether it was treated since it was washed last. */
    public boolean isOn(String part) {
        return appliedAt.getOrDefault(part, 0) > washedAt.getOrDefault(part, 0);
    }

    /** Parts that are off, clean and looked at, and wait for their film. */
    public List<Part> due() {
        return lives.everOff().stream()
                .map(lives.sheet()::requirePart)
                .filter(p -> lives.isOff(p.code()) && isWanted(p) && !isOn(p.code()))
                .filter(p -> cleaning.wayOf(p.code()).isPresent()
                        && cleaning.owedBeforeOn(p.code()).isEmpty())
                .toList();
    }

    /** Of a treated part that turns: its pivots are to be cleaned before it goes on. */
    public boolean wantsPivotsCleaned(Part part) {
        return isOn(part.code()) && (part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL);
    }
}
