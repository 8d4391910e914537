package escrel.core.parts;

import static escrel.core.service.ScrewsFound.State.GLUED;
import static escrel.core.service.ScrewsFound.State.LOOSE;
import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Loose screws over a whole side are one line of evidence; what we leave loose ourselves is none. */
class EarlierWorkTest {
    private static final List<Part> PARTS = List.of(
            Part.of("train-bridge", "Train bridge", Group.TRAIN, Side.TRAIN),
            Part.of("barrel-bridge", "Barrel bridge", Group.BARREL, Side.TRAIN),
            Part.of("cover", "Cover plate", Group.CALENDAR, Side.DIAL));
    private static final CalibreSheet SHEET = Calibres.of(PARTS, List.of()).with(PARTS, screws(), List.of());

    private static List<ScrewPlace> screws() {
        List<ScrewPlace> all = new ArrayList<>();
        for (Part part : PARTS) {
            for (int i = 1; i <= 3; i++) {
                all.add(new ScrewPlace(
                        part.code() + i,
                        part.code(),
                        1,
                        1,
                        ScrewPlace.LengthClass.MIDDLE,
                        ScrewPlace.Head.FLAT,
                        ScrewPlace.Thread.RIGHT,
                        1.0,
                        ScrewPlace.Home.ANY_OF_ITS_KIND,
                        ""));
            }
        }
        return all;
    }

    private static PartOff off(String part, ScrewsFound screws) {
        return new PartOff(part, Grade.GOOD, screws, PartOff.Plan.KEEP, "", "");
    }

    private static List<EarlierWork.Line> lines(Step... steps) {
        return EarlierWork.of(Jobs.of(SHEET, steps).lives());
    }

    @Test
    void looseOverAWholeSideIsOneLine() {
        assertThat(lines(
                        off("train-bridge", ScrewsFound.of(LOOSE, 3)),
                        off("barrel-bridge", ScrewsFound.of(LOOSE, 2)),
                        off("cover", ScrewsFound.of(LOOSE, 1))))
                .extracting(EarlierWork.Line::words)
                .containsExactlyInAnyOrder(
                        "5 of 6 screws loose over the train side: Train bridge, Barrel bridge",
                        "1 screw loose: Cover plate");
    }

    @Test
    void twoLooseOnesAreNoWholeSide() {
        assertThat(lines(off("train-bridge", ScrewsFound.of(LOOSE, 1)), off("barrel-bridge", ScrewsFound.of(LOOSE, 1))))
                .extracting(EarlierWork.Line::words)
                .containsExactly("2 screws loose: Train bridge, Barrel bridge");
    }

    @Test
    void untouchedScrewsSpeakAgainstEarlierWorkAndGluedOnesForIt() {
        assertThat(lines(off("train-bridge", ScrewsFound.AS_FACTORY_LEFT), off("cover", ScrewsFound.of(GLUED, 2))))
                .containsExactly(
                        new EarlierWork.Line(false, "2 screws glued: Cover plate"),
                        new EarlierWork.Line(true, "screws as the factory left them: Train bridge"));
    }

    @Test
    void whatIsLooseWhenItComesOffAgainIsOurOwn() {
        assertThat(lines(
                        PartOff.plain("train-bridge"),
                        PartOn.plain("train-bridge"),
                        off("train-bridge", ScrewsFound.of(LOOSE, 3))))
                .isEmpty();
    }
}
