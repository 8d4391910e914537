package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.web.testing.BenchHand;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A sheet from elsewhere with fields missing or null: refused in words, or sound enough to plan with; never a crash. */
@Tag("long")
class SheetWithHolesTest {
    private static final int HOLES = 250;

    /** One field somewhere in the tree set to null or taken away. */
    private static void makeAHole(JsonNode root, Random random) {
        JsonNode at = root;
        while (true) {
            if (at instanceof ObjectNode object && !object.isEmpty()) {
                List<String> fields = new ArrayList<>(object.propertyNames());
                String field = fields.get(random.nextInt(fields.size()));
                JsonNode below = object.get(field);
                if (below.isContainer() && !below.isEmpty() && random.nextInt(12) > 0) {
                    at = below;
                } else if (at != root || random.nextBoolean()) {
                    if (random.nextBoolean()) {
                        object.putNull(field);
                    } else {
                        object.remove(field);
                    }
                    return;
                }
            } else if (at instanceof ArrayNode array && !array.isEmpty()) {
                int i = random.nextInt(array.size());
                if (array.get(i).isContainer() && !array.get(i).isEmpty() && random.nextInt(12) > 0) {
                    at = array.get(i);
                } else {
                    array.setNull(i);
                    return;
                }
            } else {
                return;
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void everyHoleIsAFaultInWordsOrDoesNoHarm(String id) {
        Random random = new Random(id.hashCode());
        ObjectNode sound = SheetJson.write(BenchHand.demoSheet(id));
        int refused = 0;
        for (int i = 0; i < HOLES; i++) {
            ObjectNode tree = sound.deepCopy();
            int holes = 1 + random.nextInt(3);
            for (int h = 0; h < holes; h++) {
                makeAHole(tree, random);
            }
            CalibreSheet[] read = new CalibreSheet[1];
            Throwable trouble = catchThrowable(() -> read[0] = SheetJson.read(tree));
            if (trouble != null) {
                refused++;
                assertThat(trouble).as(tree::toString).isInstanceOf(MendableException.class);
                assertThat(trouble.getMessage()).doesNotContain("escrel.core", "java.", "Exception");
            } else {
                Job job = Job.of(JobHistory.empty(), read[0], Schools.DEFAULT);
                assertThat(job.wayDown().remaining()).isNotEmpty();
                assertThat(job.lives().everOff()).isEmpty();
                assertThat(job.wayUp().lines().stream().filter(l -> l.kind() == AssemblyPlan.Kind.PART))
                        .as("nothing was lifted")
                        .isEmpty();
            }
        }
        assertThat(refused).as("holes that matter were met, and others").isBetween(HOLES / 4, HOLES - 5);
    }
}
