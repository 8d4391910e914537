package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Baths age: loads and their dirt are counted, the dirtiest goes last before a change. Source: craft 2.11. */
class JarsTest {
    private final List<RecordedStep> acts = new ArrayList<>();

    private JarsTest then(Step act) {
        acts.add(new RecordedStep(acts.size() + 1, Instant.EPOCH.plusSeconds(acts.size()), act));
        return this;
    }

    private static LoadStarted load(int soil) {
        ProgrammeKept usual = ProgrammeKept.USUAL;
        return new LoadStarted("l", usual.name(), 7, List.of("wheel"), soil, usual.stretches(), usual.jars());
    }

    private Jars.Jar wash() {
        return Jars.of(acts).all().get(0);
    }

    @Test
    void loadsAndTheirSoilAddUpUntilTheJarIsFilledAnew() {
        assertThat(wash()).isEqualTo(new Jars.Jar("wash", 0, 0, 12));
        then(load(1)).then(load(3)).then(load(4));
        assertThat(wash()).isEqualTo(new Jars.Jar("wash", 3, 8, 12));
        assertThat(wash().words()).isEqualTo("3 loads, soil 8 of 12");
        // drying needs no jar
        assertThat(Jars.of(acts).all())
                .extracting(Jars.Jar::name)
                .containsExactly("wash", "first rinse", "second rinse");
        then(new JarFilled("wash", false));
        assertThat(wash().loads()).isZero();
        assertThat(Jars.of(acts).all().get(1).loads()).isEqualTo(3);
    }

    @Test
    void dirtiestGoesLastBeforeAChange() {
        then(load(4)).then(load(4)).then(load(1));
        assertThat(Jars.of(acts).advice(1)).isEmpty();
        assertThat(Jars.of(acts).advice(3)).contains("if a dirtier movement waits, it goes last");
        then(load(3));
        assertThat(wash().isSpent()).isTrue();
        assertThat(Jars.of(acts).advice(1)).contains("strain or change it before this load");
        acts.clear();
        assertThat(Jars.of(acts).advice(4)).contains("heavy load in good baths");
    }

    @Test
    void anotherProgrammeCountsItsOwnJars() {
        then(load(2))
                .then(new ProgrammeKept("short", ProgrammeKept.USUAL.stretches(), List.of("one", "two", "two", ""), 5));
        assertThat(Jars.of(acts).all()).extracting(Jars.Jar::name).containsExactly("one", "two");
        assertThat(Jars.of(acts).all()).allSatisfy(j -> assertThat(j.loads()).isZero());
    }
}
