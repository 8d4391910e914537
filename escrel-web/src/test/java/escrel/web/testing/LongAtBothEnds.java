package escrel.web.testing;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.ClassDescriptor;
import org.junit.jupiter.api.ClassOrderer;
import org.junit.jupiter.api.ClassOrdererContext;
import org.junit.jupiter.api.Tag;

/**
 * Classes run two at a time, one worker coming from the first and one from the last: those tagged as long stand at both ends,
 * so that short ones are left where the workers meet and neither waits for the other.
 */
public final class LongAtBothEnds implements ClassOrderer {
    private static final String LONG = "long";

    @Override
    public void orderClasses(ClassOrdererContext context) {
        List<ClassDescriptor> first = new ArrayList<>();
        List<ClassDescriptor> between = new ArrayList<>();
        List<ClassDescriptor> last = new ArrayList<>();
        for (ClassDescriptor one : context.getClassDescriptors()) {
            if (!isLong(one)) {
                between.add(one);
            } else if (first.size() <= last.size()) {
                first.add(one);
            } else {
                last.add(one);
            }
        }
        List<ClassDescriptor> all = new ArrayList<>(first);
        all.addAll(between);
        all.addAll(last);
        context.getClassDescriptors().sort((a, b) -> Integer.compare(all.indexOf(a), all.indexOf(b)));
    }

    private static boolean isLong(ClassDescriptor one) {
        return one.findRepeatableAnnotations(Tag.class).stream()
                .anyMatch(tag -> tag.value().equals(LONG));
    }
}
