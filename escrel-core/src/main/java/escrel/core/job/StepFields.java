package escrel.core.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Place;
import escrel.core.quantity.Measured;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Corrected;
import escrel.core.service.PhotosPaired;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.Source;
import escrel.core.watchcase.CaseBound;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What of a step can be said otherwise, for every kind alike: its parts, words, numbers and choices. What ties it to other
 * steps (a finding's key, the number of a photo) stays, and so do figures that were measured rather than typed.
 */
public final class StepFields {
    /** Longest words of a field. */
    public static final int LONGEST = 1000;

    /** Said anew on pages of their own, or taken back. */
    private static final Set<Class<?>> NOT_HERE = Set.of(
            Arrival.class, Corrected.class, TakenBack.class, CalibreBound.class, CaseBound.class, PhotosPaired.class);

    private static final Set<String> TIES = Set.of(
            "sequence",
            "photo",
            "fragment",
            "suspicion",
            "asked",
            "copy",
            "finding",
            "cause",
            "code",
            "device",
            "sheet",
            "screws",
            "screwsCounted",
            "hazards",
            "more",
            "lift",
            "liftAngle",
            "beatRate",
            "clock",
            "recording",
            "choice",
            "book",
            "fact",
            "schools",
            "figure",
            "trait");
    private static final Set<String> PARTS = Set.of("part", "by", "unit", "target");
    /** What only some steps of a kind say; where one does not, it is not asked. */
    private static final Set<String> SOMETIMES = Set.of("inSpiteOf", "letDown");

    /** Words without which the step says nothing. */
    private static final Set<String> NEEDED = Set.of(
            "Noted.words",
            "Suspected.words",
            "SuspicionSettled.words",
            "FragmentFound.words",
            "FragmentExplained.words",
            "PartNamed.name",
            "PartRenamed.name",
            "FigureSaid.value",
            "CaseSaid.value",
            "LeftOut.reason",
            "Waived.reason",
            "ItemWaived.reason",
            "PartDescribed.words",
            "OilPointSaid.name");

    private StepFields() {}

    /** The fields of a step; none where it is taken back or said anew instead. */
    public static List<StepField> of(Step step) {
        List<StepField> fields = new ArrayList<>();
        if (!NOT_HERE.contains(step.getClass())) {
            collect("", (Record) step, fields);
        }
        return List.copyOf(fields);
    }

    /**
     * The step with what was said otherwise; what is not named stays.
     *
     * @param said by path, as {@link StepField} takes it; a path the step has not got is passed over
     * @throws IllegalArgumentException in words when something cannot be so
     */
    public static Step with(Step step, Map<String, String> said) {
        Set<String> known = Set.copyOf(of(step).stream().map(StepField::path).toList());
        return (Step) changed("", (Record) step, said, known);
    }

    /** The names of a sheet that a changed step would not find: parts, oil points, tests; nothing when all are there. */
    public static @Nullable String unknownTo(CalibreSheet sheet, Step step) {
        for (StepField field : of(step)) {
            boolean there = field.value().isEmpty()
                    || switch (field.takes()) {
                        case PART, PART_OR_NONE -> sheet.part(field.value()).isPresent();
                        case PARTS ->
                            Arrays.stream(field.value().split(" "))
                                    .allMatch(p -> sheet.part(p).isPresent());
                        case OIL_POINT -> sheet.oilPoint(field.value()).isPresent();
                        case TEST -> sheet.test(field.value()).isPresent();
                        default -> true;
                    };
            if (!there) {
                return field.value();
            }
        }
        return null;
    }

    private static void collect(String before, Record of, List<StepField> fields) {
        for (RecordComponent component : of.getClass().getRecordComponents()) {
            String path = before + component.getName();
            Object value = valueOf(component, of);
            Class<?> type = component.getType();
            if (TIES.contains(component.getName()) || isMeasured(of, component)) {
                continue;
            }
            if (type == Place.class) {
                place(path, (Place) value, fields);
            } else if (value instanceof Record inner) {
                collect(path + ".", inner, fields);
            } else {
                StepField.Takes takes = takes(of, component);
                boolean asked = !SOMETIMES.contains(component.getName())
                        || !written(value).isEmpty();
                if (takes != null && asked) {
                    fields.add(new StepField(path, takes, written(value), choices(type, value)));
                }
            }
        }
    }

    /** Figures worked out from a sound stay as they were measured; of typed ones the number can be said otherwise. */
    private static boolean isMeasured(Record of, RecordComponent component) {
        if (of instanceof Measured) {
            return !component.getName().equals("value");
        }
        return of instanceof Reading reading
                && (component.getType() == Measured.class && reading.source() != Source.TYPED
                        || component.getType() == Source.class);
    }

    private static void place(String path, @Nullable Place place, List<StepField> fields) {
        fields.add(new StepField(
                path + ".kind",
                StepField.Takes.CHOICE_OR_NONE,
                place == null ? "" : place.kind().name(),
                choices(Place.Kind.class, null)));
        fields.add(new StepField(path + ".name", StepField.Takes.WORDS, place == null ? "" : place.name(), List.of()));
    }

    private static StepField.@Nullable Takes takes(Record of, RecordComponent component) {
        Class<?> type = component.getType();
        boolean mayLack = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
        if (type.isEnum()) {
            return mayLack ? StepField.Takes.CHOICE_OR_NONE : StepField.Takes.CHOICE;
        }
        if (type == int.class || type == double.class || type == Double.class || type == Integer.class) {
            return StepField.Takes.NUMBER;
        }
        if (type == List.class) {
            return component.getName().equals("parts") ? StepField.Takes.PARTS : null;
        }
        if (type != String.class) {
            return null;
        }
        return switch (component.getName()) {
            case "point" -> StepField.Takes.OIL_POINT;
            case "test" -> StepField.Takes.TEST;
            default ->
                !PARTS.contains(component.getName())
                        ? StepField.Takes.WORDS
                        : mayLack || written(valueOf(component, of)).isEmpty()
                                ? StepField.Takes.PART_OR_NONE
                                : StepField.Takes.PART;
        };
    }

    private static List<String> choices(Class<?> type, @Nullable Object value) {
        if (type.isEnum()) {
            return Arrays.stream(type.getEnumConstants())
                    .map(c -> ((Enum<?>) c).name())
                    .toList();
        }
        return value instanceof List<?> parts
                ? parts.stream().map(String::valueOf).toList()
                : List.of();
    }

    private static String written(@Nullable Object value) {
        if (value instanceof Enum<?> constant) {
            return constant.name();
        }
        if (value instanceof List<?> parts) {
            return String.join(" ", parts.stream().map(String::valueOf).toList());
        }
        return value == null ? "" : String.valueOf(value);
    }

    private static Record changed(String before, Record of, Map<String, String> said, Set<String> known) {
        RecordComponent[] components = of.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        for (int i = 0; i < components.length; i++) {
            String path = before + components[i].getName();
            Object value = valueOf(components[i], of);
            if (components[i].getType() == Place.class) {
                values[i] = place(path, (Place) value, said);
            } else if (value instanceof Record inner && known.stream().anyMatch(k -> k.startsWith(path + "."))) {
                values[i] = changed(path + ".", inner, said, known);
            } else if (known.contains(path) && said.containsKey(path)) {
                String words = said.get(path).strip();
                requireSense(of, components[i], words);
                values[i] = read(components[i], words, value);
            } else {
                values[i] = value;
            }
        }
        return RecordCopy.of(of, values);
    }

    private static @Nullable Place place(String path, @Nullable Place was, Map<String, String> said) {
        String kind =
                said.getOrDefault(path + ".kind", was == null ? "" : was.kind().name());
        String name = said.getOrDefault(path + ".name", was == null ? "" : was.name());
        return kind.isEmpty() ? null : new Place((Place.Kind) constant(Place.Kind.class, kind), name);
    }

    private static void requireSense(Record of, RecordComponent component, String words) {
        if (words.length() > LONGEST) {
            throw new IllegalArgumentException("At most " + LONGEST + " characters are kept");
        }
        if (words.isEmpty() && NEEDED.contains(of.getClass().getSimpleName() + "." + component.getName())) {
            throw new IllegalArgumentException("Without words the step says nothing");
        }
    }

    private static @Nullable Object read(RecordComponent component, String words, @Nullable Object was) {
        Class<?> type = component.getType();
        boolean mayLack = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
        if (words.isEmpty() && mayLack) {
            return null;
        }
        if (type.isEnum()) {
            return constant(type, words);
        }
        if (type == List.class) {
            return some(words, (List<?>) was);
        }
        if (type == String.class) {
            return words;
        }
        try {
            boolean whole = type == int.class || type == Integer.class;
            double number = Double.parseDouble(words.replace(',', '.'));
            if (!Double.isFinite(number)) {
                throw new NumberFormatException();
            }
            return whole ? (Object) Integer.parseInt(words) : (Object) number;
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + words + "” is no number", e);
        }
    }

    private static List<String> some(String words, @Nullable List<?> of) {
        List<String> kept = Arrays.stream(words.split("[ ,]+"))
                .filter(w -> of != null && of.contains(w))
                .toList();
        if (kept.isEmpty()) {
            throw new IllegalArgumentException("At least one part stays; take the step back where none does");
        }
        return kept;
    }

    private static Object constant(Class<?> type, String name) {
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> ((Enum<?>) c).name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + name + "” is none of the choices"));
    }

    private static @Nullable Object valueOf(RecordComponent component, Record of) {
        return RecordCopy.value(component, of);
    }
}
