package escrel.web.job;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.cleaning.Washed;
import escrel.core.learning.CameTogether;
import escrel.core.learning.HoldStated;
import escrel.core.learning.PartNamed;
import escrel.core.learning.ScrewsStated;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.Decided;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Gauged;
import escrel.core.parts.Happened;
import escrel.core.parts.LeftOut;
import escrel.core.service.Noted;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Step;
import escrel.core.teardown.Eased;
import escrel.core.teardown.LeftFitted;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.PartOn;
import escrel.core.teardown.Visit;
import escrel.core.teardown.WayInPlanned;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.StoppedAfter;
import org.jspecify.annotations.Nullable;

/** A step in a few words, as said when it is taken back or listed. */
public final class StepWords {
    private StepWords() {}

    /** The words for a step; a sheet gives parts their names. */
    public static String of(Step step, @Nullable CalibreSheet sheet) {
        if (step instanceof PartOff off) {
            return part(off.part(), sheet) + " off";
        }
        if (step instanceof PartOn on) {
            return part(on.part(), sheet) + " on";
        }
        if (step instanceof Visit visit) {
            return part(visit.part(), sheet) + (visit.act() == Visit.Act.BEGIN ? " in for a visit" : " out again");
        }
        if (step instanceof Oiled || step instanceof OilSkipped) {
            String code = step instanceof Oiled oiled ? oiled.point() : ((OilSkipped) step).point();
            return "oil point " + point(code, sheet);
        }
        if (step instanceof TestMade test) {
            return "test " + test(test.test(), sheet);
        }
        if (step instanceof Washed washed) {
            return washed.parts().size() + " parts washed";
        }
        if (step instanceof FindingRaised finding) {
            return "finding “" + finding.words() + "”";
        }
        if (step instanceof Decided decided) {
            return "decision " + decided.decision().name().toLowerCase().replace('_', ' ');
        }
        if (step instanceof LeftOut out) {
            return part(out.part(), sheet) + " left out";
        }
        if (step instanceof PhotoAdded photo) {
            return "photo " + photo.photo();
        }
        if (step instanceof CompassTried compass) {
            return compass.follows().isMagnetised()
                    ? "compass: the needle follows"
                    : "compass: the needle does not follow";
        }
        if (step instanceof Demagnetised) {
            return "demagnetised";
        }
        if (step instanceof StoppedAfter stopped) {
            return "ran %.1f h from full wind".formatted(stopped.hours());
        }
        if (step instanceof ReadingTaken reading) {
            return "reading " + reading.reading().position().words();
        }
        return learning(step, sheet);
    }

    private static String learning(Step step, @Nullable CalibreSheet sheet) {
        if (step instanceof Noted note) {
            return "observed: " + note.words();
        }
        if (step instanceof PartNamed named) {
            return "name " + named.name();
        }
        if (step instanceof HoldStated hold) {
            return part(hold.part(), sheet) + " held by " + part(hold.by(), sheet);
        }
        if (step instanceof CameTogether together) {
            return part(together.part(), sheet) + " came away with " + part(together.unit(), sheet);
        }
        if (step instanceof ScrewsStated screws) {
            return screws.count() + " screws of " + part(screws.part(), sheet);
        }
        if (step instanceof LeftFitted left) {
            return part(left.parts().get(0), sheet) + " left fitted";
        }
        if (step instanceof Happened event) {
            return part(event.part(), sheet) + " "
                    + event.what().name().toLowerCase().replace('_', ' ');
        }
        if (step instanceof Eased eased) {
            String turns = eased.turns() > 0 ? " by " + eased.turns() + " turns" : "";
            return part(eased.part(), sheet) + " "
                    + eased.way().name().toLowerCase().replace('_', ' ') + turns;
        }
        if (step instanceof Gauged gauged) {
            return part(gauged.part(), sheet) + " "
                    + gauged.what().name().toLowerCase().replace('_', ' ') + " " + gauged.millimetres() + " mm";
        }
        if (step instanceof WayInPlanned way) {
            return way.target().isEmpty() ? "the whole movement again" : "way in to " + part(way.target(), sheet);
        }
        return step.getClass()
                .getSimpleName()
                .replaceAll("([A-Z])", " $1")
                .strip()
                .toLowerCase();
    }

    private static String part(String code, @Nullable CalibreSheet sheet) {
        return sheet == null ? code : sheet.part(code).map(Part::name).orElse(code);
    }

    private static String point(String code, @Nullable CalibreSheet sheet) {
        return sheet == null
                ? code
                : sheet.oilPoints().stream()
                        .filter(p -> p.code().equals(code))
                        .map(p -> p.name())
                        .findFirst()
                        .orElse(code);
    }

    private static String test(String code, @Nullable CalibreSheet sheet) {
        return sheet == null
                ? code
                : sheet.tests().stream()
                        .filter(t -> t.code().equals(code))
                        .map(t -> t.name())
                        .findFirst()
                        .orElse(code);
    }
}
