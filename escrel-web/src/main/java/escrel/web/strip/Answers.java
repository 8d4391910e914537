package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import escrel.core.learning.FigureSaid;
import escrel.core.learning.PartNamed;
import escrel.core.learning.ScrewsStated;
import escrel.core.learning.Vocabulary;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What the answers to the questions of a movement nobody knows record, so that each is asked once. */
final class Answers {
    private Answers() {}

    /**
     * The steps of an answer.
     *
     * @param value as the question gives it: what it is about, then what was said
     */
    static List<Step> steps(CalibreSheet sheet, Part part, String value) {
        String[] words = value.split(":", 2);
        return switch (words[0]) {
            case "POWER" -> power(sheet, part, PartOff.LetDown.valueOf(words[1]));
            case "CROWN_WHEEL" -> List.of(crownWheel(part, words[1].split(":")));
            default -> List.of(new FigureSaid(FigureSaid.Figure.valueOf(words[0]), words[1]));
        };
    }

    /** The letting down takes its place in the order, as on a sheet: named, then down. */
    private static List<Step> power(CalibreSheet sheet, Part part, PartOff.LetDown how) {
        boolean alarm = part.group() == Group.ALARM;
        String name = alarm ? "Alarm power let down" : "Power let down";
        Set<String> taken = sheet.parts().stream().map(Part::code).collect(Collectors.toSet());
        PartNamed power = new PartNamed(
                Vocabulary.codeFor(name, taken),
                name,
                alarm ? Group.ALARM : Group.BARREL,
                Side.TRAIN,
                Role.POWER_DOWN,
                List.of(Hazard.TENSION),
                null);
        return List.of(
                power,
                new PartOff(power.code(), Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", "", null, how));
    }

    private static ScrewsStated crownWheel(Part part, String[] words) {
        return new ScrewsStated(
                part.code(),
                Integer.parseInt(words[0]),
                ScrewPlace.LengthClass.valueOf(words[1]),
                ScrewPlace.Thread.valueOf(words[2]));
    }
}
