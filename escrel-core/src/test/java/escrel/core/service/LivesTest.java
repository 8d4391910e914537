package escrel.core.service;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.handover.Stage;
import escrel.core.job.Job;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Craft 9: a movement is opened more than once. */
class LivesTest {
    private static final CalibreSheet SHEET = Calibres.small();

    private static Lives after(Step... steps) {
        return Lives.of(SHEET, Histories.of(steps));
    }

    static ReadingTaken read(ReadingState state) {
        return new ReadingTaken(
                state,
                Fitted.BARE_MOVEMENT,
                Wound.FULL,
                new Reading(
                        Position.DIAL_UP,
                        Measured.single(4),
                        Measured.single(270),
                        null,
                        null,
                        LiftAngle.known(50),
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.CLEAN,
                        ""));
    }

    private static Step[] all(Step[] first, Step... more) {
        List<Step> steps = new ArrayList<>(Arrays.asList(first));
        steps.addAll(Arrays.asList(more));
        return steps.toArray(Step[]::new);
    }

    /** Everything off and on again, as proposed. */
    private static Step[] serviced() {
        List<Step> steps = new ArrayList<>(Arrays.asList(Calibres.allOff(SHEET)));
        while (true) {
            var next = Jobs.of(SHEET, steps.toArray(Step[]::new)).wayUp().freeNow().stream()
                    .filter(l -> l.kind() == escrel.core.assembly.AssemblyPlan.Kind.PART)
                    .findFirst();
            if (next.isEmpty()) {
                // the routine tests stand between the movement and its dial
                var waiting = Jobs.of(SHEET, steps.toArray(Step[]::new)).wayUp().lines();
                if (waiting.isEmpty()) {
                    return steps.toArray(Step[]::new);
                }
                steps.add(new escrel.core.timing.readings.Demagnetised(3, ""));
                steps.add(read(ReadingState.FIRST_RUN));
            } else {
                steps.add(PartOn.plain(next.get().code()));
            }
        }
    }

