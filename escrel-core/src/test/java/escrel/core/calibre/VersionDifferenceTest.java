package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import escrel.core.calibre.VersionDifference.Kind;
import escrel.core.calibre.VersionDifference.Line;
import escrel.core.calibre.VersionDifference.Subject;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VersionDifferenceTest {
    private static final CalibreSheet SMALL = Calibres.small();

    private static ScrewPlace screw(String code, ScrewPlace.LengthClass length) {
        return new ScrewPlace(
                code,
                "bridge",
                3,
                4,
                length,
                ScrewPlace.Head.FLAT,
                ScrewPlace.Thread.RIGHT,
                0.8,
                ScrewPlace.Home.ANY_OF_ITS_KIND,
                "");
    }

    @Test
    void equalSheetsDifferInNothing() {
        assertThat(VersionDifference.between(SMALL, Calibres.small()).lines()).isEmpty();
    }

    @Test
    void outlinesWithTheSameCornersAreTheSame() {
        CalibreSheet one = drawn(new double[] {1, 2}, new double[] {3, 4});
        CalibreSheet same = drawn(new double[] {1, 2}, new double[] {3, 4});
        CalibreSheet moved = drawn(new double[] {1, 2}, new double[] {3, 5});

        assertThat(VersionDifference.between(one, same).lines()).isEmpty();
        assertThat(VersionDifference.between(one, moved).lines())
                .extracting(Line::part, Line::field)
                .containsExactly(tuple("bridge", "shape"));
    }

    private static CalibreSheet drawn(double[]... corners) {
        Part bridge =
                SMALL.requirePart("bridge").withShape(new Shape(Shape.Kind.OUTLINE, 0, 0, 0, 0, List.of(corners)));
        return SMALL.with(
                SMALL.parts().stream()
                        .map(p -> p.code().equals("bridge") ? bridge : p)
                        .toList(),
                SMALL.screws(),
                SMALL.holds());
    }

    @Test
    void sameScrewOfAnotherLengthIsSaidWithBothLengths() {
        CalibreSheet here =
                SMALL.with(SMALL.parts(), List.of(screw("s1", ScrewPlace.LengthClass.VERY_SHORT)), SMALL.holds());
        CalibreSheet there = SMALL.with(
                SMALL.parts(),
                List.of(screw("s1", ScrewPlace.LengthClass.LONG), screw("s2", ScrewPlace.LengthClass.LONG)),
                SMALL.holds());

        VersionDifference difference = VersionDifference.between(here, there);

        assertThat(difference.lines())
                .containsExactly(
                        new Line(
                                Subject.SCREWS,
                                Kind.OTHERWISE,
                                "bridge",
                                "screw s1, Train bridge",
                                "length",
                                "very short",
                                "long"),
                        new Line(Subject.SCREWS, Kind.MORE, "bridge", "screw s2, Train bridge", "", "", ""));
        assertThat(difference.parts()).containsExactly("bridge");
        assertThat(difference.count(Subject.SCREWS, Kind.MORE)).isEqualTo(1);
    }

    @Test
    void figuresTrapsAndStemReleaseAreComparedToo() {
        CalibreData data = new CalibreData(
                25,
                21_600.0,
                null,
                17,
                CalibreData.Setting.SHOCK,
                CalibreData.Stud.FIXED,
                WatchClass.VINTAGE_NO_SHOCK_SETTING,
                "");
        CalibreSheet there = new CalibreSheet(
                SMALL.id(),
                SMALL.name(),
                data,
                new StemRelease("screw", "pulled", "fine blade", "half a turn", ""),
                SMALL.parts(),
                SMALL.screws(),
                SMALL.holds(),
                SMALL.earlyIns(),
                SMALL.oilPoints(),
                SMALL.tests(),
                SMALL.jewels(),
                SMALL.train(),
                List.of("the spring flies"));

        assertThat(VersionDifference.between(SMALL, there).lines())
                .extracting(Line::subject, Line::kind, Line::field, Line::here, Line::there)
                .containsExactly(
                        row(Subject.FIGURES, Kind.OTHERWISE, "beats per hour", "18000", "21600"),
                        row(Subject.FIGURES, Kind.OTHERWISE, "lift angle degrees", "50", ""),
                        row(Subject.FIGURES, Kind.OTHERWISE, "setting", "none", "shock"),
                        row(Subject.STEM_RELEASE, Kind.MORE, "", "", "screw, pulled, fine blade, half a turn"),
                        row(Subject.TRAPS, Kind.MORE, "", "", ""));
    }

    private static Tuple row(Object... values) {
        return tuple(values);
    }

    /** What one sheet has more, the other has fewer; read from the other side every line is turned round. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void seenFromTheOtherSideEverythingIsTurnedRound(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 40; i++) {
            CalibreSheet one = thinned(random);
            CalibreSheet other = thinned(random);
            List<Line> turned = VersionDifference.between(other, one).lines().stream()
                    .map(l -> new Line(
                            l.subject(),
                            l.kind() == Kind.MORE ? Kind.FEWER : l.kind() == Kind.FEWER ? Kind.MORE : l.kind(),
                            l.part(),
                            l.name(),
                            l.field(),
                            l.there(),
                            l.here()))
                    .toList();

            assertThat(VersionDifference.between(one, other).lines()).containsExactlyInAnyOrderElementsOf(turned);
            assertThat(turned.isEmpty()).isEqualTo(one.equals(other));
        }
    }

    private static CalibreSheet thinned(Random random) {
        List<Part> parts = new ArrayList<>(SMALL.parts());
        parts.removeIf(p -> random.nextInt(5) == 0);
        List<Hold> holds = new ArrayList<>(SMALL.holds());
        holds.removeIf(h -> random.nextInt(4) == 0);
        return SMALL.with(parts, SMALL.screws(), holds);
    }
}
