package escrel.web.ladder;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * The rungs of a ladder as markup. One press changes two or three of some forty: the others are as they were, and the template
 * is not asked for them again. Bounded by what is kept.
 */
@Component
public class RungMarkup {
    private static final int MOST_CHARACTERS = 2 << 20;

    /**
     * What a rung's markup is made of.
     *
     * @param to address of the room, to which the code of the part is added
     */
    private record Drawn(Ladder.Rung rung, String to, String room) {}

    private final SpringTemplateEngine templates;
    private final Cache<Drawn, String> made = Caffeine.newBuilder()
            .maximumWeight(MOST_CHARACTERS)
            .<Drawn, String>weigher((drawn, markup) -> markup.length())
            .executor(Runnable::run)
            .build();

    RungMarkup(SpringTemplateEngine templates) {
        this.templates = templates;
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
            all.append(made.get(new Drawn(rung, to, room), this::make));
        }
        return all.toString();
    }

    private String make(Drawn drawn) {
        Map<String, Object> said = Map.of("r", drawn.rung(), "to", drawn.to(), "room", drawn.room());
        return templates.process("parts", Set.of("rung"), new Context(Locale.ROOT, said));
    }
}