    @Test
    void staysOffAreEpisodesEachWithItsBeginningAndEnd() {
        Lives lives = after(PartOff.plain("back"), PartOn.plain("back"), PartOff.plain("back"));

        assertThat(lives.episodesOf("back"))
                .extracting(Episode::offAt, Episode::onAt, Episode::round)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(1, 2, 1), org.assertj.core.groups.Tuple.tuple(3, 0, 2));
    }

    @Test
    void visitIsNoEpisode() {
        Lives lives = after(PartOff.plain("cock"), new Visit("cock", Visit.Act.BEGIN, "swing test"));

        assertThat(lives.isOff("cock")).isTrue();
        assertThat(lives.visiting()).containsExactly("cock");
    }

    /** The smallest case: a bridge comes up again because a screw was forgotten beneath. Only the bridge returns. */
    @Test
    void forgottenPartCostsOnlyWhatWasLifted() {
        Step[] half =
                all(Calibres.allOff(SHEET), PartOn.plain("wheel"), PartOn.plain("bridge"), PartOff.plain("bridge"));
        Job job = Jobs.of(SHEET, half);

        assertThat(job.lives().isOff("wheel")).isFalse();
        assertThat(job.lives().isOff("bridge")).isTrue();
        assertThat(job.lives().rounds()).hasSize(1);
        assertThat(job.stage()).isEqualTo(Stage.CLIMBING);
    }

    @Test
    void openedAgainIsANewRoundWithItsReasonAndOnlyWhatIsLifted() {
        Job job = Jobs.of(
                SHEET,
                all(
                        serviced(),
                        new OpenedAgain(OpenedAgain.Reason.BEAT_ERROR, "cock", "collet"),
                        PartOff.plain("back")));

        assertThat(job.lives().rounds()).hasSize(2);
        assertThat(job.lives().round().reason()).isEqualTo(OpenedAgain.Reason.BEAT_ERROR);
        assertThat(job.teardown().order()).containsExactly("back");
        assertThat(job.stage()).isEqualTo(Stage.STRIPPING);
        assertThat(job.wayDown().remaining()).extracting(Part::code).endsWith("cock");
    }

    /** A state that was settled once must be asked anew: said twice, taken back, said of nothing. */
    @Test
    void saidAgainBeforeAnythingCameOffTheLatestCounts() {
        Step[] closed = serviced();
        Lives twice = Lives.of(
                SHEET,
                Histories.of(all(
                        closed,
                        new OpenedAgain(OpenedAgain.Reason.STOPS, "", ""),
                        new OpenedAgain(OpenedAgain.Reason.GUARANTEE, "cock", ""))));
        Lives back = Lives.of(
                SHEET,
                Histories.of(all(
                        closed, new OpenedAgain(OpenedAgain.Reason.STOPS, "", ""), new TakenBack(closed.length + 1))));

        assertThat(twice.rounds()).hasSize(2);
        assertThat(twice.round().reason()).isEqualTo(OpenedAgain.Reason.GUARANTEE);
        assertThat(back.rounds()).hasSize(1);
    }

    /** Records of earlier versions have no word for it: a part off a closed movement begins a round. */
    @Test
    void partOffAClosedMovementBeginsARoundByItself() {
        Lives lives = Lives.of(SHEET, Histories.of(all(serviced(), PartOff.plain("back"))));

        assertThat(lives.rounds()).hasSize(2);
        assertThat(lives.round().reason()).isEqualTo(OpenedAgain.Reason.NOT_SAID);
        assertThat(lives.round().fresh()).isFalse();
    }

    @Test
    void everyReadingImpliesThatItWasWound() {
        Step[] closed = {PartOff.plain("power"), PartOff.plain("pallets"), PartOn.plain("pallets")};

        assertThat(after(closed).isPowerUp(SHEET.requirePart("power"))).isFalse();
        assertThat(after(all(closed, read(ReadingState.FIRST_RUN))).isPowerUp(SHEET.requirePart("power")))
                .isTrue();
    }

    /** In any round: the bridge is not taken in silence once the power is up again. */
    @Test
    void raisedPowerIsLetDownAgainBeforeTheBridgeInALaterRound() {
        Job job = Jobs.of(SHEET, all(serviced(), new OpenedAgain(OpenedAgain.Reason.POOR_AMPLITUDE, "wheel", "")));

        assertThat(job.wayDown().remaining())
                .extracting(Part::code)
                .containsSubsequence("power", "ratchet", "bridge", "wheel");
        assertThat(job.wayDown().brokenBy("bridge"))
                .anyMatch(c -> c.first().code().equals("power") && c.wantsReason());
    }

    @Test
    void hiddenPowerThatLetsGoAtAPartIsDownAtOnce() {
        Lives lives = after(
                PartOff.plain("power"),
                new PowerNoted(PowerNoted.What.WOUND, "", ""),
                new PowerNoted(PowerNoted.What.LET_GO_NOW, "ratchet", ""));

        assertThat(lives.isPowerUp(SHEET.requirePart("power"))).isFalse();
    }

    @Test
    void sideThatLiesUpIsThatOfTheLastAct() {
        Step[] closed = serviced();
        Lives lives = Lives.of(SHEET, Histories.of(all(closed, PartOff.plain("back"), PartOff.plain("dial"))));

        assertThat(lives.sideUp()).contains(Side.DIAL);
        assertThat(Lives.of(SHEET, Histories.of(all(closed, PartOff.plain("dial"), PartOff.plain("back"))))
                        .sideUp())
                .contains(Side.TRAIN);
    }

    /** Strip, refit, strip: the second strip is the first. */
    @Test
    void secondStripIsTheFirst() {
        Step[] closed = serviced();
        List<Part> first = Jobs.of(SHEET).wayDown().remaining();
        Job again = Jobs.of(SHEET, all(closed, new OpenedAgain(OpenedAgain.Reason.OTHER, "", "")));

        assertThat(again.wayDown().remaining()).containsExactlyInAnyOrderElementsOf(first);
        assertThat(again.cleaning().due()).isEmpty();
        assertThat(again.lubrication().open()).isEmpty();
    }

    /** Each act again and again needs no more turn-overs than the plan said. */
    @org.junit.jupiter.params.ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void doingNextAgainAndAgainNeedsNoMoreTurnsThanPlanned(long seed) {
        CalibreSheet sheet = Calibres.withRoles(Calibres.random(seed, 40), seed);
        List<Step> steps = new ArrayList<>();
        int planned = Jobs.of(sheet).wayDown().turnOvers();
        int turns = 0;
        Side up = null;
        while (true) {
            Job job = Jobs.of(sheet, steps.toArray(Step[]::new));
            var next = job.wayDown().next();
            if (next.isEmpty()) {
                break;
            }
            Side side = next.get().side();
            turns += side != Side.IN_HAND && up != null && up != side ? 1 : 0;
            up = side == Side.IN_HAND ? up : side;
            steps.add(PartOff.plain(next.get().code()));
        }

        assertThat(turns).as("seed %d", seed).isLessThanOrEqualTo(planned);
    }
}
