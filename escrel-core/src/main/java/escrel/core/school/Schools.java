package escrel.core.school;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was chosen, question by question. The workshop picks its habits once; a calibre or a job may choose otherwise.
 */
public final class Schools {
    /** The habits a new workshop starts with: the first side of every question. */
    public static final Schools DEFAULT = firstSides();

    /** No habit at all: only holds and safety speak. */
    public static final Schools NONE = new Schools(Map.of());

    private final Map<School, Choice> chosen;

    private Schools(Map<School, Choice> chosen) {
        this.chosen = chosen.isEmpty() ? Map.of() : new EnumMap<>(chosen);
    }

    private static Schools firstSides() {
        Map<School, Choice> first = new EnumMap<>(School.class);
        for (School school : School.values()) {
            first.put(school, school.choices().get(0));
        }
        return new Schools(first);
    }

    /** These habits with other choices in their place. */
    public Schools with(Choice... others) {
        return with(List.of(others));
    }

    /** These habits with other choices in their place; for one question the last counts. */
    public Schools with(Collection<Choice> others) {
        Map<School, Choice> all = new EnumMap<>(School.class);
        all.putAll(chosen);
        others.forEach(c -> all.put(c.school(), c));
        return new Schools(all);
    }

    /** These habits without one question: nothing speaks of it. */
    public Schools without(School question) {
        Map<School, Choice> rest = new EnumMap<>(School.class);
        rest.putAll(chosen);
        rest.remove(question);
        return new Schools(rest);
    }

    /** Whether this side was chosen. */
    public boolean has(Choice choice) {
        return chosen.get(choice.school()) == choice;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Schools schools && chosen.equals(schools.chosen);
    }

    @Override
    public int hashCode() {
        return chosen.hashCode();
    }

    /** The sides chosen, in the order of the questions. */
    public List<Choice> choices() {
        return List.copyOf(chosen.values());
    }

    /** The side chosen, or nothing when the question was left open. */
    public Optional<Choice> of(School school) {
        return Optional.ofNullable(chosen.get(school));
    }
}
