package escrel.core.job;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** A record made anew from its components, through its own constructor, so that what it refuses stays refused. */
final class RecordCopy {
    private RecordCopy() {}

    static @Nullable Object value(RecordComponent component, Record of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a step's " + component.getName() + " cannot be read", e);
        }
    }

    /**
     * The record with other values, in the order of its components.
     *
     * @throws IllegalArgumentException what the constructor refuses
     */
    static Record of(Record like, @Nullable Object[] values) {
        Class<?>[] types = Arrays.stream(like.getClass().getRecordComponents())
                .map(RecordComponent::getType)
                .toArray(Class<?>[]::new);
        try {
            Constructor<? extends Record> made = like.getClass().getDeclaredConstructor(types);
            return made.newInstance(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof IllegalArgumentException refused) {
                throw refused;
            }
            throw new IllegalStateException("the step cannot be made anew", e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("the step cannot be made anew", e);
        }
    }
}
