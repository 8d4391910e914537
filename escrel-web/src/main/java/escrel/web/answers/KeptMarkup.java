package escrel.web.answers;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * Pieces of pages that are mostly as they were a moment ago: what the same piece makes of the same values is kept, and the
 * template is not asked again. A piece must follow from its values alone: nothing of the request, the time or the visitor.
 * Bounded by what is kept.
 */
@Component
public class KeptMarkup {
    private static final int MOST_CHARACTERS = 2 << 20;

    /** What markup is made of; the values have to be equal where they say the same. */
    private record Piece(String template, String fragment, Map<String, Object> values) {}

    private final SpringTemplateEngine templates;
    private final Cache<Piece, String> made = Caffeine.newBuilder()
            .maximumWeight(MOST_CHARACTERS)
            .<Piece, String>weigher((piece, markup) -> markup.length())
            .executor(Runnable::run)
            .build();

    KeptMarkup(SpringTemplateEngine templates) {
        this.templates = templates;
    }

    /** The markup a fragment of a template makes of values, which are not changed afterwards. */
    public String of(String template, String fragment, Map<String, Object> values) {
        return made.get(new Piece(template, fragment, values), this::make);
    }

    /** Forgets all of it, as after a name in it has been erased. */
    public void forget() {
        made.invalidateAll();
    }

    private String make(Piece piece) {
        return templates.process(piece.template(), Set.of(piece.fragment()), new Context(Locale.ROOT, piece.values()));
    }
}
