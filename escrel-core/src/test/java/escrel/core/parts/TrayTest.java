package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where each part lies, and the number it is found by. */
class TrayTest {
    private static final Part JUMPER = Part.of("jumper", "Jumper", Group.CALENDAR, Side.DIAL);
    private static final Part POWER =
            Part.of("power", "Power let down", Group.BARREL, Side.TRAIN).withRole(Role.POWER_DOWN);
    private static final Part BRIDGE = Part.of("bridge", "Bridge", Group.TRAIN, Side.TRAIN);
    private static final Part WHEEL = Part.of("wheel", "Wheel", Group.TRAIN, Side.TRAIN);
    private static final CalibreSheet SHEET = Calibres.of(List.of(JUMPER, POWER, BRIDGE, WHEEL), List.of())
            .with(
                    List.of(JUMPER, POWER, BRIDGE, WHEEL),
                    List.of(
                            screw("s1", "bridge", ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.RIGHT),
                            screw("s2", "bridge", ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.RIGHT),
                            screw("s3", "bridge", ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.LEFT)),
                    List.of());

    private static ScrewPlace screw(String code, String part, ScrewPlace.LengthClass length, ScrewPlace.Thread thread) {
        return new ScrewPlace(
                code, part, 1, 1, length, ScrewPlace.Head.FLAT, thread, 1.0, ScrewPlace.Home.ANY_OF_ITS_KIND, "");
    }

    private static Tray tray(Schools schools, Step... steps) {
        return tray(schools, Histories.of(steps));
    }

    private static Tray tray(Schools schools, JobHistory history) {
        Job job = Jobs.of(SHEET, history);
        return Tray.of(job.teardown(), schools, job.screws());
    }

    @Test
    void trayFillsInOrderOrByGroupAndWarnsOfMixedThreads() {
        JobHistory history = Histories.of(PartOff.plain("jumper"), PartOff.plain("bridge"));
        List<Tray.Compartment> inOrder = tray(Schools.DEFAULT, history).compartments();

        assertThat(inOrder).extracting(Tray.Compartment::label).containsExactly("Jumper", "Bridge");
        assertThat(inOrder.get(1).screws()).hasSize(3);
        assertThat(inOrder.get(1).warnings()).singleElement().asString().contains("left-hand");
        assertThat(tray(Schools.DEFAULT.with(Choice.TRAY_BY_GROUP), history).compartments())
                .extracting(Tray.Compartment::label)
                .containsExactly("Jumper", "Bridge");
    }

    @Test
    void compartmentKeepsItsNumberWhenItsPartIsOnAgain() {
        JobHistory history = Histories.of(PartOff.plain("jumper"), PartOff.plain("bridge"), PartOn.plain("jumper"));

        assertThat(tray(Schools.DEFAULT, history).compartments())
                .extracting(c -> c.number() + " " + c.parts().size())
                .containsExactly("1 0", "2 1");
    }

    @Test
    void numberIsTheOneOnTheTrayAndPowerLetDownTakesNone() {
        Tray tray = tray(Schools.DEFAULT, PartOff.plain("jumper"), PartOff.plain("power"), PartOff.plain("bridge"));

        assertThat(tray.numberFor(JUMPER)).hasValue(1);
        assertThat(tray.numberFor(POWER)).isEmpty();
        assertThat(tray.numberFor(BRIDGE)).as("the second thing laid down").hasValue(2);
        assertThat(tray.numberFor(WHEEL)).as("where it would go").hasValue(3);
    }

    @Test
    void numberByGroupIsThatOfTheGroup() {
        Tray tray = tray(Schools.DEFAULT.with(Choice.TRAY_BY_GROUP), PartOff.plain("jumper"), PartOff.plain("bridge"));

        assertThat(tray.numberFor(WHEEL)).as("with the bridge of its group").hasValue(2);
    }
}
