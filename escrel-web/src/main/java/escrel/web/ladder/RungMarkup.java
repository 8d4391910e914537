package escrel.web.ladder;

import escrel.web.answers.KeptMarkup;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The rungs of a ladder as markup: one press changes two or three of some forty, the others are kept. */
@Component
public class RungMarkup {
    private final KeptMarkup kept;

    RungMarkup(KeptMarkup kept) {
        this.kept = kept;
    }

    /**
     * All rungs, one after the other.
     *
     * @param to address to which the code of a part is added
     * @param room in which the ladder stands
     */
    public String of(List<Ladder.Rung> rungs, String to, String room) {
        StringBuilder all = new StringBuilder();
        for (Ladder.Rung rung : rungs) {
            all.append(kept.of("parts", "rung", Map.of("r", rung, "to", to, "room", room)));
        }
        return all.toString();
    }
}
