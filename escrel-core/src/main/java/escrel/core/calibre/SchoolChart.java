package escrel.core.calibre;

import escrel.core.school.Choice;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A sheet's washing and lubrication chart as the workshop's schools have it. Only what the schools speak of changes; a
 * coated part keeps out of the machine whatever is chosen. Source: craft 4.
 */
public final class SchoolChart {
    private final CalibreSheet sheet;
    private final Schools schools;

    private SchoolChart(CalibreSheet sheet, Schools schools) {
        this.sheet = sheet;
        this.schools = schools;
    }

    /** The same sheet under these schools; under the first side of every question it stays as it is. */
    public static CalibreSheet of(CalibreSheet sheet, Schools schools) {
        SchoolChart chart = new SchoolChart(sheet, schools);
        boolean asItIs = !schools.has(Choice.FORK_DIPPED)
                && !schools.has(Choice.BALANCE_APART)
                && !schools.has(Choice.GREASE_FLOOR)
                && !schools.has(Choice.SETTINGS_WITH_BALANCE)
                && !schools.has(Choice.SETTINGS_IN_PLACE)
                && !schools.has(Choice.ESCAPE_TEETH)
                && !schools.has(Choice.SPLIT_AT_THIRD);
        return asItIs
                ? sheet
                : new CalibreSheet(
                        sheet.id(),
                        sheet.name(),
                        sheet.data(),
                        sheet.stemRelease(),
                        sheet.parts().stream().map(chart::washed).toList(),
                        sheet.screws(),
                        sheet.holds(),
                        chart.earlyIns(),
                        chart.points(),
                        sheet.tests(),
                        sheet.jewels(),
                        sheet.train(),
                        sheet.traps(),
                        sheet.lore(),
                        sheet.pictures());
    }

    private Part washed(Part part) {
        boolean fork = part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL;
        boolean balance = part.role() == Role.BALANCE_COCK;
        if (part.wash() != Wash.MACHINE) {
            return part;
        }
        if (fork && schools.has(Choice.FORK_DIPPED)) {
            return part.withWash(Wash.DIP, "this workshop dips it: nothing can loosen the shellac");
        }
        if (balance && schools.has(Choice.BALANCE_APART)) {
            return part.withWash(Wash.DIP, "this workshop cleans the balance apart, in solvent only");
        }
        return part;
    }

    /** With the settings oiled as the balance goes in, nothing of them has to be in early. */
    private List<EarlyIn> earlyIns() {
        if (!schools.has(Choice.SETTINGS_WITH_BALANCE) && !schools.has(Choice.SETTINGS_IN_PLACE)) {
            return sheet.earlyIns();
        }
        Set<String> caps = sheet.jewels().stream()
                .filter(j -> j.kind() == Jewel.Kind.CAP)
                .map(Jewel::part)
                .collect(Collectors.toSet());
        return sheet.earlyIns().stream().filter(e -> !caps.contains(e.part())).toList();
    }

    private List<OilPoint> points() {
        List<OilPoint> points =
                new ArrayList<>(sheet.oilPoints().stream().map(this::point).toList());
        boolean there = points.stream().anyMatch(p -> p.code().equals("o-drum-floor"));
        if (schools.has(Choice.GREASE_FLOOR) && !there) {
            sheet.withRole(Role.MAINSPRING)
                    .ifPresent(spring -> points.add(new OilPoint(
                            "o-drum-floor",
                            "Floor of the drum",
                            spring.code(),
                            Side.IN_HAND,
                            LubricantClass.MAINSPRING_GREASE,
                            "a trace",
                            null,
                            spring.code(),
                            0,
                            0,
                            "this workshop greases the floor as well")));
        }
        return points;
    }

    private OilPoint point(OilPoint point) {
        if (point.lubricant() == LubricantClass.PALLET && schools.has(Choice.ESCAPE_TEETH)) {
            return point.with(
                    LubricantClass.PALLET, "tiny, on every third or fourth escape tooth", "the stones carry it round");
        }
        boolean third = sheet.train() != null
                && sheet.train().mobiles().size() > 2
                && sheet.train().mobiles().get(2).part().equals(point.part());
        if (third && point.lubricant() == LubricantClass.FINE_OIL && schools.has(Choice.SPLIT_AT_THIRD)) {
            return point.with(
                    LubricantClass.MEDIUM_OIL, point.amount(), "this workshop splits the oils at the third wheel");
        }
        return point;
    }
}
