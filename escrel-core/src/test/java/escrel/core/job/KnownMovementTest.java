package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Lore;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.handover.HandedOver;
import escrel.core.learning.HoldStated;
import escrel.core.learning.PartNamed;
import escrel.core.learning.Pinned;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.Corrected;
import escrel.core.service.JobHistory;
import escrel.core.service.Noted;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.SchoolChosen;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.watchcase.CaseSaid;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.Opens;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A job that goes on from the one before is the job that is made of all its steps. */
class KnownMovementTest {
    private static final String WITHOUT_ONE = "without one";

    private final List<RecordedStep> steps = new ArrayList<>();

    private void then(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH.plusSeconds(60L * steps.size()), step));
    }

    private Job now(@Nullable CalibreSheet sheet, @Nullable Job before) {
        return now(sheet, null, Schools.DEFAULT, before);
    }

    private Job now(
            @Nullable CalibreSheet sheet, @Nullable CaseSheet watchcase, Schools schools, @Nullable Job before) {
        return Job.of(JobHistory.of(steps), sheet, watchcase, schools, before);
    }

    private static CalibreSheet sheet(long seed) {
        CalibreSheet sheet = Calibres.withRoles(Calibres.random(seed, 30), seed);
        Lore.Variant variant = new Lore.Variant(
                WITHOUT_ONE, "", List.of(new Lore.Change(sheet.parts().get(9).code(), null, "")));
        return sheet.withLore(
                new Lore("", List.of(variant), List.of(), List.of(), "", List.of(), List.of(), List.of(), null, ""));
    }

    private Step any(Random random, CalibreSheet sheet) {
        List<Part> parts = sheet.parts();
        String part = parts.get(random.nextInt(parts.size())).code();
        String other = parts.get(random.nextInt(parts.size())).code();
        Choice choice = Choice.values()[random.nextInt(Choice.values().length)];
        return switch (random.nextInt(13)) {
            case 0 -> new SchoolChosen(choice);
            case 1 -> new SchoolSetAside(School.values()[random.nextInt(School.values().length)]);
            case 2 -> part.equals(other) ? new Noted(null, "none") : new HoldStated(part, other, "seen");
            case 3 -> new Pinned(part, random.nextDouble(), 0);
            case 4 -> new PartNamed("n" + random.nextInt(3), "Named", Group.TRAIN, Side.DIAL, null, List.of(), null);
            case 5 -> new CaseSaid(CaseSaid.Fact.OPENS, random.nextBoolean() ? "FRONT" : "BACK");
            case 6 -> new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, random.nextBoolean() ? CaseSaid.YES : CaseSaid.NO);
            case 7 ->
                new CalibreBound(
                        sheet.id(), 1, random.nextBoolean() ? WITHOUT_ONE : "", CalibreBound.As.CALIBRE, Map.of());
            case 8 -> new TakenBack(1 + random.nextInt(steps.size()));
            case 9 -> PartOn.plain(part);
            case 10 -> new Noted(null, "word " + random.nextInt());
            case 11 -> corrected(random, part);
            default -> PartOff.plain(part);
        };
    }

    /** A pin or a part off that was said wrongly; a note where there is none. */
    private Step corrected(Random random, String part) {
        List<RecordedStep> said = JobHistory.of(steps).counting().stream()
                .filter(e -> e.step() instanceof Pinned || e.step() instanceof PartOff)
                .toList();
        if (said.isEmpty()) {
            return new Noted(null, "nothing to correct");
        }
        RecordedStep one = said.get(random.nextInt(said.size()));
        return new Corrected(
                one.sequence(), one.step() instanceof Pinned ? new Pinned(part, 0, 0.5) : PartOff.plain(part));
    }

    private void assertSame(Job known, Job anew) {
        assertThat(known.movement()).as("after %s", steps).isEqualTo(anew.movement());
        assertThat(known.down().all()).isEqualTo(anew.down().all());
        assertThat(known.up().all()).isEqualTo(anew.up().all());
        assertThat(known.wayDown().remaining()).isEqualTo(anew.wayDown().remaining());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whateverIsRecordedItIsWhatAllStepsTogetherSay(long seed) {
        Random random = new Random(seed);
        CalibreSheet sheet = sheet(seed);
        boolean unknown = seed % 3 == 0;
        then(new Noted(null, "begun"));
        Job known = now(unknown ? null : sheet, null);
        for (int i = 0; i < 60; i++) {
            Step step = any(random, sheet);
            boolean takesNothing = step instanceof TakenBack back
                    && JobHistory.of(steps).counting().stream()
                            .noneMatch(e ->
                                    e.sequence() == back.sequence() && e.step().canBeTakenBack());
            if (takesNothing || unknown && step instanceof CalibreBound) {
                continue;
            }
            then(step);
            known = now(unknown ? null : sheet, known);
            assertSame(known, now(unknown ? null : sheet, null));
        }
    }

    /** What was chosen since is not known yet. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void asItStoodRightAfterAStepItIsWhatTheStepsUntilThenSay(long seed) {
        Random random = new Random(seed);
        CalibreSheet sheet = sheet(seed);
        then(new Noted(null, "begun"));
        for (int i = 0; i < 40; i++) {
            Step step = any(random, sheet);
            if (!(step instanceof TakenBack)) {
                then(step);
            }
        }
        Job late = now(sheet, null);
        for (int sequence = 1; sequence <= steps.size(); sequence += 7) {
            Job then = late.upTo(sequence);
            Job anew = Job.of(JobHistory.of(steps.subList(0, sequence)), sheet, Schools.DEFAULT);
            assertThat(then.schools())
                    .as("right after %d of %s", sequence, steps)
                    .isEqualTo(anew.schools());
            assertThat(then.usualSchools()).isEqualTo(Schools.DEFAULT);
            assertSame(then, anew);
        }
    }

    /** A case found later, taken away again, another version of the sheet, other habits of the workshop, in any order. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void whateverItIsBoundToMeanwhileTheLastCounts(long seed) {
        Random random = new Random(seed);
        List<CalibreSheet> sheets = List.of(sheet(seed), sheet(seed + 100));
        List<CaseSheet> cases = List.of(CaseSheet.plain(Opens.BACK), CaseSheet.plain(Opens.FRONT));
        then(new Noted(null, "begun"));
        Job known = now(null, null);
        for (int i = 0; i < 40; i++) {
            CalibreSheet sheet = random.nextInt(4) == 0 ? null : sheets.get(random.nextInt(2));
            CaseSheet watchcase = random.nextInt(3) == 0 ? null : cases.get(random.nextInt(2));
            Schools schools = random.nextBoolean() ? Schools.DEFAULT : Schools.DEFAULT.with(Choice.FORK_DIPPED);
            then(PartOff.plain(sheets.get(0).parts().get(random.nextInt(20)).code()));
            known = now(sheet, watchcase, schools, known);
            assertSame(known, now(sheet, watchcase, schools, null));
        }
    }

    /** What the workshop takes up years later asks nothing of a watch that has left; one that comes back is under today's habits. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24})
    void aWatchThatHasLeftStaysUnderTheHabitsOfThatDay(long seed) {
        Random random = new Random(seed);
        CalibreSheet parts = sheet(seed);
        // of two of them nobody knows the movement
        CalibreSheet sheet = seed % 2 == 0 ? null : parts;
        Schools then = some(random);
        Schools today = some(random);
        for (int i = 0; i < 20; i++) {
            Step step = any(random, parts);
            if (!(step instanceof TakenBack)) {
                then(step);
            }
        }
        Job before = now(sheet, null, then, null);
        then(HandedOver.from(then, "by post"));
        int left = steps.size();

        Job gone = now(sheet, null, today, now(sheet, null, then, before));
        assertThat(gone.schools()).isEqualTo(before.schools());
        assertThat(gone.accounts()).isEqualTo(before.accounts());
        assertThat(gone.upTo(left - 1).accounts()).isEqualTo(before.accounts());
        assertThat(gone.usualSchools()).isEqualTo(today);

        then(new OpenedAgain(OpenedAgain.Reason.GUARANTEE, "", ""));
        assertThat(now(sheet, null, today, gone).habits()).isEqualTo(today);

        // it goes again, and stays under the habits of that second day
        then(HandedOver.from(today, "by hand"));
        int again = steps.size();
        assertThat(now(sheet, null, then, gone).habits()).isEqualTo(today);

        // it had not come back at all: the first day's hold; nor left: today's
        then(new TakenBack(again));
        then(new TakenBack(left + 1));
        assertThat(now(sheet, null, today, gone).habits()).isEqualTo(then);
        then(new TakenBack(left));
        assertThat(now(sheet, null, today, gone).habits()).isEqualTo(today);
    }

    private static Schools some(Random random) {
        Schools schools = Schools.DEFAULT;
        for (School school : School.values()) {
            List<Choice> sides = school.choices();
            schools = schools.with(sides.get(random.nextInt(sides.size())));
        }
        return schools;
    }

    @Test
    void whereHabitsWereNotKeptTodaysHold() {
        then(new HandedOver("by post", List.of()));
        Schools today = Schools.DEFAULT.with(Choice.FORK_DIPPED);

        assertThat(now(sheet(1), null, today, null).habits()).isEqualTo(today);
    }

    @Test
    void whatMostStepsLeaveAsItIsIsNotWorkedOutAgain() {
        CalibreSheet sheet = sheet(2);
        then(new Noted(null, "begun"));
        Job first = now(sheet, null);
        then(PartOff.plain(sheet.parts().get(0).code()));
        Job second = now(sheet, first);

        assertThat(second.movement()).isSameAs(first.movement());
        assertThat(second.up()).isSameAs(first.up());
        assertThat(second.upTo(1).down()).isSameAs(first.down());
        // and of another sheet nothing is taken over
        assertThat(now(sheet(3), second).up().all())
                .isEqualTo(now(sheet(3), null).up().all());
    }
}
