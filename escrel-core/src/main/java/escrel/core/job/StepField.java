package escrel.core.job;

import java.util.List;

/**
 * Something of a step that can be said otherwise.
 *
 * @param path of the field in the step, such as {@code reading.position}
 * @param value as it stands, in the form in which it is taken; empty for none
 * @param choices constants to choose from; for {@link Takes#PARTS} the codes that are there
 */
public record StepField(String path, Takes takes, String value, List<String> choices) {
    /** What is filled into a field. */
    public enum Takes {
        PART,
        PART_OR_NONE,
        /** Some of the parts that are there now, at least one; codes with a space between. */
        PARTS,
        OIL_POINT,
        TEST,
        WORDS,
        NUMBER,
        CHOICE,
        CHOICE_OR_NONE
    }

    /** The name in words: "as found". */
    public String label() {
        String last = path.substring(path.lastIndexOf('.') + 1);
        String owner = path.contains(".") && (last.equals("value") || last.equals("kind") || last.equals("name"))
                ? path.substring(0, path.lastIndexOf('.'))
                : "";
        String from = owner.substring(owner.lastIndexOf('.') + 1);
        String name = last.equals("value") && !from.isEmpty() ? from : from.isEmpty() ? last : from + " " + last;
        return name.replaceAll("([A-Z])", " $1").toLowerCase().strip();
    }
}
