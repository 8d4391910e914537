package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A version of a calibre changes the parts it names, and nothing else. Source: craft 2.4, 2.19. */
class VariantSheetTest {
    private static final String PLAIN = "without disc";

    private static final CalibreSheet SHEET = Calibres.of(
                    List.of(
                            Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL),
                            Part.of("clip", "Clip", Group.CALENDAR, Side.DIAL),
                            Part.of("disc", "Day disc", Group.CALENDAR, Side.DIAL),
                            Part.of("cover", "Date cover", Group.CALENDAR, Side.DIAL),
                            Part.of("driver", "Day and date wheel", Group.CALENDAR, Side.DIAL)),
                    List.of(
                            new Hold("clip", "dial", "under the dial", Hold.Basis.STATED),
                            new Hold("disc", "clip", "held by the clip", Hold.Basis.STATED),
                            new Hold("cover", "disc", "under the disc", Hold.Basis.STATED),
                            new Hold("driver", "cover", "under the cover", Hold.Basis.STATED)))
            .withClimb(
                    List.of(point("p-cover", "cover", "cover", "disc"), point("p-disc", "disc", "disc", "clip")),
                    List.of(new AssemblyTest(
                            "t", "jumps", Side.DIAL, "disc", "dial", "at once", AssemblyTest.Proof.SEEN)))
            .withLore(new Lore(
                    "",
                    List.of(new Lore.Variant(
                            PLAIN,
                            "no clip",
                            List.of(
                                    new Lore.Change("clip", null, ""),
                                    new Lore.Change("disc", null, ""),
                                    new Lore.Change("driver", "Date wheel", "no finger")))),
                    List.of(),
                    List.of(),
                    "",
                    List.of(),
                    List.of(),
                    List.of(),
                    null,
                    ""));

    private static OilPoint point(String code, String part, String after, String before) {
        return new OilPoint(code, code, part, Side.DIAL, LubricantClass.FINE_OIL, "a drop", after, before, 0, 0, "");
    }

    @Test
    void partsItHasNotGotGoWithTheirPointsAndWhatTheyHeldIsHeldByWhatHeldThem() {
        CalibreSheet plain = VariantSheet.of(SHEET, PLAIN, Set.of());

        assertThat(plain.parts()).extracting(Part::code).containsExactly("dial", "cover", "driver");
        assertThat(plain.holdsOn("cover")).extracting(Hold::by).containsExactly("dial");
        assertThat(plain.requirePart("driver").name()).isEqualTo("Date wheel");
        assertThat(plain.requirePart("driver").note()).isEqualTo("no finger");
        assertThat(plain.oilPoints()).extracting(OilPoint::code).containsExactly("p-cover");
        assertThat(plain.oilPoints().get(0).before()).isEqualTo("dial");
        assertThat(plain.tests()).extracting(AssemblyTest::after).containsExactly("cover");
        assertThat(SheetCheck.faultsOf(plain)).isEqualTo(SheetCheck.faultsOf(SHEET));
    }

    /** A jewel of a part the version has not got would name a part nobody knows. */
    @Test
    void jewelsOfPartsItHasNotGotGoWithThem() {
        CalibreSheet jewelled = SHEET.withInside(
                List.of(new EarlyIn("disc", "dial", "")),
                List.of(
                        new Jewel(Jewel.Kind.HOLE, "disc", Side.DIAL, 1, 1),
                        new Jewel(Jewel.Kind.HOLE, "cover", Side.DIAL, 2, 2)));
        CalibreSheet plain = VariantSheet.of(jewelled, PLAIN, Set.of());

        assertThat(plain.jewels()).extracting(Jewel::part).containsExactly("cover");
        assertThat(plain.earlyIns()).isEmpty();
        assertThat(SheetCheck.faultsOf(plain)).noneMatch(f -> f.contains("disc"));
    }

    @Test
    void anyOtherVersionChangesNothing() {
        assertThat(VariantSheet.of(SHEET, "another", Set.of())).isEqualTo(SHEET);
        assertThat(VariantSheet.of(SHEET, "", Set.of())).isEqualTo(SHEET);
    }

    @Test
    void variantSeenHalfWayDownKeepsWhatAlreadyLiesOnTheBench() {
        Job job = Job.of(
                Histories.of(
                        new CalibreBound("test", 1),
                        PartOff.plain("dial"),
                        PartOff.plain("clip"),
                        new CalibreBound("test", 1, PLAIN, CalibreBound.As.CALIBRE, Map.of())),
                SHEET,
                Schools.DEFAULT);

        assertThat(job.movement().part("clip")).isPresent();
        assertThat(job.movement().part("disc")).isEmpty();
        assertThat(job.wayDown().remaining())
                .extracting(Part::code)
                .contains("cover")
                .doesNotContain("disc");
    }
}
